import { useEffect } from 'react'
import { refused } from '@/core/commands/command'
import { resolvePlace } from '@/core/commands/places'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { nameOf, said, takeIn } from './takeIn'

/**
 * `/shelf?add=` with an address or a text, as a bookmark of another page opens it, becomes a window; with
 * `&on=` on the desktop of that call letter or name. What another program shares may stand in `text=`. It
 * is done once: the address of the page forgets it.
 */
export function useAdded(): void {
  const shelf = useShelf()
  useEffect(() => {
    const { pathname, search, hash } = location
    const given = new URLSearchParams(search)
    if (!add(shelf, given)) return
    for (const one of ['add', 'text', 'on']) given.delete(one)
    history.replaceState(history.state, '', `${pathname}${given.size ? `?${given}` : ''}${hash}`)
  }, [shelf])
}

/** Takes in what stands in an address. @returns whether there was anything */
export function add(shelf: Shelf, given: URLSearchParams): boolean {
  const text = given.get('add')?.trim() || given.get('text')?.trim()
  if (!text) return false
  const on = given.get('on')
  const came = said(text)
  const found = on ? resolvePlace(shelf.state(), on) : undefined
  takeIn(shelf, came, refused(found) ? undefined : found)
  if (refused(found))
    shelf.say(`${found.reason} “${nameOf(came)}” was opened here.`, { refused: true })
  return true
}
