import { World } from '@testing/world'
import { furls } from '@/core/model/selectors'

test('a browser window closes on leaving as its desktop says, or as was said of the window', () => {
  const world = new World()
  world.open()
  expect(world.refusal('window.furl')).toContain('Only web pages')
  const one = world.open('web')
  const other = world.open('web')
  const closes = () =>
    [one, other].map((id) => {
      const found = world.state.windows[id]
      return found && furls(world.state, found)
    })
  expect(closes()).toEqual([false, false])
  world.run('window.furl', { window: one })
  expect(closes()).toEqual([true, false])
  world.run('desktop.furl')
  expect(closes()).toEqual([true, true])
  // One that stays open whatever its desktop says.
  world.run('window.furl', { window: other })
  expect(closes()).toEqual([true, false])
  world.run('window.furl', { window: other })
  expect(world.state.windows[other]).not.toHaveProperty('furls')
  world.run('desktop.furl')
  expect(closes()).toEqual([true, false])
})
