import { type FormEvent, useState } from 'react'
import { foldOrigin, foldTarget } from '@/core/commands/desktops/fold'
import type { DesktopId } from '@/core/model/ids'
import { desktop, title, window as windowOf } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import { Kite } from '@/parts/Kite'
import { LongList } from '@/parts/LongList'
import { useArrangement, useShelf } from '@/store/useShelf'

/** How many desktops are named; of more it says how many. */
const NAMED = 8

/** Which windows go where, before desktops are folded. Every window can be sent elsewhere. */
export function FoldPreview({
  desktops,
  into,
  columns,
}: {
  desktops: DesktopId[]
  into: DesktopId | null
  columns?: number
}) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const left = state.order.filter(
    (id) => !desktops.includes(id) && state.desktops[id]?.kind === 'open',
  )
  const [target, setTarget] = useState(into ?? foldTarget(state, desktops) ?? '')
  const windows = desktops.flatMap((id) => state.desktops[id]?.windows ?? [])
  // What fills a desktop goes back to where it came from, unless it is sent elsewhere.
  const [moves, setMoves] = useState<Record<string, DesktopId>>(() =>
    Object.fromEntries(
      windows.flatMap((id) => {
        const origin = foldOrigin(state, id, desktops)
        return origin && state.desktops[origin] ? [[id, origin]] : []
      }),
    ),
  )
  const [clear, setClear] = useState(false)
  const several = desktops.length > 3
  const them = desktops.length > 1 ? 'them' : 'it'
  const named = desktops.slice(0, NAMED).map((id) => state.desktops[id]?.name)
  const names = `${named.join(', ')}${desktops.length > NAMED ? ` and ${desktops.length - NAMED} more` : ''}`
  const fold = (event: FormEvent) => {
    event.preventDefault()
    shelf.closeView()
    const chosen = Object.entries(moves).map(([window, to]) => ({ window, to }))
    const more = { ...(columns && { columns }), ...(clear && { clear }) }
    shelf.dispatch('desktop.fold', { desktops, into: target, moves: chosen, ...more }, 'key')
  }
  return (
    <Dialog
      title={several ? `Fold ${desktops.length} desktops` : `Fold ${names}`}
      intro={`${several ? `${names}. ` : ''}${
        windows.length
          ? 'No window is closed. They go to another desktop; undo brings everything back.'
          : `There are no windows on ${them}. Undo brings ${them} back.`
      }`}
      width={520}
    >
      <form onSubmit={fold}>
        <div className="mt-4 flex items-center gap-2">
          <span className="w-24 font-semibold">All go to</span>
          <DesktopSelect
            state={state}
            ids={left}
            label="All go to"
            value={target}
            onChange={setTarget}
            autoFocus
          />
        </div>
        {windows.length ? (
          <LongList label="Windows and where they go" className="mt-3 max-h-[min(18rem,40vh)]">
            {windows.map((id) => {
              const window = windowOf(state, id)
              const from = state.desktops[window.desktop]
              return (
                <li
                  key={id}
                  className="flex items-center gap-2.5 border-seam border-b border-dashed py-1.5"
                >
                  {from ? <Kite hue={from.hue} letter={from.letter} width={17} /> : null}
                  <span className="min-w-0 flex-1 truncate" title={title(state, window)}>
                    {title(state, window)}
                  </span>
                  <span aria-hidden className="text-soft">
                    →
                  </span>
                  <DesktopSelect
                    state={state}
                    ids={left}
                    label={`Where “${title(state, window)}” goes`}
                    value={moves[id] ?? target}
                    onChange={(to) => setMoves({ ...moves, [id]: to })}
                  />
                </li>
              )
            })}
          </LongList>
        ) : null}
        {windows.length ? (
          <label className="mt-3 flex items-center gap-2">
            <input type="checkbox" checked={clear} onChange={() => setClear(!clear)} />
            Don’t cover the windows there
          </label>
        ) : null}
        <Answers>Fold</Answers>
      </form>
    </Dialog>
  )
}

function DesktopSelect({
  state,
  ids,
  value,
  onChange,
  label,
  autoFocus,
}: {
  state: State
  ids: DesktopId[]
  value: DesktopId
  onChange(id: DesktopId): void
  label?: string
  autoFocus?: boolean
}) {
  return (
    <select
      className="field w-40"
      aria-label={label}
      value={value}
      // biome-ignore lint/a11y/noAutofocus: the first thing to decide in a dialog
      autoFocus={autoFocus}
      onChange={(event) => onChange(event.target.value)}
      onKeyDown={(event) => {
        if (event.key !== 'Enter') return
        event.preventDefault()
        event.currentTarget.form?.requestSubmit()
      }}
    >
      {ids.map((id) => {
        const { name, letter } = desktop(state, id)
        return (
          <option key={id} value={id}>
            {letter ? `${letter}  ${name}` : name}
          </option>
        )
      })}
    </select>
  )
}
