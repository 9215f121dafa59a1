import type { DesktopId, DocumentId, WindowId } from '@/core/model/ids'
import { initialState } from '@/core/model/initial'
import { idsIn, type Named, type Rename, renamedKeys } from '@/core/model/kind'
import { DOCUMENT } from '@/core/model/kinds/document'
import { STOWED, type Stowed } from '@/core/model/kinds/stowed'
import type { State } from '@/core/model/state'
import { stowedFrom } from '@/core/model/stowing'
import type { ShelfFile } from './shelfFile'

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
  return {
    ...initialState(),
    stowed: [{ ...entry, closed: [], origins: [] }],
    documents: only(state.documents, idsIn(STOWED, entry, 'document')),
    apps: only(state.apps, idsIn(STOWED, entry, 'app')),
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

/** What is made anew where its id is taken. */
type Made = 'desktop' | 'window' | 'document' | 'home' | 'block'

/**
 * A file of a desktop as it can stand beside what is here: what has an id that is taken gets another,
 * everything else keeps its own.
 */
export function beside(
  file: ShelfFile,
  here: State,
  documents: Readonly<Record<DocumentId, unknown>>,
  id: (kind: Made) => string,
): ShelfFile {
  const entry = aloneIn(file)
  if (!entry) return file
  const desktops = [...Object.keys(here.desktops), ...here.stowed.map((one) => one.id)]
  const free = (kind: Made, wanted: readonly string[], taken: string[]) =>
    new Map(wanted.map((one) => [one, taken.includes(one) ? id(kind) : one]))
  const names: Partial<Record<Named, Map<string, string>>> = {
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
  const as: Rename = (kind, one) => names[kind]?.get(one) ?? one
  const document = (one: DocumentId) => as('document', one)
  const renamed = STOWED.ids(entry, as)
  return {
    ...file,
    desktop: renamed.id,
    state: {
      ...file.state,
      stowed: [renamed],
      documents: renamedKeys(file.state.documents, document, (info) => DOCUMENT.ids(info, as)),
    },
    documents: renamedKeys(file.documents, document),
  }
}
