import { boolean, string } from 'yup'
import { stack } from '@/core/model/selectors'
import { command, no } from './command'
import { named, refused } from './places'

const group = 'Shelf' as const

/** Commands that only ask the page to show something. */
const opens = <Id extends string>(
  view: 'keys' | 'line' | 'loft' | 'clear up' | 'import shelf' | 'sessions' | 'menu' | 'displays',
  id: Id,
  title: string,
) => command({ id, title, group, step: false, run: () => ({ show: { view } }) })

/** Commands that only ask the page to do something at once. */
const does = <Id extends string>(
  effect:
    | 'open file'
    | 'export shelf'
    | 'export damaged'
    | 'keep folder'
    | 'rack'
    | 'apps'
    | 'full screen',
  id: Id,
  title: string,
) => command({ id, title, group, step: false, run: () => ({ effect: { does: effect } }) })

export const viewCommands = [
  opens('keys', 'shelf.keys', 'Key card'),
  opens('loft', 'loft.open', 'Loft: see everything, and back'),
  command({
    id: 'loft.byApp',
    title: 'Loft, windows grouped by app',
    group,
    step: false,
    run: () => ({ show: { view: 'loft', by: 'app' } }),
  }),
  opens('line', 'line.open', 'Find anything'),
  does('rack', 'rack.walk', 'Go to the rack'),
  does('apps', 'apps.walk', 'Go to the apps'),
  opens('menu', 'shelf.menu', 'Menu of the whole shelf'),
  opens('displays', 'displays.arrange', 'Arrange displays'),
  does('full screen', 'shelf.fullScreen', 'Fill the screen with this page, and back'),
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
  does('open file', 'shelf.openFile', 'Open a file from this computer…'),
  does('export shelf', 'shelf.export', 'Export the shelf file'),
  does('export damaged', 'shelf.exportDamaged', 'Export saved copies that were damaged'),
  does('keep folder', 'shelf.keepFolder', 'Keep a copy in a folder, or end it…'),
  opens('clear up', 'documents.clearUp', 'Clear up documents…'),
  opens('import shelf', 'shelf.import', 'Import a shelf file…'),
  opens('sessions', 'sessions.open', 'Earlier sessions…'),
]
