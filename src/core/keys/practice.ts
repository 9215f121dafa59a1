import type { DesktopId } from '@/core/model/ids'

/** A desktop that was gone to in a round, and how long it took from when it was asked for. */
export interface Go {
  to: DesktopId
  /** Milliseconds. */
  time: number
}

/** How many goes make a round. */
export const ROUND = 20

/** How many desktops come in a round: few enough that the slower ones come again. */
const DESKTOPS = 12

/** How much slower than the median counts as slow. */
const SLOW = 1.3

/** The middle of some figures; 0 of none. */
export function median(figures: number[]): number {
  const sorted = figures.toSorted((a, b) => a - b)
  const middle = Math.floor(sorted.length / 2)
  const [low = 0, high = 0] = [sorted[middle - 1], sorted[middle]]
  return sorted.length % 2 === 1 ? high : (low + high) / 2
}

/** The last time each desktop took. */
const lastTimes = (goes: Go[]): Map<DesktopId, number> =>
  new Map(goes.map(({ to, time }) => [to, time]))

/** The desktops that took longest, the slowest first, each as it was the last time. */
export function slowest(goes: Go[], most = 3): Go[] {
  const all = [...lastTimes(goes)].map(([to, time]) => ({ to, time }))
  const middle = median(all.map(({ time }) => time))
  return all
    .filter(({ time }) => time > middle * SLOW)
    .toSorted((a, b) => b.time - a.time)
    .slice(0, most)
}

/**
 * Where to go next: each desktop once, by chance where there are many, then those that took longer
 * come more often.
 * @param chance 0 up to 1
 * @returns null where there is nowhere else to go
 */
export function nextGo(
  desktops: DesktopId[],
  here: DesktopId,
  goes: Go[],
  chance: number,
): DesktopId | null {
  const times = lastTimes(goes)
  const others = desktops.filter((id) => id !== here)
  const met = others.filter((id) => times.has(id))
  const fresh = times.size < DESKTOPS ? others.filter((id) => !times.has(id)) : []
  const from = fresh.length > 0 ? fresh : met
  const middle = median([...times.values()]) || 1
  const weight = (id: DesktopId) => ((times.get(id) ?? middle) / middle) ** 2
  let left = chance * from.reduce((sum, id) => sum + weight(id), 0)
  for (const id of from) {
    left -= weight(id)
    if (left < 0) return id
  }
  return from.at(-1) ?? null
}
