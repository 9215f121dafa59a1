/**
 * What a log is asked: to open the files of a shelf at the one in use, to add a line, to go on in the
 * other file, or to let go of what is in the one before, which a copy has by now.
 */
export type LogOrder =
  | { open: string; at: number }
  | { line: string }
  | { turn: true }
  | { drop: true }

/** Every order is answered, by its number. */
export interface LogAnswer {
  n: number
  fault?: { name: string; message: string }
}

/** What writes the log: a worker, or the page itself. */
export interface LogPlace {
  send(n: number, order: LogOrder): void
  close(): void
}

/** Opens a place. @param died it will answer no more */
export type LogWay = (answer: (given: LogAnswer) => void, died: (why: unknown) => void) => LogPlace

/** An order that is not answered by then will not be, in milliseconds. */
const ANSWER_WITHIN = 8000

/**
 * Has the log written, by the first way that works: one that cannot begin, dies, falls silent or
 * reports a fault gives way to the next, which is told again what was not answered. When none works
 * it begins with the first again when the next copy is made.
 */
export class LogWriter {
  private place: LogPlace | null = null
  private way = -1
  private count = 0
  private unanswered: { n: number; order: LogOrder }[] = []
  /** Which of the two files the first order that is not answered goes to. */
  private at = 0
  private watch: ReturnType<typeof setTimeout> | undefined
  private closed = false

  /** @param stands told which way is used now; null: none works, and why */
  constructor(
    private shelf: string,
    private ways: LogWay[],
    private stands: (way: number | null, why?: unknown) => void,
  ) {
    this.next(new Error('There is no way to write it'))
  }

  send(order: LogOrder): void {
    if (this.closed) return
    if (!this.place && 'turn' in order) {
      this.way = -1
      this.next(new Error('There is no way to write it'))
    }
    this.order(order)
  }

  close(): void {
    this.closed = true
    clearTimeout(this.watch)
    this.place?.close()
    this.place = null
  }

  private order(order: LogOrder): void {
    if (!this.place) return
    const n = ++this.count
    this.unanswered.push({ n, order })
    if (this.unanswered.length === 1) this.watchOver()
    this.place.send(n, order)
  }

  private next(why: unknown): void {
    this.place?.close()
    this.place = null
    clearTimeout(this.watch)
    const waiting = this.unanswered.filter(({ order }) => !('open' in order))
    this.unanswered = []
    if (this.closed) return
    const open = this.ways[++this.way]
    if (!open) {
      this.stands(null, why)
      return
    }
    const { way } = this
    const still = () => this.way === way && !this.closed
    try {
      this.place = open(
        (given) => still() && this.hear(given),
        (fault) => still() && this.next(fault),
      )
    } catch (fault) {
      this.next(fault)
      return
    }
    this.order({ open: this.shelf, at: this.at })
    for (const { order } of waiting) this.order(order)
  }

  private hear({ n, fault }: LogAnswer): void {
    if (fault) {
      this.next(fault)
      return
    }
    const at = this.unanswered.findIndex((one) => one.n === n)
    if (at < 0) return
    for (const { order } of this.unanswered.splice(0, at + 1)) {
      if ('turn' in order) this.at = 1 - this.at
      if ('open' in order) this.stands(this.way)
    }
    this.watchOver()
  }

  private watchOver(): void {
    clearTimeout(this.watch)
    if (this.unanswered.length === 0) return
    const silent = new DOMException('no answer', 'Silent')
    this.watch = setTimeout(() => this.next(silent), ANSWER_WITHIN)
  }
}
