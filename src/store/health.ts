import { createStore, useStore } from 'zustand'
import { ofShelf } from './ofShelf'
import type { Shelf } from './shelf'
import { useShelf } from './useShelf'

/** What the person relies on without looking at it, in the order in which it matters. */
export const PARTS = [
  'database',
  'snapshot',
  'copy',
  'folder',
  'sessions',
  'tabs',
  'workers',
  'offline',
  'services',
] as const
export type Part = (typeof PARTS)[number]

export interface Health {
  /** `off`: there is none here, and nothing is amiss. */
  is: 'good' | 'off' | 'amiss'
  /** How it stands, in a sentence, and what to do where something can be done. */
  says: string
  /** Milliseconds since 1970: since when it stands so. */
  since: number
  /** When it last did what it is for, in milliseconds since 1970. */
  last?: number
}

export type AllHealth = Partial<Record<Part, Health>>

const health = ofShelf(() => createStore<AllHealth>(() => ({})))

/** Notes how it stands with a part. The same as before changes nothing. */
export function setHealth(shelf: Shelf, part: Part, now: Omit<Health, 'since'>): void {
  const before = health(shelf).getState()[part]
  const same = before?.is === now.is && before.says === now.says
  if (same && before.last === now.last) return
  const since = same ? before.since : shelf.clock()
  health(shelf).setState({ [part]: { ...now, since } })
}

export const healthOf = (shelf: Shelf, part: Part): Health | undefined =>
  health(shelf).getState()[part]

export const useHealth = (): AllHealth => useStore(health(useShelf()))

/** The first part that is amiss. */
export const useAmiss = (): Part | undefined => useStore(health(useShelf()), firstAmiss)

/** Services come and go, and say so in their own windows. */
const firstAmiss = (all: AllHealth): Part | undefined =>
  PARTS.find((part) => part !== 'services' && all[part]?.is === 'amiss')

/** Whether what takes long is done off the page. */
export const WORKERS_RUN = { is: 'good', says: 'Background work runs.' } as const
export const NO_WORKERS = {
  is: 'amiss',
  says: 'Background work can’t start in this browser, so the page does it. Large files may hold it up. Reload to try again.',
} as const

/** Why something of the browser failed, in a sentence of ours. */
export function whyFailed(error: unknown): string {
  const { name = '', message = '' } = (error ?? {}) as Partial<Error>
  if (name === 'Silent') return 'The browser doesn’t answer.'
  if (/quota|no space|disk (is )?full|FILE_ERROR_NO_SPACE/i.test(`${name} ${message}`))
    return 'The disk is full.'
  if (/SecurityError|InvalidAccess|NotAllowed/.test(name)) return 'The browser doesn’t allow it.'
  if (/NotFound/.test(name)) return 'The file or folder is gone.'
  return 'The browser reported a fault.'
}
