import { mixed, string } from 'yup'
import { goTo, nameLetters, removeDesktops, settleFocus } from '@/core/commands/change'
import { command, no, type Refusal, refused } from '@/core/commands/command'
import { quoted } from '@/core/commands/meant'
import { named, roomFor } from '@/core/commands/places'
import { sound } from '@/core/commands/shelf/import'
import { windowsOf } from '@/core/formats/desktopFile'
import type { Stowed } from '@/core/model/kinds/stowed'
import { EVERY } from '@/core/model/kinds/window'
import { currentId, desktop, window as windowOf } from '@/core/model/selectors'
import { maybeId } from '@/core/model/shaping'
import type { State } from '@/core/model/state'
import { copyOf, stowedFrom } from '@/core/model/stowing'
import { foldTarget, leavesTooFew } from './fold'

const group = 'Desktops' as const

const FILLED = 'is filled by a window. Put it back where it came from first.'

/** Puts items back at their places, as far as the list goes. */
function putIn<T>(list: T[], items: readonly { at: number; item: T }[]): void {
  for (const { at, item } of items.toSorted((a, b) => a.at - b.at)) list.splice(at, 0, copyOf(item))
}

const stow = command({
  id: 'desktop.stow',
  title: 'Stow this desktop',
  group,
  args: { desktop: string() },
  plan: (draft, args, env) => {
    const found = named(draft, args.desktop)
    if (refused(found)) return found
    const { id, name } = found
    if (found.kind !== 'open') return no(`${name} ${FILLED}`)
    const busy = found.windows
      .map((one) => windowOf(draft, one))
      .find(({ document }) => env.busy(document))
    if (busy) return no(`${quoted(draft, busy)} is at work. Let it end, or stop it, first.`)
    const refusal = leavesTooFew(draft, [id])
    if (refusal) return refusal
    const into = foldTarget(draft, [id])
    const entry = stowedFrom(draft, id)
    if (!into || !entry) return
    const here = (one: string) => found.windows.includes(one)
    draft.stacking = draft.stacking.filter((one) => !here(one))
    draft.homes = draft.homes.filter((home) => home.desktop !== id)
    draft.bindings = draft.bindings.filter(({ args: given }) => given?.to !== id)
    draft.plan = draft.plan.filter((block) => block.desktop !== id)
    for (const one of [...found.windows]) delete draft.windows[one]
    for (const there of Object.values(draft.presence))
      if (there.focus && here(there.focus)) there.focus = null
    found.windows = []
    if (currentId(draft) === id) goTo(draft, into)
    removeDesktops(draft, [id], into)
    draft.stowed.push(entry)
    settleFocus(draft)
    const count = Object.keys(entry.windows).length
    return { say: `Stowed ${name} with ${count === 1 ? '1 window' : `${count} windows`}` }
  },
})

/** A stowed desktop by its id or its name. */
const stowedOf = (state: State, wanted: string): Stowed | Refusal =>
  state.stowed.find(({ id }) => id === wanted) ??
  state.stowed.find((one) => one.desktop.name.toLowerCase() === wanted.toLowerCase()) ??
  no(`No stowed desktop is called “${wanted}”.`)

const bring = command({
  id: 'desktop.bring',
  title: 'Bring a stowed desktop back',
  group,
  unlisted: true,
  args: {
    desktop: string().required(),
    /** A window of it to go to. */
    window: string(),
  },
  plan: (draft, args) => {
    const found = stowedOf(draft, args.desktop)
    if (refused(found)) return found
    const refusal = roomFor(draft, 1)
    if (refusal) return refusal
    const from = currentId(draft)
    const entry = copyOf(found)
    draft.stowed = draft.stowed.filter(({ id }) => id !== entry.id)
    putBackIn(draft, entry)
    goTo(draft, entry.id)
    const window = args.window && draft.windows[args.window]
    if (window && window.desktop === entry.id) {
      window.minimised = false
      desktop(draft, entry.id).focus = window.id
      goTo(draft, from)
      goTo(draft, entry.id)
    }
    return {
      say: `Brought ${entry.desktop.name} back`,
      journal: [{ kind: 'switch', from, to: entry.id }],
    }
  },
})

/** Puts a stowed desktop where it was: exactly, where nothing took its place meanwhile. */
function putBackIn(draft: State, entry: Stowed): void {
  const { id, at, windows, stacking, homes, plan, bindings, closed, origins } = entry
  const taken = Object.values(draft.desktops).some(({ letter }) => letter === entry.desktop.letter)
  draft.desktops[id] = {
    ...entry.desktop,
    ...(taken && { letter: null, letterByHand: false }),
  }
  draft.order.splice(at, 0, id)
  for (const [window, given] of Object.entries(windows))
    draft.windows[window] = {
      ...given,
      display: draft.displays[given.display] ? given.display : draft.display,
    }
  putIn(draft.stacking, stacking)
  putIn(draft.homes, homes)
  putIn(draft.plan, plan)
  putIn(
    draft.bindings,
    bindings.filter(({ item: { keys } }) => !draft.bindings.some((one) => one.keys === keys)),
  )
  for (const one of draft.closed) if (closed.includes(one.window.id)) one.window.desktop = id
  for (const { desktop: other, window } of origins) {
    const origin = draft.desktops[other]?.origins?.[window]
    if (origin && origin.desktop !== EVERY) origin.desktop = id
  }
  nameLetters(draft)
}

const exported = command({
  id: 'desktop.export',
  title: 'Export this desktop as a file',
  group,
  step: false,
  args: { desktop: string() },
  plan: (draft, args) => {
    const stowed = draft.stowed.find(({ id }) => id === args.desktop)
    const found = stowed?.desktop ?? named(draft, args.desktop)
    if (refused(found)) return found
    if (found.kind !== 'open') return no(`${found.name} ${FILLED}`)
    return { effect: { does: 'export desktop', desktop: found.id } }
  },
})

/** Brings the one desktop of a file in: beside what is here, which keeps its names. */
const brought = command({
  id: 'desktop.import',
  title: 'Import a desktop from a file',
  group,
  unlisted: true,
  documents: true,
  args: { state: mixed<State>().required(), desktop: maybeId().required() },
  plan: (draft, { state, desktop: id }) => {
    const theirs = sound(state)
    if (refused(theirs)) return theirs
    const entry = theirs.stowed.find((one) => one.id === id)
    if (!entry) return no('There is no such desktop in the file.')
    const known = new Set(windowsOf(draft))
    const taken =
      draft.desktops[id] ||
      draft.stowed.some((one) => one.id === id) ||
      Object.keys(entry.windows).some((one) => known.has(one))
    const refusal = taken ? no('That desktop is here already.') : roomFor(draft, 1)
    if (refusal) return refusal
    const from = currentId(draft)
    draft.documents = { ...copyOf(theirs.documents), ...draft.documents }
    draft.apps = { ...copyOf(theirs.apps), ...draft.apps }
    putBackIn(draft, copyOf(entry))
    goTo(draft, id)
    return {
      say: `Brought ${entry.desktop.name} in`,
      journal: [{ kind: 'switch', from, to: id }],
    }
  },
})

export const stowCommands = [stow, bring, exported, brought]
