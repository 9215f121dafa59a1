import { array, string } from 'yup'
import { command, no } from '@/core/commands/command'
import { desktop } from '@/core/model/selectors'
import { id } from '@/core/model/shaping'

const open = command({
  id: 'log.open',
  title: 'Log: how the day went',
  group: 'Shelf',
  step: false,
  plan: () => ({ show: { view: 'log' } }),
})

/** What the log suggests, taken in one step. */
const order = command({
  id: 'desktops.order',
  title: 'Reorder desktops',
  group: 'Desktops',
  unlisted: true,
  args: { order: array(id()).required().min(1) },
  plan: (draft, { order: wanted }) => {
    const meant = new Set(wanted)
    if (meant.size !== draft.order.length || !draft.order.every((one) => meant.has(one)))
      return no('Desktops have changed since. Nothing was moved.')
    if (draft.order.every((one, at) => one === wanted[at]))
      return no('They are already in that order.')
    draft.order = [...meant]
    const [first = ''] = draft.order
    return {
      say: `Reordered desktops; ${desktop(draft, first).name} is first`,
    }
  },
})

const decline = command({
  id: 'log.decline',
  title: 'Dismiss a suggestion',
  group: 'Shelf',
  unlisted: true,
  args: { suggestion: string().required().max(500) },
  plan: (draft, { suggestion }) => {
    if (draft.declined.includes(suggestion)) return no('That is already dismissed.')
    draft.declined.push(suggestion)
    return { say: 'Suggestion dismissed' }
  },
})

export const logCommands = [open, order, decline]
