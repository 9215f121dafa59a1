import { useEffect } from 'react'
import { goToDocument } from '@/apps/opening'
import { refused } from '@/core/commands/command'
import { resolvePlace } from '@/core/commands/places'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'

const GOES = '#go='

/** The address of this shelf that leads to a desktop or a document. */
export const linkTo = (id: string): string =>
  `${location.origin}${location.pathname}${GOES}${encodeURIComponent(id)}`

/**
 * An address with `#go=` leads to a desktop, by its id, call letter or name, or to a document. It is gone
 * to once: the address of the page forgets it.
 */
export function useLink(): void {
  const shelf = useShelf()
  useEffect(() => {
    const look = () => {
      const { hash, pathname, search } = location
      if (follow(shelf, hash)) history.replaceState(history.state, '', `${pathname}${search}`)
    }
    look()
    addEventListener('hashchange', look)
    return () => removeEventListener('hashchange', look)
  }, [shelf])
}

/** Goes where the end of an address leads. @returns whether it leads anywhere */
export function follow(shelf: Shelf, hash: string): boolean {
  if (!hash.startsWith(GOES)) return false
  void go(shelf, idIn(hash.slice(GOES.length)))
  return true
}

function idIn(written: string): string {
  try {
    return decodeURIComponent(written)
  } catch {
    return written
  }
}

async function go(shelf: Shelf, to: string): Promise<void> {
  if (await goToDocument(shelf, to)) return
  const place = resolvePlace(shelf.state(), to)
  if (refused(place)) shelf.say('What this link leads to is not on this shelf.', { refused: true })
  else shelf.dispatch('desktop.go', { to: place })
}
