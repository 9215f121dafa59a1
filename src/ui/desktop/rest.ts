import { useEffect } from 'react'
import { keepsAwake } from '@/core/model/awake'
import type { DesktopId } from '@/core/model/ids'
import { currentId } from '@/core/model/selectors'
import { every } from '@/store/clock'
import { ofShelf } from '@/store/ofShelf'
import { reportOf } from '@/store/reports'
import type { Shelf } from '@/store/shelf'
import { useArrangement, useShelf } from '@/store/useShelf'
import { rememberScroll } from '@/ui/hand/scroll'

/** How often it is looked which desktops have not been looked at for long, in milliseconds. */
const LOOK_EVERY = 60_000

/** When each desktop was last left, since the page was opened. */
const left = ofShelf(() => new Map<DesktopId, number>())
const opened = ofShelf((shelf) => ({ at: shelf.clock() }))

/** Puts desktops to rest: their windows are not drawn any more; how far they are scrolled is kept. */
export function rest(shelf: Shelf, ids: DesktopId[]): void {
  const { resting } = shelf.page.getState()
  const more = ids.filter((id) => !resting.includes(id))
  if (more.length === 0) return
  for (const id of more)
    for (const window of shelf.state().desktops[id]?.windows ?? []) rememberScroll(shelf, window)
  shelf.page.setState({ resting: [...resting, ...more] })
}

/** Desktops that are not looked at for the set time go to rest; the one that is gone to wakes. */
export function useRest(): void {
  const shelf = useShelf()
  const here = useArrangement(currentId)
  useEffect(() => {
    const { resting } = shelf.page.getState()
    if (resting.includes(here))
      shelf.page.setState({ resting: resting.filter((id) => id !== here) })
    return () => {
      left(shelf).set(here, shelf.clock())
    }
  }, [here, shelf])
  useEffect(() => {
    const look = () => {
      const { order, settings } = shelf.state()
      if (settings.restAfter === 0) return
      const before = shelf.clock() - settings.restAfter * 60_000
      rest(
        shelf,
        order.filter(
          (id) =>
            (left(shelf).get(id) ?? opened(shelf).at) < before &&
            keepsAwake(
              shelf.state(),
              id,
              (document) => reportOf(shelf, document)?.busy === true,
            ) === null,
        ),
      )
    }
    // It counts from here.
    opened(shelf)
    return every(shelf, LOOK_EVERY, look)
  }, [shelf])
}
