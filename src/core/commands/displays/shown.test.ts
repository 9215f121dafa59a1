import { World } from '@testing/world'
import { frameOf, mirroredOn, standsOn } from '@/core/model/displays'
import { window } from '@/core/model/selectors'
import { check } from '@/core/rules/check'

function two() {
  const world = new World()
  world.desktops('Other', 'Third')
  world.run('display.add', { name: 'Tall', width: 1080, height: 1440 })
  const tall = world.state.displayOrder[1] ?? ''
  return { world, tall }
}

test('a display that mirrors another is none of its own; plugged in it is as it was', () => {
  const { world, tall } = two()
  const id = world.open('notes')
  world.run('window.toDisplay', { to: 'right' })
  const on = () => standsOn(world.state, window(world.state, id))
  const shown = world.state.presence[tall]?.shows
  expect(on()).toBe(tall)
  expect(world.run('display.mirror', { display: tall }).say).toBe(
    'Tall now mirrors Near, which has its windows for now',
  )
  expect([mirroredOn(world.state, tall)?.id, on(), world.state.display]).toEqual([
    'near',
    'near',
    'near',
  ])
  expect(world.refusal('display.mirror', { display: tall })).toBe('Tall is already mirroring Near.')
  expect(world.refusal('display.mirror', { display: 'near' })).toMatch(/can’t mirror itself/)
  expect(world.refusal('display.mirror', { display: 'near', of: tall })).toMatch(/isn’t plugged in/)
  world.run('display.plug', { display: tall })
  expect([mirroredOn(world.state, tall), on(), world.state.presence[tall]?.shows]).toEqual([
    undefined,
    tall,
    shown,
  ])
  world.run('history.undo')
  expect(mirroredOn(world.state, tall)?.id).toBe('near')
  world.run('history.undo')
  expect(world.state.displays[tall]).toMatchObject({ connected: true })
  expect(check(world.state)).toEqual([])
})

test('what is mirrored may be unplugged or removed: then there is nothing to be seen', () => {
  const { world, tall } = two()
  world.run('display.add', { name: 'Wide' })
  const wide = world.state.displayOrder[2] ?? ''
  world.run('display.mirror', { display: wide, of: tall })
  expect(world.refusal('display.mirror', { display: 'near' })).toMatch(/main display/)
  world.run('display.unplug', { display: tall })
  expect(mirroredOn(world.state, wide)).toBeUndefined()
  world.run('display.remove', { display: tall })
  expect(world.state.displays[wide]?.mirrors).toBeUndefined()
  expect(check(world.state)).toEqual([])
})

test('a display has the size of the room it is shown in, and its own again', () => {
  const { world, tall } = two()
  const id = world.open('notes')
  world.run('window.toDisplay', { to: 'right' })
  world.run('window.resize', { window: id, x: 200, y: 400, width: 800, height: 600 })
  const frame = () => frameOf(world.state, window(world.state, id))
  world.run('display.fit', { display: tall })
  world.run('display.resize', { display: tall, width: 540, height: 720 })
  expect(world.state.displays[tall]).toMatchObject({ width: 540, height: 720, measured: true })
  // Its windows keep their part of it.
  expect(frame()).toEqual({ x: 100, y: 200, width: 400, height: 300 })
  world.run('window.move', { window: id, x: 20, y: 40 })
  world.run('display.resize', { display: tall, width: 1080, height: 1440 })
  expect(frame()).toEqual({ x: 40, y: 80, width: 800, height: 600 })
  expect(world.refusal('display.set', { display: tall, width: 500 })).toMatch(
    /fits the main window/,
  )
  expect(world.run('display.fit', { display: tall }).say).toBe('Tall is 1080 × 1440 again')
  expect(world.state.displays[tall]).toMatchObject({ width: 1080, height: 1440 })
  world.run('history.undo')
  // What was undone before that has its own size too, whatever it was told meanwhile.
  world.run('display.resize', { display: tall, width: 900, height: 700 })
  world.run('history.undo')
  world.run('history.undo')
  expect(world.state.displays[tall]).toMatchObject({ width: 1080, height: 1440 })
  expect(world.state.displays[tall]?.measured).toBeUndefined()
  expect(world.refusal('display.fit', { display: 'near' })).toMatch(/browser window/)
  expect(check(world.state)).toEqual([])
})
