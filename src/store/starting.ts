import { createStore, useStore } from 'zustand'
import { ofShelf } from './ofShelf'
import type { Shelf } from './shelf'
import { useShelf } from './useShelf'
import { within } from './within'

/** What a start waits for, to follow “Waiting for”; null while that is nothing in particular. */
const starting = ofShelf(() => createStore<{ what: string | null }>(() => ({ what: null })))

export const useWaitsFor = (): string | null => useStore(starting(useShelf()), ({ what }) => what)

/**
 * Waits for something of the browser, with a limit, and lets the page say what it waits for.
 * @param what “the second copy”
 * @throws Silent when there was no answer in time
 */
export async function waitFor<T>(
  shelf: Shelf,
  what: string,
  time: number,
  work: Promise<T>,
): Promise<T> {
  starting(shelf).setState({ what })
  try {
    return await within(
      work,
      time,
      what.replace(/^./, (letter) => letter.toUpperCase()),
    )
  } finally {
    starting(shelf).setState({ what: null })
  }
}
