import { matchSorter } from 'match-sorter'
import { registry } from '@/core/commands/registry'
import { byUse, desktop, title } from '@/core/model/selectors'
import type { AppFacts, DocumentId, State, WindowId } from '@/core/model/types'

export const KINDS = ['windows', 'desktops', 'apps', 'documents', 'commands'] as const
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
}

/** How many of a kind are shown for something typed, and before anything is. */
const MOST = 8
const MOST_UNASKED: Record<Kind, number> = {
  windows: 6,
  desktops: 0,
  apps: 0,
  documents: 3,
  commands: 4,
}

/** Commands that ask where to; the others of the list run as they are. */
const ASKING: Record<string, string> = {
  'window.send': 'Send window to…',
  'window.carry': 'Carry window to…',
  'desktop.go': 'Go to desktop…',
  'desktop.glance': 'Look into desktop…',
}

/** Of these the ones whose answer may be a desktop that is made for it. */
const MAKING = new Set(['window.send', 'window.carry'])

/** Commands that are no use without arguments the Line does not ask for. */
const SILENT = new Set([
  'desktop.rename',
  'desktop.letter',
  'desktop.look',
  'desktop.reorder',
  'desktop.fold',
  'desktop.rest',
  'window.focus',
  'window.focusToward',
  'window.sendAll',
  'window.place',
  'window.move',
  'window.resize',
  'window.open',
  'app.launch',
  'app.slot',
  'app.add',
  'app.remove',
  'shelf.merge',
  'session.reopen',
  'session.windows',
  'settings.set',
  'display.resize',
  'document.set',
  'document.discard',
  'document.askTitle',
  'document.export',
  'line.open',
  'trail.open',
  'grid.columns',
  'home.set',
  'home.remove',
  'home.reorder',
  'home.putRight',
  'pair.divide',
  'unstack.desktop',
])

interface Sources {
  apps: AppFacts[]
  /** Text of documents, as far as it is known. */
  texts: ReadonlyMap<DocumentId, string>
  /** All documents, also those that are not at hand. */
  documents?: State['documents']
}

/**
 * What can be found in the shelf, most recently used first. Made once when the Line opens; `rank`
 * then filters it with every keystroke.
 */
export function everything(
  state: State,
  { apps, texts, documents: all = state.documents }: Sources,
): Found[] {
  const appName = (id: string) => apps.find((app) => app.id === id)?.name ?? id
  const text = (id: DocumentId) => texts.get(id) ?? ''
  const open = byUse(state)
  const windows = open.map((window): Found => {
    const lives = state.desktops[window.desktop]
    return {
      kind: 'windows',
      id: window.id,
      title: title(state, window),
      command: 'window.focus',
      args: { window: window.id },
      window: window.id,
      app: window.app,
      ...(lives && { desktop: lives.id }),
      also: [appName(window.app), lives?.name ?? 'every desktop', text(window.document)],
    }
  })
  const shown = new Set(open.map(({ document }) => document))
  const documents = Object.values(all)
    .filter(({ id, discarded }) => !shown.has(id) && !discarded)
    .sort((a, b) => b.openedAt - a.openedAt)
    .map(
      ({ id, app, title: name }): Found => ({
        kind: 'documents',
        id,
        title: name,
        command: 'window.open',
        args: { app, document: id },
        app,
        also: [appName(app), text(id)],
      }),
    )
  const commands = [...registry.values()]
    .filter(({ id }) => !SILENT.has(id))
    .map(
      ({ id, title: name }): Found => ({
        kind: 'commands',
        id,
        title: ASKING[id] ?? name,
        command: id,
        args: {},
        ...(ASKING[id] && { asks: 'to' }),
        also: [],
      }),
    )
  const launches = apps.map(
    ({ id, name }): Found => ({
      kind: 'apps',
      id,
      title: name,
      command: 'app.launch',
      args: { app: id },
      app: id,
      also: [],
    }),
  )
  return [
    ...windows,
    ...desktopsFor(state, 'desktop.go', {}),
    ...launches,
    ...documents,
    ...commands,
  ]
}

/** The desktops as answers to “where to?”, latest visited first; for moves also a new one. */
export function desktopsFor(state: State, command: string, args: Record<string, unknown>): Found[] {
  const order = [...state.visited, ...state.order.filter((id) => !state.visited.includes(id))]
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
  if (!MAKING.has(command)) return answers
  const fresh = { kind: 'desktops' as const, id: 'new', title: 'A new desktop', also: ['='] }
  return [...answers, { ...fresh, command, args: { ...args, to: 'new' } }]
}

/** Strings to look in, made ready once: without accents and capitals. */
const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

/**
 * The best of each kind for what was typed: by title exactly, from its start, from a word's start
 * or within it; then by the other words something is found by; then titles that contain the
 * letters in order. The more recently used first among equals.
 */
export function rank(all: Found[], typed: string): Found[] {
  const query = plain(typed.trim())
  return KINDS.flatMap((kind) => {
    const some = all.filter((found) => found.kind === kind)
    if (!query) return some.slice(0, MOST_UNASKED[kind])
    const titled = byTitle(
      some.filter((found) => wordsOf(found).title.includes(query)),
      query,
    )
    if (titled.length >= MOST) return titled.slice(0, MOST)
    const rest = some.filter((found) => !wordsOf(found).title.includes(query))
    const also = rest.filter((found) => wordsOf(found).also.includes(query))
    const loose = rest.filter((found) => !wordsOf(found).also.includes(query))
    return [...titled, ...also, ...byTitle(loose, query)].slice(0, MOST)
  })
}

const byTitle = (some: Found[], query: string): Found[] =>
  matchSorter(some, query, { keys: ['title'], baseSort: (a, b) => a.index - b.index })

/** Makes ready what is looked in, so that the first letter typed does not have to. */
export const prepare = (all: Found[]): void => all.forEach(wordsOf)

const words = new WeakMap<Found, { title: string; also: string }>()

function wordsOf(found: Found): { title: string; also: string } {
  let known = words.get(found)
  if (!known) {
    known = { title: plain(found.title), also: plain(found.also.join('\n')) }
    words.set(found, known)
  }
  return known
}
