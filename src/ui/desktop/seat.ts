import { createStore, useStore } from 'zustand'
import type { Seat } from '@/store/following'

/**
 * Which display this page shows: the main view any, Near being its own; else one and no other,
 * with the rack beside it where that is wanted.
 */
export const seat = createStore<Seat & { rack: boolean }>(() => ({
  display: 'near',
  fixed: false,
  rack: true,
}))

export const useSeat = (): Seat & { rack: boolean } => useStore(seat)

export const sitAt = (display: string): void => seat.setState({ display, fixed: true, rack: false })

/** Shows the rack of a display in a window of its own, or puts it away. @returns when it is drawn */
export async function toggleRack(): Promise<'there' | 'gone'> {
  const { fixed, rack } = seat.getState()
  if (!fixed) return 'there'
  seat.setState({ rack: !rack })
  await new Promise(requestAnimationFrame)
  return rack ? 'gone' : 'there'
}
