import { besideIn } from '@/core/model/grid'
import { seeded } from './seeded'

/**
 * An order of desktops in which those one goes between stand near each other: the sum over all pairs of
 * how often one goes between them times how many steps apart they stand is as small as it can be.
 */

/** So many in a line that does not go round are ordered exactly; else the best is looked for. */
export const EXACT_MOST = 12

/** How often one goes between two, both ways; as many rows as columns. */
export type Between = readonly (readonly number[])[]

/** How many steps each place is from each; as many rows as columns. */
export type Apart = readonly (readonly number[])[]

/** How desktops stand. */
interface Layout {
  /** How many stand in a row; with 1 they stand in a line. */
  columns: number
  /** Whether the line, or a row, goes round. */
  wrap: boolean
  /** Whether a column does, where there are rows. */
  wrapRows: boolean
}

/** How many steps it is from each place to each, as the keys for neighbours go. */
export function apartIn(count: number, { columns, wrap, wrapRows }: Layout): Apart {
  const places = Array.from({ length: count }, (_, at) => String(at))
  const beside = (from: string) =>
    ([1, -1] as const).flatMap((by) => [
      besideIn(places, columns, from, 'row', by, wrap) ?? [],
      columns > 1 ? (besideIn(places, columns, from, 'column', by, wrapRows) ?? []) : [],
    ])
  const neighbours = places.map((from) => beside(from).flat().map(Number))
  return places.map((_, from) => {
    const steps = new Array<number>(count).fill(Number.POSITIVE_INFINITY)
    steps[from] = 0
    for (const reached = [from]; reached.length; ) {
      const one = reached.shift() ?? from
      for (const next of neighbours[one] ?? []) {
        if (Number.isFinite(steps[next])) continue
        steps[next] = (steps[one] ?? 0) + 1
        reached.push(next)
      }
    }
    return steps
  })
}

/** Steps from neighbour to neighbour that all ways together take in an order. */
export function stepsOf(between: Between, order: readonly number[], apart: Apart): number {
  let steps = 0
  for (const [place, one] of order.entries())
    for (let after = place + 1; after < order.length; after++) {
      const other = order[after] ?? 0
      const ways = (between[one]?.[other] ?? 0) + (between[other]?.[one] ?? 0)
      if (ways) steps += ways * (apart[place]?.[after] ?? 0)
    }
  return steps
}

/**
 * The order with the fewest steps; the one there is, where none better is found.
 * @returns places in the given order, each once
 */
export function bestOrder(between: Between, layout: Layout): number[] {
  const count = between.length
  const now = Array.from({ length: count }, (_, at) => at)
  const apart = apartIn(count, layout)
  const line = layout.columns === 1 && !layout.wrap
  const found = line && count <= EXACT_MOST ? exact(between) : annealed(between, apart)
  return stepsOf(between, found, apart) < stepsOf(between, now, apart) ? found : now
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

/** Moves that are tried, for each desktop. */
const TRIES = 1500

/** From the order there is, by moves that may make it worse at first, less and less so. */
function annealed(between: Between, apart: Apart): number[] {
  const random = seeded(1)
  const count = between.length
  let order = Array.from({ length: count }, (_, at) => at)
  let steps = stepsOf(between, order, apart)
  let best = { order, steps }
  const first = steps / count / 4
  for (let n = 0; n < TRIES * count; n++) {
    const warm = first * (1 - n / (TRIES * count)) ** 3
    const from = Math.floor(random() * count)
    const to = Math.floor(random() * count)
    const [one = 0, other = 0] = [order[from], order[to]]
    // One moves and the others make room, or two change places: in rows that is less.
    const next =
      n % 2 ? order.toSpliced(from, 1).toSpliced(to, 0, one) : order.with(from, other).with(to, one)
    const then = stepsOf(between, next, apart)
    if (then > steps && random() >= Math.exp((steps - then) / (warm || 1e-9))) continue
    order = next
    steps = then
    if (steps < best.steps) best = { order, steps }
  }
  return best.order
}
