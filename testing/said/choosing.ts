import fc from 'fast-check'
import type { State } from '@/core/model/state'

/** A command that may name desktops and windows by their number; most are accepted. */
export type Said = { id: string; args: (state: State) => object }

export const nth = <T>(list: T[], at: number): T | undefined => list[at % Math.max(1, list.length)]
const places = ['next', 'previous', 'above', 'below', 'last', 'new']

export const maybe = fc.option(fc.nat(60), { nil: undefined })
export const windowAt = (state: State, at: number | undefined) => {
  const id = at === undefined ? undefined : nth(Object.keys(state.windows), at)
  return id ? { window: id } : {}
}
export const desktopAt = (state: State, at: number | undefined) => {
  const id = at === undefined ? undefined : nth(state.order, at)
  return id ? { desktop: id } : {}
}
export const placeAt = (state: State, at: number) => nth([...places, ...state.order], at) ?? 'next'

export const coordinate = fc.integer({ min: -3000, max: 5000 })
export const length = fc.oneof(fc.integer({ min: 1, max: 4000 }), fc.constant(1e300))
/** Numbers as a program may give them. */
export const extent = fc.constantFrom(-1e308, -1, 0, 0.5, 300, 1e9, 1e308, Number.POSITIVE_INFINITY)
export const cell = fc.nat(2)
export const display = fc.option(fc.nat(9), { nil: undefined })
export const displayAt = (state: State, at: number | undefined) => {
  const id = at === undefined ? undefined : nth(state.displayOrder, at)
  return id ? { display: id } : {}
}
export const direction = fc.constantFrom('left', 'right', 'up', 'down')

/** Some of what can be said, what is rare or seldom accepted with a weight. */
export type Some = (fc.Arbitrary<Said> | fc.WeightedArbitrary<Said>)[]
