import { useDrag } from '@use-gesture/react'
import { Trash2 } from 'lucide-react'
import { type KeyboardEvent, type MouseEvent, memo, type RefObject, useRef } from 'react'
import type { Chapter } from './content'
import type { Track } from './sound'
import { clock } from './time'
import { TUNES } from './tunes'
import type { Playing } from './usePlaying'

/** Arrows walk the list of tunes, where one is in it. */
export function walked(event: KeyboardEvent): boolean {
  const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0
  const buttons = [...event.currentTarget.querySelectorAll<HTMLElement>('[data-tune], [data-part]')]
  if (by === 0 || buttons.length === 0) return false
  const at = buttons.indexOf(event.target as HTMLElement)
  const from = at < 0 ? buttons.findIndex((one) => one.ariaCurrent === 'true') - by : at
  buttons[(from + by + buttons.length) % buttons.length]?.focus()
  event.preventDefault()
  return true
}

/** The number of the tune something in the list belongs to; null where it is none. */
function tuneOf(target: EventTarget | Element | null): number | null {
  const row = (target as Element | null)?.closest<HTMLElement>('[data-row]')
  return row ? Number(row.dataset.row) : null
}

/** What can be played: those of the radio, then files in an order of one's own. There may be thousands. */
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
  const list = useRef<HTMLUListElement>(null)
  const { tracks } = playing
  const drag = useMoveByDrag(list, playing.move)
  const keys = (event: KeyboardEvent) => {
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0
    const from = tuneOf(event.target)
    if (!event.shiftKey || by === 0 || from === null || from < TUNES.length) return
    event.preventDefault()
    event.stopPropagation()
    const to = from + by
    if (to < TUNES.length || to >= tracks.length) return
    playing.move(from, to)
    // The keys stay with what is moved.
    requestAnimationFrame(() =>
      list.current?.querySelector<HTMLElement>(`[data-tune="${to}"]`)?.focus(),
    )
  }
  const push = ({ target }: MouseEvent) => {
    const tune = tuneOf(target)
    if (tune === null || drag.moved()) return
    if ((target as Element).closest('[data-tune]')) playing.play(tune, 0)
    else if ((target as Element).closest('[data-remove]')) playing.remove(tune)
  }
  return (
    <ul
      ref={list}
      aria-label="Tunes"
      className="min-h-0 flex-1 overflow-auto"
      onKeyDown={keys}
      onClick={push}
      {...drag.bind()}
    >
      {tracks.map((track, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the same file may be there twice
        <li key={`${index} ${track.name}`}>
          <TuneRow
            name={track.name}
            length={track.length}
            index={index}
            current={index === current}
          />
          {index === current ? (
            <Chapters chapters={chaptersOf(track)} at={at} onGo={playing.seek} />
          ) : null}
        </li>
      ))}
    </ul>
  )
}

const chaptersOf = (track: Track): Chapter[] => ('chapters' in track && track.chapters) || []

/** So near to an end of the list it is scrolled, in CSS pixels. */
const EDGE = 8

/** How far it is scrolled with each movement, in CSS pixels. */
const SCROLLS = 12

/** Dragging a file to another place: it moves along, and where it would come to is marked. */
function useMoveByDrag(
  list: RefObject<HTMLElement | null>,
  onMove: (from: number, to: number) => void,
) {
  const moved = useRef(false)
  const marked = useRef<HTMLElement | null>(null)
  const mark = (row: HTMLElement | null, below = false) => {
    if (marked.current) delete marked.current.dataset.comes
    if (row) row.dataset.comes = below ? 'below' : 'above'
    marked.current = row
  }
  const bind = useDrag(
    ({ first, last, tap, canceled, initial, movement: [, y], xy: [x, top], memo }) => {
      const from = first ? tuneOf(document.elementFromPoint(...initial)) : (memo as number | null)
      if (from === null || from < TUNES.length || tap) return from
      const row = list.current?.querySelector<HTMLElement>(`[data-row="${from}"]`)
      const box = list.current?.getBoundingClientRect()
      if (!box) return from
      // Beyond an end of the list it goes on there.
      const within = Math.max(box.top + EDGE, Math.min(top, box.bottom - EDGE))
      if (within !== top) list.current?.scrollBy(0, Math.sign(top - within) * SCROLLS)
      const under = document
        .elementsFromPoint(x, within)
        .map((one) => one.closest<HTMLElement>('[data-row]'))
        .find((one) => one && one !== row)
      const to = tuneOf(under ?? null)
      if (last) {
        // The push that ends it plays nothing.
        moved.current = true
        setTimeout(() => {
          moved.current = false
        })
        mark(null)
        if (row) row.style.translate = ''
        if (to !== null && to >= TUNES.length && !canceled) onMove(from, to)
        return from
      }
      if (row) row.style.translate = `0 ${y}px`
      mark(to !== null && to >= TUNES.length ? (under ?? null) : null, to !== null && to > from)
      return from
    },
    { filterTaps: true, pointer: { keys: false } },
  )
  return { bind, moved: () => moved.current }
}

const TuneRow = memo(function TuneRow({
  name,
  length,
  index,
  current,
}: {
  name: string
  length: number
  index: number
  current: boolean
}) {
  const own = index >= TUNES.length
  return (
    <div data-row={index} className="tune flex items-center">
      <button
        type="button"
        data-tune={index}
        aria-current={current ? 'true' : undefined}
        title={own ? `${name}. Shift+↑ and Shift+↓ move it` : undefined}
        className="flex min-w-0 flex-1 px-2 py-1.5 text-left hover:bg-ink/6 aria-[current]:font-semibold"
      >
        <span className="min-w-0 flex-1 truncate">{name}</span>
        <span className="font-mono text-[12px] text-soft">{clock(length)}</span>
      </button>
      {own ? (
        <button
          type="button"
          data-remove=""
          className="tool"
          title={`Remove ${name}`}
          aria-label={`Remove ${name}`}
        >
          <Trash2 size={13} aria-hidden />
        </button>
      ) : null}
    </div>
  )
})

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
            data-part=""
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
