import { createStore, useStore } from 'zustand'
import { type Asking, changesAt, heldBack, untold, waitingNow } from '@/core/attention/waiting'
import type { DocumentId, State } from '@/core/model/types'
import { sameItems } from './same'
import { getState, shelf } from './shelf'

/** What waits as it is now: worked out once for all who show it, and again when its time comes. */
interface Waits {
  list: Asking[]
  held: number
  untold: Asking[]
}

const NOTHING: Waits = { list: [], held: 0, untold: [] }

const waits = createStore<Waits>(() => NOTHING)

let timer: ReturnType<typeof setTimeout> | undefined

function workOut(): void {
  const state = getState()
  clearTimeout(timer)
  // Nothing is worked out while nothing asks.
  if (Object.keys(state.attention).length === 0) return void waits.setState(NOTHING, true)
  const now = Date.now()
  waits.setState({
    list: waitingNow(state, now),
    held: heldBack(state, now).length,
    untold: untold(state, now),
  })
  const next = changesAt(state, now)
  if (next !== null) timer = setTimeout(workOut, Math.min(next - now, DAY) + 10)
}

/** The longest a browser's timer waits is less than a month. */
const DAY = 24 * 60 * 60_000

/** What of the state decides what waits. */
const parts = ({ attention, windows, desktops, presence, display, stacking, running }: State) => [
  attention,
  windows,
  desktops,
  presence,
  display,
  stacking,
  running,
]

let before: unknown[] = []

shelf.subscribe(({ session: { state } }) => {
  const now = parts(state)
  if (sameItems(before, now)) return
  const asked = state.attention !== before[0] || waits.getState() !== NOTHING
  before = now
  if (asked || Object.keys(state.attention).length > 0) workOut()
})

export const useWaits = (): Waits => useStore(waits)

/** What a document wants attention for, as far as it may be told now. */
export const useLevel = (document: DocumentId): Asking['level'] | undefined =>
  useStore(waits, ({ list }) => list.find((asking) => asking.document === document)?.level)

/** How many of these documents want attention. */
export const useWaiting = (documents: DocumentId[]): number =>
  useStore(waits, ({ list }) => list.filter((asking) => documents.includes(asking.document)).length)

/** Whether anything at all wants attention. */
export const useAnyWaiting = (): boolean => useStore(waits, ({ list }) => list.length > 0)

/** Calls back with what may be told and was not before, each time there is more of it. */
export const onTold = (listener: (fresh: Asking[]) => void): (() => void) =>
  waits.subscribe(({ list }, { list: earlier }) => {
    const fresh = list.filter(
      (one) =>
        !earlier.some(({ document, says }) => document === one.document && says === one.says),
    )
    if (fresh.length > 0) listener(fresh)
  })
