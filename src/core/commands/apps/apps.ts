import { array, boolean, number, object, string } from 'yup'
import { focusOn, goTo, moveTo } from '@/core/commands/change'
import {
  command,
  type Env,
  nameArgument,
  no,
  noTo,
  type Refusal,
  type Result,
  refused,
} from '@/core/commands/command'
import { newFrame, openWindow, visit } from '@/core/commands/opening'
import { named } from '@/core/commands/places'
import { addressOf } from '@/core/formats/address'
import { limited, reachable } from '@/core/geometry/rect'
import { homeFor, momentOf } from '@/core/homes/matching'
import { where } from '@/core/homes/words'
import { displayFor, stand } from '@/core/model/displays'
import { excepted } from '@/core/model/exceptions'
import type { DesktopId } from '@/core/model/ids'
import type { AppFacts } from '@/core/model/kinds/app'
import { HERE, type Home } from '@/core/model/kinds/home'
import { EVERY, type Window } from '@/core/model/kinds/window'
import {
  byUse,
  currentId,
  desktop,
  focusedWindow,
  focusId,
  openDesktop,
  window,
} from '@/core/model/selectors'
import { maybeId } from '@/core/model/shaping'
import type { State } from '@/core/model/state'
import { counted } from '@/core/text/counted'
import { barredFrom, placeAt, settleAt } from './homes'

const group = 'Apps' as const

/** The longest title a document is given when it is opened. */
const TITLE_MOST = 300

const known = (id: string, env: Env): AppFacts | Refusal => {
  const names = () => env.apps().map((app) => app.id)
  return env.app(id) ?? no(`There is no app “${id}”. There are: ${names().join(', ')}.`)
}

/** An app that can show a document: a new one, or one of its own. */
function opens(draft: State, { app: id, document = '' }: Opening, env: Env): AppFacts | Refusal {
  const app = known(id, env)
  const kept = draft.documents[document]
  if (refused(app) || !kept || kept.app === id) return app
  const own = env.app(kept.app)?.name ?? kept.app
  return no(`“${kept.title}” opens in ${own}, not in ${app.name}.`)
}

interface Opening {
  app: string
  document?: string
  title?: string
  frame?: Window['frame']
  /** Whether it opens here though its app opens on every desktop. */
  alone?: boolean
  /** The desktop it opens on, wherever its home is; one stays where one is. */
  on?: DesktopId
}

/** Opens a window of an app where its home says or one is, for a new document or one that exists. */
export function openApp(draft: State, opening: Opening, env: Env): Result | Refusal {
  const { app: id, document, title: given, frame, alone, on } = opening
  const app = opens(draft, opening, env)
  if (refused(app)) return app
  const from = currentId(draft)
  const here = openDesktop(draft, on ?? from)
  const shown = document ?? env.id('document')
  const kept = draft.documents[shown]
  if (kept) kept.openedAt = env.now
  else {
    const untitled = given?.trim().slice(0, TITLE_MOST) || app.untitled
    draft.documents[shown] = {
      id: shown,
      app: id,
      title: untitled,
      unsaved: false,
      openedAt: env.now,
    }
  }
  const name = draft.documents[shown]?.title ?? app.untitled
  const found = on ? null : homeFor(draft, { app: id, title: name }, momentOf(env.now))
  // A desktop that cannot be made is no home for now.
  const home = found && !barredFrom(draft, found) ? found : null
  const full = found && !home ? `; there is no room to make ${found.name}, its home` : ''
  const display = displayFor(draft, here)
  const area = draft.displays[display]
  const opened: Window = {
    id: env.id('window'),
    app: id,
    document: shown,
    desktop: here,
    display,
    frame:
      frame && area
        ? reachable({ ...frame, ...limited(frame, app.limits) }, area)
        : newFrame(draft, app, here),
    minimised: false,
    maximised: false,
    placed: null,
    limits: app.limits,
    openedAt: env.now,
    cause: { by: 'here' },
  }
  // A solo or a pair takes no window: it opens where theirs came from.
  if (!on) goTo(draft, here)
  openWindow(draft, opened)
  const placed = on ? here : settle(draft, opened, home, app, env, alone)
  const say = `Opened “${name}”${full}`
  const journal: Result['journal'] = [{ kind: 'open', window: opened.id, app: id, to: placed }]
  if (placed === here) {
    if (here === currentId(draft)) focusOn(draft, opened.id)
    else desktop(draft, here).focus = opened.id
    return { say, journal }
  }
  if (placed === EVERY) {
    // Its display may show what takes no window.
    const { journal: went = [] } = visit(draft, opened.id)
    return { say, journal: [...journal, ...went.filter(({ kind }) => kind === 'switch')] }
  }
  if (!home?.follow)
    return { say: `${say} ${where(home ?? { desktop: placed }, draft)}, its home`, journal }
  desktop(draft, placed).focus = opened.id
  goTo(draft, placed)
  focusOn(draft, opened.id)
  return {
    say: `${say} at its home and went to ${desktop(draft, placed).name}`,
    journal: [...journal, { kind: 'switch', from, to: placed }],
  }
}

