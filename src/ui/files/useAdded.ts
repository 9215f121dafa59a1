import { useEffect } from 'react'
import { refused } from '@/core/commands/command'
import { resolvePlace } from '@/core/commands/places'
import { useShelf } from '@/store/useShelf'
import { nameOf, said, takeIn } from './takeIn'

/**
 * `/shelf?add=` with an address or a text, as a bookmark of another page opens it, becomes a window; with
 * `&on=` on the desktop of that call letter or name. It is done once: the address of the page forgets it.
 */
export function useAdded(): void {
  const shelf = useShelf()
  useEffect(() => {
    const given = new URLSearchParams(location.search)
    const [text, on] = [given.get('add')?.trim(), given.get('on')]
    if (!text) return
    given.delete('add')
    given.delete('on')
    const { pathname, hash } = location
    history.replaceState(history.state, '', `${pathname}${given.size ? `?${given}` : ''}${hash}`)
    const came = said(text)
    const found = on ? resolvePlace(shelf.state(), on) : undefined
    takeIn(shelf, came, refused(found) ? undefined : found)
    if (refused(found))
      shelf.say(`${found.reason} “${nameOf(came)}” was opened here.`, { refused: true })
  }, [shelf])
}
