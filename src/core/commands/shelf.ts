import { current, isDraft } from 'mutative'
import { array, boolean, mixed, number, string } from 'yup'
import { merge } from '@/core/formats/merge'
import { maybeId } from '@/core/formats/shape'
import { BadState, readState } from '@/core/formats/shelfFile'
import { currentId, openDesktop, stack } from '@/core/model/selectors'
import {
  DESKTOPS_MOST,
  DISPLAY_LEAST,
  EVERY,
  LONGEST,
  type State,
  type Window,
} from '@/core/model/types'
import { settingsInWords } from '@/core/settings/choices'
import { nameLetters, putBack, settleFocus } from './change'
import { command, no, type Refusal } from './command'
import { fitWindows, openWindow } from './opening'
import { named, refused } from './places'

const group = 'Shelf' as const

export const undo = command({
  id: 'history.undo',
  title: 'Undo the last change of the arrangement',
  group,
  step: false,
  travel: 'undo',
})

export const redo = command({
  id: 'history.redo',
  title: 'Redo',
  group,
  step: false,
  travel: 'redo',
})

/** The desktop tells its size; windows stay where they are placed and within reach. */
export const resizeDisplay = command({
  id: 'display.resize',
  title: 'Set the size of a display',
  group,
  step: false,
  args: {
    display: maybeId().required(),
    width: number().integer().min(DISPLAY_LEAST.width).max(LONGEST).required(),
    height: number().integer().min(DISPLAY_LEAST.height).max(LONGEST).required(),
  },
  can: (state, args) =>
    Object.hasOwn(state.displays, args.display) || no('There is no such display.'),
  run: (draft, { display: id, width, height }) => {
    const display = draft.displays[id]
    if (!display || (display.width === width && display.height === height)) return
    display.width = width
    display.height = height
    fitWindows(draft, display)
    return undefined
  },
})

export const setting = command({
  id: 'settings.set',
  title: 'Change a setting',
  group,
  args: {
    wrap: boolean(),
    wrapRows: boolean(),
    trail: string().oneOf(['all', 'here'] as const),
    launch: string().oneOf(['go', 'here'] as const),
    restAfter: number().integer().min(0).max(1440),
    keys: string().oneOf(['alt', 'leader'] as const),
    cloth: string().oneOf(['system', 'day', 'night'] as const),
    fullScreen: boolean(),
    inspector: boolean(),
  },
  run: (draft, given) => {
    const before = { ...draft.settings }
    Object.assign(draft.settings, given)
    return { say: settingsInWords(before, draft.settings) }
  },
})

export const inspector = command({
  id: 'shelf.inspector',
  title: 'Show or hide the inspector',
  group,
  run: (draft) => {
    draft.settings.inspector = !draft.settings.inspector
    return { say: draft.settings.inspector ? 'Inspector shown' : 'Inspector hidden' }
  },
})

/** Brings another state in: it adds and changes, and takes no window away. */
function bringIn(draft: State, theirs: State): void {
  // What fills a desktop here goes back first, so that both shelves agree on where windows live.
  for (const { windows, kind } of Object.values(draft.desktops))
    if (kind !== 'open') for (const id of [...windows]) putBack(draft, id)
  Object.assign(draft, merge(isDraft(draft) ? current(draft) : draft, theirs))
  nameLetters(draft)
  for (const display of Object.values(draft.displays)) fitWindows(draft, display)
  settleFocus(draft)
}

/** What was given is a state in which the rules hold. */
function sound(given: State): true | Refusal {
  try {
    readState(given)
    return true
  } catch (error) {
    if (!(error instanceof BadState)) throw error
    return no(`That is not the state of a shelf: ${error.message}. Nothing was changed.`)
  }
}

/** What was given is sound, and together with what is here not too much. */
function fitting(here: State, given: State): true | Refusal {
  const can = sound(given)
  if (can !== true) return can
  // Solos and pairs of this shelf are taken apart for it.
  const stays = here.order.filter(
    (id) => !Object.hasOwn(given.desktops, id) && here.desktops[id]?.kind === 'open',
  )
  const over = given.order.length + stays.length - DESKTOPS_MOST
  return (
    over <= 0 ||
    no(
      `There would be ${DESKTOPS_MOST + over} desktops; ${DESKTOPS_MOST} is the most. Nothing was changed. Fold ${over} first.`,
    )
  )
}

