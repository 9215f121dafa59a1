import type { Span } from '@/core/model/types'

/** The letters of the 3×3 pad, row by row. */
export const PAD = 'QWEASDZXC'

/** The span between two of the nine cells, counted from 0, row by row. */
export const spanOf = (a: number, b: number): Span => ({
  top: Math.min(Math.floor(a / 3), Math.floor(b / 3)),
  left: Math.min(a % 3, b % 3),
  bottom: Math.max(Math.floor(a / 3), Math.floor(b / 3)),
  right: Math.max(a % 3, b % 3),
})

/** “Q to S”, or “Q” — the letters that place a window there. */
export function spanInWords({ top, left, bottom, right }: Span): string {
  const [from, to] = [PAD[top * 3 + left], PAD[bottom * 3 + right]]
  return from === to ? `${from}` : `${from} to ${to}`
}
