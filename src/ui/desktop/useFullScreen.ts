import { useEffect, useSyncExternalStore } from 'react'
import { keysFor } from '@/core/keys/bindings'
import { current } from '@/core/model/selectors'
import { useCannotSave } from '@/store/saving'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'
import { fillScreen } from './fullScreen'

const isFull = () => document.fullscreenElement !== null

const subscribe = (listener: () => void) => {
  addEventListener('fullscreenchange', listener)
  return () => removeEventListener('fullscreenchange', listener)
}

/**
 * With the setting, a solo or a pair takes the whole screen as long as one is on it. Escape is the
 * browser's own way out; rack and line are then back.
 * @returns whether rack and line give way
 */
export function useFullScreen(): boolean {
  const shelf = useShelf()
  const wanted = useArrangement(
    (state) => state.settings.fullScreen && current(state).kind !== 'open',
  )
  const full = useSyncExternalStore(subscribe, isFull, () => false)
  useEffect(() => {
    if (!wanted) return
    void fillScreen(shelf).then((says) => {
      if (says) shelf.say(`${says}; rack and line are back then`)
    })
    return () => {
      if (isFull()) void document.exitFullscreen()
    }
  }, [wanted, shelf])
  useEffect(() => {
    const left = () => {
      const { kind } = current(shelf.state())
      if (isFull() || kind === 'open') return
      const keys = keysFor(shelf.state(), kind === 'pair' ? 'window.pair' : 'window.solo')
      shelf.say(
        `Left full screen. ${keys} brings back where ${kind === 'pair' ? 'they' : 'it'} came from`,
      )
    }
    return subscribe(left)
  }, [shelf])
  return wanted && full
}

/**
 * What is typed or chosen in the rack, or awaited in the line, brings both back as long; and that
 * nothing can be saved is not for later.
 */
export function useFrameNeeded(): boolean {
  const failed = useCannotSave()
  const asked = usePage(
    ({ view, pending }) => pending !== '' || view?.view === 'rename' || view?.view === 'menu',
  )
  return failed || asked
}
