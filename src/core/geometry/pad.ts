import type { Direction } from './direction'
import {
  clamp,
  type Limits,
  limited,
  type Rect,
  reachable,
  type Size,
  type Span,
  spanFrame,
} from './rect'

/** The letters of the nine cells, row by row. */
export const PAD = 'QWEASDZXC'

/** The keys of the numeric keypad over the same cells, as `event.code` tells them. */
const KEYPAD = [7, 8, 9, 4, 5, 6, 1, 2, 3].map((digit) => `Numpad${digit}`)

/** How far an arrow moves a window, and how much it grows to each side, in CSS pixels. */
const STEP = 24

/** The whole of the pad. */
export const WHOLE: Span = { top: 0, left: 0, bottom: 2, right: 2 }

/** The span between two of the nine cells, counted from 0, row by row. */
export const spanOf = (a: number, b: number): Span => ({
  top: Math.min(Math.floor(a / 3), Math.floor(b / 3)),
  left: Math.min(a % 3, b % 3),
  bottom: Math.max(Math.floor(a / 3), Math.floor(b / 3)),
  right: Math.max(a % 3, b % 3),
})

/** A part of a length from one share to another, 0 to 1, as the first and last cell of three. */
const cells = (from: number, to: number): [first: number, last: number] => [from * 3, to * 3 - 1]

const SHARES = [1 / 2, 1 / 3, 2 / 3]
const NAMES = ['half', 'third', 'two thirds']

/** How far the shares of two spans may differ to be the same, in cells. */
const SAME = 1e-6
const same = (a: number, b: number): boolean => Math.abs(a - b) < SAME

type Side = 'start' | 'end'

/** The part of a length that lies at one side of it. */
const at = (side: Side, share: number): [first: number, last: number] =>
  side === 'start' ? cells(0, share) : cells(1 - share, 1)

/** Which side a part of a length takes, and which of the shares of it; null for any other part. */
function sideOf(first: number, last: number): { side: Side; share: number } | null {
  for (const side of ['start', 'end'] as const)
    for (const share of SHARES) {
      const [from, to] = at(side, share)
      if (same(from, first) && same(to, last)) return { side, share }
    }
  return null
}

/**
 * The span after an arrow: that side of the pad, half of it; where it has that side already, a
 * third, then two thirds, then half again. A side of the other direction stays: two make a corner.
 *
 * @param span where the window is placed now, or null
 */
export function toSide(span: Span | null, to: Direction): Span {
  const { top, left, bottom, right } = span ?? WHOLE
  const across = to === 'left' || to === 'right'
  const wanted: Side = to === 'left' || to === 'up' ? 'start' : 'end'
  const now = across ? sideOf(left, right) : sideOf(top, bottom)
  const next = now?.side === wanted ? SHARES.indexOf(now.share) + 1 : 0
  const [first, last] = at(wanted, SHARES[next % SHARES.length] ?? 1 / 2)
  const other = across ? sideOf(top, bottom) : sideOf(left, right)
  const [from, end] = other ? (across ? [top, bottom] : [left, right]) : [0, 2]
  return across
    ? { top: from, bottom: end, left: first, right: last }
    : { top: first, bottom: last, left: from, right: end }
}

/** “Q to S”, or “Q” — the letters that place a window there; “left half”, where letters cannot. */
export function spanInWords(span: Span): string {
  const { top, left, bottom, right } = span
  if ([top, left, bottom, right].every(Number.isInteger)) {
    const [from, to] = [PAD[top * 3 + left], PAD[bottom * 3 + right]]
    return from === to ? `${from}` : `${from} to ${to}`
  }
  const named = (first: number, last: number, start: string, end: string): string => {
    if (first === 0 && same(last, 2)) return ''
    const side = sideOf(first, last)
    if (!side) return `${percent(first / 3)} to ${percent((last + 1) / 3)}`
    return `${side.side === 'start' ? start : end} ${NAMES[SHARES.indexOf(side.share)]}`
  }
  const words = [named(left, right, 'left', 'right'), named(top, bottom, 'upper', 'lower')]
  return words.filter(Boolean).join(', ')
}

