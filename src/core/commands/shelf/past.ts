import { mixed } from 'yup'
import { goTo, moveTo, nameLetters, putBack, settleFocus } from '@/core/commands/change'
import { command, no, type Refusal, refused } from '@/core/commands/command'
import { quoted } from '@/core/commands/meant'
import { openWindow, visit } from '@/core/commands/opening'
import { roomFor } from '@/core/commands/places'
import type { DesktopId, WindowId } from '@/core/model/ids'
import type { Desktop } from '@/core/model/kinds/desktop'
import { EVERY, type Window } from '@/core/model/kinds/window'
import { currentId, desktop, window as windowOf } from '@/core/model/selectors'
import { id } from '@/core/model/shaping'
import { raise } from '@/core/model/stacking'
import type { State } from '@/core/model/state'
import { copyOf } from '@/core/model/stowing'
import { homeThen } from '@/core/past/since'
import { sound } from './import'

const group = 'Shelf' as const

const open = command({
  id: 'past.open',
  title: 'Wind back: desktops as they were',
  group,
  step: false,
  plan: () => ({ show: { view: 'past' } }),
})

/** A desktop as it stood, with the windows that were on it; what came since stays, behind them. */
const bringDesktop = command({
  id: 'past.desktop',
  title: 'Bring a desktop back',
  group,
  unlisted: true,
  documents: true,
  args: { desktop: id(), from: mixed<State>().required() },
  plan: (draft, { desktop: wanted, from }) => {
    const then = sound(from)
    if (refused(then)) return then
    const was = then.desktops[wanted]
    if (!was) return no('That desktop wasn’t there then.')
    const { name } = was
    if (was.kind !== 'open')
      return no(`${name} was filled by a window then. Bring its windows back instead.`)
    const refusal = notStowed(draft, (one) => one.id === wanted) ?? beginAgain(draft, then, was)
    if (refusal) return refusal
    const left = draft.stowed.flatMap(({ windows }) => Object.keys(windows))
    const windows = was.windows.filter((one) => !left.includes(one))
    const since = desktop(draft, wanted).windows.filter((one) => !windows.includes(one))
    putAsThen(draft, then, windows, wanted)
    const here = desktop(draft, wanted)
    here.windows = [...windows, ...since]
    here.focus = windows.find((one) => one === was.focus) ?? null
    const before = currentId(draft)
    goTo(draft, wanted)
    settleFocus(draft)
    return {
      say: `${name} is back as it was${since.length ? `, with ${newer(since.length)} behind` : ''}`,
      ...(before !== wanted && { journal: [{ kind: 'switch', from: before, to: wanted }] }),
    }
  },
})

const newer = (count: number) => (count === 1 ? '1 newer window' : `${count} newer windows`)

/** A window as it stood, on the desktop it stood on. */
const bringWindow = command({
  id: 'past.window',
  title: 'Bring a window back',
  group,
  unlisted: true,
  documents: true,
  args: { window: id(), from: mixed<State>().required() },
  plan: (draft, { window: wanted, from }) => {
    const then = sound(from)
    if (refused(then)) return then
    const was = then.windows[wanted]
    if (!was) return no('That window wasn’t open then.')
    const refusal = notStowed(draft, ({ windows }) => Boolean(windows[wanted]))
    if (refusal) return refusal
    const to = homeThen(then, was)
    if (to !== EVERY && draft.desktops[to]?.kind !== 'open') {
      const { name = 'its desktop' } = then.desktops[to] ?? {}
      return no(`It was on ${name}, which is gone. Bring that desktop back instead.`)
    }
    putAsThen(draft, then, [wanted], to)
    const { journal } = visit(draft, wanted)
    return {
      say: `${quoted(draft, windowOf(draft, wanted))} is back where it was`,
      ...(journal && { journal }),
    }
  },
})

/** What was put away comes back whole, and from there. */
function notStowed(state: State, is: (one: State['stowed'][number]) => boolean): Refusal | null {
  const found = state.stowed.find(is)
  return found ? no(`${found.desktop.name} is stowed. Bring it back from the loft first.`) : null
}

/** A desktop looks as it did; one that is gone is there again, in its place. Its letter stays, where it has one. */
function beginAgain(draft: State, then: State, was: Desktop): Refusal | null {
  const here = draft.desktops[was.id]
  const refusal = here ? null : roomFor(draft, 1)
  if (refusal) return refusal
  const taken = Object.values(draft.desktops).some(({ letter }) => letter === was.letter)
  const { letter, letterByHand } = here ?? (taken ? { letter: null, letterByHand: false } : was)
  // What swept windows would come back to may not be as it was.
  const { aside: _aside, before: _before, ...look } = copyOf(was)
  draft.desktops[was.id] = { ...look, letter, letterByHand, windows: [...(here?.windows ?? [])] }
  if (!here) draft.order.splice(then.order.indexOf(was.id), 0, was.id)
  for (const document of [was.picture?.document, was.notes?.document])
    if (document) knowDocument(draft, then, document)
  nameLetters(draft)
  return null
}

function knowDocument(draft: State, then: State, document: string): void {
  const known = then.documents[document]
  if (known) draft.documents[document] ??= copyOf(known)
}

/**
 * Puts windows where they stood, one upon the other as they did, upon all others. Those that are
 * closed are open again.
 */
function putAsThen(
  draft: State,
  then: State,
  ids: readonly WindowId[],
  to: DesktopId | typeof EVERY,
): void {
  for (const one of ids) {
    const was = then.windows[one]
    if (!was) continue
    const display = draft.displays[was.display] ? was.display : draft.display
    const stands: Window = { ...copyOf(was), desktop: to, display }
    knowDocument(draft, then, was.document)
    const app = then.apps[was.app]
    if (app) draft.apps[was.app] ??= copyOf(app)
    if (draft.windows[one]) {
      // One that fills a desktop, or shares one, leaves it first.
      putBack(draft, one)
      moveTo(draft, one, to)
      draft.windows[one] = stands
    } else openWindow(draft, stands)
    draft.closed = draft.closed.filter(({ window }) => window.id !== one)
  }
  for (const one of then.stacking) if (ids.includes(one)) raise(draft, one)
}

export const pastCommands = [open, bringDesktop, bringWindow]
