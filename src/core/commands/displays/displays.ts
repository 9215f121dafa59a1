/** Displays as they are arranged: which there are, how large, where, and what they show. */

import { number } from 'yup'
import { makeDesktop, settleFocus } from '@/core/commands/change'
import { command, type Env, nameArgument, no, type Refusal, refused } from '@/core/commands/command'
import { meantDisplay, onDisplay, otherDisplay, whichDisplay } from '@/core/commands/meantDisplay'
import { nameProblem } from '@/core/commands/places'
import { atTheRight, closedUp } from '@/core/geometry/displays'
import { LONGEST } from '@/core/geometry/rect'
import { connected, DISPLAYS_MOST, mirroredOn, settleOn } from '@/core/model/displays'
import { DESKTOPS_MOST } from '@/core/model/kinds/desktop'
import { arriving, DISPLAY_LEAST, type Display } from '@/core/model/kinds/display'
import { currentId, desktop } from '@/core/model/selectors'
import { maybeId } from '@/core/model/shaping'
import { hiddenFor, settleShown } from '@/core/model/showing'
import type { State } from '@/core/model/state'

const group = 'Displays' as const

const width = number().integer().min(DISPLAY_LEAST.width).max(LONGEST)
const height = number().integer().min(DISPLAY_LEAST.height).max(LONGEST)
const scale = number().min(0.5).max(4)

/** After displays came, went or changed: edge to edge, each with a desktop, the focus in sight. */
export function settle(draft: State, env?: Env): void {
  const missing = draft.apart ? connected(draft).length - openCount(draft) : 0
  if (env) for (let more = missing; more > 0; more--) makeDesktop(draft, env)
  closeUp(draft)
  settleShown(draft)
  settleFocus(draft)
}

/** Brings displays edge to edge where they are not. */
export function closeUp(draft: State): void {
  const all = connected(draft)
  for (const [at, { x, y }] of closedUp(all).entries()) {
    const display = draft.displays[all[at]?.id ?? '']
    if (display && (display.x !== x || display.y !== y)) Object.assign(display, { x, y })
  }
}

const openCount = ({ desktops }: State): number =>
  Object.values(desktops).filter(({ kind }) => kind === 'open').length

/** Why so many displays cannot each show a desktop of their own, or null. */
function tooMany(state: State, count: number, apart = state.apart): Refusal | null {
  const missing = apart ? Math.max(0, count - openCount(state)) : 0
  return state.order.length + missing <= DESKTOPS_MOST
    ? null
    : no('There is no room for another desktop to show on it. Fold some first.')
}

/** The browser window tells its size; windows stay where they are placed and within reach. */
const resizeDisplay = command({
  id: 'display.resize',
  title: 'Set the size of a display',
  group,
  unlisted: true,
  step: false,
  args: { display: maybeId().required(), width: width.required(), height: height.required() },
  plan: (draft, args) => {
    const display = draft.displays[args.display]
    if (!display) return no('There is no such display.')
    const same = display.width === args.width && display.height === args.height
    if (same && display.measured) return
    Object.assign(display, { width: args.width, height: args.height, measured: true })
    settle(draft)
    return undefined
  },
})

const add = command({
  id: 'display.add',
  title: 'Add a display',
  group,
  unlisted: true,
  args: { name: nameArgument(), width, height, scale },
  plan: (draft, args, env) => {
    const problem = args.name === undefined ? null : nameProblem(args.name, 'display')
    if (problem) return problem
    if (Object.keys(draft.displays).length >= DISPLAYS_MOST)
      return no(`${DISPLAYS_MOST} displays are the most. Remove one first.`)
    const refusal = tooMany(draft, connected(draft).length + 1)
    if (refusal) return refusal
    const id = env.id('display')
    const name = args.name?.trim() || freeName(draft)
    const { width: wide = 1920, height: tall = 1080, scale: by = 1 } = args
    draft.displays[id] = {
      id,
      name,
      width: wide,
      height: tall,
      scale: by,
      ...atTheRight(connected(draft)),
      connected: true,
    }
    draft.displayOrder.push(id)
    draft.presence[id] = arriving(hiddenFor(draft, id) ?? currentId(draft))
    settle(draft, env)
    return { say: `Added ${name}; ${showing(draft, id)}` }
  },
})

const NAMES = ['Wide', 'Side', 'Upper', 'Far', 'Small', 'Lower', 'Spare', 'Low']

function freeName({ displays }: State): string {
  const taken = new Set(Object.values(displays).map(({ name }) => name))
  return NAMES.find((name) => !taken.has(name)) ?? 'Another'
}

/** “it shows Rota”. */
const showing = (state: State, id: string): string =>
  state.apart ? `it shows ${desktop(state, state.presence[id]?.shows ?? '').name}` : 'together'

const change = command({
  id: 'display.set',
  title: 'Change a display',
  group,
  unlisted: true,
  args: { ...whichDisplay, name: nameArgument(), width, height, scale },
  plan: onDisplay((draft, found, args: Partial<Display> & { display?: string }) => {
    const problem = args.name === undefined ? null : nameProblem(args.name, 'display')
    if (problem) return problem
    const { width: wide, height: tall, scale: by } = args
    const sized = wide !== undefined || tall !== undefined || by !== undefined
    if (sized && found.measured)
      return no(
        found.fitted
          ? `${found.name} fits the main window. Turn that off to set its size.`
          : `${found.name} is a browser window and has its size. Make that larger or smaller.`,
      )
    const next = resized(found, args)
    if (next.width < DISPLAY_LEAST.width || next.height < DISPLAY_LEAST.height)
      return no(
        `At that scale it would have ${next.width} × ${next.height} pixels, which is too few.`,
      )
    Object.assign(found, next)
    if (args.name !== undefined) found.name = args.name.trim()
    settle(draft)
    return { say: `${found.name}: ${found.width} × ${found.height}, scale ${found.scale}` }
  }),
})