/** Brings the state of a shelf file in. */
export const mergeFile = command({
  id: 'shelf.merge',
  title: 'Bring a shelf file in',
  group,
  documents: true,
  args: { state: mixed<State>().required() },
  can: (state, { state: theirs }) => fitting(state, theirs),
  run: (draft, { state: theirs }) => {
    bringIn(draft, readState(theirs))
    return { say: 'Imported the shelf file' }
  },
})

/** An earlier arrangement again; documents and settings are as they are now. */
export const reopenSession = command({
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
  Object.values(from.windows).filter(({ id }) => ids.includes(id) && !state.windows[id])

/** Windows of an earlier arrangement, where they were if that desktop is still there. */
export const reopenWindows = command({
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
    for (const display of Object.values(draft.displays)) fitWindows(draft, display)
    settleFocus(draft)
    return { say: `Reopened ${closed.length === 1 ? '1 window' : `${closed.length} windows`}` }
  },
})

const opens = (
  view:
    | 'keys'
    | 'line'
    | 'loft'
    | 'open file'
    | 'export shelf'
    | 'export damaged'
    | 'keep folder'
    | 'clear up'
    | 'import shelf'
    | 'sessions'
    | 'rack'
    | 'apps'
    | 'menu',
  id: string,
  title: string,
) => command({ id, title, group, step: false, run: () => ({ show: { view } }) })

export const shelfCommands = [
  undo,
  redo,
  opens('keys', 'shelf.keys', 'Key card'),
  opens('loft', 'loft.open', 'Loft: see everything, and back'),
  command({
    id: 'loft.byApp',
    title: 'Loft, windows grouped by app',
    group,
    step: false,
    run: () => ({ show: { view: 'loft', by: 'app' } }),
  }),
  inspector,
  opens('line', 'line.open', 'Find anything'),
  opens('rack', 'rack.walk', 'Go to the rack'),
  opens('apps', 'apps.walk', 'Go to the apps'),
  opens('menu', 'shelf.menu', 'Menu of the whole shelf'),
  command({
    id: 'unstack.open',
    title: 'Unstack: windows side by side',
    group: 'Switching',
    step: false,
    args: { app: boolean() },
    can: (state) => Object.keys(state.windows).length > 0 || no('There are no windows yet.'),
    run: (_draft, { app }) => ({ show: { view: 'unstack', app: app ?? false } }),
  }),
  command({
    id: 'unstack.desktop',
    title: 'Unstack the windows of a desktop',
    group: 'Switching',
    step: false,
    args: { desktop: string() },
    can: (state, args) => {
      const found = named(state, args.desktop)
      if (refused(found)) return found
      return stack(state, found.id).length > 0 || no('There are no windows on it.')
    },
    run: (draft, args) => {
      const found = named(draft, args.desktop)
      if (refused(found)) return
      return { show: { view: 'unstack', app: false, desktop: found.id } }
    },
  }),
  command({
    id: 'trail.open',
    title: 'Recent windows',
    group: 'Switching',
    step: false,
    args: { back: boolean() },
    can: (state) => Object.keys(state.windows).length > 0 || no('There are no windows yet.'),
    run: (_draft, { back }) => ({ show: { view: 'trail', back: back ?? false } }),
  }),
  opens('open file', 'shelf.openFile', 'Open a file from this computer…'),
  opens('export shelf', 'shelf.export', 'Export the shelf file'),
  opens('export damaged', 'shelf.exportDamaged', 'Export saved copies that were damaged'),
  opens('keep folder', 'shelf.keepFolder', 'Keep a copy in a folder, or end it…'),
  opens('clear up', 'documents.clearUp', 'Clear up documents…'),
  opens('import shelf', 'shelf.import', 'Import a shelf file…'),
  opens('sessions', 'sessions.open', 'Earlier sessions…'),
  mergeFile,
  reopenSession,
  reopenWindows,
  setting,
  resizeDisplay,
]
