import { createStore, useStore } from 'zustand'
import { ofShelf } from '@/store/ofShelf'
import type { Seat } from '@/store/opening/following'
import { showsDisplay } from '@/store/screens'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'

/**
 * Which display this page shows: the main view any, Near being its own; else one and no other,
 * with the rack beside it where that is wanted.
 */
export const seat = ofShelf(() =>
  createStore<Seat & { rack: boolean }>(() => ({
    display: 'near',
    fixed: false,
    rack: true,
  })),
)

export const useSeat = (): Seat & { rack: boolean } => useStore(seat(useShelf()))

export function sitAt(shelf: Shelf, display: string): void {
  seat(shelf).setState({ display, fixed: true, rack: false })
  showsDisplay(shelf, display)
}

/** Shows the rack of a display in a window of its own, or puts it away. @returns when it is drawn */
export async function toggleRack(shelf: Shelf): Promise<'there' | 'gone'> {
  const { fixed, rack } = seat(shelf).getState()
  if (!fixed) return 'there'
  seat(shelf).setState({ rack: !rack })
  await new Promise(requestAnimationFrame)
  return rack ? 'gone' : 'there'
}
