import { registry } from '@/core/commands/registry'
import type { DesktopId, DocumentId, WindowId } from '@/core/model/ids'
import type { AppFacts } from '@/core/model/kinds/app'
import { byUse, desktop, presence, title } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { CHOICES } from '@/core/settings/choices'
import { aliasesOf } from './aliases'
import type { Passage } from './texts'

export const KINDS = [
  'windows',
  'desktops',
  'apps',
  'documents',
  'files',
  'commands',
  'settings',
  'stowed',
] as const
export type Kind = (typeof KINDS)[number]

/** Something the Line can go to or do. */
export interface Found {
  kind: Kind
  id: string
  title: string
  command: string
  args: Record<string, unknown>
  /** The argument that is asked for next. */
  asks?: 'to'
  window?: WindowId
  desktop?: string
  app?: string
  /** Words it is found by besides its title. */
  also: string[]
  document?: DocumentId
  /** The words around what was found in its text. */
  passage?: Passage
  /** Whether it is what a whole sentence would do. */
  said?: boolean
  /** Where something stowed is, by name. */
  place?: string
  /** Of a setting: whether it is on, or the one that is chosen. */
  on?: boolean
}

/** A file in a folder that stands by a desktop. */
export interface FolderFile {
  desktop: DesktopId
  /** The name of the folder. */
  folder: string
  /** From there. */
  path: string
}

interface Sources {
  apps: AppFacts[]
  /** All documents, also those that are not at hand. */
  documents?: State['documents']
  files?: readonly FolderFile[]
}

/**
 * What can be found in the shelf, most recently used first. Made once when the Line opens; `rank`
 * then filters it with every keystroke.
 */
export function everything(
  state: State,
  { apps, documents = state.documents, files = [] }: Sources,
): Found[] {
  const windows = openWindows(state, apps)
  const away = stowedWindows(state, apps)
  const shown = new Set([...windows, ...away].map(({ document }) => document))
  return [
    ...windows,
    ...away,
    ...desktopsFor(state, 'desktop.go', {}),
    ...stowedDesktops(state),
    ...apps.map(launch),
    ...unshownDocuments(documents, shown, named(apps)),
    ...files.map(fileFound),
    ...sequences(state),
    ...patterns(state),
    ...commands(),
    ...settings(state),
  ]
}

const fileFound = ({ desktop, folder, path }: FolderFile): Found => {
  const at = path.lastIndexOf('/') + 1
  return {
    kind: 'files',
    id: `${desktop}/${path}`,
    title: path.slice(at),
    place: `${folder}/${path.slice(0, at)}`.slice(0, -1),
    command: 'folder.openFile',
    args: { desktop, path },
    also: [folder, path],
  }
}

/** A file that is not there yet, where a name with an extension is typed. */
export const newFile = (typed: string, { desktop, folder }: Omit<FolderFile, 'path'>): Found => ({
  kind: 'files',
  id: 'new',
  title: `New file “${typed}”`,
  place: folder,
  command: 'folder.newFile',
  args: { desktop, path: typed },
  also: [],
})

function stowedWindows(state: State, apps: AppFacts[]): Found[] {
  const appName = named(apps)
  return state.stowed.flatMap(({ id, desktop: { name }, windows }) =>
    Object.values(windows).map(
      (window): Found => ({
        kind: 'stowed',
        id: window.id,
        title: title(state, window),
        place: name,
        command: 'desktop.bring',
        args: { desktop: id, window: window.id },
        window: window.id,
        app: window.app,
        document: window.document,
        also: [appName(window.app), name],
      }),
    ),
  )
}

const stowedDesktops = ({ stowed }: State): Found[] =>
  stowed.map(({ id, desktop: { name } }) => ({
    kind: 'stowed',
    id,
    title: `Bring ${name} back`,
    place: name,
    command: 'desktop.bring',
    args: { desktop: id },
    also: ['stowed', name],
  }))

