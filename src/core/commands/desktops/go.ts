import { string } from 'yup'
import { goTo } from '@/core/commands/change'
import { command, refused } from '@/core/commands/command'
import { elsewhere } from '@/core/commands/places'
import { currentId, summary } from '@/core/model/selectors'

const go = command({
  id: 'desktop.go',
  title: 'Go to desktop',
  group: 'Switching',
  asks: { title: 'Go to desktop…' },
  step: false,
  args: { to: string().required() },
  plan: (draft, { to }) => {
    const id = elsewhere(draft, to, 'To make a desktop and go there, use New desktop.')
    if (refused(id)) return id
    const from = currentId(draft)
    goTo(draft, id)
    return { announce: summary(draft, id), journal: [{ kind: 'switch', from, to: id }] }
  },
})

export const goCommands = [go]
