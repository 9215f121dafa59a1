import { array, boolean, number, object, string } from 'yup'
import { DIRECTIONS, type Direction, nearest } from '@/core/geometry/direction'
import { limited, reachable, spanFrame } from '@/core/geometry/rect'
import {
  currentId,
  desktop,
  isShown,
  isVisible,
  shownFrame,
  stack,
  title,
  window,
} from '@/core/model/selectors'
import { CLOSED_KEPT, EVERY, type State, type Window } from '@/core/model/types'
import {
  focusOn,
  forget,
  goTo,
  makeDesktop,
  moveTo,
  raise,
  settleFocus,
  subject,
  takeOff,
} from './change'
import { command, no, type Refusal, type Result } from './command'
import { openWindow, visit } from './opening'
import { refused, resolvePlace } from './places'

const group = 'Windows' as const
const which = { window: string() }

/** The window meant, or why there is none. */
function meant(state: State, id: string | undefined): Window | Refusal {
  const found = subject(state, id)
  if (found) return found
  return no(id ? 'That window is not open any more.' : 'No window has the focus. Click one first.')
}

const there = (state: State, args: { window?: string }): true | Refusal => {
  const found = meant(state, args.window)
  return refused(found) ? found : true
}

/** Runs a change on the window meant; `can` has made sure there is one. */
const on =
  <Args extends { window?: string }>(
    change: (draft: State, found: Window, args: Args) => Result | undefined,
  ) =>
  (draft: State, args: Args): Result | undefined => {
    const found = meant(draft, args.window)
    return refused(found) ? undefined : change(draft, found, args)
  }

const quoted = (state: State, found: Window) => `“${title(state, found)}”`

export const focus = command({
  id: 'window.focus',
  title: 'Go to window',
  group,
  args: which,
  can: there,
  run: on((draft, found) => visit(draft, found)),
})

/** Where a window is to be sent, or why it cannot go there. */
function destination(state: State, args: { window?: string; to: string }): string | Refusal {
  const found = meant(state, args.window)
  if (refused(found)) return found
  const to = resolvePlace(state, args.to)
  if (refused(to)) return to
  return found.desktop === to
    ? no(`${quoted(state, found)} is on ${desktop(state, to).name} already.`)
    : to
}

const canMove = (state: State, args: { window?: string; to: string }): true | Refusal => {
  const to = destination(state, args)
  return refused(to) ? to : true
}

export const send = command({
  id: 'window.send',
  title: 'Send window',
  group,
  args: { ...which, to: string().required() },
  can: canMove,
  run: (draft, args, env) => {
    const found = meant(draft, args.window)
    const place = destination(draft, args)
    if (refused(found) || refused(place)) return
    const to = place === 'new' ? makeDesktop(draft, env).id : place
    const from = found.desktop
    moveTo(draft, found.id, to)
    settleFocus(draft)
    return {
      say: `Sent ${quoted(draft, found)} to ${desktop(draft, to).name}`,
      journal: [{ kind: 'send', window: found.id, app: found.app, from, to }],
      ...(place === 'new' && { show: { view: 'rename', desktop: to } }),
    }
  },
})

