import { APPS } from '@testing/world'
import type { KeptStore } from '@/store/disk/storage'
import { createShelf, type Given, type Shelf } from '@/store/shelf'
import { locksOf } from '@/store/views/locks'

/** A store that lives as long as a test, and fails when it is told to. */
export class MemoryStore implements KeptStore {
  items = new Map<string, unknown>()
  /** Fails the next reads, or writes, of keys like this one. */
  failing: { reads?: RegExp; writes?: RegExp } = {}
  /** Bytes written since the start. */
  written = 0

  async getItem(key: string): Promise<unknown> {
    if (this.failing.reads?.test(key)) throw new DOMException('not readable', 'UnknownError')
    const kept = this.items.get(key)
    return kept === undefined ? null : structuredClone(kept)
  }

  async setItem(key: string, value: unknown): Promise<void> {
    if (this.failing.writes?.test(key)) throw new DOMException('full', 'QuotaExceededError')
    this.items.set(key, structuredClone(value))
    this.written += JSON.stringify(value).length
  }

  async removeItem(key: string): Promise<void> {
    this.items.delete(key)
  }

  async keys(): Promise<string[]> {
    return [...this.items.keys()]
  }
}

/** A shelf that lives as long as a test; nothing of it is loaded or kept unless that is asked for. */
export const makeShelf = (given: Partial<Given> = {}): Shelf =>
  createShelf({
    stores: () => ({
      slots: new MemoryStore(),
      documents: new MemoryStore(),
      journal: new MemoryStore(),
      sessions: new MemoryStore(),
    }),
    apps: APPS,
    contentProblem: () => null,
    clock: () => Date.now(),
    channel: (name) => new BroadcastChannel(name),
    locks: locksOf((name) => new BroadcastChannel(name)),
    ...given,
  })
