import { boolean, string } from 'yup'
import { command, no, type Refusal, type Result, refused, type View } from '@/core/commands/command'
import { named } from '@/core/commands/places'
import { stack } from '@/core/model/selectors'
import type { State } from '@/core/model/state'

const group = 'Shelf' as const

/** Commands that only ask the page to show something. */
const opens = <Id extends string>(
  view:
    | 'keys'
    | 'line'
    | 'loft'
    | 'clear up'
    | 'import shelf'
    | 'sessions'
    | 'menu'
    | 'displays'
    | 'health',
  id: Id,
  title: string,
) => command({ id, title, group, step: false, plan: () => ({ show: { view } }) })

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
) => command({ id, title, group, step: false, plan: () => ({ effect: { does: effect } }) })

/** What shows windows has to have some. */
const whereWindows = ({ windows }: State, show: View): Result | Refusal =>
  Object.keys(windows).length > 0 ? { show } : no('There are no windows yet.')

export const viewCommands = [
  opens('keys', 'shelf.keys', 'Key card'),
  opens('loft', 'loft.open', 'Loft: see everything'),
  command({
    id: 'loft.byApp',
    title: 'Loft, windows grouped by app',
    group,
    step: false,
    plan: () => ({ show: { view: 'loft', by: 'app' } }),
  }),
  { ...opens('line', 'line.open', 'Find anything'), unlisted: true },
  command({
    id: 'line.about',
    title: 'Find what can be done here',
    group,
    unlisted: true,
    step: false,
    plan: () => ({ show: { view: 'line', about: true } }),
  }),
  does('rack', 'rack.walk', 'Go to the rack'),
  does('apps', 'apps.walk', 'Go to the apps'),
  opens('menu', 'shelf.menu', 'Menu of the whole shelf'),
  opens('displays', 'displays.arrange', 'Arrange displays'),
  does('full screen', 'shelf.fullScreen', 'Fill the screen with this page'),
  command({
    id: 'unstack.open',
    title: 'Unstack: windows side by side',
    group: 'Switching',
    step: false,
    args: { app: boolean() },
    plan: (draft, { app }) => whereWindows(draft, { view: 'unstack', app: app ?? false }),
  }),
  command({
    id: 'unstack.desktop',
    title: 'Unstack the windows of a desktop',
    group: 'Switching',
    unlisted: true,
    step: false,
    args: { desktop: string() },
    plan: (draft, args) => {
      const found = named(draft, args.desktop)
      if (refused(found)) return found
      if (stack(draft, found.id).length === 0) return no('There are no windows on it.')
      return { show: { view: 'unstack', app: false, desktop: found.id } }
    },
  }),
  command({
    id: 'trail.open',
    title: 'Recent windows',
    group: 'Switching',
    unlisted: true,
    step: false,
    args: { back: boolean() },
    plan: (draft, { back }) => whereWindows(draft, { view: 'trail', back: back ?? false }),
  }),
  does('open file', 'shelf.openFile', 'Open a file from this computer…'),
  does('export shelf', 'shelf.export', 'Export the shelf file'),
  does('export damaged', 'shelf.exportDamaged', 'Export damaged saved copies'),
  does('keep folder', 'shelf.keepFolder', 'Keep a copy in a folder…'),
  opens('health', 'shelf.health', 'Check saving and services…'),
  opens('clear up', 'documents.clearUp', 'Clear up documents…'),
  opens('import shelf', 'shelf.import', 'Import a shelf file…'),
  opens('sessions', 'sessions.open', 'Earlier sessions…'),
]
