/**
 * The steps that can be undone, over a reload: a record for each, written when it is made or taken
 * back, so that keeping them costs what changed. Which of them are there is kept with the state.
 */

import type { KeptContent } from '@/core/formats/shelfFile'
import type { DocumentId } from '@/core/model/ids'
import { emptyHistory, type History, type Step } from '@/core/rules/history'
import { logged } from '@/store/faults'
import { sealed, unsealed } from './checksum'
import { type KeptStore, patiently } from './storage'

const STEP = 'step-'
const keyOf = (id: number): string => `${STEP}${id}`

/** Which steps there are, by their ids. */
export interface StepList {
  past: number[]
  future: number[]
  count: number
}

/** Which steps there are, with those of them that are told in the same place. */
export interface LoggedSteps {
  list: StepList
  made: KeptStep[]
}

/** A step with what of documents goes with it. */
export type KeptStep = Step & { contents?: Record<DocumentId, KeptContent | null> }

/** What of documents goes with a step, by its id; undefined where nothing does. */
export type ContentsOf = (id: number) => StepContents | undefined

export function withContents(step: Step, contents: StepContents | undefined): KeptStep {
  return contents ? { ...step, contents: Object.fromEntries(contents) } : step
}

/** Of what can be undone so much is in a copy, the newest first, in characters. */
const NEWEST_MOST = 300_000

/** What can be undone, for a copy: the newest steps are in it, the store has the others. */
export function newestSteps(history: History, contentsOf: ContentsOf): LoggedSteps {
  const all = [...history.past, ...history.future].map((step) =>
    withContents(step, contentsOf(step.id)),
  )
  let room = NEWEST_MOST
  const made = all
    .toSorted((a, b) => b.id - a.id)
    .filter((step) => {
      if (room > 0) room -= JSON.stringify(step).length
      return room > 0
    })
  return { list: listOf(history, () => true), made }
}

/** A step with more than this is not kept, nor what was done before it, in characters. */
const LONG = 1_000_000
/** The same for a step that has contents of documents with it. */
const LONG_WITH = 8_000_000

/** What documents say on the other side of a step; null: they are not there. */
export type StepContents = ReadonlyMap<DocumentId, KeptContent | null>

export class Steps {
  /** As they were last written, and whether they are in the store. */
  private written = new Map<number, { step: Step; contents: unknown; kept: boolean }>()

  /** @param contentsOf what of documents goes with a step, back and forth; undefined where nothing does */
  constructor(
    private store: KeptStore,
    private contentsOf: ContentsOf = () => undefined,
  ) {}

  /**
   * Writes the steps that are not written yet.
   * @returns what to keep with the state
   * @throws when the store takes no more
   */
  async write({ past, future, count }: History): Promise<StepList> {
    for (const step of [...past, ...future]) {
      const before = this.written.get(step.id)
      const contents = this.contentsOf(step.id)
      if (before?.step === step && before.contents === contents) continue
      const record = sealed(withContents(step, contents), step.id)
      const kept = record.json.length <= (contents ? LONG_WITH : LONG)
      if (kept) await this.store.setItem(keyOf(step.id), record)
      this.written.set(step.id, { step, contents, kept })
    }
    return listOf({ past, future, count }, ({ id }) => this.written.get(id)?.kept === true)
  }

  /** Steps that are in the store need not be written. */
  know({ past, future }: History, isThere: (step: Step) => boolean): void {
    for (const step of [...past, ...future])
      if (isThere(step))
        this.written.set(step.id, { step, contents: this.contentsOf(step.id), kept: true })
  }

  /** Lets go of the steps that cannot be undone any more. */
  async tidy({ past, future }: StepList): Promise<void> {
    const there = new Set([...past, ...future].map(keyOf))
    for (const key of await this.store.keys())
      if (key.startsWith(STEP) && !there.has(key)) await this.store.removeItem(key)
    for (const id of this.written.keys()) if (!there.has(keyOf(id))) this.written.delete(id)
  }
}

/** Which steps can be reached, where some are not kept. */
export const listOf = (
  { past, future, count }: History,
  isKept: (step: Step) => boolean,
): StepList => ({ past: reached(past, isKept), future: reached(future, isKept), count })

/** The steps that can be reached: those after the last one that is not kept. */
const reached = (steps: Step[], isKept: (step: Step) => boolean): number[] =>
  steps.slice(steps.findLastIndex((step) => !isKept(step)) + 1).map(({ id }) => id)

/**
 * The steps a list tells of, as far as they can be read.
 * @param made those that are known from elsewhere, newer than what the store has
 * @param found told what of documents goes with a step
 */
export async function readSteps(
  store: KeptStore,
  list: StepList | null,
  made: ReadonlyMap<number, KeptStep> = new Map(),
  found: (id: number, contents: StepContents) => void = () => {},
): Promise<History> {
  if (!list) return emptyHistory
  const one = async (id: number): Promise<Step | null> => {
    const record = made.has(id)
      ? { revision: id, value: made.get(id) }
      : unsealed(
          await patiently(() => store.getItem(keyOf(id))).catch(logged('A step of undo', null)),
        )
    if (record?.revision !== id) return null
    const { contents, ...step } = record.value as KeptStep
    if (contents) found(id, new Map(Object.entries(contents)))
    return step
  }
  const read = async (ids: number[]): Promise<Step[]> => {
    const steps = await Promise.all(ids.map(one))
    // What was done before a step that is lost cannot be reached.
    return steps.slice(steps.lastIndexOf(null) + 1).filter((step) => step !== null)
  }
  return { past: await read(list.past), future: await read(list.future), count: list.count }
}

/** Whether something kept with a state is a list of steps. */
export function isStepList(value: unknown): value is StepList {
  const { past, future, count } = (value ?? {}) as Partial<StepList>
  const ids = (list: unknown) => Array.isArray(list) && list.every(Number.isSafeInteger)
  return ids(past) && ids(future) && Number.isSafeInteger(count)
}
