import type { JournalEvent } from '@/core/journal/events'
import type { DesktopId } from '@/core/model/ids'

/** How often one went from each desktop to each other. */
export interface Matrix {
  /** Those one went from or to, as they stand in the order; those that are gone last. */
  desktops: DesktopId[]
  /** Row by row: from the one, to the other. */
  counts: number[][]
}

/** @param order the desktops as they stand */
export function matrixOf(events: readonly JournalEvent[], order: readonly DesktopId[]): Matrix {
  const went = events.flatMap(({ kind, from, to }) =>
    kind === 'switch' && from && to && from !== to ? [[from, to] as const] : [],
  )
  const met = new Set(went.flat())
  const desktops = [
    ...order.filter((id) => met.has(id)),
    ...[...met].filter((id) => !order.includes(id)),
  ]
  const at = new Map(desktops.map((id, place) => [id, place]))
  const counts = desktops.map(() => desktops.map(() => 0))
  for (const [from, to] of went) {
    const row = counts[at.get(from) ?? -1]
    const column = at.get(to) ?? -1
    if (row) row[column] = (row[column] ?? 0) + 1
  }
  return { desktops, counts }
}

/** The most often walked ways, from–to and back counted together, the most walked first. */
export function waysOf({
  desktops,
  counts,
}: Matrix): { between: [DesktopId, DesktopId]; count: number }[] {
  const ways = desktops.flatMap((one, row) =>
    desktops.slice(row + 1).map((other, beside) => {
      const column = row + 1 + beside
      const count = (counts[row]?.[column] ?? 0) + (counts[column]?.[row] ?? 0)
      return { between: [one, other] as [DesktopId, DesktopId], count }
    }),
  )
  return ways.filter(({ count }) => count > 0).sort((a, b) => b.count - a.count)
}
