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
}

/** Commands that are no use without arguments the Line does not ask for. */
const SILENT = new Set([
  'desktop.rename',
  'desktop.letter',
  'desktop.look',
  'desktop.reorder',
  'desktop.fold',
  'window.focus',
  'window.focusToward',
  'window.sendAll',
  'window.place',
  'window.move',
  'window.resize',
  'window.open',
  'app.launch',
  'app.slot',
  'shelf.merge',
  'settings.set',
  'display.resize',
  'document.set',
  'line.open',
  'trail.open',
])

interface Sources {
  apps: AppFacts[]
  /** Text of documents, as far as it is known. */
  texts: ReadonlyMap<DocumentId, string>
}

/**
 * What can be found in the shelf, most recently used first. Made once when the Line opens; `rank`
 * then filters it with every keystroke.
 */
export function everything(state: State, { apps, texts }: Sources): Found[] {
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
  const documents = Object.values(state.documents)
    .filter(({ id }) => !shown.has(id))
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
  if (command === 'desktop.go') return answers
  const fresh = { kind: 'desktops' as const, id: 'new', title: 'A new desktop', also: ['='] }
  return [...answers, { ...fresh, command, args: { ...args, to: 'new' } }]
}

/**
 * The best of each kind for what was typed: exact, prefix, word, then anything that contains the
 * letters in order; the more recently used first among equals.
 */
export function rank(all: Found[], typed: string): Found[] {
  const query = typed.trim()
  return KINDS.flatMap((kind) => {
    const some = all.filter((found) => found.kind === kind)
    if (!query) return some.slice(0, MOST_UNASKED[kind])
    return matchSorter(some, query, {
      keys: [
        'title',
        // In everything but the title the letters have to stand together.
        {
          key: 'also',
          threshold: matchSorter.rankings.CONTAINS,
          maxRanking: matchSorter.rankings.WORD_STARTS_WITH,
        },
      ],
      baseSort: (a, b) => a.index - b.index,
    }).slice(0, MOST)
  })
}
