import { memo } from 'react'
import { appOf } from '@/apps/list'
import { CAPTION, type Shelves } from '@/core/geometry/shelves'
import { spell } from '@/core/journal/words'
import type { Desktop } from '@/core/model/kinds/desktop'
import { currentId } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { Emblem } from '@/parts/Emblem'
import { windowElement } from '@/parts/focus'
import { Kite } from '@/parts/Kite'
import { NameField } from '@/parts/NameField'
import { ignoreSecondClick } from '@/parts/secondClick'
import { useWaiting } from '@/store/attention'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'
import { Plan } from './Plan'
import type { LoftRow } from './rows'
import { Standing } from './Standing'
import type { Choice } from './walking'

interface RowProps {
  row: LoftRow
  /** Whether it is in sight or chosen; what is on it is only drawn then. */
  seen: boolean
  left: number
  top: number
  width: number
  height: number
  places: Shelves['places']
  /** How long one was on it today, in minutes. */
  spent: number
  /** The choice, if it is in this row. */
  chosen: Choice | null
  onGo(choice: Choice): void
}

/** A shelf: its name at the left, its windows standing on it. */
export const ShelfRow = memo(function ShelfRow(given: RowProps) {
  const { row, seen, left, top, width, height, places, spent, chosen, onGo } = given
  const hue = useArrangement((state) => faceOf(state, row.id)?.hue ?? 'slate')
  return (
    <li
      data-shelf={row.is === 'app' || row.is === 'stowed' ? undefined : row.id}
      data-row={row.id}
      data-choice={seen ? undefined : row.id}
      className={`shelf hue-${hue} ${chosen ? 'shelf-chosen' : ''}`}
      style={{ left, top, width, height }}
    >
      {seen ? (
        <Name row={row} spent={spent} chosen={!!chosen && !chosen.window} onGo={onGo} />
      ) : null}
      {(seen ? row.windows : []).map(({ id }) => {
        const place = places[id]
        return place ? (
          <Standing
            key={id}
            id={id}
            left={place.x - left}
            top={place.y - top - CAPTION}
            width={place.width * place.scale}
            caption={place.caption ?? place.width * place.scale}
            height={place.height * place.scale}
            chosen={chosen?.window === id}
            withDesktop={row.is === 'app'}
            onGo={() => onGo({ row: row.id, window: id })}
          />
        ) : null
      })}
    </li>
  )
})

/** The desktop of a row, there or put away. */
const faceOf = ({ desktops, stowed }: State, id: string): Desktop | undefined =>
  desktops[id] ?? stowed.find((one) => one.id === id)?.desktop

/** A row's mark, name and figures. A desktop's is dragged to reorder. */
function Name({
  row: { id, is, name, windows, holds, thin },
  spent,
  chosen,
  onGo,
}: {
  row: LoftRow
  spent: number
  chosen: boolean
  onGo(choice: Choice): void
}) {
  const shelf = useShelf()
  const lives = useArrangement((state) => faceOf(state, id))
  const here = useArrangement((state) => currentId(state) === id)
  const resting = usePage((page) => page.resting.includes(id))
  // What a desktop costs: the windows of it that are drawn and at work.
  const live = windows.filter((one) => windowElement(one.id)).length
  const waiting = useWaiting(windows.map(({ document }) => document))
  const naming = usePage(({ view }) => view?.view === 'rename' && view.desktop === id)
  const empty = windows.length === 0
  const Glyph = is === 'app' ? appOf(shelf, id)?.glyph : undefined
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the same is on keys and in the menu
    <div
      data-choice={id}
      data-head={is === 'desktop' ? id : undefined}
      className={`absolute right-1 left-1 flex touch-pan-y items-center gap-2.5 ${
        thin ? '-top-1 p-1.5 opacity-75' : `top-0.5 px-1 ${empty ? 'min-h-9' : 'min-h-10'}`
      } ${chosen ? 'outline-2 outline-ink outline-dashed' : ''}`}
      onContextMenu={(event) => is === 'desktop' && shelf.openMenu(event, { desktop: id })}
    >
      {lives ? (
        <Kite
          hue={lives.hue}
          letter={lives.letter}
          emblem={lives.emblem}
          filled={here}
          width={thin ? 15 : empty ? 20 : 30}
        />
      ) : Glyph ? (
        <Glyph size={22} aria-hidden className="mx-1 shrink-0" />
      ) : (
        <span aria-hidden className="mx-[9px] mt-1.5 size-3 shrink-0 rounded-full bg-soft" />
      )}
      {/* What has no room beside the name goes to a line below, out of sight. */}
      <div
        className={`flex min-w-0 flex-1 items-baseline gap-x-2.5 ${is === 'stowed' ? '' : 'flex-wrap'} ${naming ? '' : 'h-6 overflow-hidden'}`}
      >
        {naming ? (
          <NameField id={id} name={name} />
        ) : (
          <button
            type="button"
            dir="auto"
            tabIndex={-1}
            title={name}
            className={`max-w-full truncate text-left font-display font-semibold ${thin ? 'text-[12px]' : empty ? 'text-[14px]' : 'text-[15px]'}`}
            onClick={(event) => {
              ignoreSecondClick(event)
              onGo({ row: id, window: null })
            }}
          >
            {lives?.emblem ? (
              <span className="mr-1 inline-block align-[-2px]">
                <Emblem name={lives.emblem} />
              </span>
            ) : null}
            {name}
          </button>
        )}
        {is === 'stowed' && !thin ? (
          <p title={holds || 'nothing on it'} className="shrink-0 text-soft">
            stowed
          </p>
        ) : null}
        {waiting ? <b className="shrink-0 font-semibold">{waiting} waiting</b> : null}
        {thin || empty ? null : (
          <p className="shrink-0 text-soft">
            {windows.length === 1 ? '1 window' : `${windows.length} windows`}
            {resting ? ', at rest' : `, ${live} live`}
            {spent ? ` · ${spell(spent)} today` : null}
          </p>
        )}
      </div>
      {is === 'desktop' && !thin ? <Plan desktop={id} /> : null}
    </div>
  )
}
