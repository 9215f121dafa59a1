import { createStore, useStore } from 'zustand'
import type { WindowId } from '@/core/model/ids'
import { focusId } from '@/core/model/selectors'
import { ofShelf } from './ofShelf'
import { useShelf } from './useShelf'

/** How long one has something before one's eyes until it counts as seen, in milliseconds. */
const SEEN_AFTER = 2000

/** The window that is seen: for all of them one clock, and no window is drawn for gaining the focus. */
const seen = ofShelf((shelf) => {
  const store = createStore<{ window: WindowId | null }>(() => ({ window: null }))
  let focused: WindowId | null = null
  let timer: ReturnType<typeof setTimeout> | undefined
  const look = () => {
    clearTimeout(timer)
    if (store.getState().window !== null) store.setState({ window: null })
    if (document.visibilityState === 'visible')
      timer = setTimeout(() => store.setState({ window: focused }), SEEN_AFTER)
  }
  const follow = () => {
    const now = focusId(shelf.state())
    if (now === focused) return
    focused = now
    look()
  }
  follow()
  shelf.page.subscribe(follow)
  document.addEventListener('visibilitychange', look)
  return store
})

/** Whether a window has had the focus for two seconds, on a page that is looked at. */
export const useSeen = (window: WindowId): boolean =>
  useStore(seen(useShelf()), (now) => now.window === window)
