import { runs } from '@testing/runs'
import { World } from '@testing/world'
import fc from 'fast-check'
import { initialState } from '@/core/model/initial'
import type { State } from '@/core/model/state'
import { asIn, changesBetween, withChanges } from './changes'

const stacked = (stacking: string[]): State => ({ ...initialState(), stacking })

test('a window raised is told by itself, however many there are', () => {
  const world = new World()
  const [first] = Array.from({ length: 100 }, () => world.open())
  const before = world.state
  world.run('window.focus', { window: first })
  const changes = changesBetween(before, world.state)
  expect(changes?.moved).toEqual({ window: first, on: before.stacking.at(-1) })
  expect(JSON.stringify(changes).length).toBeLessThan(8000)
  expect(changes?.parts).not.toHaveProperty('stacking')
})

test('any change of the stack is told so that it can be done and taken back', () => {
  const stacks = fc.uniqueArray(fc.constantFrom(...'abcdefg'), { minLength: 1 })
  fc.assert(
    fc.property(
      stacks,
      stacks,
      fc.nat(6),
      fc.nat(6),
      fc.boolean(),
      (one, other, from, to, move) => {
        const before = stacked(one)
        // Mostly one window moved; else another stack altogether.
        const [id = ''] = one.slice(from % one.length)
        const others = one.filter((window) => window !== id)
        const after = stacked(move ? others.toSpliced(to % one.length, 0, id) : other)
        const changes = changesBetween(before, after)
        if (!changes) return
        expect(withChanges(before, changes)).toEqual(after)
        expect(withChanges(after, asIn(before, changes))).toEqual(before)
      },
    ),
    runs(2000),
  )
})
