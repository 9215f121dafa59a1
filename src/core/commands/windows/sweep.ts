import { settleFocus, takeKeys } from '@/core/commands/change'
import { command, no, type Refusal } from '@/core/commands/command'
import { keysFor } from '@/core/keys/bindings'
import { standsOn } from '@/core/model/displays'
import type { Aside } from '@/core/model/kinds/desktop'
import type { Window } from '@/core/model/kinds/window'
import {
  currentId,
  desktop,
  focusedWindow,
  focusId,
  isVisible,
  presence,
  stack,
  title,
} from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { counted } from '@/core/text/counted'

const group = 'Windows' as const

/** What was put aside on the current desktop and is still minimised there. */
function putAside(state: State): Window[] {
  const here = desktop(state, currentId(state))
  return (here.aside?.windows ?? []).flatMap((id) => {
    const one = state.windows[id]
    const lives = one && (one.desktop === here.id || one.desktop === 'every')
    return one?.minimised && lives ? one : []
  })
}

/** What can be seen here; with displays apart, on this one. */
const seen = (state: State): Window[] =>
  stack(state, currentId(state)).filter(
    (one) => isVisible(state, one) && (!state.apart || standsOn(state, one) === state.display),
  )

/** Minimises windows together and notes them; nothing is raised, so that all comes back exactly. */
function minimise(draft: State, by: Aside['by'], windows: Window[]): void {
  const here = desktop(draft, currentId(draft))
  here.aside = { by, windows: windows.map(({ id }) => id), focus: focusId(draft) }
  for (const one of windows) one.minimised = true
  settleFocus(draft)
}

/** Brings back what was put aside, in the stacking order it has kept, and the focus with it. */
function bringBack(draft: State): number {
  const back = putAside(draft)
  const here = desktop(draft, currentId(draft))
  for (const one of back) one.minimised = false
  const focus = here.aside?.focus
  delete here.aside
  const focused = focus ? draft.windows[focus] : undefined
  if (focused && isVisible(draft, focused)) {
    takeKeys(draft, standsOn(draft, focused))
    presence(draft).focus = focused.id
    here.focus = focused.id
  } else settleFocus(draft)
  return back.length
}

/** Why nothing can be put aside here, or null. */
const filled = (state: State): Refusal | null =>
  desktop(state, currentId(state)).kind === 'open'
    ? null
    : no(`A solo or a pair has nothing to put aside. ${keysFor(state, 'window.solo')} leaves it.`)

const active = (state: State, by: Aside['by']): boolean =>
  desktop(state, currentId(state)).aside?.by === by && putAside(state).length > 0

const sweep = command({
  id: 'windows.sweep',
  title: 'Sweep: minimise everything here',
  group,
  plan: (draft) => {
    const refusal = filled(draft)
    if (refusal) return refusal
    if (active(draft, 'sweep'))
      return { say: `Brought ${counted(bringBack(draft), 'window')} back` }
    const windows = seen(draft)
    if (windows.length === 0) return no('There is nothing here to minimise.')
    minimise(draft, 'sweep', [...windows, ...putAside(draft)])
    return { say: `Swept ${counted(windows.length, 'window')}` }
  },
})

const isolate = command({
  id: 'windows.isolate',
  title: 'Isolate: only this app’s windows',
  group,
  plan: (draft) => {
    const refusal = filled(draft)
    if (refusal) return refusal
    const focused = focusedWindow(draft)
    const on = active(draft, 'isolate')
    const beside = seen(draft).filter(({ id }) => id !== focused?.id)
    // A second time only the focused window stays; after that all come back.
    if (on && (!focused || beside.length === 0))
      return { say: `Brought ${counted(bringBack(draft), 'window')} back` }
    if (!focused) return no('No window has the focus. Click one first.')
    const others = on ? [] : beside.filter(({ app }) => app !== focused.app)
    const narrow = others.length === 0
    const aside = narrow ? beside : others
    if (aside.length === 0) return no('This is the only window here.')
    minimise(draft, 'isolate', [...aside, ...putAside(draft)])
    return {
      say: `Only ${narrow ? '' : 'windows like '}“${title(draft, focused)}”: ${counted(aside.length, 'window')} aside`,
    }
  },
})

export const sweepCommands = [sweep, isolate]
