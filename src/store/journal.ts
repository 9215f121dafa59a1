import { createStore, useStore } from 'zustand'
import type { JournalEvent } from '@/core/journal/events'
import { without, withoutApp } from '@/core/journal/striking'
import type { KeptStore } from './disk/storage'
import { ofShelf } from './ofShelf'
import type { Shelf } from './shelf'
import { useShelf } from './useShelf'

type DayStore = Pick<KeptStore, 'getItem' | 'setItem' | 'removeItem' | 'keys'>

/** A day as it is written, local time: “2026-03-04”. */
export const dayKey = (at: number): string => {
  const date = new Date(at)
  const two = (value: number) => String(value).padStart(2, '0')
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`
}

const today = ofShelf(() =>
  createStore<{ events: readonly JournalEvent[] }>(() => ({ events: [] })),
)

/** What has happened today. */
export const useToday = (): readonly JournalEvent[] =>
  useStore(today(useShelf()), ({ events }) => events)

/** So many events stand in one record: what is written again with each event stays small. */
const PART = 50

/** A part of a day, as it is in the store. */
interface Part {
  key: string
  events: JournalEvent[]
}

/** All of a day, part after part. */
async function partsOf(store: Pick<DayStore, 'getItem'>, day: string): Promise<Part[]> {
  const parts: Part[] = []
  for (;;) {
    const key = keyOf(day, parts.length)
    const events = await store.getItem(key)
    if (!Array.isArray(events)) return parts
    parts.push({ key, events: events as JournalEvent[] })
  }
}

/** What happened on the day of a moment, as it is in the store. */
export const eventsOf = async (
  store: Pick<DayStore, 'getItem'>,
  moment: number,
): Promise<JournalEvent[]> => (await partsOf(store, dayKey(moment))).flatMap(({ events }) => events)

/** Keeps days that are over, as they were. */
export async function keepDays(
  store: Pick<DayStore, 'setItem'>,
  events: readonly JournalEvent[],
): Promise<void> {
  const days = [...new Set(events.map(({ at }) => dayKey(at)))]
  const parts = days.flatMap((day) =>
    inParts(
      day,
      events.filter(({ at }) => dayKey(at) === day),
    ),
  )
  await Promise.all(parts.map(({ key, events: its }) => store.setItem(key, its)))
}

function inParts(day: string, events: readonly JournalEvent[]): Part[] {
  const parts = Math.ceil(events.length / PART)
  return Array.from({ length: parts }, (_, at) => ({
    key: keyOf(day, at),
    events: events.slice(at * PART, (at + 1) * PART),
  }))
}

/**
 * Days before a moment are not kept any longer.
 * @param before milliseconds since 1970
 */
export async function forgetDays(
  store: Pick<DayStore, 'keys' | 'removeItem'>,
  before: number,
): Promise<void> {
  const first = dayKey(before)
  for (const key of await store.keys())
    if (key.slice(0, first.length) < first) await store.removeItem(key)
}

/** What happened when, local time, each day in parts: `2026-03-04`, `2026-03-04.1`, … */
export class Journal {
  private last: (Part & { day: string; at: number }) | null = null
  private changed = new Map<string, JournalEvent[]>()
  /** After a day that could not be read its events go to records of their own. */
  private beside = ''

  constructor(
    private shelf: Shelf,
    private store: DayStore,
  ) {}

  /** What is there of today is read; days to come begin anew. */
  async open(now: number): Promise<void> {
    const day = dayKey(now)
    const events: JournalEvent[] = []
    try {
      const parts = await partsOf(this.store, day)
      const last = parts.at(-1)
      if (last) this.last = { ...last, day, at: parts.length - 1 }
      events.push(...parts.flatMap((part) => part.events))
    } catch {
      // It is not written over: what happens now goes beside it.
      this.beside = `-${now}`
      this.last = null
    }
    today(this.shelf).setState({ events })
  }

  add(events: JournalEvent[]): void {
    // Where nothing is kept nothing is written down.
    if (this.shelf.state().settings.log === 0) return
    for (const event of events) {
      const part = this.partFor(dayKey(event.at) + this.beside)
      part.events.push(event)
      this.changed.set(part.key, part.events)
    }
    today(this.shelf).setState(({ events: before }) => ({ events: [...before, ...events] }))
  }

  /** The part of a day that the next event goes to. */
  private partFor(day: string): Part {
    const { last } = this
    if (last?.day === day && last.events.length < PART) return last
    const at = last?.day === day ? last.at + 1 : 0
    if (last && last.day !== day) today(this.shelf).setState({ events: [] })
    this.last = { day, at, key: keyOf(day, at), events: [] }
    return this.last
  }

  /**
   * Strikes a span of one day from what is kept, for good.
   * @param from milliseconds since 1970; so is `until`
   */
  async strike(from: number, until: number): Promise<void> {
    await this.change(dayKey(from), (events) => without(events, from, until))
  }

  /** Strikes an app from all days that are kept, for good. */
  async strikeApp(app: string): Promise<void> {
    const keys = await this.store.keys()
    const days = new Set(keys.map((key) => key.replace(/\.\d+$/, '')))
    if (this.last) days.add(this.last.day)
    for (const day of days) await this.change(day, (events) => withoutApp(events, app))
  }

  private async change(
    day: string,
    to: (events: readonly JournalEvent[]) => JournalEvent[],
  ): Promise<void> {
    const { last } = this
    if (last?.day !== day) {
      const before = await partsOf(this.store, day)
      const left = to(before.flatMap(({ events }) => events))
      await this.rewrite(day, before.length, inParts(day, left))
      return
    }
    // Of today at once: what happens meanwhile comes after it.
    const left = to(today(this.shelf).getState().events)
    const parts = inParts(day, left)
    const at = Math.max(0, parts.length - 1)
    this.last = { day, at, ...(parts[at] ?? { key: keyOf(day, 0), events: [] }) }
    this.changed.clear()
    today(this.shelf).setState({ events: left })
    await this.rewrite(day, last.at + 1, parts)
  }

  /** @param before how many parts the day had */
  private async rewrite(day: string, before: number, parts: Part[]): Promise<void> {
    await Promise.all(parts.map(({ key, events }) => this.store.setItem(key, events)))
    for (let at = parts.length; at < before; at++) await this.store.removeItem(keyOf(day, at))
  }

  async write(): Promise<void> {
    const parts = [...this.changed]
    this.changed.clear()
    try {
      await Promise.all(parts.map(([key, events]) => this.store.setItem(key, events)))
    } catch (error) {
      for (const [key, events] of parts) this.changed.set(key, events)
      throw error
    }
  }
}

const keyOf = (day: string, at: number): string => (at ? `${day}.${at}` : day)
