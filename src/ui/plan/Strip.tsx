import { type PointerEvent, useRef, useState } from 'react'
import type { Stretch } from '@/core/journal/time'
import { desktopName } from '@/core/journal/words'
import type { Block } from '@/core/model/kinds/block'
import { currentId } from '@/core/model/selectors'
import { atMinute, dayOf } from '@/core/plan/plan'
import { timeOfDay } from '@/parts/Facts'
import { useArrangement, useShelf } from '@/store/useShelf'

/** Hours the strip shows at least, and its height for each of them in CSS pixels. */
const FROM = 6
const TO = 22
const HOUR = 22
/** What is drawn or dragged snaps to so many minutes. */
const SNAP = 15

const MINUTE = 60_000
const WHOLE = 60 * MINUTE

/** What the pointer does: draws a block from where it began, moves one, or its end. */
interface Drag {
  block: Block | undefined
  edge: boolean
  /** Minutes after midnight, where it began and where it is. */
  from: number
  to: number
}

/**
 * The day as a strip: blocks in their hues, what was done beside them, the time it is. Blocks are drawn
 * and moved by dragging.
 */
export function Strip({
  day,
  blocks,
  done,
  now,
}: {
  day: number
  blocks: Block[]
  done: readonly Stretch[]
  now: number
}) {
  const shelf = useShelf()
  const desktops = useArrangement((state) => state.desktops)
  const here = useArrangement(currentId)
  const strip = useRef<HTMLDivElement>(null)
  const [drag, setDrag] = useState<Drag | null>(null)
  const midnight = dayOf(day)
  // As early and as late as something is planned or was done, within the day.
  const all = [...blocks, ...done]
  const from = Math.max(
    0,
    Math.min(FROM, ...all.map(({ start }) => Math.floor((start - midnight) / WHOLE))),
  )
  const until = Math.min(
    24,
    Math.max(TO, ...all.map(({ end }) => Math.ceil((end - midnight) / WHOLE))),
  )
  const hours = Array.from({ length: until - from }, (_, at) => from + at)
  const y = (moment: number) => ((moment - midnight) / WHOLE - from) * HOUR
  const minute = ({ clientY }: PointerEvent) => {
    const top = strip.current?.getBoundingClientRect().top ?? 0
    const minutes = ((clientY - top) / HOUR + from) * 60
    return Math.max(from * 60, Math.min(until * 60, Math.round(minutes / SNAP) * SNAP))
  }
  const begin = (event: PointerEvent<HTMLElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId)
    const { dataset } = event.target as HTMLElement
    const at = minute(event)
    const block = blocks.find(({ id }) => id === dataset.block)
    setDrag({ block, edge: dataset.edge !== undefined, from: at, to: at })
  }
  const end = () => {
    setDrag(null)
    if (!drag || drag.from === drag.to) return
    const times = draggedTo(drag, midnight)
    if (drag.block) shelf.dispatch('plan.move', { block: drag.block.id, ...times })
    else shelf.dispatch('plan.put', { blocks: [{ desktop: here, ...times }] })
  }
  const height = (until - from) * HOUR
  const box = ({ start, end: over }: Pick<Block, 'start' | 'end'>) => {
    const top = Math.max(0, y(start))
    return { top, height: Math.max(4, Math.min(y(over), height) - top) }
  }
  return (
    <div
      ref={strip}
      aria-hidden
      title="Drag to plan a desktop, or to move a block or its end"
      className="relative mt-3 cursor-crosshair touch-none select-none border border-seam bg-ground/60"
      style={{ height }}
      onPointerDown={begin}
      onPointerMove={(event) => drag && setDrag({ ...drag, to: minute(event) })}
      onPointerUp={end}
      onPointerCancel={() => setDrag(null)}
    >
      {hours
        .filter((hour) => hour % 2 === 0)
        .map((hour) => (
          <span
            key={hour}
            className="pointer-events-none absolute inset-x-0 border-seam border-t border-dashed pl-1 font-mono text-[10px] text-soft leading-none"
            style={{ top: (hour - from) * HOUR }}
          >
            {hour}:00
          </span>
        ))}
      {/* Behind the blocks: it would cross out the name of one that has just begun. */}
      {y(now) >= 0 && y(now) <= height ? (
        <span
          className="pointer-events-none absolute inset-x-0 border-alarm border-t-2"
          style={{ top: y(now) }}
        />
      ) : null}
      {blocks.map((block) => {
        const { id, desktop: of, skipped } = block
        const dragged = drag?.block?.id === id
        return (
          <span
            key={id}
            data-block={id}
            className={`absolute right-5 left-12 cursor-grab overflow-hidden border-b border-l-4 border-b-seam bg-panel px-1.5 text-[12px] leading-[18px] hue-${desktops[of]?.hue ?? 'slate'} border-hue ${skipped ? 'line-through opacity-50' : ''} ${dragged ? 'z-10 cursor-grabbing outline-2 outline-ink outline-dashed' : ''}`}
            style={box(dragged ? draggedTo(drag, midnight) : block)}
          >
            {block.title ?? desktops[of]?.name}
            <span
              data-block={id}
              data-edge=""
              className="absolute inset-x-0 bottom-0 h-1.5 cursor-ns-resize"
            />
          </span>
        )
      })}
      {done.map(({ desktop: of, start, end }) => (
        <span
          key={start}
          title={`${desktopName({ desktops }, of)}, ${timeOfDay(start)}–${timeOfDay(end)}`}
          className={`absolute right-1 w-3 bg-hue hue-${desktops[of]?.hue ?? 'slate'}`}
          style={{ top: y(start), height: Math.max(1, y(end) - y(start)) }}
        />
      ))}
      {drag && !drag.block && drag.from !== drag.to ? (
        <span
          className="absolute right-5 left-12 border-2 border-ink border-dashed"
          style={box(draggedTo(drag, midnight))}
        />
      ) : null}
    </div>
  )
}

/** The times a block has where it was dragged to; its end stays after its beginning. */
function draggedTo(
  { block, edge, from, to }: Drag,
  midnight: number,
): { start: number; end: number } {
  if (!block)
    return {
      start: atMinute(midnight, Math.min(from, to)),
      end: atMinute(midnight, Math.max(from, to)),
    }
  const by = (to - from) * MINUTE
  return {
    start: edge ? block.start : block.start + by,
    end: Math.max(block.end + by, edge ? block.start + SNAP * MINUTE : 0),
  }
}
