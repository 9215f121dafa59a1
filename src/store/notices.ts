import { createStore, useStore } from 'zustand'

/** Something the person has to know, which stays in sight until they have put it away. */
export interface Notice {
  id: string
  text: string
  /** A command that helps, with what it is called beside the words. */
  offers?: { command: string; label: string }
}

const notices = createStore<{ list: Notice[] }>(() => ({ list: [] }))
let keep = (_list: Notice[]) => {}

export const useNotices = (): Notice[] => useStore(notices, ({ list }) => list)

function set(list: Notice[]): void {
  notices.setState({ list })
  keep(list)
}

/** Begins with what was not put away yet. @param keeper writes them down */
export function provideNotices(list: Notice[], keeper: (list: Notice[]) => void): void {
  keep = keeper
  const told = notices.getState().list.filter(({ id }) => !list.some((one) => one.id === id))
  set([...list, ...told])
}

/** Tells something; the same again stands in for it. */
export function notice(given: Notice): void {
  const { list } = notices.getState()
  set([...list.filter(({ id }) => id !== given.id), given])
}

export const putAwayNotice = (id: string): void => {
  const { list } = notices.getState()
  if (list.some((one) => one.id === id)) set(list.filter((one) => one.id !== id))
}
