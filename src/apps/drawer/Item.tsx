import type { DragEvent, MouseEvent } from 'react'
import type { Passage } from '@/core/finding/texts'
import { referenceTo } from '@/core/formats/reference'
import type { DocumentInfo } from '@/core/model/kinds/document'
import { useInSight } from '@/parts/useInSight'
import { useArrangement, useShelf } from '@/store/useShelf'
import { open } from '../opening'

/** A document in the list: its name, where it is open or when it was, and what was found in it. */
export function Item({
  one,
  chosen,
  marked,
  passage,
  onChoose,
  onMark,
}: {
  one: DocumentInfo
  chosen: boolean
  marked: boolean
  passage: Passage | undefined
  onChoose(): void
  onMark(): void
}) {
  const shelf = useShelf()
  const button = useInSight<HTMLButtonElement>(chosen)
  // The desktop it is open on.
  const where = useArrangement(({ windows, desktops }) => {
    const window = Object.values(windows).find(({ document }) => document === one.id)
    return window ? (desktops[window.desktop]?.name ?? 'every desktop') : null
  })
  const drag = (event: DragEvent) => {
    event.dataTransfer.setData('text/plain', referenceTo(one))
    event.dataTransfer.effectAllowed = 'copy'
  }
  const push = (event: MouseEvent) => {
    onChoose()
    if (event.ctrlKey || event.metaKey) onMark()
  }
  return (
    <li>
      <button
        ref={button}
        type="button"
        draggable
        aria-current={chosen ? 'true' : undefined}
        aria-pressed={marked}
        className={`flex w-full flex-col px-3 py-1.5 text-left aria-[current]:bg-ink/8 aria-[current]:font-semibold ${marked ? 'border-ink border-l-4' : ''}`}
        onClick={push}
        onDoubleClick={() => open(shelf, one)}
        onDragStart={drag}
      >
        <span className="flex w-full items-center gap-2">
          <span
            dir="auto"
            title={one.title}
            className={`min-w-0 flex-1 truncate text-left ${one.discarded ? 'text-soft line-through' : ''}`}
          >
            {one.title}
          </span>
          <span className="shrink-0 text-[11px] text-soft">
            {one.unsaved ? 'not saved' : shelf.appFacts(one.app)?.name}
          </span>
        </span>
        <span dir="auto" className="w-full truncate font-normal text-[11px] text-soft">
          {where ? `on ${where}` : DATE.format(one.openedAt)}
          {passage ? (
            <>
              {' · '}
              {passage.before.length > BEFORE
                ? `…${passage.before.slice(-BEFORE)}`
                : passage.before}
              <mark className="bg-ink/14 text-ink">{passage.match}</mark>
              {passage.after}
            </>
          ) : null}
        </span>
      </button>
    </li>
  )
}

/** So much of what stands before what was found is shown: what was found itself has room. */
const BEFORE = 16

const DATE = new Intl.DateTimeFormat([], { dateStyle: 'medium' })