/** At a larger scale a display has fewer pixels, unless their number is given too. */
function resized(
  found: Display,
  { width: wide, height: tall, scale: by = found.scale }: Partial<Display>,
): Pick<Display, 'width' | 'height' | 'scale'> {
  const ratio = found.scale / by
  return {
    width: wide ?? Math.round(found.width * ratio),
    height: tall ?? Math.round(found.height * ratio),
    scale: by,
  }
}

const remove = command({
  id: 'display.remove',
  title: 'Remove a display',
  group,
  unlisted: true,
  args: whichDisplay,
  plan: onDisplay((draft, found) => {
    const { id, name } = found
    if (found.measured) return no(`${name} is a browser window. It goes when that is closed.`)
    if (id === draft.displayOrder[0])
      return no(`${name} is the main display. Make another the main one first.`)
    const refusal = isOnly(draft, found)
    if (refusal) return refusal
    leave(draft, found)
    for (const window of Object.values(draft.windows))
      if (window.display === id) settleOn(draft, window)
    delete draft.displays[id]
    delete draft.presence[id]
    for (const other of Object.values(draft.displays))
      if (other.mirrors === id) delete other.mirrors
    draft.displayOrder = draft.displayOrder.filter((other) => other !== id)
    for (const home of draft.homes) {
      if (home.display === id) delete home.display
      // A home that waits for it would wait for ever.
      if (home.displays?.includes(id)) home.on = false
    }
    settle(draft)
    return { say: `Removed ${name}; its windows are on ${nameOf(draft)}` }
  }),
})

const nameOf = (state: State): string => state.displays[state.display]?.name ?? ''

export const isOnly = (state: State, { id, name }: Display): Refusal | null =>
  connected(state).some((other) => other.id !== id)
    ? null
    : no(`${name} is the only display. Add or plug in another first.`)

/** A display is not there any more; the keys go to the main one that is. */
export function leave(draft: State, display: Display): void {
  display.connected = false
  if (draft.display !== display.id) return
  const next = connected(draft)[0]
  if (next) draft.display = next.id
}

const unplug = command({
  id: 'display.unplug',
  title: 'Unplug a display',
  group,
  args: whichDisplay,
  plan: onDisplay((draft, found) => {
    const refusal = isOnly(draft, found)
    if (refusal) return refusal
    leave(draft, found)
    settle(draft)
    return { say: `Unplugged ${found.name}; its windows stand on ${nameOf(draft)} meanwhile` }
  }, otherDisplay),
})

/** The one named, or the first that is not plugged in. */
const unplugged = (state: State, args: { display?: string }): Display | Refusal =>
  args.display
    ? meantDisplay(state, args)
    : (Object.values(state.displays).find((display) => !display.connected) ??
      no('All displays are plugged in.'))

const plug = command({
  id: 'display.plug',
  title: 'Plug a display in',
  group,
  args: whichDisplay,
  plan: (draft, args, env) => {
    const found = unplugged(draft, args)
    if (refused(found)) return found
    if (found.connected) return no(`${found.name} is plugged in.`)
    const refusal = tooMany(draft, connected(draft).length + 1)
    if (refusal) return refusal
    found.connected = true
    delete found.mirrors
    settle(draft, env)
    return { say: `Plugged ${found.name} in; ${showing(draft, found.id)}` }
  },
})

const together = command({
  id: 'displays.together',
  title: 'Displays together',
  group,
  plan: (draft) => {
    if (!draft.apart) return no('Displays are together already.')
    draft.apart = false
    settle(draft)
    return { say: `Displays are together: ${desktop(draft, currentId(draft)).name} on all of them` }
  },
})

const apart = command({
  id: 'displays.apart',
  title: 'Displays apart',
  group,
  plan: (draft, _args, env) => {
    if (draft.apart) return no('Displays are apart already.')
    const refusal = tooMany(draft, connected(draft).length, true)
    if (refusal) return refusal
    draft.apart = true
    settle(draft, env)
    return { say: 'Displays are apart: each shows a desktop of its own' }
  },
})

/** Asks the page to show a display in a browser window of its own. */
const open = command({
  id: 'display.open',
  title: 'Open a display in its own window',
  group,
  step: false,
  args: whichDisplay,
  plan: onDisplay(
    (_draft, { id }) => ({ effect: { does: 'open display', display: id } }),
    (state, args) =>
      args.display && mirroredOn(state, args.display)
        ? meantDisplay(state, args)
        : otherDisplay(state, args),
  ),
})

/** Its browser window was closed: it is of the size it had, and can be given another. */
const giveBack = command({
  id: 'display.giveBack',
  title: 'Close a display’s browser window',
  group,
  unlisted: true,
  step: false,
  args: { display: maybeId().required() },
  plan: (draft, args) => {
    const found = draft.displays[args.display]
    if (!found?.measured) return no('It is not in a window of its own.')
    delete found.measured
    return undefined
  },
})

export const displayCommands = [
  open,
  giveBack,
  add,
  change,
  unplug,
  plug,
  remove,
  together,
  apart,
  resizeDisplay,
]
