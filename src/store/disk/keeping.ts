/**
 * The state in the browser's store: a snapshot in one of two alternating slots, and after it a
 * record for each change, so that writing costs what changed. Changes are kept until both slots
 * have them: with one slot damaged nothing is lost.
 */

import { isOlder } from '@/core/formats/migrations'
import { salvage } from '@/core/formats/salvage'
import { readState } from '@/core/formats/shelfFile'
import type { State } from '@/core/model/state'
import { type Changes, changesBetween, withChanges } from '@/core/rules/changes'
import { emptyHistory, type History, type Step } from '@/core/rules/history'
import { expected } from '@/store/faults'
import { sealed, unsealed } from './checksum'
import { isStepList, type StepList, Steps } from './steps'
import { type KeptStore, patiently } from './storage'

const SLOTS = ['slot-a', 'slot-b'] as const
const CHANGE = 'change-'
const keyOf = (revision: number): string => `${CHANGE}${String(revision).padStart(12, '0')}`

/** A snapshot is written after so many changes: when the person pauses, and at the latest. */
const CHANGES_TO_SETTLE = 40
const CHANGES_MOST = 400

/** A record that could not be read, as it was found. */
export interface Damage {
  key: string
  record: unknown
}

export interface Kept {
  state: State | null
  revision: number
  damaged: Damage[]
  /** Whether the last change was being written when the browser stopped. */
  cut: boolean
  /** What could not be read of a state that was read in part, in words. */
  lost: string[]
  /** Up to which line of the log of changes the state has everything. */
  seq: number
  /** The revision of the snapshot in each slot, 0 where there is none. */
  slots: [number, number]
  /** Whether it was written by an earlier version, so that a whole has to be written first. */
  older: boolean
  /** Which steps can be undone; null where what was read is not quite what was kept. */
  steps: StepList | null
}

/**
 * The newest state that can be read: whole where it can, else in part.
 * @throws when the store cannot be read, also when tried again
 */
export async function findKept(store: KeptStore): Promise<Kept> {
  const damaged: Damage[] = []
  const found: Snapshot[] = []
  const torn: unknown[] = []
  const slots: [number, number] = [0, 0]
  for (const [at, key] of SLOTS.entries()) {
    const record = await patiently(() => store.getItem(key))
    if (record === null || record === undefined) continue
    const snapshot = numbered(record)
    if (snapshot) {
      found.push(snapshot)
      slots[at] = snapshot.revision
    } else {
      damaged.push({ key, record })
      torn.push(record)
    }
  }
  found.sort((a, b) => b.revision - a.revision)
  const changes = await readChanges(store, found.at(-1)?.revision ?? 0)
  damaged.push(...changes.damaged)
  const last = Math.max(found[0]?.revision ?? 0, changes.last)
  const seq = Math.max(0, ...[...found, ...changes.list].map((one) => one.seq))
  const kept = { revision: last, damaged, cut: changes.cut, slots, seq }
  for (const one of found) {
    const { value, revision } = one
    const since = changes.list.filter((change) => change.revision > revision)
    const state = readable(since.reduce((at, { value }) => withChanges(at, value), value))
    // Steps stand on the state they were kept with: after a damaged change they do not.
    const told = since.findLast(({ steps }) => steps) ?? one
    const steps = changes.damaged.length ? null : told.steps
    if (state) return { ...kept, state, lost: [], older: isOlder(value), steps }
  }
  // Not whole from any snapshot: in part, from the newest, or from what is left of a torn one.
  const rest = changes.list.filter(({ revision }) => revision > (found[0]?.revision ?? 0))
  const newest = found[0] && rest.reduce((at, { value }) => withChanges(at, value), found[0].value)
  for (const given of [newest, ...found.map(({ value }) => value), ...torn.map(textOf)]) {
    const part = given === undefined ? null : salvage(given)
    if (!part) continue
    if (damaged.length === 0) damaged.push({ key: 'state', record: given })
    return { ...kept, state: part.state, lost: part.lost, older: false, steps: null }
  }
  return { ...kept, state: null, lost: [], older: false, steps: null }
}

function readable(given: unknown): State | null {
  try {
    return readState(given)
  } catch {
    return null
  }
}

/** What can be made of a record whose seal is broken. */
function textOf(record: unknown): unknown {
  try {
    return JSON.parse((record as { json: string }).json)
  } catch {
    return undefined
  }
}

/** A record with the line of the log up to which it has everything; older ones do not say. */
interface Snapshot {
  value: unknown
  revision: number
  seq: number
  steps: StepList | null
}

