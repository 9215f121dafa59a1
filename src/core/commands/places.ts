import { type Axis, besideIn } from '@/core/model/grid'
import type { DesktopId } from '@/core/model/ids'
import { DESKTOPS_MOST, type Desktop } from '@/core/model/kinds/desktop'
import { currentId, desktop, lastId } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { no, type Refusal, refused } from './command'

/** The longest name of a desktop, in letters. */
export const NAME_MOST = 60

/** What is wrong with a name for a desktop or a display, or null. */
export function nameProblem(name: string, what = 'desktop'): Refusal | null {
  if (!name.trim()) return no(`A ${what} needs a name: type at least one letter.`)
  return name.trim().length > NAME_MOST
    ? no(`That name is too long: use at most ${NAME_MOST} letters.`)
    : null
}

/** Why as many desktops more cannot be made, or null. */
export const roomFor = (state: State, more: number): Refusal | null =>
  state.order.length + more <= DESKTOPS_MOST
    ? null
    : no(`There would be more than ${DESKTOPS_MOST} desktops, which is the most. Fold some first.`)

/**
 * A place: `next`, `previous`, `above`, `below`, `last`, `new`, a call letter, or a desktop's id
 * or name.
 * Resolves to a desktop's id, `new`, or the reason there is no such place.
 */
export function resolvePlace(state: State, place: string): DesktopId | Refusal {
  const here = currentId(state)
  switch (place) {
    case 'new':
      return roomFor(state, 1) ?? 'new'
    case 'next':
    case 'previous':
      return neighbour(state, here, 'row', place === 'next' ? 1 : -1)
    case 'above':
    case 'below':
      return neighbour(state, here, 'column', place === 'below' ? 1 : -1)
    case 'last':
      return lastId(state) ?? no('There is no desktop before this one yet.')
  }
  if (Object.hasOwn(state.desktops, place)) return place
  const desktops = Object.values(state.desktops)
  const letter = place.toUpperCase()
  const named =
    desktops.find((desktop) => desktop.letter === letter) ??
    desktops.find(({ name }) => name.toLowerCase() === place.toLowerCase())
  if (named) return named.id
  return no(
    place.length === 1
      ? `No desktop answers to ${letter}.`
      : `There is no desktop called “${place}”.`,
  )
}

/** The desktop of a place, or the current one. */
export function named(state: State, place: string | undefined): Desktop | Refusal {
  const id = place === undefined ? currentId(state) : resolvePlace(state, place)
  return refused(id) ? id : (state.desktops[id] ?? no('Say which desktop.'))
}

/** The desktop beside another along its row or its column; in a line both are the line. */
function neighbour(state: State, from: DesktopId, axis: Axis, by: 1 | -1): DesktopId | Refusal {
  if (state.order.length === 1) return no('This is the only desktop.')
  const wrap = axis === 'row' ? state.settings.wrap : state.settings.wrapRows
  const found = besideIn(state.order, state.columns, from, axis, by, wrap)
  if (found !== null && found !== from) return found
  if (found === from)
    return no(`${axis === 'row' ? 'Its row' : 'Its column'} has no other desktop.`)
  if (axis === 'column') return no(`There is no row ${by > 0 ? 'below' : 'above'} this one.`)
  const of = state.columns > 1 ? ' of its row' : ''
  return no(`This is the ${by > 0 ? 'last' : 'first'} desktop${of}.`)
}

/** The desktop of a place, where it is not the one that one is on. */
export function elsewhere(state: State, to: string, whyNotNew: string): DesktopId | Refusal {
  const id = resolvePlace(state, to)
  if (refused(id)) return id
  if (id === 'new') return no(whyNotNew)
  return id === currentId(state) ? no(`You are on ${desktop(state, id).name}.`) : id
}
