/** All windows of a desktop placed at once, and exactly back. */

import { command, no } from '@/core/commands/command'
import { arranged, type Layout } from '@/core/geometry/arrange'
import { overlap } from '@/core/geometry/rect'
import { readingOrder } from '@/core/geometry/unstack'
import { settleOn, standsOn } from '@/core/model/displays'
import type { Window } from '@/core/model/kinds/window'
import { byUse, current, focusId, isVisible } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { placeInto } from './place'

const group = 'Windows' as const

/**
 * The windows that can be seen, as they are read; for one large, that first. What is on every desktop
 * is among them: left out it would be covered.
 */
function seen(state: State, layout: Layout): Window[] {
  const all = inSight(state)
  const read = readingOrder(all.map(({ frame }) => frame)).flatMap((at) => all[at] ?? [])
  if (layout !== 'large') return read
  const first =
    all.find(({ id }) => id === focusId(state)) ?? byUse(state).find((one) => all.includes(one))
  return read.toSorted((a, b) => Number(b === first) - Number(a === first))
}

const inSight = (state: State): Window[] =>
  Object.values(state.windows).filter(
    (window) => isVisible(state, window) && standsOn(state, window) === state.display,
  )

/** How each layout is called. */
const LAYOUTS: [Layout, title: string, says: string][] = [
  ['columns', 'Arrange all in columns', 'columns'],
  ['rows', 'Arrange all in rows', 'rows'],
  ['large', 'Arrange all: one large', 'one large and the rest beside it'],
  ['cells', 'Arrange all in cells', 'cells'],
]

const arrange = LAYOUTS.map(([layout, title, says]) =>
  command({
    id: `arrange.${layout}`,
    title,
    group,
    plan: (draft) => {
      const here = current(draft)
      const { kind, name } = here
      if (kind !== 'open')
        return no(`${name} is a ${kind}. Arrange the windows of another desktop.`)
      const all = seen(draft, layout)
      if (all.length === 0) return no(`${name} has no window in sight.`)
      const spans = arranged(layout, all.length)
      const before = { ...here.before }
      for (const window of all) {
        settleOn(draft, window)
        const { id, frame, placed, maximised } = window
        before[id] ??= { frame: { ...frame }, placed, maximised }
      }
      here.before = before
      for (const [at, window] of all.entries()) {
        const span = spans[at]
        if (span) placeInto(draft, window, span)
      }
      const cover = all.some((one, at) =>
        all.slice(at + 1).some((other) => overlap(one.frame, other.frame) > 0),
      )
      const small = cover ? '; some cannot be that small and cover others' : ''
      return { say: `Arranged ${name} in ${says}${small}` }
    },
  }),
)

const back = command({
  id: 'arrange.back',
  title: 'Undo arranging',
  group,
  plan: (draft) => {
    const here = current(draft)
    const { before, name } = here
    if (!before) return no(`The windows of ${name} have not been arranged.`)
    for (const id of [...here.windows, ...draft.everywhere]) {
      const stood = before[id]
      const window = draft.windows[id]
      if (!stood || !window) continue
      Object.assign(window, stood)
      if (!stood.placed) delete window.unplaced
    }
    delete here.before
    return { say: `Brought back how ${name} stood` }
  },
})

export const arrangeCommands = [...arrange, back]
