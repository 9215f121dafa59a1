import { useEffect, useState } from 'react'
import { appOf } from '@/apps/list'
import type { WindowId } from '@/core/model/ids'
import { whenIdle } from '@/store/idle'
import { useShelf } from '@/store/useShelf'
import { useShowing } from '@/ui/window/useShowing'

/** So many windows are drawn ahead at most. */
const MOST = 300
/** The first moments belong to what is on the screen, in milliseconds. */
const FIRST_MOMENTS = 5000
/** One is drawn after this time even if the page always has something to do, in milliseconds. */
const IDLE_WITHIN = 2000

/**
 * Draws windows ahead of being shown, one whenever the page has nothing to do: from the start those of
 * apps that are at work while nobody looks, the others after the first moments.
 */
export function useWarming(ids: readonly WindowId[]): void {
  const shelf = useShelf()
  const showing = useShowing()
  const [first, setFirst] = useState(true)
  useEffect(() => {
    const timer = setTimeout(() => setFirst(false), FIRST_MOMENTS)
    return () => clearTimeout(timer)
  }, [])
  useEffect(() => {
    const works = (id: WindowId) => appOf(shelf, shelf.state().windows[id]?.app ?? '')?.worksUnseen
    const waiting = ids.slice(0, MOST).filter((id) => !first || works(id))
    let leave = () => {}
    const drawNext = () => {
      let drawn = false
      while (waiting.length > 0 && !drawn) drawn = showing.warm(waiting.shift() as WindowId)
      if (waiting.length > 0) leave = whenIdle(drawNext, IDLE_WITHIN)
    }
    if (waiting.length > 0) leave = whenIdle(drawNext, IDLE_WITHIN)
    return () => leave()
  }, [shelf, showing, ids, first])
}
