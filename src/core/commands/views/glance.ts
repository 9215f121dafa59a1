import { string } from 'yup'
import { command, refused } from '@/core/commands/command'
import { elsewhere } from '@/core/commands/places'
import { stack, summary, title } from '@/core/model/selectors'

const glance = command({
  id: 'desktop.glance',
  title: 'Glance at a desktop',
  group: 'Switching',
  asks: { title: 'Glance at desktop…' },
  step: false,
  args: { to: string().required() },
  plan: (draft, { to }) => {
    const id = elsewhere(draft, to, 'There is nothing to see on a desktop that is not there yet.')
    if (refused(id)) return id
    const seen = stack(draft, id).filter(({ minimised }) => !minimised)
    const titles = seen.map((one) => title(draft, one)).join(', ')
    return {
      announce: `Looking into ${summary(draft, id)}${titles && `: ${titles}`}`,
      show: { view: 'glance', desktop: id },
    }
  },
})

export const glanceCommands = [glance]
