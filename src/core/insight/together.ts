import Graph from 'graphology'
import louvain from 'graphology-communities-louvain'
import type { JournalEvent } from '@/core/journal/events'
import type { WindowId } from '@/core/model/ids'
import { seeded } from './seeded'

/** There and back within so long is one alternation, in milliseconds. */
const WITHIN = 5 * 60_000

/** Two windows between which somebody went to and fro. */
export interface Alternation {
  between: [WindowId, WindowId]
  times: number
}

/**
 * How often one went from a window to another and came back within five minutes, the most often first.
 * @param events in order
 */
export function alternationsOf(events: readonly JournalEvent[]): Alternation[] {
  const had = events
    .filter(
      ({ kind, window }) => window && (kind === 'focus' || kind === 'open' || kind === 'switch'),
    )
    .filter(({ window }, at, all) => window !== all[at - 1]?.window)
  const times = new Map<string, number>()
  for (const [at, last] of had.entries()) {
    const first = had[at - 2]
    const middle = had[at - 1]
    if (!first || first.window !== last.window || last.at - first.at > WITHIN) continue
    const key = [first.window ?? '', middle?.window ?? ''].sort().join(' ')
    times.set(key, (times.get(key) ?? 0) + 1)
  }
  return [...times]
    .map(([key, count]): Alternation => {
      const [one = '', other = ''] = key.split(' ')
      return { between: [one, other], times: count }
    })
    .sort((a, b) => b.times - a.times)
}

/** Windows that are used together. */
export interface Group {
  windows: WindowId[]
  /** How often one went to and fro between them. */
  times: number
}

/**
 * Windows that are used together, by the communities of what one goes to and fro between (Louvain:
 * Blondel, Guillaume, Lambiotte and Lefebvre 2008), the most used first; the same each time.
 */
export function groupsOf(alternations: readonly Alternation[]): Group[] {
  if (alternations.length === 0) return []
  const graph = new Graph({ type: 'undirected' })
  for (const { between, times } of alternations) {
    const [one, other] = between
    graph.mergeNode(one)
    graph.mergeNode(other)
    graph.mergeEdge(one, other, { weight: times })
  }
  const community = louvain(graph, { getEdgeWeight: 'weight', rng: seeded(36) })
  const groups = new Map<number, WindowId[]>()
  for (const [window, of] of Object.entries(community))
    groups.set(of, [...(groups.get(of) ?? []), window])
  return [...groups.values()]
    .filter(({ length }) => length > 1)
    .map((windows) => ({
      windows: windows.sort(),
      times: alternations
        .filter(({ between }) => between.every((one) => windows.includes(one)))
        .reduce((sum, { times }) => sum + times, 0),
    }))
    .sort((a, b) => b.times - a.times)
}
