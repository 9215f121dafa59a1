import { useEffect } from 'react'
import { calledBy } from '@/core/keys/called'
import { useShelf } from '@/store/useShelf'
import { nameOf, takeIn } from './takeIn'

/**
 * `/shelf?add=` with an address or a text, as a bookmark of another page opens it, becomes a window; with
 * `&on=` on the desktop that has that call letter. It is done once: the address of the page forgets it.
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
    const called = on ? calledBy(shelf.state(), on) : null
    const desktop = called && called !== 'more' ? called.desktop : undefined
    const address = /^https?:\/\/\S+$/i.test(text) && URL.canParse(text) ? text : null
    const came = { files: [], address, text }
    takeIn(shelf, came, desktop)
    if (on && !desktop)
      shelf.say(`No desktop has the letter “${on}”, so “${nameOf(came)}” was opened here.`, {
        refused: true,
      })
  }, [shelf])
}
