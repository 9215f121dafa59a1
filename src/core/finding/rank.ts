import { near as isNear, plain } from '@/core/text/plain'
import { type Found, KINDS, type Kind } from './find'
import type { Hit, Hits, Passage } from './texts'

const NO_HITS: Hits = new Map()

/** How many of a kind are shown for something typed, and before anything is. */
const MOST = 8
const MOST_UNASKED: Record<Kind, number> = {
  windows: 6,
  desktops: 0,
  apps: 0,
  documents: 3,
  files: 0,
  commands: 4,
  settings: 0,
  stowed: 0,
}

/**
 * The best of each kind for what was typed, the kind with the best of all first. The name of a desktop
 * as it is comes first, then a command whose verb is typed, then what is called so, begins so, has a
 * word that does, has all the words in its name, beside it (app, desktop, what people call it) or in
 * its text, which is then shown with the passage. What is stowed comes last. Where nothing is found
 * so, a slip of the finger is allowed. The more recently used first among equals.
 * @param said what a whole sentence would do; it comes before all but the name of a desktop
 * @param hits what was found in documents for the same
 */
export function rank(
  all: Found[],
  typed: string,
  { said = [], hits = NO_HITS }: { said?: Found[]; hits?: Hits } = {},
): Found[] {
  const query = plain(typed.trim())
  if (!query) return KINDS.flatMap((kind) => ofKind(all, kind).slice(0, MOST_UNASKED[kind]))
  const words = query.split(/\s+/)
  const hitOf = ({ document = '' }: Found) => hits.get(document)
  const scored = (score: (found: Found) => number | null): Scored[] =>
    [...said, ...all].flatMap((found) => {
      const fit = found.said ? SAID : score(found)
      return fit === null ? [] : { found, fit }
    })
  const found = scored((one) => fitOf(one, query, words, hitOf(one)))
  const slips = () => scored((one) => nearFit(one, words))
  const scattered = () => scored((one) => (inOrder(wordsOf(one).title, query) ? 25 : null))
  // Each is worked out only where the one before it finds nothing.
  const near = found.length > 0 ? found : slips()
  return grouped(near.length > 0 ? near : scattered()).map((one) => {
    const passage = passageOf(one, query, words, hitOf(one))
    return passage ? { ...one, passage } : one
  })
}

const ofKind = (all: Found[], kind: Kind): Found[] => all.filter((found) => found.kind === kind)

interface Scored {
  found: Found
  /** The lower the better. */
  fit: number
}

/** The kinds by their best, each with the best of it. */
function grouped(all: Scored[]): Found[] {
  const groups = KINDS.flatMap((kind) => {
    const some = all.filter(({ found }) => found.kind === kind).toSorted((a, b) => a.fit - b.fit)
    return some.length > 0 ? [some.slice(0, MOST)] : []
  })
  return groups
    .toSorted(([a], [b]) => (a?.fit ?? 0) - (b?.fit ?? 0))
    .flatMap((some) => some.map(({ found }) => found))
}

/** A whole sentence: after the name of a desktop that is typed as it is. */
const SAID = 1

/** How well something fits what was typed; null where it does not. */
function fitOf(found: Found, query: string, words: string[], hit: Hit | undefined): number | null {
  const { title, also } = wordsOf(found)
  const later = found.kind === 'stowed' ? 30 : 0
  const named = nameFit(found, title, query)
  if (named !== null) return named + later
  if (words.every((word) => title.includes(word))) return 10 + later
  if (isWord(also, query)) return (found.kind === 'commands' ? 9 : 11) + later
  const beside = (word: string) => title.includes(word) || begins(also, word)
  if (words.every(beside)) return 12 + later
  const everywhere = (word: string) => beside(word) || hit?.has(word)
  if (!words.every(everywhere)) return null
  return (hit?.has(query) ? 14 : 15) + later
}

/** By its name alone. */
function nameFit({ kind, args }: Found, title: string, query: string): number | null {
  if (title === query) return kind === 'desktops' && 'to' in args ? 0 : 3
  if (kind === 'commands' && isVerb(title, query)) return 2
  if (title.startsWith(query)) return kind === 'commands' ? 5.5 : 5
  if (` ${title}`.includes(` ${query}`)) return kind === 'commands' ? 7.5 : 7
  return title.includes(query) ? 8 : null
}

/** Whether the first words of a title are typed, as far as the title's verb goes. */
const isVerb = (title: string, query: string): boolean =>
  title.startsWith(query) && /^(:|…| |$)/.test(title.slice(query.length))

/** Whether a word of it begins so. */
const begins = (text: string, word: string): boolean => ` ${text}`.includes(` ${word}`)

const isWord = (text: string, query: string): boolean => ` ${text} `.includes(` ${query} `)

/** Whether a name has the letters that were typed, in their order, whatever is between. */
function inOrder(name: string, query: string): boolean {
  let at = -1
  return [...query].every((letter) => {
    at = name.indexOf(letter, at + 1)
    return at >= 0
  })
}

/** All words are there but for a slip of the finger in each. */
function nearFit(found: Found, words: string[]): number | null {
  const { title, also } = wordsOf(found)
  const names = `${title} ${also}`.split(/[^\p{L}\p{N}]+/u)
  if (!words.every((word) => names.some((name) => isNear(name, word)))) return null
  if (found.kind === 'stowed') return 40
  const own = title.split(/[^\p{L}\p{N}]+/u)
  const named = words.every((word) => own.some((name) => isNear(name, word)))
  return named ? (found.kind === 'desktops' ? 19 : 20) : 21
}

/** The passage of its text that something is found by; undefined where its names say it already. */
function passageOf(
  found: Found,
  query: string,
  words: string[],
  hit: Hit | undefined,
): Passage | undefined {
  const { title, also } = wordsOf(found)
  const missing = words.filter((word) => !title.includes(word) && !begins(also, word))
  if (missing.length === 0) return undefined
  return hit?.get(query) ?? hit?.get(missing[0] ?? '')
}

/** Makes ready what is looked in, so that the first letter typed does not have to. */
export const prepare = (all: Found[]): void => all.forEach(wordsOf)

const ready = new WeakMap<Found, Record<'title' | 'also', string>>()

function wordsOf(found: Found): Record<'title' | 'also', string> {
  let known = ready.get(found)
  if (!known) {
    const { title, also } = found
    known = {
      title: plain(title).replace(/…$/, ''),
      also: plain(also.join(' ')),
    }
    ready.set(found, known)
  }
  return known
}
