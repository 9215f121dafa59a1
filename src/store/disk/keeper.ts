/** At most this long after a change it is being written, in milliseconds. */
const SAVE_WITHIN = 20
/** After this time what could not be written is tried again, in milliseconds. */
const AGAIN_WITHIN = 5000

interface Work {
  write(): Promise<void>
  saving(): void
  saved(): void
  failed(error: unknown): void
}

/**
 * Calls `write` soon after a change, never twice at once, and again when something changed
 * meanwhile. A failed write is tried again with the next change and every five seconds.
 */
export class Keeper {
  private timer: ReturnType<typeof setTimeout> | null = null
  private writing = false
  private again = false
  private stopped = false
  /** Whether the timer is for what could not be written. */
  private failed = false

  constructor(private work: Work) {}

  soon(): void {
    if (this.stopped || (this.timer !== null && !this.failed)) return
    if (!this.writing && !this.failed) this.work.saving()
    this.flushIn(SAVE_WITHIN)
  }

  private flushIn(time: number): void {
    if (this.timer !== null) clearTimeout(this.timer)
    this.failed = time === AGAIN_WITHIN
    this.timer = setTimeout(() => void this.flush(), time)
  }

  async flush(): Promise<void> {
    if (this.timer !== null) clearTimeout(this.timer)
    this.timer = null
    if (this.stopped) return
    if (this.writing) {
      this.again = true
      return
    }
    this.writing = true
    try {
      do {
        this.again = false
        await this.work.write()
      } while (this.again && !this.stopped)
      if (this.timer === null) this.work.saved()
    } catch (error) {
      this.work.failed(error)
      if (this.timer === null && !this.stopped) this.flushIn(AGAIN_WITHIN)
    } finally {
      this.writing = false
    }
  }

  stop(): void {
    this.stopped = true
    if (this.timer !== null) clearTimeout(this.timer)
  }
}
