import type { AppId, WindowId } from '@/core/model/ids'
import type { Home } from '@/core/model/kinds/home'
import { clockOf, minuteOf } from '@/core/text/clock'
import { useLeft } from '@/parts/form'

/** The id of a home that is not set yet. */
export const NEW_HOME = 'new'

/** A home as it is typed: times as text, the pattern even while it is not used. */
export interface HomeDraft extends Omit<Home, 'id' | 'from' | 'to'> {
  titled: boolean
  from: string
  to: string
}

export const draftOf = ({ id: _id, from, to, ...home }: Home): HomeDraft => ({
  ...home,
  titled: home.title !== undefined,
  from: from === undefined ? '' : clockOf(from),
  to: to === undefined ? '' : clockOf(to),
})

/**
 * A home while it is typed: the draft, and the home it makes or what is wrong with it.
 * @param of what it is for, where it is kept when it is left before it is set
 */
export function useHomeDraft(first: HomeDraft, id: string | undefined, of?: WindowId | AppId) {
  const { values: draft, set: put, forget } = useLeft(of ? `home ${of}` : null, first)
  const set = (change: Partial<HomeDraft>) => put({ ...draft, ...change })
  return { draft, set, forget, home: homeOf(draft, id) }
}

function homeOf(draft: HomeDraft, id: string | undefined): Home | string {
  const { titled, title, from, to, ...rest } = draft
  if (titled && !title?.trim()) return 'Type the pattern of the title; * stands for any text.'
  const home: Home = { ...rest, id: id ?? NEW_HOME, ...(titled && { title: title?.trim() }) }
  if (!from.trim() && !to.trim()) return home
  const [start, end] = [minuteOf(from), minuteOf(to)]
  if (start === null || end === null) return 'A time of the day needs both ends, such as 06:30.'
  return { ...home, from: start, to: end }
}
