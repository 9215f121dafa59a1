import { World } from '@testing/world'
import { calledBy } from './called'

test('letters lead to the desktop that has them, and wait where they begin one of two', () => {
  const world = new World()
  for (let n = 0; n < 30; n++) world.run('desktop.create', { name: `desktop ${n}` })
  const { state } = world.session
  const all = state.order.flatMap((id) => ({ id, letter: state.desktops[id]?.letter ?? '' }))
  for (const { id, letter } of all) {
    const strokes = letter.toLowerCase()
    if (!strokes) continue
    expect(calledBy(state, strokes)).toEqual({ desktop: id })
    if (strokes.length > 1) expect(calledBy(state, strokes[0] ?? '')).toBe('more')
  }
  expect(all.some(({ letter }) => letter.length > 1)).toBe(true)
  expect(calledBy(state, '7')).toBeNull()
  expect(calledBy(state, '')).toBe('more')
})
