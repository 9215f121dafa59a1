import type { Home } from '@/core/model/kinds/home'
import { fits, specificity } from './matching'

export interface Clash {
  /** The home that has no effect. */
  home: string
  /** The one that wins wherever it would. */
  by: string
  /** `equal`: the same conditions; `never`: there is nothing it matches and wins. */
  kind: 'equal' | 'never'
}

/** Whether a home matches whenever another does, as far as their conditions show. */
function covers(wide: Home, narrow: Home): boolean {
  if (wide.app !== narrow.app) return false
  // A star of the narrow pattern is only matched by a star of the wide one.
  if (wide.title && !(narrow.title && fits(wide.title, narrow.title))) return false
  if (wide.days?.length) {
    if (!narrow.days?.length || !narrow.days.every((day) => wide.days?.includes(day))) return false
  }
  if (wide.from !== undefined && wide.to !== undefined) {
    if (narrow.from === undefined || narrow.to === undefined) return false
    const over = (home: Home) => (home.from ?? 0) > (home.to ?? 0)
    if (over(wide) !== over(narrow) || narrow.from < wide.from || narrow.to > wide.to) return false
  }
  return (wide.displays ?? []).every((id) => narrow.displays?.includes(id))
}

/** The home that keeps another from ever winning: it matches whenever that one does, and wins. */
export function beatenBy(homes: Home[], home: Home): Home | undefined {
  const active = homes.filter(({ on }) => on)
  const at = active.findIndex(({ id }) => id === home.id)
  return active.find((other, before) => {
    if (other.id === home.id || !covers(other, home)) return false
    const more = specificity(other) - specificity(home)
    return more > 0 || (more === 0 && (at < 0 || before < at))
  })
}

/** Another home for exactly the same windows at the same times. */
export const twinOf = (homes: Home[], home: Home): Home | undefined =>
  homes.find((other) => other.id !== home.id && covers(other, home) && covers(home, other))

/** Homes that can never win: one that always matches with them is as specific and stands first. */
export const clashes = (homes: Home[]): Clash[] =>
  homes
    .filter(({ on }) => on)
    .flatMap((home) => {
      const winner = beatenBy(homes, home)
      if (!winner) return []
      return { home: home.id, by: winner.id, kind: covers(home, winner) ? 'equal' : 'never' }
    })
