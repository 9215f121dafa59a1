import { number } from 'yup'
import { currentId, focusId, title } from '@/core/model/selectors'
import type { State } from '@/core/model/types'
import { comeBack } from './attention'
import { command, no, type Refusal } from './command'
import { meant, quoted, which } from './meant'
import { visit } from './opening'
import { refused } from './places'

const group = 'Windows' as const

const there = (state: State, { window }: { window?: string }): true | Refusal => {
  const found = meant(state, window)
  return refused(found) ? found : true
}

const tether = command({
  id: 'window.tether',
  title: 'Tether this window: keep it in the line while it is elsewhere, and back',
  group,
  args: which,
  can: there,
  run: (draft, { window }) => {
    const found = meant(draft, window)
    if (refused(found)) return
    const on = draft.tethered[found.id] !== true
    draft.tethered[found.id] = on
    return { say: `${on ? 'Tethered' : 'Not tethered any more:'} ${quoted(draft, found)}` }
  },
})

const go = command({
  id: 'tether.go',
  title: 'Go to a tethered window, and come back',
  group,
  args: which,
  can: there,
  run: (draft, { window }) => {
    const found = meant(draft, window)
    if (refused(found)) return
    if (focusId(draft) === found.id && draft.answering) return comeBack(draft)
    draft.answering ??= { desktop: currentId(draft), window: focusId(draft) }
    return { ...visit(draft, found.id), announce: title(draft, found) }
  },
})

/** The page knows which tether stands where, and what it does. */
const use = command({
  id: 'tether.use',
  title: 'Use a tether by its number: pause, go on, reply',
  group,
  step: false,
  args: { nth: number().integer().min(1).max(9).required() },
  can: (_state, { nth }) => nth > 0 || no('Tethers are counted from 1.'),
  run: (_draft, { nth }) => ({ show: { view: 'tether', nth } }),
})

export const tetherCommands = [tether, go, use]
