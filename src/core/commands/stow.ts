import { current, isDraft } from 'mutative'
import { string } from 'yup'
import { currentId, desktop, window as windowOf } from '@/core/model/selectors'
import { EVERY, type State, type Stowed } from '@/core/model/types'
import { goTo, nameLetters, removeDesktops, settleFocus } from './change'
import { command, no, type Refusal } from './command'
import { foldTarget, keepsEnough } from './fold'
import { quoted } from './meant'
import { named, refused, roomFor } from './places'

const group = 'Desktops' as const

/** A copy that does not change with the draft it was taken from. */
const copy = <T>(given: T): T =>
  JSON.parse(JSON.stringify(isDraft(given) ? current(given as object) : given))

/** The items of a list that are taken out of it, each with its place. */
const taken = <T>(list: readonly T[], is: (item: T) => boolean): { at: number; item: T }[] =>
  list.flatMap((item, at) => (is(item) ? { at, item: copy(item) } : []))

/** Puts items back at their places, as far as the list goes. */
function putIn<T>(list: T[], items: readonly { at: number; item: T }[]): void {
  for (const { at, item } of items.toSorted((a, b) => a.at - b.at)) list.splice(at, 0, copy(item))
}

const stow = command({
  id: 'desktop.stow',
  title: 'Stow this desktop: put it away with all that is on it',
  group,
  args: { desktop: string() },
  can: (state, args, env) => {
    const found = named(state, args.desktop)
    if (refused(found)) return found
    if (found.kind !== 'open')
      return no(`${found.name} is filled by a window. Put it back where it came from first.`)
    const busy = found.windows
      .map((id) => windowOf(state, id))
      .find(({ document }) => env.busy(document))
    if (busy) return no(`${quoted(state, busy)} is at work. Let it end, or stop it, first.`)
    return keepsEnough(state, [found.id])
  },
  run: (draft, args) => {
    const found = named(draft, args.desktop)
    if (refused(found)) return
    const { id, name } = found
    const into = foldTarget(draft, [id])
    if (!into) return
    const here = (one: string) => found.windows.includes(one)
    const entry: Stowed = {
      id,
      at: draft.order.indexOf(id),
      desktop: copy(found),
      windows: Object.fromEntries(
        found.windows.map((one) => [one, copy(draft.windows[one])]),
      ) as Stowed['windows'],
      stacking: taken(draft.stacking, here),
      homes: taken(draft.homes, (home) => home.desktop === id),
      bindings: taken(draft.bindings, ({ args: given }) => given?.to === id),
      plan: taken(draft.plan, (block) => block.desktop === id),
      closed: draft.closed.flatMap(({ window }) => (window.desktop === id ? window.id : [])),
      origins: Object.values(draft.desktops).flatMap((other) =>
        Object.entries(other.origins ?? {}).flatMap(([window, origin]) =>
          origin.desktop === id ? { desktop: other.id, window } : [],
        ),
      ),
    }
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

const isRefusal = (found: Stowed | Refusal): found is Refusal => 'reason' in found

const bring = command({
  id: 'desktop.bring',
  title: 'Bring a stowed desktop back',
  group,
  args: {
    desktop: string().required(),
    /** A window of it to go to. */
    window: string(),
  },
  can: (state, args) => {
    const found = stowedOf(state, args.desktop)
    return isRefusal(found) ? found : roomFor(state, 1)
  },
  run: (draft, args) => {
    const found = stowedOf(draft, args.desktop)
    if (isRefusal(found)) return
    const from = currentId(draft)
    const entry = copy(found)
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

export const stowCommands = [stow, bring]
