import { createStore, useStore } from 'zustand'
import { ofShelf } from './ofShelf'
import type { Shelf } from './shelf'
import { useShelf } from './useShelf'

/** Something the person has to know, which stays in sight until they have put it away. */
export interface Notice {
  id: string
  text: string
  /** A command that helps, with what it is called beside the words. */
  offers?: { command: string; label: string; args?: object }
}

export const notices = ofShelf(() => createStore<{ list: Notice[] }>(() => ({ list: [] })))

const own = ofShelf(() => ({
  keep: (_list: Notice[]) => {},
}))

export const useNotices = (): Notice[] => useStore(notices(useShelf()), ({ list }) => list)

function set(shelf: Shelf, list: Notice[]): void {
  notices(shelf).setState({ list })
  own(shelf).keep(list)
}

/** Begins with what was not put away yet. @param keeper writes them down */
export function provideNotices(
  shelf: Shelf,
  list: Notice[],
  keeper: (list: Notice[]) => void,
): void {
  own(shelf).keep = keeper
  const told = notices(shelf)
    .getState()
    .list.filter(({ id }) => !list.some((one) => one.id === id))
  set(shelf, [...list, ...told])
}

/** Tells something; the same again stands in for it. */
export function notice(shelf: Shelf, given: Notice): void {
  const { list } = notices(shelf).getState()
  set(shelf, [...list.filter(({ id }) => id !== given.id), given])
}

export const putAwayNotice = (shelf: Shelf, id: string): void => {
  const { list } = notices(shelf).getState()
  if (list.some((one) => one.id === id))
    set(
      shelf,
      list.filter((one) => one.id !== id),
    )
}
