import { useSyncExternalStore } from 'react'

/** Whether a media query holds, now and after the window changes. */
export const useMedia = (query: string): boolean =>
  useSyncExternalStore(
    (changed) => {
      const list = matchMedia(query)
      list.addEventListener('change', changed)
      return () => list.removeEventListener('change', changed)
    },
    () => matchMedia(query).matches,
  )
