import { createStore, useStore } from 'zustand'
import { ofShelf } from './ofShelf'
import type { Shelf } from './shelf'
import { useShelf } from './useShelf'

/** Something that takes its time, with how far it is and a way to end it. */
export interface Work {
  id: number
  text: string
  /** 0 to 1; null where it is not known. */
  progress: number | null
  cancel(): void
}

export const works = ofShelf(() => createStore<{ list: Work[] }>(() => ({ list: [] })))

const own = ofShelf(() => ({
  count: 0,
}))

export const useWorks = (): Work[] => useStore(works(useShelf()), ({ list }) => list)

/** What somebody who does the work is given. */
export interface Working {
  shelf: Shelf
  /** Cut off when the person ends it. */
  signal: AbortSignal
  /** @param share 0 to 1 */
  progress(share: number): void
}

/** Work that shorter than this is not shown, in milliseconds. */
const SHOWN_AFTER = 400

/** Does something that may take long: shown with its progress, and ended when the person wants. */
export async function work<T>(
  shelf: Shelf,
  text: string,
  run: (working: Working) => Promise<T>,
): Promise<T> {
  const id = ++own(shelf).count
  const ending = new AbortController()
  const entry: Work = { id, text, progress: null, cancel: () => ending.abort() }
  const change = (change: (list: Work[]) => Work[]) =>
    works(shelf).setState(({ list }) => ({ list: change(list) }))
  const shown = setTimeout(() => change((list) => [...list, entry]), SHOWN_AFTER)
  try {
    return await run({
      shelf,
      signal: ending.signal,
      progress: (share) =>
        change((list) => list.map((one) => (one.id === id ? { ...one, progress: share } : one))),
    })
  } finally {
    clearTimeout(shown)
    change((list) => list.filter((one) => one.id !== id))
  }
}
