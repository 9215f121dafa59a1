import { command } from '@/core/commands/command'
import { opens } from './showing'

export const lineCommands = [
  { ...opens('line', 'line.open', 'Find anything'), unlisted: true },
  command({
    id: 'line.about',
    title: 'Find what can be done here',
    group: 'Shelf',
    unlisted: true,
    step: false,
    plan: () => ({ show: { view: 'line', about: true } }),
  }),
]
