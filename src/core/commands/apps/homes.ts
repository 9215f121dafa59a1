import { array, boolean, number, object } from 'yup'
import { makeDesktop, moveTo, settleFocus } from '@/core/commands/change'
import { command, type Env, nameArgument, no, type Refusal, refused } from '@/core/commands/command'
import { lookingAt, meant, which } from '@/core/commands/meant'
import { nameProblem, roomFor } from '@/core/commands/places'
import { spanFrame } from '@/core/geometry/rect'
import { twinOf } from '@/core/homes/clashes'
import { momentOf } from '@/core/homes/matching'
import { destinationOf, misplaced, putRightPlan } from '@/core/homes/putRight'
import { homeInWords, where } from '@/core/homes/words'
import { sendOver, settleOn } from '@/core/model/displays'
import { desktopOfHome, type Home, NAMED } from '@/core/model/kinds/home'
import type { Window } from '@/core/model/kinds/window'
import { title, window } from '@/core/model/selectors'
import { maybeId, span } from '@/core/model/shaping'
import type { State } from '@/core/model/state'

const group = 'Homes' as const

const minute = number().integer().min(0).max(1439)

/** A home from what was typed, without what was left empty. */
function homeFrom(given: Omit<Partial<Home>, 'id'> & Pick<Home, 'app' | 'desktop'>, id: string) {
  const { title: pattern, name, follow = true, on = true, ...rest } = given
  const home: Home = {
    ...rest,
    id,
    follow,
    on,
    ...(pattern?.trim() && { title: pattern.trim() }),
    ...(name?.trim() && { name: name.trim() }),
  }
  return home
}

const set = command({
  id: 'home.set',
  title: 'Set a home',
  group,
  unlisted: true,
  args: {
    id: maybeId(),
    app: maybeId().required(),
    desktop: maybeId().required(),
    name: nameArgument(),
    display: maybeId(),
    place: object(span).default(undefined),
    title: nameArgument(),
    days: array(number().integer().min(0).max(6).required()),
    from: minute,
    to: minute,
    displays: array(maybeId().required()),
    follow: boolean(),
    on: boolean(),
  },
  plan: (draft, args, env) => {
    const { app, desktop, name, from, to, id, display, displays } = args
    if (!env.app(app)) return no(`There is no app “${app}”.`)
    const before = draft.homes.findIndex((home) => home.id === id)
    if (id && before < 0) return no(GONE)
    if (desktop === NAMED && !name?.trim()) return no('Type the name of the desktop to make.')
    const wrong = desktop === NAMED && nameProblem(name ?? '')
    if (wrong) return wrong
    const lives = desktopOfHome({ desktop })
    if (lives !== null && draft.desktops[lives]?.kind !== 'open')
      return no('There is no such desktop, or a window fills it. Choose another.')
    if ((from === undefined) !== (to === undefined))
      return no('A time of the day needs both ends: from and to.')
    if (from !== undefined && from === to) return no('From and to are the same time.')
    const gone = [display, ...(displays ?? [])].find((one) => one && !draft.displays[one])
    if (gone) return no(`There is no display “${gone}”.`)
    const inWords = (home: Home) => homeInWords(home, env.app(app)?.plural ?? app, draft)
    const twin = twinOf(draft.homes, homeFrom(args, id ?? ''))
    if (twin)
      return no(
        `These windows have a home already: “${inWords(twin)}”. Change that one, or remove it first.`,
      )
    const home = homeFrom(args, id ?? env.id('home'))
    if (before < 0) draft.homes.push(home)
    else draft.homes[before] = home
    return { say: inWords(home) }
  },
})

const GONE = 'That home is gone.'

const remove = command({
  id: 'home.remove',
  title: 'Remove a home',
  group,
  unlisted: true,
  args: { id: maybeId().required() },
  plan: (draft, { id }, env) => {
    const home = draft.homes.find((other) => other.id === id)
    if (!home) return no(GONE)
    draft.homes = draft.homes.filter((other) => other.id !== id)
    const plural = env.app(home.app)?.plural ?? ''
    return { say: `Removed the home of ${plural}` }
  },
})

const reorder = command({
  id: 'home.reorder',
  title: 'Move a home in the order',
  group,
  unlisted: true,
  args: { id: maybeId().required(), by: number().integer().required() },
  plan: (draft, { id, by }) => {
    const at = draft.homes.findIndex((home) => home.id === id)
    if (at < 0) return no(GONE)
    const to = at + by
    if (to < 0 || to >= draft.homes.length || by === 0) return no('It stays where it is.')
    const [home] = draft.homes.splice(at, 1)
    if (home) draft.homes.splice(to, 0, home)
    return { say: `Moved a home to place ${to + 1} of ${draft.homes.length}` }
  },
})

/** Why there is no desktop where a home says, nor room to make it; or null. */
export const barredFrom = (state: State, home: Home): Refusal | null =>
  destinationOf(state, home) === null ? roomFor(state, 1) : null

