import { jot, jotted } from '@/store/jotted'
import { newId } from '@/store/newId'

/** What is used of the browser's locks. */
export type Locks = Pick<LockManager, 'request' | 'query'>

/**
 * How pages of one browser keep out of each other's way: the browser's own locks, or where it has
 * none (a page that is not served securely), pages that ask each other.
 */
export const locksOf = (channelOf: (name: string) => BroadcastChannel): Locks =>
  (typeof navigator === 'undefined' ? undefined : navigator.locks) ??
  (new AskedLocks(channelOf) as unknown as Locks)

type Message =
  | { kind: 'wants'; name: string; id: string }
  | { kind: 'held'; name: string; to: string }
  | { kind: 'taken'; name: string; id: string }
  | { kind: 'free'; name: string }

/**
 * How long others have to say that they hold a lock, and how often it is asked again. A page in the
 * background or at work may be slow to answer: where one noted that it holds it, it gets more time.
 */
const ANSWER_WITHIN = 250
const HOLDER_WITHIN = 2500
const ASK_EVERY = 1000

/** Where a page notes that it holds a lock. One that was killed leaves its note. */
const notedAt = (name: string): string => `kite-shelf-lock-${name}`

/**
 * Locks by asking: who wants one says so, and has it when nobody answers that it is held. Who is gone
 * does not answer, so that what it held is free. Of two who want it at once the lower id has it.
 */
export class AskedLocks {
  private held = new Map<string, (why: Error) => void>()
  /** What is being asked for here: told who holds it, or wants it too. */
  private asking = new Map<string, { id: string; lose(): void }>()
  private freed = new Set<(name: string) => void>()
  private channel: BroadcastChannel | null = null
  private count = 0
  private me = newId('page')

  constructor(private channelOf: (name: string) => BroadcastChannel) {}

  /** Heard from the first lock on that is asked for. */
  private get heard(): BroadcastChannel {
    if (!this.channel) {
      this.channel = this.channelOf('kite-shelf-locks')
      this.channel.onmessage = ({ data }) => this.hear(data as Message)
      globalThis.addEventListener?.('pagehide', () => {
        for (const name of this.held.keys()) this.unnote(name)
      })
    }
    return this.channel
  }

  async query(): Promise<LockManagerSnapshot> {
    return { held: [...this.held.keys()].map((name) => ({ name })), pending: [] }
  }

  async request<T>(
    name: string,
    given: LockOptions | ((lock: Lock | null) => T),
    callback?: (lock: Lock | null) => T,
  ): Promise<T> {
    const options = typeof given === 'function' ? {} : given
    const work = (typeof given === 'function' ? given : callback) as (lock: Lock | null) => T
    if (options.steal) this.post({ kind: 'taken', name, id: this.me })
    else
      while (!(await this.isFree(name))) {
        if (options.ifAvailable) return work(null)
        await this.wait(name, options.signal)
      }
    options.signal?.throwIfAborted()
    return this.hold(name, work)
  }

  private async hold<T>(name: string, work: (lock: Lock | null) => T): Promise<T> {
    jot('localStorage', notedAt(name), this.me)
    const lost = new Promise<never>((_, reject) => this.held.set(name, reject))
    try {
      return await Promise.race([work({ name, mode: 'exclusive' }), lost])
    } finally {
      this.held.delete(name)
      this.unnote(name)
      this.post({ kind: 'free', name })
    }
  }

  /** The note goes, unless another page has taken the lock and noted that. */
  private unnote(name: string): void {
    if (jotted('localStorage', notedAt(name)) === this.me) jot('localStorage', notedAt(name), null)
  }

  private async isFree(name: string): Promise<boolean> {
    if (this.held.has(name) || this.asking.has(name)) return false
    const id = `${this.me}-${++this.count}`
    const holder = jotted('localStorage', notedAt(name)) !== null
    const lost = new Promise<boolean>((resolve) => {
      this.asking.set(name, { id, lose: () => resolve(false) })
      setTimeout(() => resolve(true), holder ? HOLDER_WITHIN : ANSWER_WITHIN)
    })
    this.post({ kind: 'wants', name, id })
    try {
      const free = await lost
      // Should the holder only have been very slow, it is told.
      if (free && holder) this.post({ kind: 'taken', name, id })
      return free
    } finally {
      this.asking.delete(name)
    }
  }

  /** Until it may be free. */
  private async wait(name: string, signal?: AbortSignal): Promise<void> {
    signal?.throwIfAborted()
    await new Promise<void>((resolve) => {
      const done = () => {
        clearTimeout(timer)
        this.freed.delete(free)
        resolve()
      }
      const free = (one: string) => one === name && done()
      const timer = setTimeout(done, ASK_EVERY)
      this.freed.add(free)
      signal?.addEventListener('abort', done)
    })
    signal?.throwIfAborted()
  }

  private hear(message: Message): void {
    const { name } = message
    const mine = this.asking.get(name)
    switch (message.kind) {
      case 'wants':
        if (this.held.has(name)) this.post({ kind: 'held', name, to: message.id })
        else if (mine && mine.id < message.id) this.post({ kind: 'held', name, to: message.id })
        else mine?.lose()
        break
      case 'held':
        if (mine?.id === message.to) mine.lose()
        break
      case 'taken':
        this.held.get(name)?.(new DOMException('Taken by another page', 'AbortError'))
        break
      case 'free':
        for (const told of this.freed) told(name)
        break
    }
  }

  private post(message: Message): void {
    this.heard.postMessage(message)
    if (message.kind === 'free') for (const told of this.freed) told(message.name)
  }
}