/** Where a window that was just opened comes to live: as its app does everywhere, at home, or here. */
function settle(
  draft: State,
  { id, desktop: here }: Window,
  home: Home | null,
  app: AppFacts,
  env: Env,
  alone = false,
): string {
  if (alone || !excepted(draft, app.id, 'on every desktop'))
    return home ? goHome(draft, id, home, app, env) : here
  window(draft, id).cause = { by: 'exception' }
  moveTo(draft, id, EVERY)
  return EVERY
}

/** Puts a window that was just opened where its home says. Returns where it lives then. */
function goHome(draft: State, id: string, home: Home, app: AppFacts, env: Env): string {
  const opened = window(draft, id)
  if (home.desktop === HERE) {
    opened.cause = { by: 'home', home: home.id }
    placeAt(draft, opened, home)
  } else settleAt(draft, opened, home, env)
  const { desktop: lives } = opened
  // The freest place is another there; a place on the pad is kept.
  if (!opened.placed && lives !== EVERY && lives !== currentId(draft)) {
    opened.minimised = true
    stand(draft, opened, newFrame(draft, app, lives))
    opened.minimised = false
  }
  return lives
}

/** More files than anyone drops at once. */
const WINDOWS_AT_ONCE = 200

const open = command({
  id: 'window.open',
  title: 'Open a window',
  group,
  unlisted: true,
  args: {
    app: maybeId().required(),
    document: maybeId(),
    title: nameArgument(),
    frame: object({
      x: number().required(),
      y: number().required(),
      width: number().required(),
      height: number().required(),
    }).default(undefined),
  },
  plan: openApp,
})

/** Several at once are one step: what was opened together is taken back together. */
const openAll = command({
  id: 'window.openAll',
  title: 'Open several windows',
  group,
  unlisted: true,
  args: {
    windows: array(
      object({ app: maybeId().required(), document: maybeId(), title: nameArgument() }).noUnknown(),
    )
      .required()
      .min(1)
      .max(WINDOWS_AT_ONCE),
    /** The desktop they are put on, wherever homes are; one stays where one is. */
    on: string(),
  },
  plan: (draft, { windows, on }, env) => {
    const strange = windows.map((one) => opens(draft, one, env)).find(refused)
    if (strange) return strange
    const put = on === undefined ? null : named(draft, on)
    if (refused(put)) return put
    const journal = windows.flatMap((one) => {
      const opened = openApp(draft, put ? { ...one, on: put.id } : one, env)
      return refused(opened) ? [] : (opened.journal ?? [])
    })
    const names = windows.flatMap(({ title }) => title ?? []).join(', ')
    const what = windows.length === 1 ? `“${names}”` : counted(windows.length, 'window')
    const say = put ? `Opened ${what} on ${put.name}` : `Opened ${what}: ${names}`
    return { say, journal }
  },
})

/** The app on a number key, or the one named. */
const chosen = (state: State, args: { app?: string; slot?: number }): string | null =>
  args.app ?? state.slots[(args.slot ?? 0) - 1] ?? null

const launch = command({
  id: 'app.launch',
  title: 'Go to an app, or open it',
  group,
  unlisted: true,
  args: { app: maybeId(), slot: number().integer().min(1).max(9), another: boolean() },
  plan: (draft, args, env) => {
    const app = chosen(draft, args)
    if (!app) return no(args.slot ? `No app is on key ${args.slot}.` : 'Say which app.')
    const facts = known(app, env)
    if (refused(facts)) return facts
    const reach = draft.settings.launch === 'go' ? () => true : hereOrEverywhere(draft)
    const running = byUse(draft).filter((other) => other.app === app && reach(other))
    // Where there is nothing yet a number key opens, as what is offered there says.
    const empty = args.slot !== undefined && isBare(draft)
    if (args.another || empty || running.length === 0)
      return openApp(draft, { app, alone: !!args.another }, env)
    // The latest window first; when it has the focus already, the one used longest ago.
    const next = running[0]?.id === focusId(draft) ? running.at(-1) : running[0]
    return next && visit(draft, next.id)
  },
})

