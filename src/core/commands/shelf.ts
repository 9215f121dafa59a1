import { original } from 'mutative'
import { boolean, mixed, number, string } from 'yup'
import { merge } from '@/core/formats/shelfFile'
import type { State } from '@/core/model/types'
import { nameLetters, settleFocus } from './change'
import { command, no } from './command'
import { fitWindows } from './opening'

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

/** The stage tells its size; windows stay where they are placed and within reach. */
export const resizeDisplay = command({
  id: 'display.resize',
  title: 'Set the size of a display',
  group,
  step: false,
  args: {
    display: string().required(),
    width: number().integer().min(320).required(),
    height: number().integer().min(200).required(),
  },
  can: (state, args) => !!state.displays[args.display] || no('There is no such display.'),
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
  step: false,
  args: {
    wrap: boolean(),
    keys: string().oneOf(['alt', 'leader'] as const),
    cloth: string().oneOf(['system', 'day', 'night'] as const),
  },
  run: (draft, { wrap, keys, cloth }) => {
    if (wrap !== undefined) draft.settings.wrap = wrap
    if (keys) draft.settings.keys = keys
    if (cloth) draft.settings.cloth = cloth
    return { say: 'Changed the setting' }
  },
})

/** What an app tells of its document: its title, and whether it has changes not saved. */
export const document = command({
  id: 'document.set',
  title: 'Rename a document',
  group,
  step: false,
  args: { document: string().required(), title: string(), unsaved: boolean() },
  can: (state, args) => {
    if (!state.documents[args.document]) return no('There is no such document.')
    return args.title === undefined || args.title.trim() !== '' || no('A document needs a title.')
  },
  run: (draft, { document: id, title, unsaved }) => {
    const known = draft.documents[id]
    if (known && title !== undefined) known.title = title.trim()
    if (known && unsaved !== undefined) known.unsaved = unsaved
    return undefined
  },
})

/** Brings the state of a shelf file in. The file was checked when it was read. */
export const mergeFile = command({
  id: 'shelf.merge',
  title: 'Bring a shelf file in',
  group,
  args: { state: mixed<State>().required() },
  run: (draft, { state: theirs }) => {
    Object.assign(draft, merge(original(draft) ?? draft, theirs))
    nameLetters(draft)
    for (const display of Object.values(draft.displays)) fitWindows(draft, display)
    settleFocus(draft)
    return { say: 'Imported the shelf file' }
  },
})

const opens = (
  view: 'keys' | 'line' | 'loft' | 'open file' | 'export shelf' | 'import shelf',
  id: string,
  title: string,
) => command({ id, title, group, step: false, run: () => ({ show: { view } }) })

export const shelfCommands = [
  undo,
  redo,
  opens('keys', 'shelf.keys', 'Key card'),
  opens('loft', 'loft.open', 'Loft: see everything, and back'),
  opens('line', 'line.open', 'Find anything'),
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
  opens('import shelf', 'shelf.import', 'Import a shelf file…'),
  mergeFile,
  setting,
  resizeDisplay,
  document,
]