export const sendAll = command({
  id: 'window.sendAll',
  title: 'Send several windows',
  group,
  args: { windows: array(string().required()).required().min(1), to: string().required() },
  can: (state, { windows, to }) => {
    const refusals = windows.map((id) => canMove(state, { window: id, to }))
    return refusals.includes(true) || (refusals[0] ?? true)
  },
  run: (draft, { windows, to }, env) => {
    const place = resolvePlace(draft, to)
    if (refused(place)) return
    const target = place === 'new' ? makeDesktop(draft, env).id : place
    const moved = windows
      .map((id) => window(draft, id))
      .filter((found) => found.desktop !== target)
      .map(({ id, app, desktop: from }) => ({
        kind: 'send' as const,
        window: id,
        app,
        from,
        to: target,
      }))
    const [first] = moved
    for (const { window: id } of moved) moveTo(draft, id, target)
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

export const carry = command({
  id: 'window.carry',
  title: 'Carry window',
  group,
  args: {
    ...which,
    to: string().required(),
    at: object({ x: number().required(), y: number().required() }).default(undefined),
  },
  can: canMove,
  run: (draft, args, env) => {
    const found = meant(draft, args.window)
    const place = destination(draft, args)
    if (refused(found) || refused(place)) return
    const here = currentId(draft)
    const to = place === 'new' ? makeDesktop(draft, env).id : place
    const from = found.desktop
    moveTo(draft, found.id, to)
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
      ...(place === 'new' && { show: { view: 'rename', desktop: to } }),
    }
  },
})

/** A window moved or resized by hand is no longer placed or maximised. */
function moveFrame(draft: State, found: Window, change: Partial<Window['frame']>): void {
  const area = draft.displays[found.display]
  if (!area) return
  const size = limited({ ...found.frame, ...change }, found.limits)
  found.frame = reachable({ ...found.frame, ...change, ...size }, area)
  found.placed = null
  found.maximised = false
}

export const move = command({
  id: 'window.move',
  title: 'Move window',
  group,
  args: { ...which, x: number().required(), y: number().required() },
  can: there,
  run: on((draft, found, { x, y }: { window?: string; x: number; y: number }) => {
    moveFrame(draft, found, { x, y })
    return { say: `Moved ${quoted(draft, found)}` }
  }),
})

export const resize = command({
  id: 'window.resize',
  title: 'Resize window',
  group,
  args: {
    ...which,
    x: number(),
    y: number(),
    width: number().required().positive(),
    height: number().required().positive(),
  },
  can: there,
  run: on(
    (draft, found, { x, y, width, height }: Partial<Window['frame']> & { window?: string }) => {
      const { frame } = found
      moveFrame(draft, found, {
        x: x ?? frame.x,
        y: y ?? frame.y,
        width: width ?? frame.width,
        height: height ?? frame.height,
      })
      return { say: `Resized ${quoted(draft, found)}` }
    },
  ),
})

const cell = number().integer().min(0).max(2).required()

export const place = command({
  id: 'window.place',
  title: 'Place window',
  group,
  args: { ...which, top: cell, left: cell, bottom: cell, right: cell },
  can: (state, args) =>
    args.top > args.bottom || args.left > args.right
      ? no('That span is turned round: top and left come first.')
      : there(state, args),
  run: (draft, { window: id, ...span }) => {
    const found = meant(draft, id)
    const area = refused(found) ? undefined : draft.displays[found.display]
    if (refused(found) || !area) return
    found.maximised = false
    found.minimised = false
    found.placed = span
    found.frame = spanFrame(span, area, found.limits)
    return { say: `Placed ${quoted(draft, found)}` }
  },
})

export const minimise = command({
  id: 'window.minimise',
  title: 'Minimise window',
  group,
  args: which,
  can: there,
  run: on((draft, found) => {
    found.minimised = !found.minimised
    if (!found.minimised) {
      raise(draft, found.id)
      if (isShown(draft, found)) focusOn(draft, found.id)
    }
    settleFocus(draft)
    return { say: `${found.minimised ? 'Minimised' : 'Restored'} ${quoted(draft, found)}` }
  }),
})

export const maximise = command({
  id: 'window.maximise',
  title: 'Maximise window, and back',
  group,
  args: which,
  can: (state, args) => {
    const found = meant(state, args.window)
    if (refused(found)) return found
    return (
      (!found.limits.maxWidth && !found.limits.maxHeight) ||
      no(`${quoted(state, found)} has a largest size and cannot be maximised.`)
    )
  },
  run: on((draft, found) => {
    found.maximised = !found.maximised
    found.minimised = false
    raise(draft, found.id)
    return { say: `${found.maximised ? 'Maximised' : 'Restored'} ${quoted(draft, found)}` }
  }),
})

export const close = command({
  id: 'window.close',
  title: 'Close window',
  group,
  args: { ...which, discard: boolean() },
  can: (state, args) => {
    const found = meant(state, args.window)
    if (refused(found)) return found
    const shared = Object.values(state.windows).some(
      (other) => other.document === found.document && other.id !== found.id,
    )
    if (args.discard || shared || !state.documents[found.document]?.unsaved) return true
    return no(`${quoted(state, found)} has changes that are not saved.`, {
      view: 'unsaved',
      window: found.id,
    })
  },
  run: (draft, args, env) => {
    const found = meant(draft, args.window)
    if (refused(found)) return
    const say = `Closed ${quoted(draft, found)}`
    takeOff(draft, found.id)
    for (const other of Object.values(draft.desktops)) forget(other, found.id)
    delete draft.windows[found.id]
    draft.closed = [{ window: found, at: env.now }, ...draft.closed].slice(0, CLOSED_KEPT)
    const document = draft.documents[found.document]
    if (document && args.discard) document.unsaved = false
    settleFocus(draft)
    return { say, journal: [{ kind: 'close', window: found.id, app: found.app }] }
  },
})

export const reopen = command({
  id: 'window.reopen',
  title: 'Reopen closed window',
  group,
  args: which,
  can: (state, args) => {
    if (state.closed.length === 0) return no('No window was closed.')
    const { window: id } = args
    return !id || state.closed.some(({ window }) => window.id === id)
      ? true
      : no('That window is not among the last 25 closed.')
  },
  run: (draft, args) => {
    const closed = draft.closed.find(({ window: { id } }) => !args.window || id === args.window)
    if (!closed) return
    const { window: back } = closed
    draft.closed = draft.closed.filter((other) => other !== closed)
    const area = draft.displays[back.display]
    openWindow(draft, { ...back, frame: area ? reachable(back.frame, area) : back.frame })
    const from = currentId(draft)
    if (back.desktop !== EVERY) goTo(draft, back.desktop)
    const opened = window(draft, back.id)
    opened.minimised = false
    focusOn(draft, back.id)
    const to = currentId(draft)
    return {
      say: `Reopened ${quoted(draft, opened)}`,
      journal: [
        { kind: 'open', window: back.id, app: back.app, to },
        ...(from === to ? [] : [{ kind: 'switch' as const, from, to }]),
      ],
    }
  },
})

export const focusToward = command({
  id: 'window.focusToward',
  title: 'Focus the nearest window',
  group,
  step: false,
  args: { to: string().oneOf(DIRECTIONS).required() },
  can: (state, { to }) => !!toward(state, to) || no(`There is no window ${WHERE[to]}.`),
  run: (draft, { to }) => {
    const next = toward(draft, to)
    return next ? visit(draft, window(draft, next)) : undefined
  },
})

const WHERE = { left: 'to the left', right: 'to the right', up: 'above', down: 'below' }

/** The nearest window seen in a direction from the focused one; the topmost when none has focus. */
function toward(state: State, direction: Direction): string | undefined {
  const seen = stack(state, currentId(state)).filter((other) => isVisible(state, other))
  const from = state.windows[state.focus ?? '']
  if (!from) return seen[0]?.id
  const others = seen.filter(({ id }) => id !== from.id)
  const at = nearest(
    shownFrame(state, from),
    others.map((other) => shownFrame(state, other)),
    direction,
  )
  return at === null ? undefined : others[at]?.id
}

/** Commands that open the place where something about a window is typed or chosen. */
const asking = (
  view: 'pad' | 'title' | 'save document' | 'export document',
  id: string,
  commandTitle: string,
) =>
  command({
    id,
    title: commandTitle,
    group,
    step: false,
    args: which,
    can: there,
    run: on((_draft, found) => ({ show: { view, window: found.id } })),
  })

export const windowCommands = [
  focus,
  focusToward,
  send,
  sendAll,
  carry,
  asking('pad', 'window.pad', 'Place window on the pad'),
  place,
  move,
  resize,
  minimise,
  maximise,
  close,
  reopen,
  asking('save document', 'window.save', 'Save document'),
  asking('title', 'window.askTitle', 'Rename document…'),
  asking('export document', 'window.export', 'Export document to a file'),
]
