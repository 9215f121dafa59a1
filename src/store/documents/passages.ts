import { useEffect, useRef } from 'react'
import type { DocumentId } from '@/core/model/ids'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'

const own = ofShelf(() => ({
  /** A place in a document that was found and is to be shown, once. */
  wanted: null as { document: DocumentId; text: string; until: number } | null,
}))
const listeners = ofShelf(() => new Set<() => void>())

/** How long it is waited for what shows the document, and how often it is tried, in milliseconds. */
const PATIENCE = 4000
const AGAIN = 60

/** The window that shows a document goes to where a text stands in it. */
export function showPassage(shelf: Shelf, document: DocumentId, text: string): void {
  own(shelf).wanted = { document, text, until: performance.now() + PATIENCE }
  ask(shelf)
}

/** Whoever shows the document may still be on its way. */
function ask(shelf: Shelf): void {
  const mine = own(shelf)
  if (mine.wanted && performance.now() > mine.wanted.until) mine.wanted = null
  // What came last is within what came first, and knows better how to show it.
  for (const listener of [...listeners(shelf)].reverse()) if (mine.wanted) listener()
  if (mine.wanted) setTimeout(() => ask(shelf), AGAIN)
}

/**
 * Calls back with a text that is to be shown in a document.
 * @param show returns whether it did; else it is asked again, and others are
 */
export function usePassage(document: DocumentId, show: (text: string) => boolean): void {
  const shelf = useShelf()
  const latest = useRef(show)
  latest.current = show
  useEffect(() => {
    const listener = () => {
      const { wanted } = own(shelf)
      if (wanted?.document === document && latest.current(wanted.text)) own(shelf).wanted = null
    }
    listeners(shelf).add(listener)
    return () => {
      listeners(shelf).delete(listener)
    }
  }, [document, shelf])
}
