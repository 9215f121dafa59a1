import { createStore, useStore } from 'zustand'
import type { Seat } from '@/store/start'

/** Which display this page shows: the main view any, Near being its own; else one and no other. */
export const seat = createStore<Seat>(() => ({ display: 'near', fixed: false }))

export const useSeat = (): Seat => useStore(seat)

export const sitAt = (display: string): void => seat.setState({ display, fixed: true })
