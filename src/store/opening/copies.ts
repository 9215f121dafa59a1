import type { DocumentId } from '@/core/model/ids'
import type { State } from '@/core/model/state'
import { after } from '@/store/clock'
import type { ChangeLog } from '@/store/disk/changeLog'
import type { Contents, Spare } from '@/store/disk/spare'
import { newestSteps } from '@/store/disk/steps'
import {
  giveBackForSpare,
  keptContent,
  peekContent,
  takeForSpare,
} from '@/store/documents/documents'
import { contentsOf } from '@/store/documents/importing'
import { expected } from '@/store/faults'
import { type Health, healthOf, setHealth, whyFailed } from '@/store/health'
import type { Shelf } from '@/store/shelf'
import { within } from '@/store/within'

/** From one copy to the next; the first change after a pause is copied soon, in milliseconds. */
export const COPY_EVERY = 25_000
const SOON = 700
/** A copy that is not written by then is given up, and tried again, in milliseconds. */
const WRITTEN_WITHIN = 20_000

/** Copies the shelf to a second place, some time after each change. */
export class Copies {
  private callOff: (() => void) | null = null
  private working: Promise<void> = Promise.resolve()
  private stopped = false
  private copiedAt = 0
  /** When the last copy was written, and why the next one was not. */
  private written: number | null = null
  private told: string | null = null
  private unlogged: string | null = null

  /**
   * @param log what changes between two copies
   * @param also what else is written then, such as a folder of the person's
   */
  constructor(
    private shelf: Shelf,
    private spare: Spare | null,
    private log: ChangeLog,
    private also: () => Promise<unknown>,
  ) {}

  /** What was just written to the store is noted here as well. */
  note(state: State, documents: Iterable<DocumentId>): void {
    this.log.state(state, this.shelf.page.getState().session.history)
    for (const id of documents) this.log.document(id, keptContent(this.shelf, id))
  }

  soon(): void {
    if (this.stopped || this.callOff) return
    const wait = Math.max(SOON, this.copiedAt + COPY_EVERY - this.shelf.clock())
    this.callOff = after(this.shelf, wait, () => void this.now())
  }

  /** Copies at once what has changed since the last time. */
  now(): Promise<void> {
    return this.next(() => this.copy())
  }

  /**
   * The first copy, for which the person waits: what documents say is in it, and not in a file each
   * until the next one.
   */
  first(): Promise<void> {
    return this.next(() => this.copy(true))
  }

  /** One after the other. */
  private next(copy: () => Promise<void>): Promise<void> {
    this.callOff?.()
    this.callOff = null
    this.copiedAt = this.shelf.clock()
    this.working = this.working.then(copy)
    return this.working
  }

  stop(): void {
    this.stopped = true
    this.log.close()
    this.callOff?.()
  }

  /** Documents there is no copy of yet, such as those of a shelf that is older than the copy. */
  async fill(): Promise<void> {
    if (!this.spare) return
    const there = await this.spare.listDocuments()
    for (const id of Object.keys(this.shelf.state().documents)) {
      if (there.has(id) || this.stopped) continue
      const content = await peekContent(this.shelf, id).catch(
        expected('told where it is shown', null),
      )
      if (content) await this.spare.writeDocument(id, content)
    }
    this.soon()
  }

  /** @param inOne what documents say as well, in one file */
  private async copy(inOne = false): Promise<void> {
    // After the shelf was let go there is nothing here any more, and it must not be copied.
    if (this.stopped) return
    const state = this.shelf.state()
    const documents = takeForSpare(this.shelf)
    const seq = this.log.turn(state)
    const { stateSeq } = this.log
    const at = this.shelf.clock()
    try {
      if (inOne) giveBackForSpare(this.shelf, documents.keys())
      const written = this.write(state, { at, seq, stateSeq }, documents, inOne)
      await within(written, WRITTEN_WITHIN, 'The second copy')
      this.log.drop()
      this.written = at
      this.told = null
    } catch (error) {
      giveBackForSpare(this.shelf, documents.keys())
      this.told = whyFailed(error)
      this.soon()
    }
    this.tell()
    await this.also()
  }

  private async write(
    state: State,
    is: Parameters<Spare['write']>[1],
    documents: Contents,
    inOne: boolean,
  ): Promise<void> {
    if (!inOne) await this.writeDocuments(documents)
    const { history } = this.shelf.page.getState().session
    const steps = newestSteps(history, (id) => contentsOf(this.shelf, id))
    await this.spare?.write(state, is, inOne ? documents : new Map(), steps)
  }

  /** How the log is written: each change at once, or not at all, and why. */
  logged(stands: 'at once' | { why: string }): void {
    this.unlogged = stands === 'at once' ? null : stands.why
    this.tell()
  }

  private tell(): void {
    // One that did not open is told where it was opened.
    const unopened = !this.spare && healthOf(this.shelf, 'copy')?.is === 'amiss'
    if (!this.stopped && !unopened) setHealth(this.shelf, 'copy', this.health())
  }

  private health(): Omit<Health, 'since'> {
    const last = this.written === null ? {} : { last: this.written }
    if (!this.spare)
      return {
        is: 'off',
        says: 'This browser has no place for a second copy. Keep a copy in a folder, or export the shelf now and then.',
      }
    if (this.told)
      return {
        is: 'amiss',
        says: `The second copy can’t be written. ${this.told} Retrying. Export the shelf to be safe.`,
        ...last,
      }
    if (this.unlogged)
      return {
        is: 'amiss',
        says: `The second copy is up to half a minute behind. ${this.unlogged}`,
        ...last,
      }
    return { is: 'good', says: 'The second copy has every change.', ...last }
  }

  private async writeDocuments(documents: Contents): Promise<void> {
    for (const [id, content] of documents)
      if (content) await this.spare?.writeDocument(id, content)
      else await this.spare?.removeDocument(id)
  }
}
