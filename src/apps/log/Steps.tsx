import type { KeyboardEvent } from 'react'
import { Keys } from '@/parts/Keys'

/** From one day, or span of days, to the one before or after it. */
export function Steps({
  says,
  first = false,
  last,
  takesKeys = false,
  onStep,
}: {
  /** Which it is. */
  says: string
  /** Whether nothing is before it, or after it. */
  first?: boolean
  last: boolean
  /** Whether its window has nothing else that takes the keys. */
  takesKeys?: boolean
  /** @param by 1 for the one before, -1 for the one after */
  onStep(by: 1 | -1): void
}) {
  return (
    <span className="flex items-center gap-1.5">
      <button
        type="button"
        className="btn"
        aria-label="Earlier"
        data-autofocus={takesKeys ? '' : undefined}
        disabled={first}
        onClick={() => onStep(1)}
      >
        ‹ <Keys keys="," />
      </button>
      <b role="status" className="w-52 text-center">
        {says}
      </b>
      <button
        type="button"
        className="btn"
        aria-label="Later"
        disabled={last}
        onClick={() => onStep(-1)}
      >
        <Keys keys="." /> ›
      </button>
    </span>
  )
}

/** The same by key; null where it is another, or is typed. */
export function stepOf(event: KeyboardEvent): 1 | -1 | null {
  const typed =
    event.target instanceof HTMLInputElement && !['radio', 'checkbox'].includes(event.target.type)
  if (event.altKey || event.ctrlKey || event.metaKey || typed) return null
  if (event.key !== ',' && event.key !== '.') return null
  event.preventDefault()
  return event.key === ',' ? 1 : -1
}
