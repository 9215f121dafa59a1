import { string } from 'yup'
import { goTo } from '@/core/commands/change'
import { command, no, type Refusal, refused } from '@/core/commands/command'
import { resolvePlace } from '@/core/commands/places'
import type { DesktopId } from '@/core/model/ids'
import { currentId, desktop, stack, summary, title } from '@/core/model/selectors'
import type { State } from '@/core/model/state'

/** The desktop of a place, where it is not the one that one is on. */
function elsewhere(state: State, to: string, whyNotNew: string): DesktopId | Refusal {
  const id = resolvePlace(state, to)
  if (refused(id)) return id
  if (id === 'new') return no(whyNotNew)
  return id === currentId(state) ? no(`You are on ${desktop(state, id).name}.`) : id
}

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

export const goCommands = [go, glance]
