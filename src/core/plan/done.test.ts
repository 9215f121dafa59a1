import fc from 'fast-check'
import type { Block } from '@/core/model/kinds/block'
import { compared } from './done'

const block = (desktop: string, start: number, end: number, more: Partial<Block> = {}): Block => ({
  id: `${desktop}-${start}`,
  desktop,
  start,
  end,
  ...more,
})

test('planned, done, and how much of what was planned was done in its time', () => {
  const blocks = [block('field', 0, 60), block('rota', 60, 100), block('rota', 200, 300)]
  const done = [
    { desktop: 'field', start: 10, end: 50 },
    { desktop: 'model', start: 50, end: 70 },
    { desktop: 'field', start: 70, end: 90 },
    { desktop: 'rota', start: 90, end: 120 },
  ]
  expect(compared(blocks, done, 0, 250)).toEqual([
    { desktop: 'rota', planned: 90, done: 30, kept: 10 },
    { desktop: 'field', planned: 60, done: 60, kept: 40 },
    { desktop: 'model', planned: 0, done: 20, kept: 0 },
  ])
})

test('what is skipped is not planned; over midnight only the part of the day counts', () => {
  const blocks = [block('field', -30, 20), block('rota', 0, 50, { skipped: true })]
  expect(compared(blocks, [], 0, 100)).toEqual([
    { desktop: 'field', planned: 20, done: 0, kept: 0 },
  ])
})

test('however blocks lie over each other, never more is kept than was done or planned', () => {
  const span = fc
    .record({
      desktop: fc.constantFrom('a', 'b'),
      start: fc.nat(100),
      long: fc.integer({ min: 1, max: 60 }),
    })
    .map(({ desktop, start, long }) => block(desktop, start, start + long))
  fc.assert(
    fc.property(fc.array(span), fc.array(fc.nat(2), { minLength: 1 }), (blocks, went) => {
      const done = went.map((to, at) => ({
        desktop: ['a', 'b', 'c'][to] ?? 'a',
        start: at * 10,
        end: at * 10 + 10,
      }))
      for (const { planned, done: spent, kept } of compared(blocks, done, 0, 120)) {
        expect(kept).toBeLessThanOrEqual(Math.min(planned, spent))
        expect(planned).toBeLessThanOrEqual(120)
      }
    }),
  )
})
