import { World } from '@testing/world'
import fc from 'fast-check'
import { ZONES, zoneAt } from '@/core/geometry/zones'
import { bindings } from './bindings'
import { leadsTo, WAYS } from './ways'

test('corners and edges do nothing until they are asked to; the wheel and side buttons go about', () => {
  // Fingers that are spread only leave the loft.
  for (const { id, pushed } of WAYS)
    expect(leadsTo([], id) === null).toBe(pushed === true || id === 'spread')
  expect(leadsTo([], 'Alt and wheel down')).toMatchObject({ args: { to: 'next' } })
})

test('a way is given a command, another time, nothing, and what it did at first; each is a step', () => {
  const world = new World()
  const led = (id: string) => leadsTo(world.state.bindings, id)
  world.run('pointer.set', { way: 'top left corner', command: 'loft.open', time: 800 })
  expect(led('top left corner')).toEqual({ command: 'loft.open', args: {}, time: 800 })
  world.run('pointer.set', { way: 'top left corner', time: 300 })
  expect(led('top left corner')).toEqual({ command: 'loft.open', args: {}, time: 300 })
  world.run('pointer.set', { way: 'swipe left', command: null })
  expect(led('swipe left')).toBeNull()
  // Keys are none of their business.
  expect(bindings(world.state).has('swipe left')).toBe(false)
  world.run('pointer.set', { way: 'swipe left', command: 'desktop.go', args: { to: 'next' } })
  expect(world.state.bindings.map(({ keys }) => keys)).toEqual(['top left corner'])
  world.run('history.undo')
  expect(led('swipe left')).toBeNull()
  expect(world.refusal('pointer.set', { way: 'left edge', time: 5 })).not.toBe('')
  expect(world.refusal('pointer.set', { way: 'a shake', command: null })).not.toBe('')
})

test('at a corner one is near both edges, at an edge near one, elsewhere at neither', () => {
  const page = { width: 1280, height: 800 }
  expect(zoneAt({ x: 0, y: 0 }, page)).toBe('top left corner')
  expect(zoneAt({ x: 20, y: 1 }, page)).toBe('top left corner')
  expect(zoneAt({ x: 20, y: 20 }, page)).toBeNull()
  expect(zoneAt({ x: 640, y: 0 }, page)).toBe('top edge')
  expect(zoneAt({ x: 1279, y: 400 }, page)).toBe('right edge')
  expect(zoneAt({ x: 1279, y: 799 }, page)).toBe('bottom right corner')
  expect(zoneAt({ x: 30, y: 799 }, page)).toBe('bottom edge')
  fc.assert(
    fc.property(fc.nat(1279), fc.nat(799), (x, y) => {
      const zone = zoneAt({ x, y }, page)
      const at = Math.min(x, y, 1279 - x, 799 - y) <= 2
      expect(zone !== null).toBe(at)
      if (zone) expect(ZONES).toContain(zone)
    }),
  )
})
