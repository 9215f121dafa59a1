import { untold } from '@/core/attention/waiting'
import { command, no } from '@/core/commands/command'

const told = command({
  id: 'attention.told',
  title: 'Put the digest away',
  group: 'Switching',
  step: false,
  plan: (draft, _args, { now }) => {
    const all = untold(draft, now)
    if (all.length === 0) return no('There is nothing to put away.')
    for (const { document } of all) {
      const waiting = draft.attention[document]
      if (waiting) waiting.told = true
    }
  },
})

export const digestCommands = [told]