const launch = ({ id, name }: AppFacts): Found => ({
  kind: 'apps',
  id,
  title: name,
  command: 'app.launch',
  args: { app: id },
  app: id,
  also: [],
})

/** Documents no window shows, the one opened last first. */
const unshownDocuments = (
  all: State['documents'],
  shown: Set<DocumentId | undefined>,
  appName: (id: string) => string,
): Found[] =>
  Object.values(all)
    .filter(({ id, discarded }) => !shown.has(id) && !discarded)
    .sort((a, b) => b.openedAt - a.openedAt)
    .map(({ id, app, title: name }) => ({
      kind: 'documents',
      id,
      title: name,
      command: 'window.open',
      args: { app, document: id },
      app,
      document: id,
      also: [appName(app)],
    }))

const sequences = (state: State): Found[] =>
  state.sequences.map(({ id, name }) => ({
    kind: 'commands',
    id: `sequence ${id}`,
    title: `Run ${name}`,
    command: 'sequence.run',
    args: { sequence: id },
    also: ['sequence'],
  }))

const patterns = (state: State): Found[] =>
  state.patterns.map(({ id, name }) => ({
    kind: 'commands',
    id: `pattern ${id}`,
    title: `New ${name}…`,
    command: 'patterns.open',
    args: { pattern: id },
    also: ['pattern', 'desktop'],
  }))

const commands = (): Found[] =>
  [...registry.values()]
    .filter(({ unlisted }) => !unlisted)
    .map(({ id, title: name, asks }) => ({
      kind: 'commands',
      id,
      title: asks?.title ?? name,
      command: id,
      args: {},
      ...(asks && { asks: 'to' as const }),
      also: [aliasesOf(id)],
    }))

const settings = (state: State): Found[] =>
  CHOICES.map((choice) => ({
    kind: 'settings',
    id: choice.label,
    title: choice.label,
    command: 'settings.set',
    args: choice.set(state.settings),
    also: ['setting', choice.words],
    on: choice.chosen(state.settings),
  }))

/** What keys say of this window and this desktop, to be found by its words. */
export const aboutHere = (
  rows: Pick<Found & { does: string }, 'command' | 'args' | 'does'>[],
): Found[] =>
  rows.map(({ command, args, does }) => ({
    kind: 'commands',
    id: `${command} ${JSON.stringify(args)}`,
    title: does,
    command,
    args,
    also: [aliasesOf(command)],
  }))

/** The windows that are open, most recently used first. */
export function openWindows(state: State, apps: AppFacts[]): Found[] {
  const appName = named(apps)
  return byUse(state).map((window): Found => {
    const lives = state.desktops[window.desktop]
    return {
      kind: 'windows',
      id: window.id,
      title: title(state, window),
      command: 'window.focus',
      args: { window: window.id },
      window: window.id,
      app: window.app,
      document: window.document,
      ...(lives && { desktop: lives.id }),
      also: [appName(window.app), lives?.name ?? 'every desktop'],
    }
  })
}

const named =
  (apps: AppFacts[]) =>
  (id: string): string =>
    apps.find((app) => app.id === id)?.name ?? id

/** The desktops as answers to “where to?”, latest visited first; for moves also a new one. */
export function desktopsFor(state: State, command: string, args: Record<string, unknown>): Found[] {
  const order = [
    ...presence(state).visited,
    ...state.order.filter((id) => !presence(state).visited.includes(id)),
  ]
  const answers = order.map((id): Found => {
    const { name, letter } = desktop(state, id)
    return {
      kind: 'desktops',
      id,
      title: name,
      command,
      args: { ...args, to: id },
      desktop: id,
      also: [letter ?? ''],
    }
  })
  if (!registry.get(command)?.asks?.orNew) return answers
  const fresh = { kind: 'desktops' as const, id: 'new', title: 'A new desktop', also: ['N'] }
  return [...answers, { ...fresh, command, args: { ...args, to: 'new' } }]
}