const percent = (share: number): string => `${Math.round(share * 100)} %`

/** What the pad is about: the display the window is on, and how it is to be placed there. */
export interface PadOver {
  area: Size
  limits: Limits
  gap: number
}

/** Where the window would go. */
export interface PadTarget {
  frame: Rect
  /** The part of the pad it fills; null where it stands free. */
  span: Span | null
  /** The first of two cells, while the second is awaited. */
  first: number | null
}

/** Where an act of the pad's keymap leads, and whether that is all; null for acts that leave the pad. */
export interface PadMove {
  target: PadTarget
  done: boolean
}

/** The cell of a key of the numeric keypad, by its code; undefined for all other keys. */
export function keypadCell(code: string): number | undefined {
  const at = KEYPAD.indexOf(code)
  return at < 0 ? undefined : at
}

/**
 * Where the window would go after an act. A cell places into that ninth, a second one spans to there;
 * a side takes that side; a step moves the window; it grows and shrinks around its middle, or comes
 * into the middle of the display.
 */
export function padMove(
  target: PadTarget,
  act: string,
  { cell, to }: { cell?: number; to?: Direction },
  over: PadOver,
): PadMove | null {
  if (act === 'pad:cell' && cell !== undefined) {
    const span = spanOf(target.first ?? cell, cell)
    return placed(span, over, target.first === null ? cell : null, target.first !== null)
  }
  if (act === 'pad:side' && to) return placed(toSide(target.span, to), over, null, false)
  const frame = freed(target.frame, act, to, over)
  return frame ? { target: { frame, span: null, first: null }, done: false } : null
}

function placed(
  span: Span,
  { area, limits, gap }: PadOver,
  first: number | null,
  done: boolean,
): PadMove {
  return {
    target: { frame: spanFrame(span, area, limits, gap), span, first },
    done,
  }
}

/** The frame moved a step, grown, shrunk or in the middle; null for any other act. */
function freed(frame: Rect, act: string, to: Direction | undefined, over: PadOver): Rect | null {
  switch (act) {
    case 'pad:step':
      return stepped(frame, to, over.area)
    case 'pad:grow':
      return grown(frame, STEP, over)
    case 'pad:shrink':
      return grown(frame, -STEP, over)
    case 'pad:middle':
      return centred(frame, over.area)
    default:
      return null
  }
}

function stepped(frame: Rect, to: Direction | undefined, area: Size): Rect {
  const { x, y } = frame
  const across = { left: -STEP, right: STEP, up: 0, down: 0 }
  const along = { left: 0, right: 0, up: -STEP, down: STEP }
  return to ? reachable({ ...frame, x: x + across[to], y: y + along[to] }, area) : frame
}

/** The frame larger or smaller by so much to each side, in CSS pixels, as far as there is room. */
export function grown(frame: Rect, by: number, { area, limits }: Omit<PadOver, 'gap'>): Rect {
  const most = by > 0 ? area : frame
  const size = limited(
    {
      width: clamp(frame.width + 2 * by, 1, Math.max(most.width, frame.width)),
      height: clamp(frame.height + 2 * by, 1, Math.max(most.height, frame.height)),
    },
    limits,
  )
  const start = (from: number, length: number, now: number, room: number) =>
    clamp(Math.round(from + (length - now) / 2), 0, Math.max(0, room - now))
  const x = start(frame.x, frame.width, size.width, area.width)
  const y = start(frame.y, frame.height, size.height, area.height)
  return reachable({ x, y, ...size }, area)
}

/** The frame in the middle of its display. */
export function centred(frame: Rect, area: Size): Rect {
  const x = Math.round((area.width - frame.width) / 2)
  const y = Math.max(0, Math.round((area.height - frame.height) / 2))
  return reachable({ ...frame, x, y }, area)
}
