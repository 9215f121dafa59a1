import { type RefObject, useEffect, useRef } from 'react'

/** For an entry of a list: once it is chosen, by key mostly, it is scrolled into sight. */
export function useInSight<Entry extends HTMLElement>(chosen: boolean): RefObject<Entry | null> {
  const entry = useRef<Entry>(null)
  useEffect(() => {
    if (chosen) entry.current?.scrollIntoView({ block: 'nearest' })
  }, [chosen])
  return entry
}
