import { seeded } from '@/core/insight/seeded'

/**
 * The order in which so many tunes are played: as they are listed, or mixed, the same for a seed.
 * @returns the places of the tunes in the list
 */
export function playOrder(count: number, shuffle: number | undefined): number[] {
  const order = Array.from({ length: count }, (_, at) => at)
  if (shuffle === undefined) return order
  const next = seeded(shuffle)
  for (let at = count - 1; at > 0; at--) {
    const other = Math.floor(next() * (at + 1))
    ;[order[at], order[other]] = [order[other] ?? 0, order[at] ?? 0]
  }
  return order
}

/** The tune after another in the order they are played, or before it, round and round. */
export function beside(
  tune: number,
  by: 1 | -1,
  count: number,
  shuffle: number | undefined,
): number {
  const order = playOrder(count, shuffle)
  return order[(order.indexOf(tune) + by + count) % count] ?? 0
}

/** A list with one of it at another place. */
export function moved<One>(list: One[], from: number, to: number): One[] {
  const next = list.toSpliced(from, 1)
  return next.toSpliced(to, 0, ...list.slice(from, from + 1))
}

/** Where something of a list stands after another was moved, or it itself. */
export function placeAfter(at: number, from: number, to: number): number {
  if (at === from) return to
  if (from < at && at <= to) return at - 1
  return to <= at && at < from ? at + 1 : at
}
