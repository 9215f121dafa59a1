import { useEffect, useState } from 'react'
import type { WindowId } from '@/core/model/ids'
import { focusId } from '@/core/model/selectors'
import { useArrangement } from './useShelf'

/** How long one has something before one's eyes until it counts as seen, in milliseconds. */
const SEEN_AFTER = 2000

/**
 * Whether a window has had the focus for two seconds, on a page that is looked at.
 * @param news whether there is anything to be seen: else nobody asks
 */
export function useSeen(window: WindowId, news: boolean): boolean {
  const focused = useArrangement((state) => news && focusId(state) === window)
  const [seen, setSeen] = useState(false)
  useEffect(() => {
    setSeen(false)
    if (!focused) return
    let timer: ReturnType<typeof setTimeout> | undefined
    const look = () => {
      clearTimeout(timer)
      if (document.visibilityState === 'visible')
        timer = setTimeout(() => setSeen(true), SEEN_AFTER)
    }
    look()
    document.addEventListener('visibilitychange', look)
    return () => {
      clearTimeout(timer)
      document.removeEventListener('visibilitychange', look)
    }
  }, [focused])
  return seen && focused
}
