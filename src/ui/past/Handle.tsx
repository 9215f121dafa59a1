import {
  type KeyboardEvent,
  type PointerEvent,
  type ReactNode,
  type RefObject,
  useEffect,
} from 'react'
import { timeOfDay } from '@/parts/Facts'

const HOUR = 3_600_000

/**
 * A moment of a day, upon the band of it: the arrows go from change to change, pages by the hour, the
 * pointer to any moment.
 */
export function Handle({
  ref: band,
  from,
  until,
  moments,
  moment,
  says,
  begins,
  onMove,
  children,
}: {
  ref: RefObject<HTMLDivElement | null>
  /** What the band shows, in milliseconds since 1970. */
  from: number
  until: number
  /** When something changed, in order. */
  moments: readonly { at: number }[]
  moment: number
  /** What happened then. */
  says: string
  /** Whether it takes the keys. */
  begins: boolean
  onMove(to: number): void
  children: ReactNode
}) {
  // biome-ignore lint/correctness/useExhaustiveDependencies: when it is first there, and not again
  useEffect(() => {
    if (begins) band.current?.focus()
  }, [])
  const first = moments[0]?.at ?? from
  const last = moments.at(-1)?.at ?? until
  const share = Math.max(0, Math.min(1, (moment - from) / (until - from))) * 100
  const to = (wanted: number) => onMove(Math.max(first, Math.min(last, wanted)))
  const keys = (event: KeyboardEvent) => {
    if (event.altKey || event.ctrlKey || event.metaKey) return
    const next = {
      ArrowRight: () => moments.find(({ at }) => at > moment)?.at,
      ArrowLeft: () => moments.findLast(({ at }) => at < moment)?.at,
      PageUp: () => moment + HOUR,
      PageDown: () => moment - HOUR,
      Home: () => first,
      End: () => last,
    }[event.key]
    if (!next) return
    event.preventDefault()
    to(next() ?? moment)
  }
  const drag = (event: PointerEvent) => {
    if (event.buttons !== 1 || !band.current) return
    const { left, width } = band.current.getBoundingClientRect()
    to(Math.round(from + ((event.clientX - left) / width) * (until - from)))
  }
  return (
    <div
      ref={band}
      role="slider"
      tabIndex={0}
      aria-label="Moment"
      aria-valuemin={first}
      aria-valuemax={last}
      aria-valuenow={moment}
      aria-valuetext={`${timeOfDay(moment)}, ${says}`}
      className="relative cursor-ew-resize touch-none"
      onKeyDown={keys}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        drag(event)
      }}
      onPointerMove={drag}
    >
      <div className="pointer-events-none">{children}</div>
      <span
        aria-hidden
        className="pointer-events-none absolute -inset-y-1.5 w-0 border-ink border-l-2"
        style={{ left: `${share}%` }}
      >
        <span className="absolute -top-1 -left-[6px] size-2.5 rotate-45 bg-ink" />
      </span>
    </div>
  )
}
