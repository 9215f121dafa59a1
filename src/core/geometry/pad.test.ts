import { hearIn } from '@/core/keys/places'
import { initialState } from '@/core/model/initial'
import {
  centred,
  grown,
  keypadCell,
  PAD,
  type PadMove,
  type PadTarget,
  padMove,
  spanInWords,
  spanOf,
  toSide,
} from './pad'
import { nineCells, type Span } from './rect'

const AREA = { width: 1000, height: 700 }
const GAP = 8
const over = { area: AREA, limits: { minWidth: 10, minHeight: 10 }, gap: GAP }
const start: PadTarget = {
  frame: { x: 50, y: 40, width: 300, height: 200 },
  span: null,
  first: null,
}

/** What a key does on the pad: a digit is one of the numeric keypad. */
function heard(key: string): { command: string; args: object } {
  if (/^\d$/.test(key)) return { command: 'pad:cell', args: { cell: keypadCell(`Numpad${key}`) } }
  const found = hearIn(initialState(), 'pad', '', [key])
  return found.kind === 'command'
    ? { command: found.bound.command, args: found.bound.args ?? {} }
    : { command: 'nothing', args: {} }
}

function press(target: PadTarget, key: string): PadMove | null {
  const { command, args } = heard(key)
  return padMove(target, command, args, over)
}

/** Where a window would go after some keys; what ends it is left out. */
function after(...keys: string[]): PadTarget {
  let target = start
  for (const key of keys) {
    const moved = press(target, key)
    if (!moved) throw new Error(`${key} leads nowhere`)
    target = moved.target
  }
  return target
}

const sides = (...to: ('left' | 'right' | 'up' | 'down')[]): Span =>
  to.reduce<Span | null>(toSide, null) as Span

const cell = (letter: string): number => PAD.indexOf(letter)

test('two cells span the rectangle between them, whichever comes first', () => {
  expect(spanOf(cell('Q'), cell('S'))).toEqual({ top: 0, left: 0, bottom: 1, right: 1 })
  expect(spanOf(cell('S'), cell('Q'))).toEqual(spanOf(cell('Q'), cell('S')))
  expect(spanOf(cell('E'), cell('Z'))).toEqual({ top: 0, left: 0, bottom: 2, right: 2 })
})

test('a span is named by the letters that place a window there', () => {
  for (let a = 0; a < 9; a++)
    for (let b = 0; b < 9; b++) {
      const [from, to = from] = spanInWords(spanOf(a, b)).split(' to ')
      expect(spanOf(cell(from ?? ''), cell(to ?? ''))).toEqual(spanOf(a, b))
    }
  expect(spanInWords(spanOf(cell('D'), cell('D')))).toBe('D')
})

test('each of the 81 spans of two cells gives the rectangle from the one to the other, gaps and all', () => {
  const cells = nineCells(AREA, GAP)
  const keypad = '789456123'
  for (let a = 0; a < 9; a++)
    for (let b = 0; b < 9; b++) {
      const [one, other] = [cells[a], cells[b]]
      if (!one || !other) throw new Error('Nine cells')
      const x = Math.min(one.x, other.x)
      const y = Math.min(one.y, other.y)
      const wanted = {
        x,
        y,
        width: Math.max(one.x + one.width, other.x + other.width) - x,
        height: Math.max(one.y + one.height, other.y + other.height) - y,
      }
      expect(after(PAD[a] ?? '', PAD[b] ?? '').frame).toEqual(wanted)
      expect(after(keypad[a] ?? '', keypad[b] ?? '').frame).toEqual(wanted)
    }
})

test('the second cell is all; the first waits for it', () => {
  expect(press(start, 'Q')).toMatchObject({ done: false, target: { first: 0 } })
  expect(press(after('Q'), 'S')).toMatchObject({ done: true, target: { first: null } })
  for (const [key, act] of [
    ['Enter', 'pad:keep'],
    ['Escape', 'pad:leave'],
    ['F', 'pad:fill'],
    ['R', 'pad:restore'],
    ['N', 'pad:next'],
    ['T', 'nothing'],
  ] as const) {
    expect(heard(key).command).toBe(act)
    expect(press(start, key)).toBeNull()
  }
})

test('an arrow takes a side: half, a third, two thirds; two sides a corner', () => {
  expect(sides('left')).toEqual({ top: 0, left: 0, bottom: 2, right: 0.5 })
  expect(sides('left', 'left')).toMatchObject({ left: 0, right: 0 })
  expect(sides('left', 'left', 'left')).toMatchObject({ left: 0, right: 1 })
  expect(sides('left', 'left', 'left', 'left')).toEqual(sides('left'))
  expect(sides('right')).toMatchObject({ left: 1.5, right: 2, top: 0, bottom: 2 })
  expect(sides('left', 'right')).toEqual(sides('right'))
  expect(sides('left', 'down')).toEqual({ top: 1.5, left: 0, bottom: 2, right: 0.5 })
  expect(sides('left', 'down', 'down', 'right')).toEqual({ top: 2, left: 1.5, bottom: 2, right: 2 })
  expect(spanInWords(sides('left', 'down'))).toBe('left half, lower half')
  expect(spanInWords(sides('right', 'right', 'right'))).toBe('W to C')
  expect(spanInWords({ top: 0, bottom: 2, left: 0.6, right: 1 })).toBe('20 % to 67 %')
  // Halves leave the gap between them, and around them.
  const [left, right] = [after('Left').frame, after('Right').frame]
  expect([left.x, right.x - left.x - left.width, AREA.width - right.x - right.width]).toEqual([
    GAP,
    GAP,
    GAP,
  ])
  expect(Math.abs(left.width - right.width)).toBeLessThanOrEqual(1)
})

test('steps, growing and the middle leave the pad’s parts and keep within reach', () => {
  expect(after('Q', 'Shift+Right').span).toBeNull()
  expect(after('Shift+Right', 'Shift+Down').frame).toEqual({
    ...start.frame,
    x: 74,
    y: 64,
  })
  expect(after('Shift+=').frame).toEqual({ x: 26, y: 16, width: 348, height: 248 })
  expect(after('=', '-').frame).toEqual(start.frame)
  expect(after('M').frame).toMatchObject({ x: 350, y: 250 })
  expect(grown({ x: 0, y: 0, width: 990, height: 690 }, 24, over)).toEqual({ x: 0, y: 0, ...AREA })
  expect(grown({ x: 9, y: 9, width: 40, height: 40 }, -60, over)).toMatchObject({
    width: 10,
    height: 10,
  })
  expect(centred({ x: 5, y: 5, width: 1200, height: 900 }, AREA)).toMatchObject({ x: -100, y: 0 })
})
