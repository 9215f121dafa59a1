import { useEffect } from 'react'
import { afterFirstMoments } from '@/store/idle'

/** Lets the browser keep what the page is made of, so that it opens without a connection too. */
export function useKeptPage(): void {
  useEffect(() => {
    // While it is developed it is made anew each time.
    if (process.env.NODE_ENV !== 'production') return
    const leaving = new AbortController()
    const keep = () => {
      // Where the browser or the disk has no room for it, the page opens from the server alone.
      void navigator.serviceWorker?.register('/offline.js').catch(() => {})
    }
    afterFirstMoments(keep, leaving.signal)
    return () => leaving.abort()
  }, [])
}
