/** The changes commands are composed of. Each keeps the rules; all work on a draft. */

import { callLetters } from '@/core/keys/letters'
import { freshName } from '@/core/keys/names'
import { unlike } from '@/core/look/unlike'
import { displayShowing, standsOn } from '@/core/model/displays'
import type { DesktopId, DisplayId, WindowId } from '@/core/model/ids'
import { type Desktop, newDesktop } from '@/core/model/kinds/desktop'
import { EVERY } from '@/core/model/kinds/window'
import { peek } from '@/core/model/peek'
import {
  current,
  currentId,
  desktop,
  focusId,
  isVisible,
  presence,
  title,
  topmost,
  window,
} from '@/core/model/selectors'
import { hiddenFor, refocus, settleShown, showOn } from '@/core/model/showing'
import { raise, standOn } from '@/core/model/stacking'
import type { State } from '@/core/model/state'
import { runningNow } from '@/core/runs/runs'
import type { Env } from './command'
import { NAME_MOST } from './places'

/** Gives a window the focus and puts it on top; its display takes the keys. It must be visible. */
export function focusOn(draft: State, id: WindowId): void {
  raise(draft, id)
  const raised = peek(draft.windows, id)
  if (raised) takeKeys(draft, standsOn(draft, raised))
  presence(draft).focus = id
  current(draft).focus = id
}

/** Lets a display take the keys. Where displays are together, there is one focus. */
export function takeKeys(draft: State, display: DisplayId): void {
  if (draft.display === display) return
  const from = draft.display
  if (!draft.apart) presence(draft).focus = null
  draft.display = display
  refocus(draft, from)
}

/**
 * After windows moved: focus stays where it can be seen, or goes to the topmost window of this
 * desktop's own. One that stands on every desktop gets it only when it is asked for: keys meant for
 * an empty desktop would act on it everywhere.
 */
export function settleFocus(draft: State): void {
  for (const id in draft.presence) if (id !== draft.display) refocus(draft, id)
  const focused = peek(draft.windows, focusId(draft) ?? '')
  if (focused && isVisible(draft, focused) && standsOn(draft, focused) === draft.display) return
  const here = currentId(draft)
  const next = topmost(draft, here, draft.display) ?? topmost(draft, here)
  presence(draft).focus = null
  desktop(draft, here).focus = null
  if (next) focusOn(draft, next.id)
}

/** Shows a desktop on the display that takes the keys; focus returns to where it was there. */
export function goTo(draft: State, id: DesktopId): void {
  if (!show(draft, id)) return
  const focused = peek(draft.windows, desktop(draft, id).focus ?? '')
  if (focused && isVisible(draft, focused)) focusOn(draft, focused.id)
  else settleFocus(draft)
}

/**
 * Shows a desktop and leaves the focus to the caller. One that another display shows: the keys go
 * there, or the two change places, or it comes here, as the person has set.
 * @returns whether another was shown before
 */
export function show(draft: State, id: DesktopId): boolean {
  const from = currentId(draft)
  if (from === id) return false
  const other = draft.apart ? displayShowing(draft, id) : undefined
  // What a run goes to comes to the display it is shown on.
  const runs = runningNow(draft)?.display === draft.display
  const elsewhere = runs ? 'here' : draft.settings.elsewhere
  if (!other) showOn(draft, draft.display, id)
  else if (elsewhere === 'focus') {
    takeKeys(draft, other)
    // The one before this one is where the keys came from.
    const { visited } = presence(draft)
    const others = visited.filter((one) => one !== id && one !== from)
    presence(draft).visited = [id, from, ...others]
  } else {
    const next = elsewhere === 'here' ? hiddenFor(draft, other) : undefined
    showOn(draft, draft.display, id)
    showOn(draft, other, next ?? from)
    const there = draft.presence[other]
    if (there) there.focus = desktop(draft, there.shows).focus
    refocus(draft, other)
  }
  return true
}

/** Takes a window off the lists of where it lives, so that it can be put elsewhere or closed. */
export function takeOff(draft: State, id: WindowId): void {
  const { desktop: lives } = window(draft, id)
  if (lives === EVERY) draft.everywhere = draft.everywhere.filter((other) => other !== id)
  else {
    const from = desktop(draft, lives)
    from.windows = from.windows.filter((other) => other !== id)
  }
}

/** Moves a window to another desktop; frame and stacking stay. */
export function moveTo(draft: State, id: WindowId, to: DesktopId | typeof EVERY): void {
  const moved = window(draft, id)
  if (moved.desktop === to) return
  const from = moved.desktop
  takeOff(draft, id)
  moved.desktop = to
  if (to === EVERY) draft.everywhere.push(id)
  else desktop(draft, to).windows.push(id)
  if (from !== EVERY) {
    // On every desktop it is there still, and keeps the focus it had there.
    if (to !== EVERY) forget(desktop(draft, from), id)
    settleFull(draft, from)
  } else for (const other of Object.values(draft.desktops)) if (other.id !== to) forget(other, id)
  for (const display in draft.presence)
    if (display !== draft.display && draft.presence[display]?.focus === id) refocus(draft, display)
}

