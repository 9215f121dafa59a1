import { useEffect, useLayoutEffect, useRef } from 'react'
import { useShallow } from 'zustand/react/shallow'
import { currentId } from '@/core/model/selectors'
import { useAnyWaiting } from '@/store/attention'
import { useArrangement, useDesktop } from '@/store/useShelf'
import { useCovered } from '@/ui/cover/cover'
import { showRack } from '@/ui/rack/Edge'

/**
 * What stands on the browser's tab waits, in milliseconds, until one stays on a desktop: to draw a
 * mark takes as long as half a switch.
 */
const CALM = 150

/** What stands on the page itself: the tab's title and mark, the current desktop, the cloth. */
export function PageMarks() {
  const id = useArrangement(currentId)
  const { name, hue, letter } = useDesktop(id, ['name', 'hue', 'letter'])
  const cloth = useArrangement((state) => state.settings.cloth)
  const covered = useCovered()
  // Under the cover the tab tells nothing either.
  const waiting = useAnyWaiting() && !covered
  const dyed = useRef<HTMLSpanElement>(null)
  useEffect(() => {
    document.documentElement.dataset.desktop = id
  }, [id])
  useEffect(() => {
    const timer = setTimeout(() => {
      document.title = covered ? 'Kite Shelf' : `${name} · Kite Shelf`
    }, CALM)
    return () => clearTimeout(timer)
  }, [name, covered])
  useEffect(() => {
    if (cloth === 'system') delete document.documentElement.dataset.cloth
    else document.documentElement.dataset.cloth = cloth
  }, [cloth])
  const rack = useArrangement((state) => state.settings.rack)
  useEffect(() => showRack(rack), [rack])
  const { rackSide, rackFurled } = useArrangement(
    useShallow(({ settings: { rackSide, rackFurled } }) => ({ rackSide, rackFurled })),
  )
  // Before the desktop is measured: it has the room that the rack leaves.
  useLayoutEffect(() => {
    const { dataset } = document.documentElement
    dataset.rackSide = rackSide
    if (rackFurled) dataset.furled = ''
    else delete dataset.furled
  }, [rackSide, rackFurled])
  // biome-ignore lint/correctness/useExhaustiveDependencies: another hue or cloth is another colour
  useEffect(() => {
    const timer = setTimeout(() => {
      if (!dyed.current) return
      const { color, backgroundColor, borderColor } = getComputedStyle(dyed.current)
      const colours = { fill: color, ink: backgroundColor, alarm: borderColor }
      const link = document.querySelector<HTMLLinkElement>('link[rel="icon"]')
      const drawn = encodeURIComponent(mark(covered ? '' : (letter ?? ''), colours, waiting))
      if (link) link.href = `data:image/svg+xml,${drawn}`
    }, CALM)
    return () => clearTimeout(timer)
  }, [hue, letter, cloth, waiting, covered])
  return (
    <span
      ref={dyed}
      hidden
      className={`hue-${covered ? 'slate' : hue} border-alarm bg-on-hue text-hue`}
      data-mark={waiting ? 'waiting' : 'calm'}
    />
  )
}

/** The desktop's kite as the mark of the browser tab, with a badge while something waits. */
const mark = (
  letter: string,
  { fill, ink, alarm }: { fill: string; ink: string; alarm: string },
  waiting: boolean,
): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 30 38"><path d="M15 1 29 14.5 15 37 1 14.5Z" fill="${fill}"/><text x="15" y="21" text-anchor="middle" font-family="monospace" font-weight="800" font-size="18" fill="${ink}">${letter}</text>${
    waiting ? `<rect x="18" y="0" width="12" height="12" fill="${alarm}"/>` : ''
  }</svg>`
