/** How the windows of one app are treated otherwise than others. */

import { boolean } from 'yup'
import { command, type Env, no, refused } from '@/core/commands/command'
import { meant, which } from '@/core/commands/meant'
import type { Exception } from '@/core/model/kinds/app'
import { maybeId } from '@/core/model/shaping'
import type { State } from '@/core/model/state'

/** Each with its command, and what is said when it begins and when it ends. */
const KINDS = [
  [
    'never carried',
    'app.neverCarried',
    'Never carry this app’s windows',
    'is never carried any more: you go, it stays',
    'can be carried again',
  ],
  [
    'always sent',
    'app.alwaysSent',
    'Always send this app’s windows',
    'is sent where others are carried: it goes, you stay',
    'can be carried again',
  ],
  [
    'on every desktop',
    'app.opensEverywhere',
    'Open this app on every desktop',
    'opens on every desktop from now on',
    'opens at its home or here again',
  ],
  [
    'keeps its size',
    'app.keepsSize',
    'Keep this app’s window size',
    'keeps its size wherever it is placed',
    'takes the size of its place again',
  ],
] as const satisfies [Exception, id: string, title: string, begins: string, ends: string][]

/** The command that begins and ends an exception. */
export const exceptionCommand = (exception: Exception): string =>
  KINDS.find(([kind]) => kind === exception)?.[1] ?? ''

/** Two that speak against each other. */
const AGAINST: Partial<Record<Exception, Exception>> = {
  'never carried': 'always sent',
  'always sent': 'never carried',
}

/** The app that is meant: one by its id, or that of a window. */
function appMeant(state: State, args: { app?: string; window?: string }, env: Env) {
  const found = args.app === undefined ? meant(state, args.window) : { app: args.app }
  if (refused(found)) return found
  return env.app(found.app) ?? no(`There is no app “${found.app}”.`)
}

export const exceptionCommands = KINDS.map(([exception, id, title, begins, ends]) =>
  command({
    id,
    title,
    group: 'Apps',
    args: { ...which, app: maybeId(), on: boolean() },
    plan: (draft, args, env) => {
      const app = appMeant(draft, args, env)
      if (refused(app)) return app
      const before = draft.exceptions[app.id] ?? []
      const on = args.on ?? !before.includes(exception)
      const after = before.filter((one) => one !== exception && (!on || one !== AGAINST[exception]))
      if (on) after.push(exception)
      if (after.length) draft.exceptions[app.id] = after
      else delete draft.exceptions[app.id]
      return { say: `${app.name} ${on ? begins : ends}` }
    },
  }),
)
