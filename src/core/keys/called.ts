import type { DesktopId } from '@/core/model/ids'
import type { State } from '@/core/model/state'

/**
 * What letters say that are pressed one after the other: a desktop, the beginning of a call letter of
 * two, or nothing.
 */
export function calledBy(
  { order, desktops }: Pick<State, 'order' | 'desktops'>,
  letters: string,
): { desktop: DesktopId } | 'more' | null {
  const wanted = letters.toUpperCase()
  const letter = (id: DesktopId) => desktops[id]?.letter ?? ''
  const desktop = order.find((id) => letter(id) === wanted)
  if (desktop !== undefined) return { desktop }
  return order.some((id) => letter(id).startsWith(wanted)) ? 'more' : null
}
