import { useLayoutEffect, useSyncExternalStore } from 'react'
import { useStore } from 'zustand'
import { createStore } from 'zustand/vanilla'
import { ofShelf } from '@/store/ofShelf'
import { useShelf } from '@/store/useShelf'

/** Whether the bench is wanted; null as long as nobody said so. */
const bench = ofShelf(() => createStore<{ wanted: boolean | null }>(() => ({ wanted: null })))

/** From this width of the page on the bench is there unasked. */
const FROM = 1100

/** It takes a share of the page, within bounds, in CSS pixels. */
const WIDTH = { least: 320, most: 480, share: 0.2 }

/** How wide the bench is in a page of a width; 0 where it gave way. */
export const benchWidth = (wanted: boolean | null, page: number): number =>
  (wanted ?? page >= FROM)
    ? Math.round(Math.min(WIDTH.most, Math.max(WIDTH.least, page * WIDTH.share)))
    : 0

const followPage = (changed: () => void): (() => void) => {
  addEventListener('resize', changed)
  return () => removeEventListener('resize', changed)
}

/** How wide the bench is while the loft is open, and how it is shown or hidden. */
export function useBench(): { width: number; toggle(): void } {
  const store = bench(useShelf())
  const wanted = useStore(store, (now) => now.wanted)
  const width = useSyncExternalStore(
    followPage,
    () => benchWidth(wanted, innerWidth),
    () => 0,
  )
  // The shelves stand beside it, in a box that is there before the loft is.
  useLayoutEffect(
    () => document.documentElement.style.setProperty('--bench', `${width}px`),
    [width],
  )
  return { width, toggle: () => store.setState({ wanted: width === 0 }) }
}
