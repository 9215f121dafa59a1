import { boolean } from 'yup'
import { command } from '@/core/commands/command'
import { whereWindows } from './showing'

export const trailCommands = [
  command({
    id: 'trail.open',
    title: 'Recent windows',
    group: 'Switching',
    unlisted: true,
    step: false,
    args: { back: boolean() },
    plan: (draft, { back }) => whereWindows(draft, { view: 'trail', back: back ?? false }),
  }),
]
