import { boolean, number, object, string } from 'yup'
import { limited, reachable } from '@/core/geometry/rect'
import { byUse, currentId, title } from '@/core/model/selectors'
import type { State, Window } from '@/core/model/types'
import { focusOn } from './change'
import { command, type Env, no, type Refusal, type Result } from './command'
import { newFrame, openWindow, visit } from './opening'

const group = 'Apps' as const

const known = (id: string, env: Env): true | Refusal => {
  if (env.app(id)) return true
  const names = env.apps().map((app) => app.id)
  return no(`There is no app “${id}”. There are: ${names.join(', ')}.`)
}

interface Opening {
  app: string
  document?: string
  title?: string
  frame?: Window['frame']
}

/** Opens a window of an app on the current desktop, for a new document or one that exists. */
function openHere(
  draft: State,
  { app: id, document, title: name, frame }: Opening,
  env: Env,
): Result {
  const app = env.app(id)
  if (!app) return {}
  const here = currentId(draft)
  const shown = document ?? env.id('document')
  const known = draft.documents[shown]
  if (known) known.openedAt = env.now
  else {
    const untitled = name ?? app.untitled
    draft.documents[shown] = {
      id: shown,
      app: id,
      title: untitled,
      unsaved: false,
      openedAt: env.now,
    }
  }
  const area = draft.displays[draft.display]
  const opened: Window = {
    id: env.id('window'),
    app: id,
    document: shown,
    desktop: here,
    display: draft.display,
    frame:
      frame && area
        ? reachable({ ...frame, ...limited(frame, app.limits) }, area)
        : newFrame(draft, app, here),
    minimised: false,
    maximised: false,
    placed: null,
    limits: app.limits,
    z: 0,
    openedAt: env.now,
  }
  openWindow(draft, opened)
  focusOn(draft, opened.id)
  return {
    say: `Opened “${title(draft, opened)}”`,
    journal: [{ kind: 'open', window: opened.id, app: id, to: here }],
  }
}

export const open = command({
  id: 'window.open',
  title: 'Open a window',
  group,
  args: {
    app: string().required(),
    document: string(),
    title: string(),
    frame: object({
      x: number().required(),
      y: number().required(),
      width: number().required(),
      height: number().required(),
    }).default(undefined),
  },
  can: (_state, args, env) => known(args.app, env),
  run: openHere,
})

/** The app on a number key, or the one named. */
const chosen = (state: State, args: { app?: string; slot?: number }): string | null =>
  args.app ?? state.slots[(args.slot ?? 0) - 1] ?? null

export const launch = command({
  id: 'app.launch',
  title: 'Go to an app, or open it',
  group,
  args: { app: string(), slot: number().integer().min(1).max(9), another: boolean() },
  can: (state, args, env) => {
    const app = chosen(state, args)
    if (app) return known(app, env)
    return no(args.slot ? `No app is on key ${args.slot}.` : 'Say which app.')
  },
  run: (draft, args, env) => {
    const app = chosen(draft, args)
    if (!app) return
    const running = byUse(draft).filter((other) => other.app === app)
    if (args.another || running.length === 0) return openHere(draft, { app }, env)
    // The latest window first; when it has the focus already, the one used longest ago.
    const next = running[0]?.id === draft.focus ? running.at(-1) : running[0]
    return next && visit(draft, next)
  },
})

export const slot = command({
  id: 'app.slot',
  title: 'Put an app on a number key',
  group,
  args: { app: string().required(), slot: number().integer().min(1).max(9).required() },
  can: (_state, args, env) => known(args.app, env),
  run: (draft, args, env) => {
    const from = draft.slots.indexOf(args.app)
    const to = args.slot - 1
    if (from >= 0) draft.slots[from] = draft.slots[to] ?? null
    draft.slots[to] = args.app
    return { say: `Put ${env.app(args.app)?.name} on key ${args.slot}` }
  },
})

export const appCommands = [launch, open, slot]
