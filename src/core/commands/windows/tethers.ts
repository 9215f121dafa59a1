import { boolean, number } from 'yup'
import { command } from '@/core/commands/command'
import { comeBack } from '@/core/commands/day/attention'
import { lookingAt, quoted, which } from '@/core/commands/meant'
import { visit } from '@/core/commands/opening'
import { currentId, focusId, title } from '@/core/model/selectors'

const group = 'Windows' as const

/** An app that offers itself is let go by saying `on: false`; without it the other way is meant. */
const tether = command({
  id: 'window.tether',
  title: 'Tether window to the line',
  group,
  args: { ...which, on: boolean() },
  plan: lookingAt((draft, found, { on = draft.tethered[found.id] !== true }) => {
    draft.tethered[found.id] = on
    return { say: `${on ? 'Tethered' : 'Not tethered any more:'} ${quoted(draft, found)}` }
  }),
})

const go = command({
  id: 'tether.go',
  title: 'Go to a tethered window',
  group,
  unlisted: true,
  args: which,
  plan: lookingAt((draft, found) => {
    if (focusId(draft) === found.id && draft.answering) return comeBack(draft)
    draft.answering ??= { desktop: currentId(draft), window: focusId(draft) }
    return { ...visit(draft, found.id), announce: title(draft, found) }
  }),
})

/** The page knows which tether stands where, and what it does. */
const use = command({
  id: 'tether.use',
  title: 'Use a tether by its number',
  group,
  unlisted: true,
  step: false,
  args: { nth: number().integer().min(1).max(9).required() },
  plan: (_draft, { nth }) => ({ show: { view: 'tether', nth } }),
})

export const tetherCommands = [tether, go, use]
