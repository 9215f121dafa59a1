import type { DocumentId } from '@/core/model/ids'
import type { State } from '@/core/model/state'

/**
 * A shelf that goes from machine to machine in a folder: each machine writes a file of its own there and
 * nothing else, and every file says which writes of the others it knows (version vectors, D. S. Parker et al.,
 * Detection of Mutual Inconsistency in Distributed Systems, 1983).
 */

/** The write of a machine in which a document was changed last. */
interface Version {
  by: string
  n: number
}

/** What a file in the folder says of itself. */
export interface Written {
  /** The id of the machine, and what the person calls it. */
  machine: string
  name: string
  /** Milliseconds since 1970. */
  at: number
  /** Its writes that changed something are counted, from 1. */
  n: number
  /** Up to which write it knows each of the others. */
  seen: Record<string, number>
  documents: Record<DocumentId, Version>
}

/** What a machine keeps of the last it wrote, to know what has changed since. */
export interface Followed extends Written {
  /** Of the arrangement, and of what each document said. */
  essence: string
  sums: Record<DocumentId, string>
}

export const isWritten = (value: unknown): value is Written => {
  const { machine, name, at, n, seen, documents } = (value ?? {}) as Partial<Written>
  return (
    [machine, name].every((one) => typeof one === 'string' && one !== '') &&
    [at, n].every((one) => typeof one === 'number') &&
    [seen, documents].every((one) => typeof one === 'object' && one !== null)
  )
}

const knows = ({ machine, n, seen }: Written, { by, n: write }: Version): boolean =>
  write <= (by === machine ? n : (seen[by] ?? 0))

/** As text: what of a shelf is the same on every machine, not where one is in it or how its screens stand. */
export function essenceOf(state: State): string {
  const { desktops, order, columns, windows, everywhere, homes, stowed, patterns, runs } = state
  const { plan, tethered, exceptions, apps, slots, bindings, sequences, declined, settings } = state
  const titles = Object.values(state.documents).map(({ id, title, discarded }) => [
    id,
    title,
    discarded === true,
  ])
  const all = [desktops, order, columns, windows, everywhere, homes, stowed, patterns, runs, plan]
  const rest = [tethered, exceptions, apps, slots, bindings, sequences, declined, settings]
  return JSON.stringify([...all, ...rest, titles.sort()], (key, value) =>
    ['focus', 'display', 'maximised'].includes(key) ? undefined : value,
  )
}

/**
 * What a machine writes now: with a count more where something is other than at its last write.
 * @param sums of what each document says
 */
export function writtenNow(
  before: Followed,
  essence: string,
  sums: Readonly<Record<DocumentId, string>>,
  at: number,
): Followed {
  const changed = Object.keys(sums).filter((id) => sums[id] !== before.sums[id])
  const gone = Object.keys(before.sums).filter((id) => sums[id] === undefined)
  if (changed.length === 0 && gone.length === 0 && essence === before.essence)
    return { ...before, at }
  const n = before.n + 1
  const documents: Record<DocumentId, Version> = {}
  for (const id of Object.keys(sums)) {
    const version = changed.includes(id) ? undefined : before.documents[id]
    documents[id] = version ?? { by: before.machine, n }
  }
  return { ...before, at, n, documents, essence, sums: { ...sums } }
}

/**
 * How what another machine wrote stands to what is here: `known`: it has nothing new; `ahead`: it goes on from
 * all that is here; `apart`: both were changed.
 * @param mine as it would be written now
 */
export function standing(mine: Written, theirs: Written): 'known' | 'ahead' | 'apart' {
  if (knows(mine, { by: theirs.machine, n: theirs.n })) return 'known'
  return knows(theirs, { by: mine.machine, n: mine.n }) ? 'ahead' : 'apart'
}

/** What is taken of the documents of another machine, and which were changed on both. */
export function documentsFrom(
  mine: Written,
  theirs: Written,
): { taken: DocumentId[]; both: DocumentId[] } {
  const taken: DocumentId[] = []
  const both: DocumentId[] = []
  for (const [id, version] of Object.entries(theirs.documents)) {
    if (knows(mine, version)) continue
    const here = mine.documents[id]
    if (!here || knows(theirs, here)) taken.push(id)
    else both.push(id)
  }
  return { taken, both }
}

/**
 * After what another wrote was taken in: that is known from now on, and what was taken is what they wrote.
 * @param taken the documents that say what theirs say
 */
export function afterTaking(
  mine: Followed,
  theirs: Written,
  taken: readonly DocumentId[],
  essence: string,
  sums: Readonly<Record<DocumentId, string>>,
): Followed {
  const seen = { ...mine.seen }
  for (const [machine, n] of [...Object.entries(theirs.seen), [theirs.machine, theirs.n] as const])
    if (machine !== mine.machine) seen[machine] = Math.max(seen[machine] ?? 0, n)
  const documents = { ...mine.documents }
  const said = { ...mine.sums }
  for (const id of taken) {
    const version = theirs.documents[id]
    if (version) documents[id] = version
    if (sums[id] !== undefined) said[id] = sums[id]
  }
  return { ...mine, seen, documents, sums: said, essence }
}
