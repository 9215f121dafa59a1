import { useState } from 'react'
import type { Home } from '@/core/model/kinds/home'
import { minuteOf } from '@/core/text/clock'
import type { HomeDraft } from './HomeFields'

/** The id of a home that is not set yet. */
export const NEW_HOME = 'new'

/** A home while it is typed: the draft, and the home it makes or what is wrong with it. */
export function useHomeDraft(first: HomeDraft, id: string | undefined) {
  const [draft, setDraft] = useState(first)
  const set = (change: Partial<HomeDraft>) => setDraft({ ...draft, ...change })
  return { draft, set, home: homeOf(draft, id) }
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
