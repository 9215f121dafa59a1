import { useState } from 'react'
import { LOOK_PARTS, type LookPart, wear } from '@/core/look/look'
import type { DesktopId } from '@/core/model/ids'
import type { Desktop } from '@/core/model/kinds/desktop'
import { desktop } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import { Emblem } from '@/parts/Emblem'
import { Kite } from '@/parts/Kite'
import { Pattern } from '@/parts/Pattern'
import { useShelf } from '@/store/useShelf'

/** Which parts of a look go to which desktops, shown on their marks before it is done. */
export function CopyLook({ id }: { id: DesktopId }) {
  const shelf = useShelf()
  const state = shelf.state()
  const from = desktop(state, id)
  const others = state.order.filter((other) => other !== id)
  const [parts, setParts] = useState<LookPart[]>(['sign'])
  const [to, setTo] = useState<DesktopId[]>(others)
  const row = rowOf(state, id).filter((other) => other !== id)
  return (
    <Dialog
      title={`Copy look of ${from.name}`}
      intro="Choose what is copied and to which desktops; all of it is one step of undo."
      width={560}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault()
          // Something else may be shown by then, where it was refused.
          if (shelf.dispatch('desktop.copyLook', { desktop: id, to, parts }, 'key').ok)
            shelf.closeView()
        }}
      >
        <fieldset className="mt-4 flex flex-wrap gap-x-5 gap-y-1">
          <legend className="mb-1 font-semibold">Parts</legend>
          {LOOK_PARTS.map((part) => (
            <label key={part} className="flex items-center gap-1.5">
              <input
                type="checkbox"
                checked={parts.includes(part)}
                onChange={() => setParts(toggled(parts, part))}
              />
              {part}
            </label>
          ))}
        </fieldset>
        <fieldset className="mt-4">
          <legend className="mb-1 font-semibold">Desktops</legend>
          <div className="mb-2 flex gap-2">
            <button type="button" className="btn" onClick={() => setTo(others)}>
              All
            </button>
            {state.columns > 1 ? (
              <button type="button" className="btn" onClick={() => setTo(row)}>
                This row
              </button>
            ) : null}
            <button type="button" className="btn" onClick={() => setTo([])}>
              None
            </button>
          </div>
          <ul className="grid max-h-[320px] grid-cols-3 gap-1 overflow-y-auto max-[700px]:grid-cols-2">
            {others.map((other) => (
              <Target
                key={other}
                was={desktop(state, other)}
                from={from}
                parts={to.includes(other) ? parts : []}
                picked={to.includes(other)}
                onPick={() => setTo(toggled(to, other))}
              />
            ))}
          </ul>
        </fieldset>
        <Answers disabled={parts.length === 0 || to.length === 0} ready={others.length > 0}>
          Copy to {to.length === 1 ? '1 desktop' : `${to.length} desktops`}
        </Answers>
      </form>
    </Dialog>
  )
}

const toggled = <T,>(all: T[], one: T): T[] =>
  all.includes(one) ? all.filter((other) => other !== one) : [...all, one]

/** The desktops that stand in a row with one; all of them, where there are no rows. */
function rowOf({ order, columns }: State, id: DesktopId): DesktopId[] {
  if (columns <= 1) return order
  const first = Math.floor(order.indexOf(id) / columns) * columns
  return order.slice(first, first + columns)
}

/** A desktop as it will look. */
function Target({
  was,
  from,
  parts,
  picked,
  onPick,
}: {
  was: Desktop
  from: Desktop
  parts: LookPart[]
  picked: boolean
  onPick(): void
}) {
  const look = { ...was }
  wear(look, from, parts)
  return (
    <li>
      <label className="flex items-center gap-2 border border-seam p-1.5">
        <input type="checkbox" checked={picked} onChange={onPick} />
        <span
          aria-hidden
          className={`hue-${look.hue} backdrop relative grid size-8 shrink-0 place-items-center`}
        >
          <Pattern of={look.backdrop} />
          <Kite hue={look.hue} letter={look.letter} width={17} />
        </span>
        <Emblem name={look.emblem} />
        <span dir="auto" className="truncate" title={was.name}>
          {was.name}
        </span>
      </label>
    </li>
  )
}
