import type { KeptContent } from '@/core/formats/shelfFile'
import type { DocumentId } from '@/core/model/ids'
import type { State } from '@/core/model/state'
import { type Changes, changesBetween } from '@/core/rules/changes'
import { emptyHistory, type History, type Step } from '@/core/rules/history'
import { checksum } from './checksum'
import type { LogWriter } from './logWriter'
import { type ContentsOf, type LoggedSteps, listOf, newestSteps, withContents } from './steps'

/** The whole arrangement: what follows is built on it, whatever lines are missing before. */
interface WholeLine {
  state: State
  steps: LoggedSteps
}

/** What changed of the arrangement, with what can be undone of it by then. */
interface StateLine {
  changes: Changes
  steps: LoggedSteps | 'as before'
}

interface DocumentLine {
  document: DocumentId
  content: KeptContent | null
}

/** A line of the log. Earlier versions said nothing of steps. */
export type LogRecord = { seq: number } & (
  | (Omit<StateLine, 'steps'> & Partial<StateLine>)
  | (Omit<WholeLine, 'state'> & { state: unknown })
  | DocumentLine
)

/** A document with more than this is left to the next copy, in characters. */
const LONG = 300_000

/** What changed since the second copy was written, so that it is never much behind. */
export class ChangeLog {
  private logged: State | null = null
  private history: History = emptyHistory
  /** Steps that the store or an earlier line has. */
  private known = new WeakSet<Step>()
  /** Of the last line. */
  seq: number
  /** Of the last line that is about the arrangement. */
  stateSeq: number

  /**
   * @param seq of the last line that is known, and of the last one about the arrangement
   * @param contentsOf what of documents goes with a step
   * @param whole whether lines are missing before it, so that it begins with the whole
   */
  constructor(
    private writer: Pick<LogWriter, 'send' | 'close'>,
    seq: number,
    stateSeq = seq,
    private contentsOf: ContentsOf = () => undefined,
    private whole = false,
  ) {
    this.seq = seq
    this.stateSeq = stateSeq
  }

  /** @returns whether there was not too much in it */
  private add(record: StateLine | DocumentLine): boolean {
    return this.put(record, LONG)
  }

  private put(
    record: StateLine | DocumentLine | WholeLine,
    most = Number.POSITIVE_INFINITY,
  ): boolean {
    const json = JSON.stringify({ seq: this.seq + 1, ...record })
    if (json.length > most) return false
    this.seq++
    this.writer.send({ line: `${checksum(json)} ${json}` })
    return true
  }

  /** @param history what can be undone in that state */
  state(state: State, history: History = this.history): void {
    const changes = this.logged && changesBetween(this.logged, state)
    if (!this.logged) this.begin(state, history)
    this.logged = state
    if (!changes) return
    const steps = this.stepsOf(history)
    // With too much in it a line would not be written at all: the store has the steps as well.
    const told = steps === 'as before' ? steps : { ...steps, made: [] }
    // What comes after a change that is not here must not be built on what was before it.
    if (!this.add({ changes, steps }) && !this.add({ changes, steps: told })) this.seq++
    this.stateSeq = this.seq
  }

  private begin(state: State, history: History): void {
    if (this.whole) {
      this.put({ state, steps: newestSteps(history, this.contentsOf) })
      this.stateSeq = this.seq
    }
    this.knowAll(history)
  }

  private stepsOf(history: History): LoggedSteps | 'as before' {
    if (history === this.history) return 'as before'
    const made = [...history.past, ...history.future]
      .filter((step) => !this.known.has(step))
      .map((step) => withContents(step, this.contentsOf(step.id)))
    this.knowAll(history)
    return { list: listOf(history, () => true), made }
  }

  private knowAll(history: History): void {
    this.history = history
    for (const step of [...history.past, ...history.future]) this.known.add(step)
  }

  document(document: DocumentId, content: KeptContent | null): void {
    this.add({ document, content })
  }

  /** The next copy is begun: what comes now is beside it. @returns what the copy has all of */
  turn(state: State): number {
    this.logged = state
    this.writer.send({ turn: true })
    return this.seq
  }

  /** The copy is written: what was logged before it is not needed any more. */
  drop(): void {
    this.writer.send({ drop: true })
  }

  close(): void {
    this.writer.close()
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