/** Moves a window to where a home says, into the part of the pad it says. It must be reachable. */
export function settleAt(draft: State, found: Window, home: Home, env: Env): void {
  const to = destinationOf(draft, home) ?? makeDesktop(draft, env, home.name).id
  moveTo(draft, found.id, to)
  found.cause = { by: 'home', home: home.id }
  placeAt(draft, found, home)
}

/** Puts a window on the display and into the part of the pad that a home says. */
export function placeAt(draft: State, found: Window, { display, place }: Home): void {
  if (display && draft.displays[display]?.connected) sendOver(draft, found, display)
  settleOn(draft, found)
  const area = draft.displays[found.display]
  if (!place || !area) return
  found.unplaced ??= { ...found.frame }
  found.placed = place
  found.maximised = false
  found.frame = spanFrame(place, area, found.limits, draft.settings.gap)
}

const AT_HOME = 'Every window is at home. There is nothing to put right.'

const putRight = command({
  id: 'home.putRight',
  title: 'Put windows right',
  group,
  unlisted: true,
  args: { windows: array(maybeId().required()) },
  plan: (draft, { windows }, env) => {
    const away = putRightPlan(draft, momentOf(env.now))
    if (away.length === 0) return no(AT_HOME)
    const wanted = away.filter((move) => !windows || windows.includes(move.window))
    if (wanted.length === 0) return no('None of these windows is away from home.')
    const refusals = wanted.map(({ home }) => barredFrom(draft, home))
    if (!refusals.includes(null)) return refusals[0] ?? undefined
    const moved = wanted.filter(({ window: id, home }) => {
      // Each may make a desktop, so that there may be no room for the next.
      if (barredFrom(draft, home)) return false
      settleAt(draft, window(draft, id), home, env)
      return true
    })
    settleFocus(draft)
    const [first] = moved
    const what =
      moved.length === 1 && first
        ? `“${title(draft, window(draft, first.window))}” ${where(first.home, draft)}`
        : `${moved.length} windows`
    const left = wanted.length - moved.length
    return { say: `Put right: ${what}${left ? `. No room for the desktops of ${left} more` : ''}` }
  },
})

/** Commands that open what concerns the home of a window. */
const asking = <Id extends string>(view: 'home' | 'why', id: Id, commandTitle: string) =>
  command({
    id,
    title: commandTitle,
    group,
    step: false,
    args: which,
    plan: lookingAt((_draft, found) => ({ show: { view, window: found.id } })),
  })

/** The same of an app, which may have no window yet. */
const askOfApp = command({
  id: 'home.askOf',
  title: 'Set a home for an app…',
  group,
  step: false,
  unlisted: true,
  args: { app: maybeId().required() },
  plan: (_draft, { app }, env) =>
    env.app(app) ? { show: { view: 'home of app', app } } : no(`There is no app “${app}”.`),
})

/** Windows of an app open on a desktop from now on, whatever they are called. */
const setFor = command({
  id: 'home.setFor',
  title: 'Set the home of an app',
  group,
  unlisted: true,
  args: { app: maybeId().required(), desktop: maybeId().required() },
  plan: (draft, { app, desktop }, env) => {
    const facts = env.app(app)
    if (!facts) return no(`There is no app “${app}”.`)
    if (draft.desktops[desktop]?.kind !== 'open')
      return no('A window fills that desktop. Choose another.')
    const wanted: Home = { id: '', app, desktop, follow: true, on: true }
    const before = twinOf(draft.homes, wanted)
    if (before?.desktop === desktop && before.on) return no('That desktop is already its home.')
    if (before) Object.assign(before, { desktop, on: true })
    else draft.homes.push({ ...wanted, id: env.id('home') })
    return { say: homeInWords(before ?? wanted, facts.plural, draft) }
  },
})

export const homeCommands = [
  set,
  setFor,
  askOfApp,
  remove,
  reorder,
  putRight,
  asking('home', 'home.ask', 'Set a home for these windows…'),
  asking('why', 'window.why', 'Why is this window here?'),
  command({
    id: 'window.goHome',
    title: 'Send this window home',
    group,
    args: which,
    plan: (draft, args, env) => {
      const found = meant(draft, args.window)
      if (refused(found)) return found
      const move = misplaced(draft, found, momentOf(env.now))
      if (!move) return no('It is at home.')
      const refusal = barredFrom(draft, move.home)
      if (refusal) return refusal
      settleAt(draft, found, move.home, env)
      settleFocus(draft)
      return { say: `Sent “${title(draft, found)}” home, ${where(move.home, draft)}` }
    },
  }),
  command({
    id: 'home.askPutRight',
    title: 'Put windows right…',
    group,
    step: false,
    plan: (draft, _args, env) =>
      putRightPlan(draft, momentOf(env.now)).length > 0
        ? { show: { view: 'put right' } }
        : no(AT_HOME),
  }),
  command({
    id: 'home.list',
    title: 'Homes: where windows open',
    group,
    step: false,
    plan: () => ({ show: { view: 'homes' } }),
  }),
]
