import { command } from '@/core/commands/command'
import { opens } from './showing'

export const loftCommands = [
  opens('loft', 'loft.open', 'Loft: see everything'),
  command({
    id: 'loft.byApp',
    title: 'Loft, windows grouped by app',
    group: 'Shelf',
    step: false,
    plan: () => ({ show: { view: 'loft', by: 'app' } }),
  }),
]
