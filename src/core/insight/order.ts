import { seeded } from './seeded'

/**
 * An order of desktops in which those one goes between stand near each other: the sum over all pairs of
 * how often one goes between them times how far apart they stand is as small as it can be.
 */

/** So many are ordered exactly; beyond, the best is looked for. */
export const EXACT_MOST = 12

/** How often one goes between two, both ways; as many rows as columns. */
export type Between = readonly (readonly number[])[]

/** Steps from neighbour to neighbour that all ways together take in an order. */
export function stepsOf(between: Between, order: readonly number[]): number {
  let steps = 0
  for (const [place, one] of order.entries())
    for (const [apart, other] of order.slice(place + 1).entries())
      steps += (apart + 1) * ((between[one]?.[other] ?? 0) + (between[other]?.[one] ?? 0))
  return steps
}

/**
 * The order with the fewest steps; of those the one there is, where it is among them.
 * @returns places in the given order, each once
 */
export function bestOrder(between: Between): number[] {
  const count = between.length
  const now = Array.from({ length: count }, (_, at) => at)
  const found = count <= EXACT_MOST ? exact(between) : annealed(between)
  return stepsOf(between, found) < stepsOf(between, now) ? found : now
}

/**
 * By dynamic programming over subsets: whatever order a set of desktops stands in at the left, each way
 * from it to the others crosses the gap behind it once, so that the cost of a set does not depend on how
 * it came about. Held and Karp’s scheme with cut sizes; 2ⁿ·n steps.
 */
function exact(between: Between): number[] {
  const count = between.length
  const both = between.map((row, one) => row.map((n, other) => n + (between[other]?.[one] ?? 0)))
  const sets = 1 << count
  const cost = new Float64Array(sets).fill(Number.POSITIVE_INFINITY)
  const lastOf = new Int8Array(sets).fill(-1)
  const cut = new Float64Array(sets)
  cost[0] = 0
  for (let set = 1; set < sets; set++) {
    const low = 31 - Math.clz32(set & -set)
    const rest = set & (set - 1)
    let crossing = cut[rest] ?? 0
    for (let other = 0; other < count; other++) {
      const ways = both[low]?.[other] ?? 0
      if (other !== low) crossing += rest & (1 << other) ? -ways : ways
    }
    cut[set] = crossing
    for (let last = 0; last < count; last++) {
      if (!(set & (1 << last))) continue
      const before = (cost[set ^ (1 << last)] ?? 0) + crossing
      if (before >= (cost[set] ?? 0)) continue
      cost[set] = before
      lastOf[set] = last
    }
  }
  const order: number[] = []
  for (let set = sets - 1; set > 0; ) {
    const last = lastOf[set] ?? 0
    order.unshift(last)
    set ^= 1 << last
  }
  return order
}

/** Moves of one desktop to another place that are tried, for each of them. */
const TRIES = 1500

/** From the order there is, by moves that may make it worse at first, less and less so. */
function annealed(between: Between): number[] {
  const random = seeded(1)
  const count = between.length
  let order = Array.from({ length: count }, (_, at) => at)
  let steps = stepsOf(between, order)
  let best = { order, steps }
  const first = steps / count / 4
  for (let n = 0; n < TRIES * count; n++) {
    const warm = first * (1 - n / (TRIES * count)) ** 3
    const from = Math.floor(random() * count)
    const to = Math.floor(random() * count)
    const [moved = 0] = order.slice(from, from + 1)
    const next = order.toSpliced(from, 1).toSpliced(to, 0, moved)
    const then = steps + change(between, order, from, to)
    if (then > steps && random() >= Math.exp((steps - then) / (warm || 1e-9))) continue
    order = next
    steps = then
    if (steps < best.steps) best = { order, steps }
  }
  return best.order
}

/** What moving one changes: its own ways, and those over it of all that make room. */
function change(between: Between, order: readonly number[], from: number, to: number): number {
  if (from === to) return 0
  const ways = (one: number, other: number) =>
    (between[one]?.[other] ?? 0) + (between[other]?.[one] ?? 0)
  const moved = order[from] ?? 0
  const [low, high] = from < to ? [from + 1, to] : [to, from - 1]
  const by = from < to ? -1 : 1
  let sum = 0
  for (const [place, other] of order.entries()) {
    if (place === from) continue
    const then = place >= low && place <= high ? place + by : place
    sum += ways(moved, other) * (Math.abs(to - then) - Math.abs(from - place))
    // Those that make room come nearer to, or further from, those that stay.
    if (then === place) continue
    for (const [stays, one] of order.entries())
      if (stays !== from && (stays < low || stays > high))
        sum += ways(other, one) * (Math.abs(then - stays) - Math.abs(place - stays))
  }
  return sum
}
