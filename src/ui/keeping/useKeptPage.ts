import { useEffect } from 'react'
import { setHealth, whyFailed } from '@/store/health'
import { afterFirstMoments } from '@/store/idle'
import { useShelf } from '@/store/useShelf'

/** Lets the browser keep what the page is made of, so that it opens without a connection too. */
export function useKeptPage(): void {
  const shelf = useShelf()
  useEffect(() => {
    // While it is developed it is made anew each time.
    if (process.env.NODE_ENV !== 'production') return
    const tell = (is: 'good' | 'off' | 'amiss', says: string) =>
      setHealth(shelf, 'offline', { is, says })
    // By its name: the bundler takes what is in it for there.
    if (!('serviceWorker' in navigator)) {
      tell('off', 'This page isn’t served securely, so it opens only while the server answers.')
      return
    }
    const { serviceWorker } = navigator
    const leaving = new AbortController()
    const ready = () => tell('good', 'The shelf opens without a connection too.')
    if (serviceWorker.controller) ready()
    else tell('off', 'Being prepared: a few seconds after the first start.')
    const keep = async () => {
      try {
        await serviceWorker.register('/offline.js')
        await serviceWorker.ready
        ready()
      } catch (error) {
        // What was kept before goes on serving.
        if (!serviceWorker.controller)
          tell('amiss', `The shelf opens only while the server answers. ${whyFailed(error)}`)
      }
    }
    afterFirstMoments(() => void keep(), leaving.signal)
    return () => leaving.abort()
  }, [shelf])
}
