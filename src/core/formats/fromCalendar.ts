import type { DesktopId } from '@/core/model/ids'
import type { Block } from '@/core/model/kinds/block'
import type { State } from '@/core/model/state'
import { plain } from '@/core/text/plain'
import type { CalendarEvent } from './calendar'

/** All times of what is called the same in a calendar, and the desktop they may belong to. */
export interface Topic {
  title: string
  events: CalendarEvent[]
  desktop: DesktopId | null
}

/**
 * What a calendar has, by title, the most frequent first. A topic belongs to the desktop that blocks of
 * this title belonged to before, or whose name is in the title; of several the longest.
 */
export function topicsOf(
  events: readonly CalendarEvent[],
  state: Pick<State, 'desktops' | 'order' | 'plan'>,
): Topic[] {
  const by = new Map<string, CalendarEvent[]>()
  for (const event of events) {
    const before = by.get(event.title)
    if (before) before.push(event)
    else by.set(event.title, [event])
  }
  const desktopFor = guess(state)
  return [...by]
    .map(([title, of]) => ({ title, events: of, desktop: desktopFor(title) }))
    .sort((a, b) => b.events.length - a.events.length)
}

function guess({ desktops, order, plan }: Pick<State, 'desktops' | 'order' | 'plan'>) {
  const before = new Map(plan.map(({ title, desktop }) => [title, desktop]))
  const names = order
    .map((id) => ({ id, name: plain(desktops[id]?.name ?? '').trim() }))
    .filter(({ name }) => name)
    .sort((a, b) => b.name.length - a.name.length)
  return (title: string): DesktopId | null => {
    const known = before.get(title)
    if (known && desktops[known]) return known
    // Whole words: “Rota” is not in “Rotation”.
    const words = ` ${plain(title).replace(/[^\p{L}\p{N}]+/gu, ' ')} `
    const found = names.find(({ name }) =>
      words.includes(` ${name.replace(/[^\p{L}\p{N}]+/gu, ' ')} `),
    )
    return found?.id ?? null
  }
}

/** The blocks of topics; those without a desktop are left out. */
export const blocksFrom = (
  topics: readonly Topic[],
  { desktops }: Pick<State, 'desktops'>,
): Omit<Block, 'id'>[] =>
  topics.flatMap(({ title, events, desktop }) =>
    desktop === null
      ? []
      : events.map(({ source, start, end }) => ({
          desktop,
          start,
          end,
          source,
          ...(title && title !== desktops[desktop]?.name && { title }),
        })),
  )
