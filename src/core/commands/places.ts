import { currentId, lastId } from '@/core/model/selectors'
import { DESKTOPS_MOST, type DesktopId, type State } from '@/core/model/types'
import { no, type Refusal } from './command'

/**
 * A place: `next`, `previous`, `last`, `new`, a call letter, or a desktop's id or name.
 * Resolves to a desktop's id, `new`, or the reason there is no such place.
 */
export function resolvePlace(state: State, place: string): DesktopId | Refusal {
  const here = currentId(state)
  switch (place) {
    case 'new':
      return state.order.length < DESKTOPS_MOST
        ? 'new'
        : no(`There are ${DESKTOPS_MOST} desktops, which is the most. Fold one first.`)
    case 'next':
    case 'previous':
      return neighbour(state, here, place === 'next' ? 1 : -1)
    case 'last':
      return lastId(state) ?? no('There is no desktop before this one yet.')
  }
  if (state.desktops[place]) return place
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

function neighbour(state: State, from: DesktopId, by: 1 | -1): DesktopId | Refusal {
  const { order } = state
  if (order.length === 1) return no('This is the only desktop.')
  const at = order.indexOf(from) + by
  if (!state.settings.wrap && (at < 0 || at >= order.length))
    return no(by > 0 ? 'This is the last desktop.' : 'This is the first desktop.')
  return order[(at + order.length) % order.length] as DesktopId
}

export const refused = (value: unknown): value is Refusal =>
  typeof value === 'object' && value !== null && 'reason' in value
