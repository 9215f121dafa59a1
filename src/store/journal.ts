import { createStore, useStore } from 'zustand'
import type { JournalEvent } from '@/core/journal/events'

interface DayStore {
  getItem(key: string): Promise<unknown>
  setItem(key: string, value: unknown): Promise<unknown>
}

const dayOf = (at: number): string => {
  const date = new Date(at)
  const two = (value: number) => String(value).padStart(2, '0')
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`
}

const today = createStore<{ events: readonly JournalEvent[] }>(() => ({ events: [] }))

/** What has happened today. */
export const useToday = (): readonly JournalEvent[] => useStore(today, ({ events }) => events)

/** What happened when, one record a day, local time. */
export class Journal {
  private days = new Map<string, JournalEvent[]>()
  private changed = new Set<string>()
  /** After a day that could not be read its events go to records of their own. */
  private beside = ''

  constructor(private store: DayStore) {}

  /** The days to come are read on their first event; what is there is kept. */
  async open(now: number): Promise<void> {
    const day = dayOf(now)
    try {
      const events = await this.store.getItem(day)
      this.days.set(day, Array.isArray(events) ? (events as JournalEvent[]) : [])
    } catch {
      // It is not written over: what happens now goes beside it.
      this.beside = `-${now}`
    }
    today.setState({ events: this.days.get(day) ?? [] })
  }

  add(events: JournalEvent[]): void {
    for (const event of events) {
      const day = dayOf(event.at) + this.beside
      const list = [...(this.days.get(day) ?? []), event]
      this.days.set(day, list)
      this.changed.add(day)
      today.setState({ events: list })
    }
  }

  async write(): Promise<void> {
    const days = [...this.changed]
    this.changed.clear()
    try {
      await Promise.all(days.map((day) => this.store.setItem(day, this.days.get(day))))
    } catch (error) {
      for (const day of days) this.changed.add(day)
      throw error
    }
  }
}
