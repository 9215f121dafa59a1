import type { Session } from '@/core/commands/execute'
import { migrated } from '@/core/formats/migrations'
import type { AppId, DocumentId } from '@/core/model/ids'
import type { State } from '@/core/model/state'
import {
  type PastChange,
  type Stretch,
  stretchAt,
  withoutSpan,
  worthKeeping,
} from '@/core/past/past'
import { stretchesWithout } from '@/core/past/withoutApp'
import { changesBetween } from '@/core/rules/changes'
import type { History } from '@/core/rules/history'
import type { KeptStore } from './disk/storage'
import { expected } from './faults'

type PastStore = Pick<KeptStore, 'getItem' | 'setItem' | 'removeItem' | 'keys'>

/** So many changes stand in one record: what is written again with each stays small. */
const PART = 50
/** After so many the whole state is kept anew: how it stood at a moment is worked out from there. */
const PARTS = 10

/** So many stretches are kept at most, whatever their days. */
export const STRETCHES_MOST = 400

const BEGINS = 'past-'
/** `past-1772600000000`: how it stood then; `past-1772600000000.0` and so on: what changed. */
const keyOf = (at: number, part?: number): string =>
  `${BEGINS}${at}${part === undefined ? '' : `.${part}`}`

/** Keeps stretches that are over, as they were. */
export async function keepStretches(
  store: Pick<PastStore, 'setItem'>,
  stretches: readonly Stretch[],
): Promise<void> {
  for (const { at, state, changes } of stretches) {
    for (let part = 0; part * PART < changes.length; part++)
      await store.setItem(keyOf(at, part), changes.slice(part * PART, (part + 1) * PART))
    await store.setItem(keyOf(at), state)
  }
}

/** How the shelf stood, from change to change: whole at the beginning of a stretch, then what changed. */
export class Past {
  private last: Session | null = null
  private since = 0
  private stretch: { at: number; parts: PastChange[][] } | null = null
  private unwritten = new Map<string, State | PastChange[]>()

  constructor(
    private store: PastStore,
    private clock: () => number,
  ) {}

  /** What changes from here on is noted against it. */
  open(session: Session): void {
    this.last = session
    this.since = this.clock()
    this.stretch = null
  }

  note(session: Session): void {
    const before = this.last
    if (!before) return
    this.last = session
    const { state } = session
    const changes = changesBetween(before.state, state)
    const kept = changes && worthKeeping(changes)
    if (!kept) return
    // A clock that is set back does not turn the order round.
    const at = Math.max(this.clock(), this.since)
    if (state.settings.past === 0) this.beginAnew()
    else {
      const say = saidBy(before.history, session.history)
      this.partFrom(before.state).push({ at, ...(say && { say }), changes: kept })
    }
    this.since = at
  }

  /** What is not kept would be missing from what is kept after it. */
  private beginAnew(): void {
    this.stretch = null
    this.unwritten.clear()
  }

  /** The part the next change goes to, of a stretch that begins with a state where there is none. */
  private partFrom(before: State): PastChange[] {
    const full = this.stretch?.parts.length === PARTS && this.stretch.parts.at(-1)?.length === PART
    if (!this.stretch || full) {
      // Two that begin in one millisecond would be one.
      const at = Math.max(this.since, (this.stretch?.at ?? 0) + 1)
      this.stretch = { at, parts: [] }
      this.unwritten.set(keyOf(at), before)
    }
    const { at, parts } = this.stretch
    if ((parts.at(-1)?.length ?? PART) === PART) parts.push([])
    const part = parts.at(-1) ?? []
    this.unwritten.set(keyOf(at, parts.length - 1), part)
    return part
  }

  async write(): Promise<void> {
    const all = [...this.unwritten]
    this.unwritten.clear()
    try {
      await Promise.all(all.map(([key, value]) => this.store.setItem(key, value)))
    } catch (error) {
      for (const [key, value] of all) if (!this.unwritten.has(key)) this.unwritten.set(key, value)
      throw error
    }
  }

  /** When the stretches that are kept begin, in order. */
  async begins(): Promise<number[]> {
    const keys = await this.store.keys()
    return keys
      .filter((key) => /^past-\d+$/.test(key))
      .map((key) => Number(key.slice(BEGINS.length)))
      .sort((a, b) => a - b)
  }

  /**
   * What is kept of a span, with the stretch it begins in; what cannot be read is left out.
   * @param from milliseconds since 1970; so is `until`
   */
  async read(from: number, until: number): Promise<Stretch[]> {
    await this.write()
    const all = (await this.begins()).map((at) => ({ at }))
    const first = stretchAt(all, from)?.at ?? from
    const within = all.filter(({ at }) => at >= first && at < until)
    const read = await Promise.all(
      within.map(({ at }) => this.readOne(at).catch(expected('it is left out', null))),
    )
    return read.filter((one) => one !== null)
  }

  private async readOne(at: number): Promise<Stretch | null> {
    const kept = await this.store.getItem(keyOf(at))
    if (!isState(kept)) return null
    const changes: PastChange[] = []
    for (let part = 0; ; part++) {
      const made = await this.store.getItem(keyOf(at, part))
      if (!Array.isArray(made)) break
      changes.push(...(made as PastChange[]))
    }
    return { at, state: migrated(kept) as State, changes }
  }

  /** Strikes a span, for good: how it stood at its end is told from there. */
  async strike(from: number, until: number): Promise<void> {
    const found = await this.read(from, until)
    // What happens meanwhile must not write again what is struck.
    this.beginAnew()
    const left = withoutSpan(found, from, until)
    for (const { at } of found) await this.remove(at)
    await keepStretches(this.store, left)
  }

  /**
   * Strikes an app from all that is kept, for good.
   * @returns the documents it had
   */
  async strikeApp(app: AppId): Promise<Set<DocumentId>> {
    const found = await this.read(0, Number.POSITIVE_INFINITY)
    this.beginAnew()
    const { stretches, documents } = stretchesWithout(found, app)
    // One after the other: what is killed in between is only that one.
    for (const stretch of stretches) {
      await this.remove(stretch.at)
      await keepStretches(this.store, [stretch])
    }
    return documents
  }

  /**
   * What was before a moment is not kept any longer, but for what it ended with.
   * @param before milliseconds since 1970
   */
  async forget(before: number): Promise<void> {
    const begins = await this.begins()
    const ended = begins.filter((_, at) => (begins[at + 1] ?? Number.POSITIVE_INFINITY) <= before)
    const over = begins.slice(0, Math.max(0, begins.length - STRETCHES_MOST))
    for (const at of new Set([...ended, ...over])) await this.remove(at)
  }

  private async remove(at: number): Promise<void> {
    // Without its beginning the rest is never read.
    await this.store.removeItem(keyOf(at))
    for (let part = 0; (await this.store.getItem(keyOf(at, part))) !== null; part++)
      await this.store.removeItem(keyOf(at, part))
  }
}

/** What happened, in words, where it was a step, or one was taken back or done again. */
function saidBy(before: History, now: History): string | undefined {
  if (now.count > before.count) return now.past.at(-1)?.say
  if (now.past.length < before.past.length) return `Undone: ${before.past.at(-1)?.say}`
  if (now.past.length > before.past.length) return `Redone: ${now.past.at(-1)?.say}`
  return undefined
}

const isState = (value: unknown): value is State => {
  const { order, windows } = (value ?? {}) as Partial<State>
  return Array.isArray(order) && typeof windows === 'object'
}
