import type { Point } from '@/core/geometry/rect'

/** Where the keys of a common keyboard lie: row by row, in key widths from the left. */
const ROWS: [row: string, from: number][] = [
  ['`1234567890-=', 0],
  ['QWERTYUIOP[]\\', 1.5],
  ["ASDFGHJKL;'", 1.75],
  ['ZXCVBNM,./', 2.25],
]
/** The left hand’s keys lie left of this. */
export const MIDDLE = 6.4

/** Where each key lies, by what is printed on it. */
export const KEYS: ReadonlyMap<string, Point> = new Map(
  ROWS.flatMap(([row, from], y) => [...row].map((key, at) => [key, { x: from + at, y }] as const)),
)
