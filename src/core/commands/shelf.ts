import { boolean, number, string } from 'yup'
import { reachable, spanFrame } from '@/core/geometry/rect'
import { command, no } from './command'

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
    for (const window of Object.values(draft.windows)) {
      if (window.display !== id) continue
      const { frame, placed, limits } = window
      const next = placed ? spanFrame(placed, display, limits) : reachable(frame, display)
      if (next.x !== frame.x || next.y !== frame.y || placed) window.frame = next
    }
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

const opens = (
  view: 'keys' | 'open file' | 'export shelf' | 'import shelf',
  id: string,
  title: string,
) => command({ id, title, group, step: false, run: () => ({ show: { view } }) })

export const shelfCommands = [
  undo,
  redo,
  opens('keys', 'shelf.keys', 'Key card'),
  opens('open file', 'shelf.openFile', 'Open a file from this computer…'),
  opens('export shelf', 'shelf.export', 'Export the shelf file'),
  opens('import shelf', 'shelf.import', 'Import a shelf file…'),
  setting,
  resizeDisplay,
  document,
]
