import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { Trash2 } from 'lucide-react'
import { type KeyboardEvent, useRef } from 'react'
import { Tool } from '@/parts/Tool'
import type { Chapter } from './content'
import type { Track } from './sound'
import { clock } from './time'
import { TUNES } from './tunes'
import type { Playing } from './usePlaying'

/** Arrows walk the list of tunes, where one is in it. */
export function walked(event: KeyboardEvent): boolean {
  const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0
  const buttons = [...event.currentTarget.querySelectorAll<HTMLElement>('[data-tune]')]
  if (by === 0 || buttons.length === 0) return false
  const at = buttons.indexOf(event.target as HTMLElement)
  const from = at < 0 ? buttons.findIndex((one) => one.ariaCurrent === 'true') - by : at
  buttons[(from + by + buttons.length) % buttons.length]?.focus()
  event.preventDefault()
  return true
}

/** What can be played: those of the radio, then files in an order of one's own. */
export function Tunes({
  playing,
  current,
  at,
}: {
  playing: Playing
  current: number
  /** The second it is at. */
  at: number
}) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }))
  const list = useRef<HTMLUListElement>(null)
  const { tracks } = playing
  const chaptersOf = (track: Track) => ('chapters' in track && track.chapters) || []
  /** Of those in the list the keys stay with what is moved. */
  const move = (from: number, to: number) => {
    playing.move(from, to)
    requestAnimationFrame(() =>
      list.current?.querySelector<HTMLElement>(`[data-tune="${to}"]`)?.focus(),
    )
  }
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{ container: document.body, announcements: SILENT, ...NO_WORDS }}
      onDragEnd={({ active, over }) => over && playing.move(Number(active.id), Number(over.id))}
    >
      <SortableContext
        items={tracks.flatMap((_, index) => (index < TUNES.length ? [] : [String(index)]))}
        strategy={verticalListSortingStrategy}
      >
        <ul ref={list} aria-label="Tunes" className="min-h-0 flex-1 overflow-auto">
          {tracks.map((track, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: the same file may be there twice
            <li key={`${index} ${track.name}`}>
              <TuneRow
                track={track}
                index={index}
                current={index === current}
                playing={playing}
                last={index === tracks.length - 1}
                onMove={move}
              />
              {index === current ? (
                <Chapters chapters={chaptersOf(track)} at={at} onGo={playing.seek} />
              ) : null}
            </li>
          ))}
        </ul>
      </SortableContext>
    </DndContext>
  )
}

/** What is dragged is seen to be; keys move it as well, and the list tells its order. */
const silent = () => undefined
const SILENT = { onDragStart: silent, onDragOver: silent, onDragEnd: silent, onDragCancel: silent }
const NO_WORDS = { screenReaderInstructions: { draggable: '' } }

function TuneRow({
  track: { name, length },
  index,
  current,
  playing: { play, remove },
  last,
  onMove,
}: {
  track: Track
  index: number
  current: boolean
  playing: Playing
  last: boolean
  onMove(from: number, to: number): void
}) {
  const own = index >= TUNES.length
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({
    id: String(index),
    disabled: !own,
  })
  const keys = (event: KeyboardEvent) => {
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0
    const to = index + by
    if (!own || !event.shiftKey || by === 0) return
    event.preventDefault()
    event.stopPropagation()
    if (to >= TUNES.length && !(last && by > 0)) onMove(index, to)
  }
  return (
    <div
      ref={setNodeRef}
      className={`flex items-center ${isDragging ? 'relative z-10 bg-paper opacity-90' : ''}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <button
        type="button"
        data-tune={index}
        aria-current={current ? 'true' : undefined}
        title={own ? `${name}. Shift+↑ and Shift+↓ move it` : undefined}
        className="flex min-w-0 flex-1 px-2 py-1.5 text-left hover:bg-ink/6 aria-[current]:font-semibold"
        onClick={() => play(index, 0)}
        onKeyDown={keys}
        onPointerDown={listeners?.onPointerDown as never}
      >
        <span className="min-w-0 flex-1 truncate">{name}</span>
        <span className="font-mono text-[12px] text-soft">{clock(length)}</span>
      </button>
      {own ? (
        <Tool label={`Remove ${name}`} onClick={() => remove(index)}>
          <Trash2 size={13} />
        </Tool>
      ) : null}
    </div>
  )
}

/** The parts of what is played, to be gone to. */
function Chapters({
  chapters,
  at,
  onGo,
}: {
  chapters: Chapter[]
  at: number
  onGo(to: number): void
}) {
  if (chapters.length === 0) return null
  const here = chapters.findLast((one) => one.at <= at + 0.5)
  return (
    <ul aria-label="Chapters">
      {chapters.map((chapter) => (
        <li key={`${chapter.at} ${chapter.title}`}>
          <button
            type="button"
            data-tune="chapter"
            aria-current={chapter === here ? 'step' : undefined}
            className="flex w-full py-1 pr-2 pl-6 text-left text-[13px] hover:bg-ink/6 aria-[current]:underline"
            onClick={() => onGo(chapter.at)}
          >
            <span className="min-w-0 flex-1 truncate">{chapter.title}</span>
            <span className="font-mono text-[12px] text-soft">{clock(chapter.at)}</span>
          </button>
        </li>
      ))}
    </ul>
  )
}
