import { useCallback, useSyncExternalStore } from 'react'
import type { WindowId } from '@/core/model/ids'
import { useShelf } from '@/store/useShelf'
import type { Facts } from './facts'
import { type Showing, showingOf } from './showing'

export const useShowing = (): Showing => showingOf(useShelf())

/** What keeps a window's slot, to be given as its `ref`. */
export function useSlot(id: WindowId, group: number): (slot: HTMLElement | null) => void {
  const showing = useShowing()
  return useCallback((slot) => showing.put(id, slot, group), [showing, id, group])
}

/** What keeps a group of windows, to be given as its `ref`. */
export function useGroup(key: number): (element: HTMLElement | null) => void {
  const showing = useShowing()
  return useCallback((element) => showing.putGroup(key, element), [showing, key])
}

/** Whether a window's content is drawn, shown or not. */
export function useWoken(id: WindowId): boolean {
  const showing = useShowing()
  const subscribe = useCallback(
    (listener: () => void) => showing.subscribe(id, listener),
    [showing, id],
  )
  return useSyncExternalStore(subscribe, () => showing.isWoken(id))
}

/** How a window looks, or looked when it was last seen. */
export function useFacts(id: WindowId): Facts {
  const showing = useShowing()
  const subscribe = useCallback(
    (listener: () => void) => showing.subscribe(id, listener),
    [showing, id],
  )
  return useSyncExternalStore(subscribe, () => showing.facts(id))
}
