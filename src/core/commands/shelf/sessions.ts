import { array, mixed } from 'yup'
import { settleFocus } from '@/core/commands/change'
import { command, no, refused } from '@/core/commands/command'
import { openWindow } from '@/core/commands/opening'
import { EVERY, type Window } from '@/core/model/kinds/window'
import { currentId, openDesktop } from '@/core/model/selectors'
import { maybeId } from '@/core/model/shaping'
import type { State } from '@/core/model/state'
import { bringIn, fitting, sound } from './import'

const group = 'Shelf' as const

/** An earlier arrangement again; documents and settings are as they are now. */
const reopenSession = command({
  id: 'session.reopen',
  title: 'Reopen an earlier session',
  group,
  unlisted: true,
  documents: true,
  args: { state: mixed<State>().required() },
  plan: (draft, { state }) => {
    const earlier = fitting(draft, state)
    if (refused(earlier)) return earlier
    const { documents } = draft
    bringIn(draft, {
      ...earlier,
      documents: { ...earlier.documents, ...documents },
      settings: draft.settings,
    })
    return { say: 'Brought back the earlier arrangement' }
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
  title: 'Reopen windows of a session',
  group,
  unlisted: true,
  documents: true,
  args: { windows: array(maybeId().required()).required(), from: mixed<State>().required() },
  plan: (draft, { windows, from }) => {
    const earlier = sound(from)
    if (refused(earlier)) return earlier
    const closed = closedOf(draft, earlier, windows)
    if (closed.length === 0) return no('These windows are open already.')
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
