import type { Direction } from './direction'
import { nearest } from './direction'
import { clamp, overlap, type Point, type Rect } from './rect'

/** How displays stand to each other. Lengths are their own pixels, side by side. */

/** How much of their edges two displays share at least, so that one gets from one to the other. */
const SHARED = 20

const shares = (from: number, length: number, other: number, otherLength: number): number =>
  Math.min(from + length, other + otherLength) - Math.max(from, other)

/** Whether two displays stand edge to edge. */
function touches(a: Rect, b: Rect): boolean {
  const across = a.x + a.width === b.x || b.x + b.width === a.x
  const down = a.y + a.height === b.y || b.y + b.height === a.y
  return (
    (across && shares(a.y, a.height, b.y, b.height) >= SHARED) ||
    (down && shares(a.x, a.width, b.x, b.width) >= SHARED)
  )
}

/** Why displays cannot stand like this, or null: none covers another, and there is no gap between. */
export function standProblem(all: Rect[]): string | null {
  for (const [at, one] of all.entries())
    if (all.slice(at + 1).some((other) => overlap(one, other) > 0)) return 'They would overlap.'
  const reached = new Set([0])
  for (const at of reached)
    for (const [other, rect] of all.entries())
      if (!reached.has(other) && touches(all[at] as Rect, rect)) reached.add(other)
  return reached.size === all.length ? null : 'There would be a gap between them.'
}

/** Every place edge to edge with one of the others and over none, nearest to what is wanted along it. */
function places(display: Rect, wanted: Point, others: Rect[]): Point[] {
  const { width, height } = display
  const along = (at: number, length: number, from: number, otherLength: number): number[] => {
    const kept = clamp(at, from - length + SHARED, from + otherLength - SHARED)
    return [Math.round(kept), from, from + otherLength - length]
  }
  return others
    .flatMap(({ x, y, width: w, height: h }) => [
      ...along(wanted.y, height, y, h).flatMap((at) => [
        { x: x - width, y: at },
        { x: x + w, y: at },
      ]),
      ...along(wanted.x, width, x, w).flatMap((at) => [
        { x: at, y: y - height },
        { x: at, y: y + h },
      ]),
    ])
    .filter((at) => standProblem([...others, { ...at, width, height }]) === null)
}

/** Edges that line up are worth a way of so much, in pixels. */
const SNAP = 60

/**
 * The place nearest to what is wanted where a display stands edge to edge with others and over
 * none; edges that nearly line up do.
 */
export function snapped(display: Rect, wanted: Point, others: Rect[]): Point {
  const { width, height } = display
  const linesUp = ({ x, y }: Point) =>
    others.some(
      (one) =>
        x === one.x ||
        y === one.y ||
        x + width === one.x + one.width ||
        y + height === one.y + one.height,
    )
  let best: Point = display
  let least = Number.POSITIVE_INFINITY
  for (const place of places(display, wanted, others)) {
    const far = Math.hypot(place.x - wanted.x, place.y - wanted.y)
    const cost = linesUp(place) ? far - SNAP : far
    if (cost >= least) continue
    least = cost
    best = place
  }
  return best
}

/** How far an arrow moves a display along another's edge. */
const STEP = 40

/** Where an arrow takes a display: a step along the edge it stands at, else to the next edge. */
export function nudged(display: Rect, to: Direction, others: Rect[]): Point | null {
  const by = { left: [-1, 0], right: [1, 0], up: [0, -1], down: [0, 1] }[to] as [number, number]
  const step = { x: display.x + by[0] * STEP, y: display.y + by[1] * STEP }
  if (standProblem([...others, { ...display, ...step }]) === null) return step
  const all = places(display, display, others)
  const at = nearest(
    display,
    all.map((place) => ({ ...display, ...place })),
    to,
  )
  return at === null ? null : (all[at] ?? null)
}

/** Where a display that comes new stands: at the right of all others, tops in line with the last. */
export function atTheRight(others: Rect[]): Point {
  const right = others.reduce<Rect | null>(
    (most, one) => (most && most.x + most.width >= one.x + one.width ? most : one),
    null,
  )
  return right ? { x: right.x + right.width, y: right.y } : { x: 0, y: 0 }
}

/**
 * Displays of which one changed size, or went, brought edge to edge again: each, in the order
 * given, as near to where it stands as it can be.
 */
export function closedUp(all: Rect[]): Point[] {
  if (standProblem(all) === null) return all.map(({ x, y }) => ({ x, y }))
  const placed: Rect[] = []
  for (const one of all) {
    const sound = standProblem([...placed, one]) === null
    const at = placed.length === 0 || sound ? one : snapped(one, one, placed)
    placed.push({ ...one, x: at.x, y: at.y })
  }
  return placed.map(({ x, y }) => ({ x, y }))
}
