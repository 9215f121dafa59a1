import { type KeyboardEvent, useRef } from 'react'
import type { WindowId } from '@/core/model/ids'
import { useShelf } from '@/store/useShelf'
import { NO_BURST, searchIn, sentBy, sentWith } from './burst'

/**
 * A letter sends what is chosen to the desktop of that letter; different ones in quick succession are
 * a search, and what the first did is taken back.
 */
export function useSending(some: WindowId[], onSearch: (typed: string) => void) {
  const shelf = useShelf()
  const burst = useRef(NO_BURST)
  // When the key was pressed, not when a busy page comes to it.
  const pressed = useRef(0)
  return {
    send: (to: string): void => {
      if (!some.length) return
      const now = pressed.current
      const before = sentWith(burst.current, to, now)
      const windows = [...before, ...some]
      // The same letter soon after: all of them in one step, to be taken back together.
      if (before.length > 0) shelf.dispatch('history.undo', {}, 'app')
      if (!shelf.dispatch('window.sendAll', { windows, to }, 'key').ok) return
      shelf.page.setState({ marked: [] })
      burst.current = sentBy(burst.current, to, windows, now)
    },
    /** Hears a key, as a search or as what it says. */
    hear: (event: KeyboardEvent, said: (event: KeyboardEvent) => void): void => {
      pressed.current = event.timeStamp
      const search = searchIn(burst.current, event.key, pressed.current)
      if (search === null) {
        said(event)
        return
      }
      event.preventDefault()
      shelf.dispatch('history.undo', {}, 'key')
      burst.current = NO_BURST
      onSearch(search)
      shelf.say(`Searching for “${search}”. Nothing was sent.`)
    },
  }
}
