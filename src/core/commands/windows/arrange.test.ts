import { World } from '@testing/world'
import { overlap } from '@/core/geometry/rect'
import { readingOrder } from '@/core/geometry/unstack'
import { shownFrame, window } from '@/core/model/selectors'

test('all windows in columns, in the order they are read, and exactly back', () => {
  const world = new World()
  const ids = [world.open('notes'), world.open('notes'), world.open('notes')]
  world.run('place.leftThird', { window: ids[1] })
  world.run('window.maximise', { window: ids[2] })
  const stood = () =>
    ids.map((id) => {
      const { frame, placed, maximised } = window(world.state, id)
      return { frame, placed, maximised }
    })
  const before = stood()
  world.run('arrange.columns')
  const xs = ids.map((id) => window(world.state, id).frame.x)
  const read = readingOrder(before.map(({ frame }) => frame))
  expect(read.map((at) => xs[at])).toEqual(xs.toSorted((a, b) => a - b))
  // The large one is the one with the focus.
  world.run('window.focus', { window: ids[0] })
  world.run('arrange.large')
  const widths = ids.map((id) => window(world.state, id).frame.width)
  expect(Math.max(...widths)).toBe(widths[0])
  world.run('arrange.cells')
  world.run('arrange.back')
  expect(stood()).toEqual(before)
  expect(world.refusal('arrange.back')).toMatch(/not been arranged/)
})

test('what is on every desktop is arranged with the others, and goes back with them', () => {
  const world = new World()
  const [own, every] = [world.open('notes'), world.open('notes')]
  world.run('window.everywhere', { window: every })
  const before = window(world.state, every).frame
  world.run('arrange.columns')
  const [a, b] = [own, every].map((id) => shownFrame(world.state, window(world.state, id)))
  expect(a && b && overlap(a, b)).toBe(0)
  world.run('arrange.back')
  expect(window(world.state, every).frame).toEqual(before)
})

test('what cannot be as small as its share covers others, and that is said', () => {
  const world = new World()
  for (let at = 0; at < 8; at++) world.open('notes')
  expect(world.run('arrange.columns')).toMatchObject({
    say: expect.stringMatching(/cannot be that small/),
  })
  expect(new World().refusal('arrange.rows')).toMatch(/no window/)
})

test('a gap is a setting; placed windows follow it, and the size of their display', () => {
  const world = new World()
  const id = world.open('notes')
  const frame = () => shownFrame(world.state, window(world.state, id))
  world.run('window.side', { to: 'right' })
  expect(frame()).toEqual({ x: 540, y: 8, width: 524, height: 748 })
  world.run('settings.set', { gap: 0 })
  expect(frame()).toEqual({ x: 536, y: 0, width: 536, height: 764 })
  world.run('display.resize', { display: 'near', width: 800, height: 600 })
  expect(frame()).toEqual({ x: 400, y: 0, width: 400, height: 600 })
  world.run('window.restore')
  expect(window(world.state, id).placed).toBeNull()
})

test('the edge two placed windows share is moved by key, and both stay placed', () => {
  const world = new World()
  const [one, other] = [world.open('notes'), world.open('notes')]
  world.run('place.leftHalf', { window: one })
  world.run('place.rightHalf', { window: other })
  const width = window(world.state, one).frame.width
  world.run('window.edge', { to: 'right' })
  expect(window(world.state, one).frame.width).toBe(width + 24)
  expect(window(world.state, other).placed).not.toBeNull()
  world.run('window.move', { window: one, x: 0, y: 0 })
  expect(world.refusal('window.edge', { to: 'right' })).toMatch(/No placed window|not placed/)
})
