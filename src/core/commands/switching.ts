import { string } from 'yup'
import { currentId, desktop, summary } from '@/core/model/selectors'
import { goTo } from './change'
import { command, no } from './command'
import { refused, resolvePlace } from './places'

export const go = command({
  id: 'desktop.go',
  title: 'Go to desktop',
  group: 'Switching',
  step: false,
  args: { to: string().required() },
  can: (state, { to }) => {
    const id = resolvePlace(state, to)
    if (refused(id)) return id
    if (id === 'new') return no('To make a desktop and go there, use New desktop.')
    return id !== currentId(state) || no(`You are on ${desktop(state, id).name}.`)
  },
  run: (draft, { to }) => {
    const id = resolvePlace(draft, to)
    if (refused(id)) return
    const from = currentId(draft)
    goTo(draft, id)
    return { announce: summary(draft, id), journal: [{ kind: 'switch', from, to: id }] }
  },
})

export const switchingCommands = [go]
