import { useEffect, useRef } from 'react'
import type { DocumentId } from '@/core/model/types'

/** A place in a document that was found and is to be shown, once. */
let wanted: { document: DocumentId; text: string; until: number } | null = null
const listeners = new Set<() => void>()

/** How long it is waited for what shows the document, and how often it is tried, in milliseconds. */
const PATIENCE = 4000
const AGAIN = 60

/** The window that shows a document goes to where a text stands in it. */
export function showPassage(document: DocumentId, text: string): void {
  wanted = { document, text, until: performance.now() + PATIENCE }
  ask()
}

/** Whoever shows the document may still be on its way. */
function ask(): void {
  if (wanted && performance.now() > wanted.until) wanted = null
  // What came last is within what came first, and knows better how to show it.
  for (const listener of [...listeners].reverse()) if (wanted) listener()
  if (wanted) setTimeout(ask, AGAIN)
}

/**
 * Calls back with a text that is to be shown in a document.
 * @param show returns whether it did; else it is asked again, and others are
 */
export function usePassage(document: DocumentId, show: (text: string) => boolean): void {
  const latest = useRef(show)
  latest.current = show
  useEffect(() => {
    const listener = () => {
      if (wanted?.document === document && latest.current(wanted.text)) wanted = null
    }
    listeners.add(listener)
    return () => {
      listeners.delete(listener)
    }
  }, [document])
}
