import { matchSorter } from 'match-sorter'
import { registry } from '@/core/commands/registry'
import { byUse, desktop, presence, title } from '@/core/model/selectors'
import type { AppFacts, DocumentId, State, WindowId } from '@/core/model/types'
import { CHOICES } from '@/core/settings/choices'
import { plain } from './words'

export const KINDS = ['windows', 'desktops', 'apps', 'documents', 'commands', 'settings'] as const
type Kind = (typeof KINDS)[number]

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
  /** What stands in it, as far as it is known. */
  text?: string
  /** The words around what was found in its text. */
  passage?: Passage
  /** Of a setting: whether it is on, or the one that is chosen. */
  on?: boolean
}

/** A place in a text, cut to a line. */
interface Passage {
  before: string
  match: string
  after: string
}

/** How many of a kind are shown for something typed, and before anything is. */
const MOST = 8
const MOST_UNASKED: Record<Kind, number> = {
  windows: 6,
  desktops: 0,
  apps: 0,
  documents: 3,
  commands: 4,
  settings: 0,
}

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
  const appName = named(apps)
  const text = (id: DocumentId) => texts.get(id) ?? ''
  const windows = openWindows(state, { apps, texts })
  const away = state.stowed.flatMap(({ id, desktop: { name }, windows: its }) =>
    Object.values(its).map(
      (window): Found => ({
        kind: 'windows',
        id: window.id,
        title: title(state, window),
        command: 'desktop.bring',
        args: { desktop: id, window: window.id },
        window: window.id,
        app: window.app,
        document: window.document,
        also: [appName(window.app), name, 'stowed'],
        text: text(window.document),
      }),
    ),
  )
  const stowed = state.stowed.map(
    ({ id, desktop: { name } }): Found => ({
      kind: 'desktops',
      id,
      title: `Bring ${name} back`,
      command: 'desktop.bring',
      args: { desktop: id },
      also: ['stowed', name],
    }),
  )
  const shown = new Set([...windows, ...away].map(({ document }) => document))
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
        document: id,
        also: [appName(app)],
        text: text(id),
      }),
    )
  const commands = [...registry.values()]
    .filter(({ unlisted }) => !unlisted)
    .map(
      ({ id, title: name, asks }): Found => ({
        kind: 'commands',
        id,
        title: asks?.title ?? name,
        command: id,
        args: {},
        ...(asks && { asks: 'to' }),
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
  const settings = CHOICES.map(
    (choice): Found => ({
      kind: 'settings',
      id: choice.label,
      title: choice.label,
      command: 'settings.set',
      args: choice.set(state.settings),
      also: ['setting', choice.words],
      on: choice.chosen(state.settings),
    }),
  )
  const sequences = state.sequences.map(
    ({ id, name }): Found => ({
      kind: 'commands',
      id: `sequence ${id}`,
      title: `Run ${name}`,
      command: 'sequence.run',
      args: { sequence: id },
      also: ['sequence'],
    }),
  )
  const patterns = state.patterns.map(
    ({ id, name }): Found => ({
      kind: 'commands',
      id: `pattern ${id}`,
      title: `New ${name}…`,
      command: 'patterns.open',
      args: { pattern: id },
      also: ['pattern', 'desktop'],
    }),
  )
  return [
    ...windows,
    ...away,
    ...desktopsFor(state, 'desktop.go', {}),
    ...stowed,
    ...launches,
    ...documents,
    ...sequences,
    ...patterns,
    ...commands,
    ...settings,
  ]
}

/** The windows that are open, most recently used first. */
export function openWindows(
  state: State,
  { apps, texts }: Pick<Sources, 'apps' | 'texts'>,
): Found[] {
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
      text: texts.get(window.document) ?? '',
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
  const fresh = { kind: 'desktops' as const, id: 'new', title: 'A new desktop', also: ['='] }
  return [...answers, { ...fresh, command, args: { ...args, to: 'new' } }]
}

/**
 * The best of each kind for what was typed: by title exactly, from its start, from a word's start
 * or within it; then those that have all its words, in any order, in their title, beside it (app,
 * desktop) or in their text, which is then shown with the passage. Where nothing is found so, titles
 * that contain the letters in order. The more recently used first among equals.
 */
export function rank(all: Found[], typed: string): Found[] {
  const query = plain(typed.trim())
  if (!query) return KINDS.flatMap((kind) => ofKind(all, kind).slice(0, MOST_UNASKED[kind]))
  const words = query.split(/\s+/)
  const found = KINDS.flatMap((kind) => best(ofKind(all, kind), query, words))
  if (found.length > 0) return found
  return KINDS.flatMap((kind) => byTitle(ofKind(all, kind), query).slice(0, MOST))
}

const ofKind = (all: Found[], kind: Kind): Found[] => all.filter((found) => found.kind === kind)

/** How well something fits: 0 by its title, then by what stands beside it, then by its text. */
function tier(found: Found, query: string, words: string[]): number | null {
  const { title, also, text } = wordsOf(found)
  if (title.includes(query)) return 0
  if (words.every((word) => title.includes(word))) return 1
  if (words.every((word) => title.includes(word) || also.includes(word))) return 2
  const everywhere = (word: string) =>
    title.includes(word) || also.includes(word) || text.includes(word)
  if (!words.every(everywhere)) return null
  return text.includes(query) ? 3 : 4
}

function best(some: Found[], query: string, words: string[]): Found[] {
  const tiers: Found[][] = [[], [], [], [], []]
  for (const found of some) tiers[tier(found, query, words) ?? -1]?.push(found)
  const [titled = [], ...others] = tiers
  return [...byTitle(titled, query), ...others.flat()].slice(0, MOST).map((found) => {
    const at = passageOf(found, query, words)
    return at ? { ...found, passage: at } : found
  })
}

const byTitle = (some: Found[], query: string): Found[] =>
  matchSorter(some, query, { keys: ['title'], baseSort: (a, b) => a.index - b.index })

/** How much of a text is shown around what was found, in characters. */
const AROUND = 48

/** The passage of its text that something is found by; undefined where its names say it already. */
function passageOf(found: Found, query: string, words: string[]): Passage | undefined {
  const { title, also, text } = wordsOf(found)
  const missing = words.filter((word) => !title.includes(word) && !also.includes(word))
  const wanted = text.includes(query) ? query : missing[0]
  if (missing.length === 0 || wanted === undefined) return undefined
  // Without accents a text may be shorter: it is found again as it is written where it can be.
  const written = found.text ?? ''
  const at = written.toLowerCase().indexOf(wanted)
  if (at < 0) return { before: '', match: '', after: written.slice(0, 2 * AROUND) }
  const line = (from: number, to: number) =>
    written.slice(Math.max(0, from), to).replace(/\s+/g, ' ')
  const end = at + wanted.length
  return {
    before: `${at > AROUND ? '…' : ''}${line(at - AROUND, at)}`,
    match: written.slice(at, end),
    after: `${line(end, end + AROUND)}${end + AROUND < written.length ? '…' : ''}`,
  }
}

/** Makes ready what is looked in, so that the first letter typed does not have to. */
export const prepare = (all: Found[]): void => all.forEach(wordsOf)

const ready = new WeakMap<Found, Record<'title' | 'also' | 'text', string>>()

function wordsOf(found: Found): Record<'title' | 'also' | 'text', string> {
  let known = ready.get(found)
  if (!known) {
    const { title, also, text = '' } = found
    known = { title: plain(title), also: plain(also.join('\n')), text: plain(text) }
    ready.set(found, known)
  }
  return known
}
