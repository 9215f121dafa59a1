import { mixed, string } from 'yup'
import { command, refused } from '@/core/commands/command'
import type { State } from '@/core/model/state'
import { bringIn, fitting } from './import'

const group = 'Shelf' as const

const open = command({
  id: 'restore.open',
  title: 'Restore points…',
  group,
  step: false,
  plan: () => ({ show: { view: 'restore points' } }),
})

/** All of an earlier shelf, with what documents said; what came since stays, behind. */
const goBack = command({
  id: 'restore.goBack',
  title: 'Go back to a restore point',
  group,
  unlisted: true,
  documents: true,
  args: { state: mixed<State>().required(), name: string().required().max(200) },
  plan: (draft, { state, name }) => {
    const then = fitting(draft, state)
    if (refused(then)) return then
    bringIn(draft, then)
    return { say: `Went back to “${name}”. Anything newer is still here` }
  },
})

export const restoreCommands = [open, goBack]
