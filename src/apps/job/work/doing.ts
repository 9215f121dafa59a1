import { useEffect } from 'react'
import type { Forms } from '@/core/formula/value'
import type { DocumentId } from '@/core/model/ids'
import { addDocument } from '@/store/documents/adding'
import { allDocuments, bringBack } from '@/store/documents/catalogue'
import {
  changeContent,
  keptContent,
  loadContent,
  markAsKept,
  onContent,
  peekContent,
  putContent,
  shownContent,
} from '@/store/documents/documents'
import { joinTalk } from '@/store/documents/talk'
import { expected, logged } from '@/store/faults'
import { type OffPage, placeOffPage } from '@/store/offPage'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { shownNow } from '../../useContents'
import { useForms } from '../../useForms'
import { JOBS, type Job, type JobContent } from '../content'
import { heard, progressed, worked } from '../queue'
import type { Input, Outcome, Step } from './outcome'
import type { Runner } from './runner'
import { documentsOf, type Work } from './works'

const RUNNER: OffPage<Runner> = {
  worker: () => new Worker(new URL('./runner.worker.ts', import.meta.url), { type: 'module' }),
  onPage: async () => new (await import('./runner')).Runner(),
}

/** Does the work of the job whose turn it is, if it has one: in one window of one view. */
export function useWork(document: DocumentId, content: JobContent | undefined): void {
  const shelf = useShelf()
  const forms = useForms()
  const job = content?.jobs.find(({ state }) => state === 'running' || state === 'paused')
  const mine = job?.work && job.id
  useEffect(() => {
    if (!mine) return
    const ending = new AbortController()
    const talk = joinTalk(shelf, document, () => {})
    const doing = new Doing(shelf, document, mine, forms, ending.signal)
    void talk.turn(() => void doing.all()).catch(expected('it was shut before its turn came'))
    return () => {
      ending.abort()
      talk.leave()
    }
  }, [shelf, document, mine, forms])
}

/** A job under way; what is kept of it says whether it goes on. */
export class Doing {
  constructor(
    private readonly shelf: Shelf,
    private readonly document: DocumentId,
    private readonly id: string,
    private readonly forms: Forms,
    private readonly signal: AbortSignal,
  ) {}

  async all(): Promise<void> {
    try {
      const { work } = this.job() ?? {}
      if (work) await this.work(work)
    } catch (error) {
      logged('The job')(error)
      this.failed('It failed. Remove it and start again.')
    }
  }

  private job(): Job | undefined {
    return this.now().jobs.find(({ id }) => id === this.id)
  }

  private now(): JobContent {
    return shownNow(this.shelf, JOBS, this.document)
  }

  private change(to: (now: JobContent) => JobContent): void {
    if (!this.signal.aborted) changeContent(this.shelf, this.document, to(this.now()), 'saved')
  }

  private failed(why: string): void {
    this.change((now) => heard(now, this.id, { kind: 'failed', why }))
  }

  private async work(work: Work): Promise<void> {
    const { shelf, signal } = this
    const inputs = await this.inputs(work)
    if (inputs === null) return
    let died = () => {}
    const death = new Promise<{ why: string }>((resolve) => {
      died = () => resolve({ why: 'The browser stopped it. Remove it and start again.' })
    })
    const ended = new Promise<null>((resolve) =>
      signal.addEventListener('abort', () => resolve(null)),
    )
    const place = await placeOffPage(RUNNER, shelf, died)
    try {
      await Promise.race([
        place.api.begin(work, inputs, { forms: this.forms, now: shelf.clock() }),
        death,
        ended,
      ])
      while (await this.goesOn()) {
        const step: Step | { why: string } | null = await Promise.race([
          place.api.next(),
          death,
          ended,
        ])
        if (!step || !(await this.goesOn())) return
        if ('why' in step) return this.failed(step.why)
        this.told(step)
        if (step.outcome) return await this.apply(step.outcome, inputs)
      }
    } finally {
      place.close()
    }
  }

  /** How far it is; what has not got further, and has nothing to tell, is not written. */
  private told({ share, log }: Step): void {
    const { at = 0, steps = 1 } = this.job() ?? {}
    const next = Math.max(at, Math.min(steps - 1, Math.floor(share * steps)))
    if (next > at || log) this.change((now) => progressed(now, this.id, next, log))
  }

  /** Waits while it is paused. @returns false when it was removed, or its window is shut */
  private async goesOn(): Promise<boolean> {
    const { shelf, document, signal } = this
    while (!signal.aborted && this.job()?.state === 'paused')
      await new Promise<void>((resolve) => {
        const stop = onContent(shelf, document, () => end())
        const end = () => {
          stop()
          resolve()
        }
        signal.addEventListener('abort', end, { once: true })
      })
    return !signal.aborted && this.job()?.state === 'running'
  }

  /** @returns null when there is nothing to work on, which is told */
  private async inputs(work: Work): Promise<Input[] | null> {
    const known = await allDocuments(this.shelf)
    const inputs: Input[] = []
    for (const id of documentsOf(work)) {
      const info = known[id]
      const kept = info && (await peekContent(this.shelf, id).catch(expected('told below', null)))
      const why = !kept
        ? 'can’t be read'
        : work.kind === 'replace' && kept.draft !== null
          ? 'has unsaved changes. Save or discard them first'
          : null
      if (info && kept && !why)
        inputs.push({ id, app: info.app, title: info.title, content: shownContent(kept) })
      else
        this.change((now) =>
          progressed(now, this.id, this.job()?.at ?? 0, `${info?.title ?? 'A file'} ${why}`),
        )
    }
    const enough = work.kind === 'join' || work.kind === 'sum' ? documentsOf(work).length : 1
    if (inputs.length >= enough) return inputs
    this.failed('There is nothing to work on: see the log.')
    return null
  }

  /** Other words wait as drafts, to be saved or discarded; a document tells the rest. */
  private async apply({ table, changed, made }: Outcome, inputs: Input[]): Promise<void> {
    const { shelf } = this
    const before = new Map(inputs.map(({ id, content }) => [id, JSON.stringify(content)]))
    await bringBack(
      shelf,
      changed.map(({ id }) => id),
    )
    for (const { id } of changed) await loadContent(shelf, id)
    // From here on nothing is waited for: it is done as a whole, or not at all.
    if (this.signal.aborted || this.job()?.state !== 'running') return
    for (const { id, content } of changed) {
      const kept = keptContent(shelf, id)
      const { title } = shelf.state().documents[id] ?? {}
      if (kept && JSON.stringify(shownContent(kept)) === before.get(id)) {
        putContent(shelf, id, { ...kept, draft: content })
        markAsKept(shelf, id)
      } else
        this.change((now) =>
          progressed(
            now,
            this.id,
            99,
            `${title} was changed in the meantime, so it is left as it is`,
          ),
        )
    }
    for (const { title, content } of made) addDocument(shelf, { app: 'reader', title }, content)
    const title = `${this.job()?.name}: result`
    const result = addDocument(shelf, { app: 'table', title }, table)
    this.change((now) => worked(now, this.id, result))
  }
}
