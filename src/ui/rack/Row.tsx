import { useSortable } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { BellOff, Ellipsis } from 'lucide-react'
import { memo } from 'react'
import { displayShowing } from '@/core/model/displays'
import type { DesktopId, WindowId } from '@/core/model/ids'
import { currentId, lastId, summary } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { Emblem } from '@/parts/Emblem'
import { Kite } from '@/parts/Kite'
import { NameField } from '@/parts/NameField'
import { useWaiting } from '@/store/attention'
import type { Shelf } from '@/store/shelf'
import { useArrangement, useDesktop, useList, usePage, useShelf } from '@/store/useShelf'
import { useQuiet } from '@/ui/attention/useQuiet'
import { Bows } from './Bow'

/** A desktop in the rack: its mark, its name, and a tail with a bow for each window. */
export const Row = memo(function Row({ id }: { id: DesktopId }) {
  const shelf = useShelf()
  const { name, letter, hue, emblem, windows, kind } = useDesktop(id, [
    'name',
    'letter',
    'hue',
    'emblem',
    'windows',
    'kind',
  ])
  const quiet = useQuiet(id)
  const here = useArrangement((state) => currentId(state) === id)
  const last = useArrangement((state) => lastId(state) === id)
  const starts = useArrangement(
    ({ order, columns }) => columns > 1 && order.indexOf(id) % columns === 0,
  )
  const spoken = useArrangement((state) => summary(state, id))
  const naming = usePage(
    ({ view, loft }) => !loft && view?.view === 'rename' && view.desktop === id,
  )
  const elsewhere = useArrangement((state) => shownBeside(state, id))
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({ id })
  return (
    <li
      ref={setNodeRef}
      data-desktop-row={id}
      className={`row hue-${hue} ${here ? 'row-current' : ''} ${starts ? 'row-starts' : ''} ${isDragging ? 'z-10 opacity-90' : ''} group`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      {...listeners}
      onContextMenu={(event) => shelf.openMenu(event, { desktop: id })}
    >
      <button
        type="button"
        tabIndex={-1}
        aria-hidden
        title={name}
        className="shrink-0"
        onClick={() => go(shelf, id, here)}
      >
        <Kite hue={hue} letter={letter} emblem={emblem} filled={here} width={29} />
      </button>
      {/* In a narrow rack the name is typed beside it. */}
      <div className={`min-w-0 flex-1 ${naming ? 'naming' : 'strip:sr-only'}`}>
        <div className="flex h-[21px] items-center gap-1.5">
          <Emblem name={emblem} />
          {naming ? (
            <NameField id={id} name={name} />
          ) : (
            <button
              type="button"
              dir="auto"
              data-row-name=""
              aria-current={here ? 'true' : undefined}
              aria-label={[
                spoken,
                elsewhere && `shown on ${elsewhere}`,
                last && 'the one before this',
              ]
                .filter(Boolean)
                .join(', ')}
              className={`min-w-0 flex-1 truncate text-left font-display font-semibold outline-none focus-visible:underline focus-visible:decoration-2 focus-visible:underline-offset-4 ${here ? '' : 'opacity-85'}`}
              onClick={() => go(shelf, id, here)}
              onDoubleClick={() => shelf.dispatch('desktop.askName', { desktop: id })}
            >
              {name}
            </button>
          )}
          {quiet ? (
            <BellOff size={12} aria-label="quiet" className="row-quiet shrink-0 text-soft" />
          ) : null}
          {kind === 'open' ? null : <span className="text-[11px] text-soft">{kind}</span>}
          {elsewhere ? (
            <span className="row-beside max-w-16 shrink-0 truncate border border-edge px-1 text-[11px] text-soft leading-4">
              {elsewhere}
            </span>
          ) : null}
          {last ? (
            <span
              aria-hidden
              className="row-last font-mono font-semibold text-[11px] text-soft"
              title="Back goes here"
            >
              ◂\
            </span>
          ) : null}
          <button
            type="button"
            tabIndex={-1}
            aria-haspopup="menu"
            aria-label={`Menu of ${name}`}
            className="row-menu absolute top-[7px] right-2 size-5 place-items-center bg-panel text-soft opacity-0 hover:text-ink group-hover:opacity-100 strip:hidden"
            onClick={(event) => shelf.openMenuBelow(event.currentTarget, { desktop: id })}
          >
            {dots}
          </button>
        </div>
        <div className="tail">
          <Bows ids={windows} />
        </div>
      </div>
      <Figure ids={windows} />
    </li>
  )
})

/** Where a tail has no room: how many windows there are, and how many of them want attention. */
const Figure = memo(function Figure({ ids }: { ids: WindowId[] }) {
  const documents = useList(
    ({ windows }) => ids.map((id) => windows[id]?.document ?? ''),
    ['windows'],
  )
  const waiting = useWaiting([...documents])
  return (
    <span aria-hidden className="row-figure">
      {waiting ? <b className="row-waiting">{waiting}</b> : null}
      <span className="row-count">{ids.length || ''}</span>
    </span>
  )
})

/** The name of another display that shows a desktop, where each shows its own. */
function shownBeside(state: State, id: DesktopId): string | undefined {
  const showing = state.apart ? displayShowing(state, id) : undefined
  return showing && showing !== state.display ? state.displays[showing]?.name : undefined
}

function go(shelf: Shelf, id: DesktopId, here: boolean): void {
  if (!here) shelf.dispatch('desktop.go', { to: id })
}

const dots = <Ellipsis size={15} aria-hidden />
