import type { Env } from '@/core/commands/command'
import { initialState } from '@/core/model/initial'
import { stowedFrom } from '@/core/model/stowing'
import type { DesktopId, DocumentId, State, Stowed, WindowId } from '@/core/model/types'
import type { ShelfFile } from './shelfFile'

/** The documents of a stowed desktop: what its windows show, and the picture behind them. */
const documentsOf = ({ desktop: { picture }, windows }: Stowed): DocumentId[] => [
  ...new Set([
    ...Object.values(windows).map(({ document }) => document),
    ...(picture ? [picture.document] : []),
  ]),
]

/** The items of a record with these keys. */
const only = <T>(all: Readonly<Record<string, T>>, keys: readonly string[]): Record<string, T> =>
  Object.fromEntries(keys.flatMap((key) => (all[key] ? [[key, all[key]]] : [])))

/**
 * A shelf with nothing but one desktop, put away: what a file of that desktop has for state. What only
 * the shelf it comes from knows (closed windows, windows that fill other desktops) stays there.
 */
export function alone(state: State, id: DesktopId): State | null {
  const entry = state.stowed.find((one) => one.id === id) ?? stowedFrom(state, id)
  if (!entry) return null
  const apps = Object.values(entry.windows).map(({ app }) => app)
  return {
    ...initialState(),
    stowed: [{ ...entry, closed: [], origins: [] }],
    documents: only(state.documents, documentsOf(entry)),
    apps: only(state.apps, apps),
  }
}

/** Every window that is known: open, put away, or closed and kept. */
export const windowsOf = ({ windows, stowed, closed }: State): WindowId[] => [
  ...Object.keys(windows),
  ...stowed.flatMap((one) => Object.keys(one.windows)),
  ...closed.map(({ window }) => window.id),
]

/** The one desktop of a file of a desktop, or null where it is a whole shelf. */
export const aloneIn = ({ desktop, state }: ShelfFile): Stowed | null =>
  (desktop !== undefined && state.stowed.find(({ id }) => id === desktop)) || null

/**
 * A file of a desktop as it can stand beside what is here: what has an id that is taken gets another,
 * everything else keeps its own.
 */
export function beside(
  file: ShelfFile,
  here: State,
  documents: Readonly<Record<DocumentId, unknown>>,
  id: Env['id'],
): ShelfFile {
  const entry = aloneIn(file)
  if (!entry) return file
  const desktops = [...Object.keys(here.desktops), ...here.stowed.map((one) => one.id)]
  const free = (kind: Parameters<Env['id']>[0], wanted: readonly string[], taken: string[]) =>
    new Map(wanted.map((one) => [one, taken.includes(one) ? id(kind) : one]))
  const names = {
    desktop: free('desktop', [entry.id], desktops),
    window: free('window', Object.keys(entry.windows), windowsOf(here)),
    document: free('document', Object.keys(file.state.documents), Object.keys(documents)),
    home: free(
      'home',
      entry.homes.map(({ item }) => item.id),
      here.homes.map((home) => home.id),
    ),
    block: free(
      'block',
      entry.plan.map(({ item }) => item.id),
      here.plan.map((block) => block.id),
    ),
  }
  const named = (kind: keyof typeof names) => (one: string) => names[kind].get(one) ?? one
  const renamed = renamedEntry(entry, named)
  const document = named('document')
  return {
    ...file,
    desktop: renamed.id,
    state: {
      ...file.state,
      stowed: [renamed],
      documents: byNames(file.state.documents, document, (info) => ({
        ...info,
        id: document(info.id),
      })),
    },
    documents: byNames(file.documents, document, (content) => content),
  }
}

const byNames = <T>(
  all: Readonly<Record<string, T>>,
  name: (one: string) => string,
  change: (one: T) => T,
): Record<string, T> =>
  Object.fromEntries(Object.entries(all).map(([one, given]) => [name(one), change(given)]))

type Named = (kind: 'desktop' | 'window' | 'document' | 'home' | 'block') => (one: string) => string

/** A stowed desktop under other names, wherever they stand in it. */
function renamedEntry(entry: Stowed, named: Named): Stowed {
  const [window, document, home] = [named('window'), named('document'), named('home')]
  const id = named('desktop')(entry.id)
  const { desktop } = entry
  return {
    ...entry,
    id,
    desktop: {
      ...desktop,
      id,
      windows: desktop.windows.map(window),
      focus: desktop.focus && window(desktop.focus),
      ...(desktop.picture && {
        picture: { ...desktop.picture, document: document(desktop.picture.document) },
      }),
      ...(desktop.aside && {
        aside: {
          ...desktop.aside,
          windows: desktop.aside.windows.map(window),
          focus: desktop.aside.focus && window(desktop.aside.focus),
        },
      }),
      ...(desktop.before && { before: byNames(desktop.before, window, (stood) => stood) }),
    },
    windows: byNames(entry.windows, window, (one) => ({
      ...one,
      id: window(one.id),
      desktop: id,
      document: document(one.document),
      ...(one.cause?.by === 'home' && { cause: { ...one.cause, home: home(one.cause.home) } }),
    })),
    stacking: entry.stacking.map(({ at, item }) => ({ at, item: window(item) })),
    homes: entry.homes.map(({ at, item }) => ({
      at,
      item: { ...item, id: home(item.id), desktop: id },
    })),
    plan: entry.plan.map(({ at, item }) => ({
      at,
      item: { ...item, id: named('block')(item.id), desktop: id },
    })),
    bindings: entry.bindings.map(({ at, item }) => ({
      at,
      item: { ...item, args: { ...item.args, to: id } },
    })),
  }
}
