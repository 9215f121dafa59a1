import { useCallback, useSyncExternalStore } from 'react'
import type { State } from '@/core/model/state'
import { ofShelf } from './ofShelf'
import type { Shelf } from './shelf'
import { useShelf } from './useShelf'

type Select<T> = (state: State) => T

/** What is asked of one shelf by many. */
interface Question {
  state: State
  value: unknown
  /** What those who ask were told last: somebody may have asked since. */
  told: unknown
  listeners: Set<() => void>
}

const questions = ofShelf((shelf) => {
  const asked = new Map<Select<unknown>, Question>()
  shelf.page.subscribe(() => {
    for (const [select, question] of asked) {
      const now = answer(shelf, select, question)
      if (Object.is(now, question.told)) continue
      question.told = now
      for (const listener of question.listeners) listener()
    }
  })
  return asked
})

/** Worked out once for each state, however many want to know. */
function answer(shelf: Shelf, select: Select<unknown>, question: Question): unknown {
  const state = shelf.state()
  if (question.state !== state) {
    question.state = state
    question.value = select(state)
  }
  return question.value
}

function questionOf(shelf: Shelf, select: Select<unknown>): Question {
  const asked = questions(shelf)
  const known = asked.get(select)
  if (known) return known
  const state = shelf.state()
  const value = select(state)
  const made: Question = { state, value, told: value, listeners: new Set() }
  asked.set(select, made)
  return made
}

/**
 * As `useArrangement` for what a thousand components ask: it costs the same as if one did.
 * @param select the same function each time; what it picks is compared as it is
 */
export function useShared<T>(select: Select<T>): T {
  const shelf = useShelf()
  const subscribe = useCallback(
    (listener: () => void) => {
      const { listeners } = questionOf(shelf, select)
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    [shelf, select],
  )
  const now = () => answer(shelf, select, questionOf(shelf, select)) as T
  return useSyncExternalStore(subscribe, now, now)
}