function numbered(record: unknown): Snapshot | null {
  const found = unsealed(record)
  const { seq, steps } = (record ?? {}) as { seq?: number; steps?: unknown }
  return (
    found && {
      ...found,
      seq: Number.isSafeInteger(seq) ? Number(seq) : 0,
      steps: isStepList(steps) ? steps : null,
    }
  )
}

interface ReadChanges {
  list: (Snapshot & { value: Changes })[]
  damaged: Damage[]
  last: number
  cut: boolean
}

async function readChanges(store: KeptStore, after: number): Promise<ReadChanges> {
  const keys = (await patiently(() => store.keys()))
    .filter((key) => key > keyOf(after) && key.startsWith(CHANGE))
    .sort()
  const read: ReadChanges = { list: [], damaged: [], last: 0, cut: false }
  for (const key of keys) {
    const record = await patiently(() => store.getItem(key))
    const change = numbered(record)
    const sound = change && keyOf(change.revision) === key && isChanges(change.value)
    if (sound) {
      read.list.push({ ...change, value: change.value as Changes })
      read.last = change.revision
    }
    // The last one was being written: it loses only itself, and the next is written over it.
    else if (key === keys.at(-1)) read.cut = true
    else read.damaged.push({ key, record })
  }
  return read
}

const isChanges = (value: unknown): boolean => {
  const { objects, parts } = (value ?? {}) as Partial<Changes>
  return typeof objects === 'object' && typeof parts === 'object' && !!objects && !!parts
}

/** Writes a state from change to change, with snapshots between. */
export class Keeping {
  private since: number
  private seq = 0
  private steps: StepList
  /** Whether the last record tells of them. */
  private told = false
  private history: History
  private last: Promise<void> = Promise.resolve()

  /**
   * @param written the state that was loaded; null on a fresh shelf, which begins with a snapshot
   * @param isThere whether a step that can be undone is in the store already
   */
  constructor(
    private store: KeptStore,
    private written: State | null,
    private revision: number,
    private slots: [number, number],
    private undoable: Steps = new Steps(store),
    history: History = emptyHistory,
    isThere: (step: Step) => boolean = () => true,
  ) {
    this.since = revision - Math.max(...slots)
    const all = [...history.past, ...history.future]
    // Where some are not there yet, all are looked at with the first write.
    this.history = all.every(isThere) ? history : emptyHistory
    this.undoable.know(history, isThere)
    const ids = (steps: Step[]) => steps.map(({ id }) => id)
    this.steps = { past: ids(history.past), future: ids(history.future), count: history.count }
  }

  /**
   * Writes what changed since the last write.
   * @param seq the line of the log of changes up to which the state has everything
   * @throws when the store takes no more
   */
  write(state: State, seq = 0, history: History = this.history): Promise<void> {
    return this.inTurn(() => this.change(state, seq, history))
  }

  /** The person pauses: a snapshot where enough has changed, so that loading stays quick. */
  settle(): Promise<void> {
    return this.inTurn(async () => {
      if (this.written && this.since >= CHANGES_TO_SETTLE)
        await this.snapshot(this.written, this.seq)
    })
  }

  /** Two at once would take the same revision, and a snapshot hides the change that has its own. */
  private inTurn(work: () => Promise<void>): Promise<void> {
    const done = this.last.then(work)
    this.last = done.catch(expected('told to who asked for it'))
    return done
  }

  private async change(state: State, seq: number, history: History): Promise<void> {
    const changes = this.written && changesBetween(this.written, state)
    if (this.written && !changes) return
    // Before what tells of them.
    if (history !== this.history) {
      this.steps = await this.undoable.write(history)
      this.told = false
    }
    this.history = history
    if (!changes || this.since >= CHANGES_MOST) return this.snapshot(state, seq)
    const revision = this.revision + 1
    await this.store.setItem(keyOf(revision), {
      ...sealed(changes, revision),
      seq,
      ...(!this.told && { steps: this.steps }),
    })
    this.told = true
    this.seq = seq
    this.revision = revision
    this.written = state
    this.since++
  }

  /** Over the older of the two slots; then the changes both have go. */
  private async snapshot(state: State, seq: number): Promise<void> {
    const revision = this.revision + 1
    const at = this.slots[0] <= this.slots[1] ? 0 : 1
    await this.store.setItem(SLOTS[at], { ...sealed(state, revision), seq, steps: this.steps })
    this.seq = seq
    this.slots[at] = revision
    this.revision = revision
    this.written = state
    this.since = 0
    const both = keyOf(Math.min(...this.slots))
    const keys = await this.store.keys()
    for (const key of keys)
      if (key.startsWith(CHANGE) && key <= both) await this.store.removeItem(key)
    await this.undoable.tidy(this.steps)
  }
}