/**
 * After a window left a solo or a pair: a pair of one is a solo, and a solo of none is gone. Who
 * was on it comes to where its windows came from.
 */
export function settleFull(draft: State, id: DesktopId): void {
  const left = draft.desktops[id]
  if (!left || left.kind === 'open') return
  const [other] = left.windows
  if (!other) {
    const into = leftFor(draft, id)
    if (currentId(draft) === id) goTo(draft, into)
    removeDesktops(draft, [id], into)
    nameLetters(draft)
  } else if (left.windows.length === 1) {
    left.kind = 'solo'
    // Named after two windows it would now be called after one that is gone.
    const shown = title(draft, window(draft, other))
    if (left.name.startsWith(`${shown} and `) || left.name.endsWith(` and ${shown}`))
      left.name = asName(shown)
    delete left.divider
    for (const gone of Object.keys(left.origins ?? {}))
      if (gone !== other) delete left.origins?.[gone]
  }
}

/** A title as the name of a desktop. */
export const asName = (text: string): string => text.slice(0, NAME_MOST).trim() || 'Untitled'

/** The open desktop before one in the order, or the first. */
function leftFor({ order, desktops }: State, id: DesktopId): DesktopId {
  const open = (other: DesktopId) => desktops[other]?.kind === 'open'
  return order.slice(0, order.indexOf(id)).findLast(open) ?? order.find(open) ?? id
}

/** Puts a window of a solo or a pair back: same desktop, stacking order and state. */
export function putBack(draft: State, id: WindowId): void {
  const returned = window(draft, id)
  const origin = draft.desktops[returned.desktop]?.origins?.[id]
  if (!origin) return
  moveTo(draft, id, origin.desktop)
  const list = origin.desktop === EVERY ? draft.everywhere : desktop(draft, origin.desktop).windows
  list.splice(list.indexOf(id), 1)
  list.splice(origin.at, 0, id)
  returned.minimised = origin.minimised
  standOn(draft, id, origin.on)
  if (origin.focused && origin.desktop !== EVERY) desktop(draft, origin.desktop).focus = id
}

/** Takes desktops without windows away; whatever pointed at them points at `into`. */
export function removeDesktops(draft: State, ids: DesktopId[], into: DesktopId): void {
  const gone = new Set(ids)
  for (const id of ids) delete draft.desktops[id]
  draft.order = draft.order.filter((id) => !gone.has(id))
  // Another display may show that one already.
  const free = draft.apart ? !displayShowing(draft, into) : true
  for (const there of Object.values(draft.presence)) {
    if (gone.has(there.shows) && free) there.shows = into
    there.visited = [
      there.shows,
      ...there.visited.filter((id) => !gone.has(id) && id !== there.shows),
    ]
  }
  settleShown(draft)
  for (const home of draft.homes) if (gone.has(home.desktop)) home.desktop = into
  for (const block of draft.plan) if (gone.has(block.desktop)) block.desktop = into
  for (const { window: closed } of draft.closed)
    if (closed.desktop !== EVERY && gone.has(closed.desktop)) closed.desktop = into
  for (const { args } of draft.bindings) if (args && gone.has(String(args.to))) args.to = into
  for (const { origins } of Object.values(draft.desktops))
    for (const origin of Object.values(origins ?? {}))
      if (gone.has(origin.desktop)) origin.desktop = into
}

/** The desktop no longer remembers this window as its focused one. */
export function forget(draft: Desktop, id: WindowId): void {
  if (draft.focus === id) draft.focus = null
}

/**
 * Makes a desktop after the current one, or at a place in the order. Its name is new, its letter a
 * free one, its look unlike its neighbours'.
 */
export function makeDesktop(
  draft: State,
  env: Env,
  name?: string,
  at = draft.order.indexOf(currentId(draft)) + 1,
): Desktop {
  const others = draft.order.map((id) => desktop(draft, id))
  const called = name ?? freshName(others)
  const id = env.id('desktop')
  const made = newDesktop({ id, name: called, ...unlike(others, at, called) })
  draft.desktops[made.id] = made
  draft.order.splice(at, 0, made.id)
  nameLetters(draft)
  return desktop(draft, made.id)
}

/** Gives call letters to desktops that have none. */
export function nameLetters(draft: State): void {
  const letters = callLetters(draft.order.map((id) => desktop(draft, id)))
  for (const id of draft.order) {
    const letter = letters[id] ?? null
    if (desktop(draft, id).letter !== letter) desktop(draft, id).letter = letter
  }
}
