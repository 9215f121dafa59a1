import { createStore, useStore } from 'zustand'
import { type Asking, changesAt, heldBack, untold, waitingNow } from '@/core/attention/waiting'
import type { DocumentId } from '@/core/model/ids'
import type { State } from '@/core/model/state'
import { after } from '@/store/clock'
import { ofShelf } from './ofShelf'
import { sameItems } from './same'
import type { Shelf } from './shelf'
import { useShelf } from './useShelf'

/** What waits as it is now: worked out once for all who show it, and again when its time comes. */
interface Waits {
  list: Asking[]
  held: number
  untold: Asking[]
}

const NOTHING: Waits = { list: [], held: 0, untold: [] }

const waits = ofShelf(() => createStore<Waits>(() => NOTHING))

const own = ofShelf(() => ({
  callOff: () => {},
  before: [] as unknown[],
}))

function workOut(shelf: Shelf): void {
  const state = shelf.state()
  own(shelf).callOff()
  // Nothing is worked out while nothing asks.
  if (Object.keys(state.attention).length === 0) return void waits(shelf).setState(NOTHING, true)
  const time = shelf.clock()
  waits(shelf).setState({
    list: waitingNow(state, time),
    held: heldBack(state, time).length,
    untold: untold(state, time),
  })
  const next = changesAt(state, time)
  if (next !== null)
    own(shelf).callOff = after(shelf, Math.min(next - time, DAY) + 10, () => workOut(shelf))
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

/** What waits is worked out from now on, whenever that may be another. */
export function followWaits(shelf: Shelf): void {
  shelf.page.subscribe(({ session: { state } }) => {
    const next = parts(state)
    if (sameItems(own(shelf).before, next)) return
    const asked = state.attention !== own(shelf).before[0] || waits(shelf).getState() !== NOTHING
    own(shelf).before = next
    if (asked || Object.keys(state.attention).length > 0) workOut(shelf)
  })
}

export const useWaits = (): Waits => useStore(waits(useShelf()))

/** What a document wants attention for, as far as it may be told now. */
export const useLevel = (document: DocumentId): Asking['level'] | undefined =>
  useStore(
    waits(useShelf()),
    ({ list }) => list.find((asking) => asking.document === document)?.level,
  )

/** How many of these documents want attention. */
export const useWaiting = (documents: DocumentId[]): number =>
  useStore(
    waits(useShelf()),
    ({ list }) => list.filter((asking) => documents.includes(asking.document)).length,
  )

/** Whether anything at all wants attention. */
export const useAnyWaiting = (): boolean =>
  useStore(waits(useShelf()), ({ list }) => list.length > 0)

/** Calls back with what may be told and was not before, each time there is more of it. */
export const onTold = (shelf: Shelf, listener: (fresh: Asking[]) => void): (() => void) =>
  waits(shelf).subscribe(({ list }, { list: earlier }) => {
    const fresh = list.filter(
      (one) =>
        !earlier.some(({ document, says }) => document === one.document && says === one.says),
    )
    if (fresh.length > 0) listener(fresh)
  })