/** Opens a window of an app on a desktop that is named, wherever its home is. */
const openOn = command({
  id: 'app.openOn',
  title: 'Open an app on a desktop',
  group,
  unlisted: true,
  args: { app: maybeId().required(), on: string().required() },
  plan: (draft, { app, on }, env) => {
    const found = named(draft, on)
    if (refused(found)) return found
    const facts = known(app, env)
    if (refused(facts)) return facts
    goTo(draft, openDesktop(draft, found.id))
    const opened = openApp(draft, { app, on: found.id }, env)
    if (refused(opened)) return opened
    return { ...opened, say: `Opened ${facts.name} on ${found.name}` }
  },
})

/** Whether there is no window on the desktop one is on. */
const isBare = (state: State): boolean => state.desktops[currentId(state)]?.windows.length === 0

const hereOrEverywhere = (state: State) => {
  const here = currentId(state)
  return ({ desktop: lives }: Window): boolean => lives === here || lives === EVERY
}

const cycle = command({
  id: 'app.cycle',
  title: 'Next window of this app',
  group,
  args: { app: maybeId(), back: boolean() },
  plan: (draft, args) => {
    const app = args.app ?? focusedWindow(draft)?.app
    if (!app) return no('No window has the focus. Click one first.')
    // In order of opening, so that cycling meets each window once before it comes round.
    const all = Object.values(draft.windows).filter((other) => other.app === app)
    if (!all.some(({ id }) => id !== focusId(draft))) return no('This app has no other window.')
    const at = all.findIndex(({ id }) => id === focusId(draft)) + (args.back ? -1 : 1)
    const next = all[(at + all.length) % all.length]
    return next && visit(draft, next.id)
  },
})

const slot = command({
  id: 'app.slot',
  title: 'Put an app on a number key',
  group,
  unlisted: true,
  args: { app: maybeId().required(), slot: number().integer().min(1).max(9).required() },
  plan: (draft, args, env) => {
    const app = known(args.app, env)
    if (refused(app)) return app
    const from = draft.slots.indexOf(args.app)
    const to = args.slot - 1
    if (from >= 0) draft.slots[from] = draft.slots[to] ?? null
    draft.slots[to] = args.app
    return { say: `Put ${app.name} on key ${args.slot}` }
  },
})

const add = command({
  id: 'app.add',
  title: 'Add a web address as an app',
  group,
  unlisted: true,
  args: { name: string().required(), address: string().required().max(2000), icon: string() },
  plan: (draft, { name, address, icon }, env) => {
    if (!name.trim()) return noTo('name', 'An app needs a name: type at least one letter.')
    if (name.trim().length > 40)
      return noTo('name', 'That name is too long: use at most 40 letters.')
    if (icon && !icon.startsWith('data:image/'))
      return no('An icon has to be a picture that is embedded.')
    const found = addressOf(address)
    if ('problem' in found) return noTo('address', found.problem)
    const id = env.id('app')
    draft.apps[id] = { id, name: name.trim(), address: found.href, ...(icon && { icon }) }
    const free = draft.slots.indexOf(null)
    if (free >= 0) draft.slots[free] = id
    const key =
      free >= 0 ? '' : '. All nine number keys are taken: drag it onto one, or use its menu'
    return { say: `Added ${name.trim()}${key}` }
  },
})

const remove = command({
  id: 'app.remove',
  title: 'Remove an app that was added',
  group,
  unlisted: true,
  args: { app: maybeId().required() },
  plan: (draft, { app }) => {
    const own = draft.apps[app]
    if (!own) return no('Only apps that were added can be removed.')
    const { name } = own
    if (Object.values(draft.windows).some((other) => other.app === app))
      return no(`${name} has windows open. Close them first, then remove it.`)
    delete draft.apps[app]
    draft.slots = draft.slots.map((slot) => (slot === app ? null : slot))
    draft.homes = draft.homes.filter((home) => home.app !== app)
    delete draft.exceptions[app]
    draft.closed = draft.closed.filter(({ window: closed }) => closed.app !== app)
    return { say: `Removed ${name}` }
  },
})

export const appCommands = [
  launch,
  openOn,
  cycle,
  open,
  openAll,
  slot,
  add,
  remove,
  command({
    id: 'app.askAdd',
    title: 'Add an app…',
    group,
    step: false,
    plan: () => ({ show: { view: 'add app' } }),
  }),
]
