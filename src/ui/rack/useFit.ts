import { type RefObject, useEffect, useState } from 'react'

/** How the desktops stand: with their tails, closer together, by name only, by name in two columns, or as marks. */
export type Fit = 'full' | 'snug' | 'tight' | 'pairs' | 'marks'

/** Heights of a row, in CSS pixels; the style sheet makes them so. */
const FULL = 54
const SNUG = 44
const TIGHT = 32
const PAIR = 28

/**
 * As much of each desktop as there is room for in the rack, beside what always has its place there.
 * @returns how they stand, and the room there is, in CSS pixels
 */
export function useFit(rack: RefObject<HTMLElement | null>, count: number): [Fit, number] {
  const [room, setRoom] = useState(Number.POSITIVE_INFINITY)
  useEffect(() => {
    const element = rack.current
    if (!element) return
    const measure = () => {
      const others = [...element.children].filter(
        (child) => !child.matches('nav, [role=separator]'),
      )
      const taken = others.reduce((sum, child) => sum + child.getBoundingClientRect().height, 16)
      setRoom(element.clientHeight - taken)
    }
    const observer = new ResizeObserver(measure)
    observer.observe(element)
    for (const child of element.children) observer.observe(child)
    return () => observer.disconnect()
  }, [rack])
  if (count * FULL <= room) return ['full', room]
  if (count * SNUG <= room) return ['snug', room]
  // The current one keeps its tail.
  if ((count - 1) * TIGHT + FULL <= room) return ['tight', room]
  // It has a line of its own, so that the one before it may stand alone in its line.
  return [Math.ceil(count / 2) * PAIR + FULL <= room ? 'pairs' : 'marks', room]
}
