import { useEffect, useState } from 'react'
import { ofShelf } from './ofShelf'
import type { Shelf } from './shelf'
import { useShelf } from './useShelf'

/** The time a shelf goes by: the person's, or one that the demo is shown at. */
export interface Clock {
  /** In milliseconds since 1970. */
  now(): number
  /** How many of its milliseconds pass in one of the person's. */
  speed: number
}

const own = ofShelf(() => ({ clock: { now: () => Date.now(), speed: 1 } as Clock }))

/** Has a shelf go by another clock; before anything of it is loaded. */
export function setClock(shelf: Shelf, clock: Clock): void {
  own(shelf).clock = clock
}

export const timeOf = (shelf: Shelf): number => own(shelf).clock.now()

/** Calls back when so many milliseconds of the shelf's have passed. @returns how to call it off */
export function after(shelf: Shelf, wait: number, work: () => void): () => void {
  const timer = setTimeout(work, wait / own(shelf).clock.speed)
  return () => clearTimeout(timer)
}

/** Calls back each time so many milliseconds of the shelf's have passed. @returns how to end it */
export function every(shelf: Shelf, wait: number, work: () => void): () => void {
  const timer = setInterval(work, wait / own(shelf).clock.speed)
  return () => clearInterval(timer)
}

/**
 * The time, looked at again after so many milliseconds of the shelf's.
 * @param wait null as long as nothing changes with the time
 * @param anew what else is a reason to look
 */
export function useTime(wait: number | null, anew?: unknown): number {
  const shelf = useShelf()
  const [now, setNow] = useState(() => shelf.clock())
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is given is a reason to look
  useEffect(() => {
    const look = () => setNow(shelf.clock())
    look()
    return wait === null ? undefined : every(shelf, wait, look)
  }, [shelf, wait, anew])
  return now
}
