import { createStore, useStore } from 'zustand'
import { migrated } from '@/core/formats/migrations'
import type { State } from '@/core/model/state'
import { every } from '@/store/clock'
import { setHealth, whyFailed } from './health'
import { ofShelf } from './ofShelf'
import type { Shelf } from './shelf'
import { useShelf } from './useShelf'

/** The arrangement as it was at a time, with what the shelf knew of its documents. */
export interface KeptSession {
  /** Milliseconds since 1970. */
  at: number
  state: State
}

interface SessionStore {
  getItem(key: string): Promise<unknown>
  setItem(key: string, value: unknown): Promise<unknown>
}

const KEPT = 10
const KEY = 'sessions'

/** How often a changed arrangement is kept while the browser stays open, in milliseconds. */
export const SESSION_EVERY = 3_600_000

const sessions = ofShelf(() => createStore<{ list: KeptSession[] }>(() => ({ list: [] })))

export const useSessions = (): KeptSession[] => useStore(sessions(useShelf()), ({ list }) => list)

const isSession = (value: unknown): value is KeptSession => {
  const { at, state } = (value ?? {}) as Partial<KeptSession>
  return typeof at === 'number' && Array.isArray(state?.order) && typeof state.windows === 'object'
}

/** One that an earlier version kept, in the shape of this one. */
const asNow = ({ at, state }: KeptSession): KeptSession => ({ at, state: migrated(state) as State })

/** What makes one arrangement the same as another: where windows are, not what is focused. */
const likeness = ({ desktops, order, windows, everywhere }: State): string =>
  JSON.stringify([order, desktops, windows, everywhere], (key, value) =>
    key === 'focus' ? undefined : value,
  )

/**
 * Keeps earlier arrangements, the last ten. The one the browser was closed with is kept when the
 * shelf is opened again, because a closing page has no time to; then once an hour, when changed.
 * @param opened the arrangement that was just loaded, null on a fresh shelf
 * @returns how to stop
 */
export async function keepSessions(
  shelf: Shelf,
  store: SessionStore,
  opened: State | null,
): Promise<() => void> {
  const kept = await store.getItem(KEY)
  sessions(shelf).setState({ list: Array.isArray(kept) ? kept.filter(isSession).map(asNow) : [] })
  const keep = async (state: State) => {
    const { list } = sessions(shelf).getState()
    const [latest] = list
    if (latest && likeness(latest.state) === likeness(state)) return
    const next = [{ at: shelf.clock(), state }, ...list].slice(0, KEPT)
    sessions(shelf).setState({ list: next })
    try {
      await store.setItem(KEY, next)
      setHealth(shelf, 'sessions', { is: 'good', says: 'The last ten are saved.' })
    } catch (error) {
      const says = `They can’t be saved. ${whyFailed(error)} The shelf itself is saved apart from them.`
      setHealth(shelf, 'sessions', { is: 'amiss', says })
    }
  }
  if (opened) await keep(opened)
  return every(shelf, SESSION_EVERY, () => void keep(shelf.state()))
}
