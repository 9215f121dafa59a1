import { useEffect } from 'react'
import { keepsAwake } from '@/core/model/awake'
import { currentId } from '@/core/model/selectors'
import type { DesktopId } from '@/core/model/types'
import { isBusy } from '@/store/reports'
import { getState, shelf, useArrangement } from '@/store/shelf'
import { rememberScroll } from '@/ui/window/scroll'

/** How often it is looked which desktops have not been looked at for long, in milliseconds. */
const LOOK_EVERY = 60_000

/** When each desktop was last left, since the page was opened. */
const left = new Map<DesktopId, number>()
const opened = Date.now()

/** Puts desktops to rest: their windows are not drawn any more; how far they are scrolled is kept. */
export function rest(ids: DesktopId[]): void {
  const { resting } = shelf.getState()
  const more = ids.filter((id) => !resting.includes(id))
  if (more.length === 0) return
  for (const id of more)
    for (const window of getState().desktops[id]?.windows ?? []) rememberScroll(window)
  shelf.setState({ resting: [...resting, ...more] })
}

/** Desktops that are not looked at for the set time go to rest; the one that is gone to wakes. */
export function useRest(): void {
  const here = useArrangement(currentId)
  useEffect(() => {
    const { resting } = shelf.getState()
    if (resting.includes(here)) shelf.setState({ resting: resting.filter((id) => id !== here) })
    return () => {
      left.set(here, Date.now())
    }
  }, [here])
  useEffect(() => {
    const look = () => {
      const { order, settings } = getState()
      if (settings.restAfter === 0) return
      const before = Date.now() - settings.restAfter * 60_000
      rest(
        order.filter(
          (id) => (left.get(id) ?? opened) < before && keepsAwake(getState(), id, isBusy) === null,
        ),
      )
    }
    const timer = setInterval(look, LOOK_EVERY)
    return () => clearInterval(timer)
  }, [])
}
