import { useEffect, useRef } from 'react'
import type { WindowId } from '@/core/model/ids'
import { ofShelf } from './ofShelf'
import type { Shelf } from './shelf'
import { useShelf } from './useShelf'

/** What opens the bar for finding, by the window it is in. */
const bars = ofShelf(() => new Map<WindowId, () => void>())

/** Begins to find something in a window. @returns whether anything can be found in it */
export function findIn(shelf: Shelf, window: WindowId): boolean {
  const open = bars(shelf).get(window)
  open?.()
  return open !== undefined
}

/** Has something be found in a window that is asked for from elsewhere. */
export function useFindable(window: WindowId, open: () => void): void {
  const shelf = useShelf()
  const latest = useRef(open)
  latest.current = open
  useEffect(() => {
    const ask = () => latest.current()
    bars(shelf).set(window, ask)
    return () => {
      if (bars(shelf).get(window) === ask) bars(shelf).delete(window)
    }
  }, [shelf, window])
}
