/**
 * The steps that can be undone, over a reload: a record for each, written when it is made or taken
 * back, so that keeping them costs what changed. Which of them are there is kept with the state.
 */

import { emptyHistory, type History, type Step } from '@/core/history/history'
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
  made: Step[]
}

/** Of what can be undone so much is in a copy, the newest first, in characters. */
const NEWEST_MOST = 300_000

/** What can be undone, for a copy: the newest steps are in it, the store has the others. */
export function newestSteps(history: History, isPassing: (step: Step) => boolean): LoggedSteps {
  const all = [...history.past, ...history.future].filter((step) => !isPassing(step))
  let room = NEWEST_MOST
  const made = all
    .toSorted((a, b) => b.id - a.id)
    .filter((step) => {
      if (room > 0) room -= JSON.stringify(step).length
      return room > 0
    })
  return { list: listOf(history, (step) => !isPassing(step)), made }
}

/** A step with more than this is not kept, nor what was done before it, in characters. */
const LONG = 1_000_000

export class Steps {
  /** As they were last written, and whether they are in the store. */
  private written = new Map<number, { step: Step; kept: boolean }>()

  /** @param isPassing whether what a step changed is in part elsewhere, and lost with the page */
  constructor(
    private store: KeptStore,
    private isPassing: (step: Step) => boolean = () => false,
  ) {}

  /**
   * Writes the steps that are not written yet.
   * @returns what to keep with the state
   * @throws when the store takes no more
   */
  async write({ past, future, count }: History): Promise<StepList> {
    for (const step of [...past, ...future]) {
      if (this.written.get(step.id)?.step === step) continue
      const record = sealed(step, step.id)
      const kept = record.json.length <= LONG && !this.isPassing(step)
      if (kept) await this.store.setItem(keyOf(step.id), record)
      this.written.set(step.id, { step, kept })
    }
    return listOf({ past, future, count }, ({ id }) => this.written.get(id)?.kept === true)
  }

  /** Steps that were just read need not be written. */
  know({ past, future }: History): void {
    for (const step of [...past, ...future]) this.written.set(step.id, { step, kept: true })
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
 */
export async function readSteps(
  store: KeptStore,
  list: StepList | null,
  made: ReadonlyMap<number, Step> = new Map(),
): Promise<History> {
  if (!list) return emptyHistory
  const one = async (id: number): Promise<Step | null> => {
    const known = made.get(id)
    if (known) return known
    const found = unsealed(await patiently(() => store.getItem(keyOf(id))).catch(() => null))
    return found?.revision === id ? (found.value as Step) : null
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
