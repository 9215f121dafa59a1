import { array, number, object, string } from 'yup'
import { makeDesktop, nameLetters } from '@/core/commands/change'
import { command, no } from '@/core/commands/command'
import { nameProblem, roomFor } from '@/core/commands/places'
import { unlike } from '@/core/look/unlike'
import { desktop } from '@/core/model/selectors'
import { maybeId } from '@/core/model/shaping'
import { GUIDE_STEPS, type State } from '@/core/model/state'

const group = 'Shelf' as const

/** Whether nothing was ever made here: one desktop, no window, no home. */
export const isBare = ({ order, windows, homes, everywhere }: State): boolean =>
  order.length === 1 && everywhere.length === 0 && homes.length === 0 && isNone(windows)

const isNone = (windows: State['windows']): boolean => {
  for (const _id in windows) return false
  return true
}

/** The contexts of a day become desktops, in that order, each with a letter and a look; one step. */
const contexts = command({
  id: 'start.contexts',
  title: 'Start with your contexts',
  group,
  unlisted: true,
  args: {
    names: array(string().required()).required().min(1),
    homes: array(object({ app: maybeId().required(), name: string().required() }).required()),
  },
  plan: (draft, { names: given, homes = [] }, env) => {
    if (!isBare(draft)) return no('This shelf isn’t empty. Make desktops as usual.')
    const wrong = given.map((name) => nameProblem(name)).find(Boolean)
    if (wrong) return wrong
    const names = given.map((name) => name.trim())
    if (new Set(names).size < names.length) return no('Two of them have the same name. Change one.')
    const refusal = roomFor(draft, names.length - 1)
    if (refusal) return refusal
    const lost = homes.find(({ app, name }) => !env.app(app) || !given.includes(name))
    if (lost) return no(`There is no app “${lost.app}” or no context “${lost.name}”.`)
    const [first = '', ...rest] = names
    const only = desktop(draft, draft.order[0] ?? '')
    Object.assign(only, {
      name: first,
      letter: null,
      letterByHand: false,
      ...unlike([], 0, first),
    })
    nameLetters(draft)
    for (const name of rest) makeDesktop(draft, env, name, draft.order.length)
    for (const { app, name } of homes) {
      const lives = Object.values(draft.desktops).find((one) => one.name === name.trim())
      if (lives)
        draft.homes.push({ id: env.id('home'), app, desktop: lives.id, follow: true, on: true })
    }
    return { say: `Made ${names.length === 1 ? first : `${names.length} desktops`}` }
  },
})

/** Where one is in the first five minutes; like where one is on the shelf it is not undone. */
const guide = command({
  id: 'guide.go',
  title: 'First five minutes by keyboard',
  group,
  step: false,
  args: { step: number().integer().min(0).max(GUIDE_STEPS) },
  plan: (draft, { step }) => {
    draft.guide = step ?? (draft.guide || 1)
    return undefined
  },
})

export const startCommands = [contexts, guide]
