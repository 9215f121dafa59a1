import { array, mixed } from 'yup'
import { maybeId } from '@/core/formats/shape'
import { readState } from '@/core/formats/shelfFile'
import { currentId, openDesktop } from '@/core/model/selectors'
import { EVERY, type State, type Window } from '@/core/model/types'
import { settleFocus } from './change'
import { command, no } from './command'
import { bringIn, fitting, sound } from './import'
import { openWindow } from './opening'

const group = 'Shelf' as const

/** An earlier arrangement again; documents and settings are as they are now. */
const reopenSession = command({
  id: 'session.reopen',
  title: 'Reopen an earlier session',
  group,
  documents: true,
  args: { state: mixed<State>().required() },
  can: (state, { state: theirs }) => fitting(state, theirs),
  run: (draft, { state: theirs }) => {
    const { documents } = draft
    const earlier = readState(theirs)
    bringIn(draft, {
      ...earlier,
      documents: { ...earlier.documents, ...documents },
      settings: draft.settings,
    })
    return { say: 'Reopened the session' }
  },
})

/** Those windows of an earlier arrangement that are not open now. */
const closedOf = (state: State, from: State, ids: string[]): Window[] =>
  Object.values(from.windows).filter(
    ({ id }) =>
      ids.includes(id) &&
      !state.windows[id] &&
      // What was put away comes back with its desktop.
      !state.stowed.some(({ windows }) => windows[id]),
  )

/** Windows of an earlier arrangement, where they were if that desktop is still there. */
const reopenWindows = command({
  id: 'session.windows',
  title: 'Reopen windows of an earlier session',
  group,
  documents: true,
  args: { windows: array(maybeId().required()).required(), from: mixed<State>().required() },
  can: (state, { windows, from }) => {
    const problem = sound(from)
    if (problem !== true) return problem
    return closedOf(state, from, windows).length > 0 || no('These windows are open already.')
  },
  run: (draft, { windows, from }) => {
    const earlier = readState(from)
    const closed = closedOf(draft, earlier, windows)
    for (const one of closed) {
      const lives = one.desktop === EVERY || draft.desktops[one.desktop]?.kind === 'open'
      const known = earlier.documents[one.document]
      if (known) draft.documents[known.id] ??= known
      openWindow(draft, {
        ...one,
        desktop: lives ? one.desktop : openDesktop(draft, currentId(draft)),
        display: draft.displays[one.display] ? one.display : draft.display,
      })
      draft.closed = draft.closed.filter(({ window }) => window.id !== one.id)
    }
    settleFocus(draft)
    return { say: `Reopened ${closed.length === 1 ? '1 window' : `${closed.length} windows`}` }
  },
})

export const sessionCommands = [reopenSession, reopenWindows]
