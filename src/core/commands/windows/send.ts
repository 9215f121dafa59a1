import { array, boolean, number, object, string } from 'yup'
import { focusOn, goTo, makeDesktop, moveTo, settleFocus } from '@/core/commands/change'
import { command, type Env, no, type Refusal, type Result, refused } from '@/core/commands/command'
import { meant, on, quoted, which } from '@/core/commands/meant'
import { resolvePlace } from '@/core/commands/places'
import { excepted } from '@/core/model/exceptions'
import type { Exception } from '@/core/model/kinds/app'
import { EVERY, type Window } from '@/core/model/kinds/window'
import { currentId, desktop, openDesktop, window } from '@/core/model/selectors'
import { maybeId } from '@/core/model/shaping'
import type { State } from '@/core/model/state'
import { moveFrame } from './place'

const group = 'Windows' as const

/**
 * Where a window is to be sent, or why it cannot go there.
 * @param along whether the person goes there with it
 */
function destination(state: State, found: Window, place: string, along = false): string | Refusal {
  const to = resolvePlace(state, place)
  if (refused(to)) return to
  if (to === 'new') return to
  if (found.desktop === to)
    return no(`${quoted(state, found)} is on ${desktop(state, to).name} already.`)
  const { kind, name } = desktop(state, to)
  if (kind === 'open') return to
  return no(`${kind === 'solo' ? 'One window fills' : 'Two windows fill'} ${name}.`, {
    view: 'full',
    window: found.id,
    desktop: to,
    ...(along && { along }),
  })
}

const send = command({
  id: 'window.send',
  title: 'Send window',
  group,
  asks: { title: 'Send window to…', orNew: true },
  args: { ...which, to: string().required() },
  plan: on((draft, found, args: { window?: string; to: string }, env) => {
    const place = destination(draft, found, args.to)
    return refused(place) ? place : sent(draft, found, place, env)
  }),
})

function sent(draft: State, found: Window, place: string, env: Env): Result {
  const to = place === 'new' ? makeDesktop(draft, env).id : place
  const from = found.desktop
  moveTo(draft, found.id, to)
  found.cause = { by: 'hand' }
  settleFocus(draft)
  return {
    say: `Sent ${quoted(draft, found)} to ${desktop(draft, to).name}`,
    journal: [{ kind: 'send', window: found.id, app: found.app, from, to }],
    ...(place === 'new' && { show: { view: 'rename', desktop: to, fresh: true } }),
  }
}

const sendAll = command({
  id: 'window.sendAll',
  title: 'Send several windows',
  group,
  unlisted: true,
  args: { windows: array(maybeId().required()).required().min(1), to: string().required() },
  plan: (draft, { windows, to }, env) => {
    const places = windows.map((id) => {
      const found = meant(draft, id)
      return refused(found) ? found : destination(draft, found, to)
    })
    const place = places.find((one) => !refused(one)) ?? places[0]
    if (place === undefined || refused(place)) return place
    const movable = windows.filter((_, at) => !refused(places[at]))
    const target = place === 'new' ? makeDesktop(draft, env).id : place
    const moved = movable.map((id) => {
      const { app, desktop: from } = window(draft, id)
      return { kind: 'send' as const, window: id, app, from, to: target }
    })
    const [first] = moved
    for (const { window: id } of moved) {
      moveTo(draft, id, target)
      window(draft, id).cause = { by: 'hand' }
    }
    settleFocus(draft)
    const what =
      moved.length === 1 && first
        ? quoted(draft, window(draft, first.window))
        : `${moved.length} windows`
    return {
      say: `Sent ${what} to ${desktop(draft, target).name}`,
      journal: moved,
      ...(place === 'new' && { show: { view: 'rename', desktop: target } }),
    }
  },
})

const carry = command({
  id: 'window.carry',
  title: 'Carry window',
  group,
  asks: { title: 'Carry window to…', orNew: true },
  args: {
    ...which,
    to: string().required(),
    at: object({ x: number().required(), y: number().required() }).default(undefined),
    /** Whatever its app does otherwise. */
    anyway: boolean(),
  },
  plan: (draft, args, env) => {
    const found = meant(draft, args.window)
    if (refused(found)) return found
    const place = destination(draft, found, args.to, true)
    if (refused(place)) return place
    const does = (exception: Exception) => !args.anyway && excepted(draft, found.app, exception)
    if (does('always sent')) {
      const result = sent(draft, found, place, env)
      return { ...result, say: `${result.say}, as its app always is` }
    }
    if (does('never carried')) return wentWithout(draft, found, place, env)
    const here = currentId(draft)
    const to = place === 'new' ? makeDesktop(draft, env).id : place
    const from = found.desktop
    moveTo(draft, found.id, to)
    found.cause = { by: 'hand' }
    if (args.at) moveFrame(draft, found, args.at)
    found.minimised = false
    desktop(draft, to).focus = found.id
    goTo(draft, to)
    focusOn(draft, found.id)
    return {
      say: `Carried ${quoted(draft, found)} to ${desktop(draft, to).name}`,
      journal: [
        { kind: 'carry', window: found.id, app: found.app, from, to },
        ...(here === to ? [] : [{ kind: 'switch' as const, from: here, to }]),
      ],
      ...(place === 'new' && { show: { view: 'rename', desktop: to, fresh: true } }),
    }
  },
})

/** Of an app that is never carried the window stays, and the person goes. */
function wentWithout(draft: State, found: Window, place: string, env: Env): Result {
  const from = currentId(draft)
  const to = place === 'new' ? makeDesktop(draft, env).id : place
  goTo(draft, to)
  return {
    say: `Went to ${desktop(draft, to).name} without ${quoted(draft, found)}: its app is never carried`,
    journal: from === to ? [] : [{ kind: 'switch', from, to }],
    ...(place === 'new' && { show: { view: 'rename', desktop: to, fresh: true } }),
  }
}

/** Puts windows on every desktop; those that all are there already come to the current one. */
function everywhere(draft: State, ids: string[]): Result {
  const back = ids.every((id) => window(draft, id).desktop === EVERY)
  const to = back ? openDesktop(draft, currentId(draft)) : EVERY
  for (const id of ids) {
    moveTo(draft, id, to)
    window(draft, id).cause = { by: 'hand' }
  }
  settleFocus(draft)
  const [first] = ids
  const what =
    ids.length === 1 && first ? quoted(draft, window(draft, first)) : `${ids.length} windows`
  const is = ids.length === 1 ? 'is' : 'are'
  return {
    say: back
      ? `${what} ${is} on ${desktop(draft, to).name} only`
      : `${what} ${is} on every desktop`,
  }
}

const onEvery = command({
  id: 'window.everywhere',
  title: 'Show on every desktop',
  group,
  args: { ...which, windows: array(maybeId().required()).min(1) },
  plan: (draft, { window: id, windows }) => {
    const ids: string[] = []
    for (const one of windows ?? [id]) {
      const found = meant(draft, one)
      if (refused(found)) return found
      ids.push(found.id)
    }
    return everywhere(draft, ids)
  },
})

const appOnEvery = command({
  id: 'app.everywhere',
  title: 'Show this app on every desktop',
  group: 'Apps',
  args: { ...which, app: maybeId() },
  plan: (draft, args) => {
    const of = args.app === undefined ? meant(draft, args.window) : { app: args.app }
    if (refused(of)) return of
    const ids = Object.values(draft.windows).flatMap(({ id, app }) => (app === of.app ? id : []))
    return ids.length > 0 ? everywhere(draft, ids) : no('This app has no window open.')
  },
})

export const sendCommands = [send, sendAll, carry, onEvery, appOnEvery]
