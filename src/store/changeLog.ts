import type { KeptContent } from '@/core/formats/shelfFile'
import { type Changes, changesBetween } from '@/core/history/changes'
import type { DocumentId, State } from '@/core/model/types'
import { checksum } from './checksum'
import type { LogOrder } from './log.worker'

/** A line of the log: what changed of the arrangement, or what a document says now. */
export type LogRecord = { seq: number } & (
  | { changes: Changes }
  | { document: DocumentId; content: KeptContent | null }
)

/** A document with more than this is left to the next copy, in characters. */
const LONG = 300_000

/** What changed since the second copy was written, so that it is never much behind. */
export class ChangeLog {
  private worker: Worker | null = null
  private logged: State | null = null
  /** Of the last line. */
  seq: number
  /** Of the last line that is about the arrangement. */
  stateSeq: number

  /** @param seq of the last line that is known, and of the last one about the arrangement */
  constructor(shelf: string, seq: number, stateSeq = seq) {
    this.seq = seq
    this.stateSeq = stateSeq
    if (typeof Worker === 'undefined') return
    this.worker = new Worker(new URL('./log.worker.ts', import.meta.url), { type: 'module' })
    this.send({ open: shelf })
  }

  private send(order: LogOrder): void {
    this.worker?.postMessage(order)
  }

  private add(
    record: { changes: Changes } | { document: DocumentId; content: KeptContent | null },
  ): void {
    const json = JSON.stringify({ seq: this.seq + 1, ...record })
    if (json.length > LONG) return
    this.seq++
    this.send({ line: `${checksum(json)} ${json}` })
  }

  state(state: State): void {
    const changes = this.logged && changesBetween(this.logged, state)
    this.logged = state
    if (!changes) return
    this.add({ changes })
    this.stateSeq = this.seq
  }

  document(document: DocumentId, content: KeptContent | null): void {
    this.add({ document, content })
  }

  /** The next copy is begun: what comes now is beside it. @returns what the copy has all of */
  turn(state: State): number {
    this.logged = state
    this.send({ turn: true })
    return this.seq
  }

  /** The copy is written: what was logged before it is not needed any more. */
  drop(): void {
    this.send({ drop: true })
  }

  close(): void {
    this.worker?.terminate()
    this.worker = null
  }
}

/** The lines of a log that are whole; the last one may have been cut off. */
export function readLog(text: string): LogRecord[] {
  return text.split('\n').flatMap((line) => {
    const at = line.indexOf(' ')
    const json = line.slice(at + 1)
    if (at < 0 || checksum(json) !== line.slice(0, at)) return []
    return JSON.parse(json) as LogRecord
  })
}
