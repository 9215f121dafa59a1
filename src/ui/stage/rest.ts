import { useEffect } from 'react'
import { currentId, title } from '@/core/model/selectors'
import type { DesktopId } from '@/core/model/types'
import { reportOf } from '@/store/reports'
import { getState, shelf, useArrangement } from '@/store/shelf'
import { rememberScroll } from '@/ui/window/scroll'

/** How often it is looked which desktops have not been looked at for long, in milliseconds. */
const LOOK_EVERY = 60_000

/** When each desktop was last left, since the page was opened. */
const left = new Map<DesktopId, number>()
const opened = Date.now()

/** Why a desktop is not put to rest, in words, or null where it may be. */
export function keepsAwake(id: DesktopId): string | null {
  const { desktops, windows, documents, displays } = getState()
  if (Object.values(displays).some(({ shows }) => shows === id)) return 'it is shown'
  for (const windowId of desktops[id]?.windows ?? []) {
    const window = windows[windowId]
    if (!window) continue
    const name = `“${title(getState(), window)}”`
    if (documents[window.document]?.unsaved) return `${name} has changes that are not saved`
    if (reportOf(window.document)?.busy) return `${name} is at work`
  }
  return null
}

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
      rest(order.filter((id) => (left.get(id) ?? opened) < before && keepsAwake(id) === null))
    }
    const timer = setInterval(look, LOOK_EVERY)
    return () => clearInterval(timer)
  }, [])
}
