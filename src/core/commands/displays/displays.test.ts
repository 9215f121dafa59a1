import { runs } from '@testing/runs'
import { said } from '@testing/sequences'
import { World } from '@testing/world'
import fc from 'fast-check'
import { HEM, REACH } from '@/core/geometry/rect'
import { frameOf, standsOn } from '@/core/model/displays'
import { currentId, focusId, isVisible, window } from '@/core/model/selectors'
import { check } from '@/core/rules/check'

/** Two displays apart: Near, and a taller one at its right that shows another desktop. */
function two(...names: string[]) {
  const world = new World()
  const desktops = world.desktops(...(names.length ? names : ['Other', 'Third']))
  world.run('display.add', { name: 'Tall', width: 1080, height: 1440 })
  const tall = world.state.displayOrder[1] ?? ''
  const shows = () => world.state.presence[tall]?.shows ?? ''
  const near = () => world.state.presence.near?.shows ?? ''
  return { world, tall, shows, near, desktops }
}

const on = (world: World, id: string) => standsOn(world.state, window(world.state, id))
const frame = (world: World, id: string) => frameOf(world.state, window(world.state, id))

test('a display that is added shows a desktop of its own; where there is none one is made', () => {
  const world = new World()
  expect(world.state.order).toHaveLength(1)
  world.run('display.add', { name: 'Tall' })
  expect(world.state.order).toHaveLength(2)
  expect(new Set(Object.values(world.state.presence).map(({ shows }) => shows)).size).toBe(2)
  world.run('history.undo')
  expect(world.state.order).toHaveLength(1)
  expect(world.state.displayOrder).toEqual(['near'])
})

test('a window is sent over and back: its relative place is kept, and exactly', () => {
  const { world, tall, shows } = two()
  const id = world.open('notes')
  world.run('window.move', { x: 301, y: 233 })
  const before = frame(world, id)
  world.run('window.toDisplay', { to: 'right' })
  expect([on(world, id), currentId(world.state), focusId(world.state)]).toEqual([tall, shows(), id])
  const there = frame(world, id)
  expect(there.x / (1080 - there.width)).toBeCloseTo(before.x / (1072 - before.width), 2)
  expect(there.y / (1440 - there.height)).toBeCloseTo(before.y / (764 - before.height), 2)
  world.run('window.toDisplay', { to: 'left' })
  expect([on(world, id), frame(world, id)]).toEqual(['near', before])
  // A placed one takes the same place there.
  world.run('place.leftHalf')
  world.run('window.nextDisplay')
  expect(frame(world, id)).toEqual({ x: 8, y: 8, width: 528, height: 1424 })
  expect(world.refusal('window.toDisplay', { to: 'up' })).toBe('There is no display above.')
  // Undo brings the keys back to where they were.
  world.run('history.undo')
  expect([on(world, id), world.state.display]).toEqual(['near', 'near'])
})

test('unplugged, its windows come over; plugged in they return but for the one that was moved', () => {
  const { world, tall } = two()
  const [one, other] = [world.open('notes'), world.open('notes')]
  for (const id of [one, other]) world.run('window.toDisplay', { window: id, to: tall })
  const before = [frame(world, one), frame(world, other)]
  const shown = currentId(world.state)
  world.run('display.unplug', { display: tall })
  // The one that had the keys is gone: they are on the other.
  expect(world.state.display).toBe('near')
  world.run('desktop.go', { to: shown })
  expect([on(world, one), on(world, other)]).toEqual(['near', 'near'])
  expect(isVisible(world.state, window(world.state, one))).toBe(true)
  world.run('window.move', { window: other, x: 10, y: 10 })
  world.run('desktop.go', { to: 'first' })
  world.run('display.plug', { display: tall })
  expect(world.state.presence[tall]?.shows).toBe(shown)
  expect(frame(world, one)).toEqual(before[0])
  expect(frame(world, other)).not.toEqual(before[1])
  // Together each stands on a display of its own.
  world.run('display.unplug', { display: tall })
  world.run('displays.together')
  world.run('display.plug', { display: tall })
  world.run('desktop.go', { to: shown })
  expect([on(world, one), on(world, other)]).toEqual([tall, 'near'])
})

test('from together to apart and back nothing is lost', () => {
  const { world, tall } = two()
  world.run('displays.together')
  const [one, other] = [world.open('notes'), world.open('notes')]
  world.run('window.toDisplay', { window: other, to: tall })
  const before = [one, other].map((id) => [on(world, id), frame(world, id)])
  expect(world.state.presence[tall]?.shows).toBe(currentId(world.state))
  world.run('displays.apart')
  // Its desktop is on one display now, and both windows with it.
  expect(on(world, one)).toBe(on(world, other))
  world.run('displays.together')
  expect([one, other].map((id) => [on(world, id), frame(world, id)])).toEqual(before)
})

test('going to a desktop another display shows: the focus goes there, they swap, or it comes here', () => {
  const elsewhere = (way: string) => {
    const { world, tall, shows, near } = two()
    const [before, there] = [near(), shows()]
    world.run('settings.set', { elsewhere: way })
    world.run('desktop.go', { to: there })
    return { world, tall, before, there, now: [world.state.display, near(), shows()] }
  }
  const focus = elsewhere('focus')
  expect(focus.now).toEqual([focus.tall, focus.before, focus.there])
  // Back is where one came from, on the other display.
  focus.world.run('desktop.go', { to: 'last' })
  expect(focus.world.state.display).toBe('near')
  const swap = elsewhere('swap')
  expect(swap.now).toEqual(['near', swap.there, swap.before])
  const here = elsewhere('here')
  expect(here.now.slice(0, 2)).toEqual(['near', here.there])
  expect([here.before, here.there]).not.toContain(here.now[2])
})

test('what cannot be is refused, with what to do', () => {
  const { world, tall } = two('Other')
  const refused = (id: string, args: object = {}) => world.refusal(id, args)
  expect(refused('desktop.fold', { desktop: 'first' })).toMatch(/Each of the 2 displays shows/)
  expect(refused('display.remove', { display: 'near' })).toMatch(/is a browser window/)
  expect(refused('display.set', { display: 'near', width: 900 })).toMatch(/is a browser window/)
  expect(refused('display.move', { display: tall, x: 0, y: 0 })).toMatch(/They would overlap/)
  expect(refused('display.move', { display: tall, x: 3000, y: 0 })).toMatch(/a gap between them/)
  expect(refused('display.set', { display: tall, name: ' ' })).toMatch(/needs a name/)
  expect(refused('display.add', { name: 'a'.repeat(61) })).toMatch(/too long/)
  expect(refused('display.nudge', { display: tall, to: 'right' })).toMatch(/can’t go further/)
  expect(refused('display.focus', { to: 'left' })).toMatch(/no display to the left/)
  world.run('display.unplug', { display: tall })
  expect(refused('display.unplug', { display: 'near' })).toMatch(/only display/)
  expect(refused('display.unplug', { display: tall })).toMatch(/isn’t plugged in/)
  expect(refused('window.toDisplay', { to: 'right' })).toMatch(/No window has the focus/)
})

test('a display is sized, scaled, named, made the main one and removed, and all of it undone', () => {
  const { world, tall } = two()
  const before = world.state
  world.run('display.set', { display: tall, scale: 2 })
  expect(world.state.displays[tall]).toMatchObject({ width: 540, height: 720, scale: 2 })
  world.run('display.set', { display: tall, width: 1920, height: 1080, name: ' Wide one ' })
  expect(world.state.displays[tall]).toMatchObject({ width: 1920, name: 'Wide one' })
  world.run('display.main', { display: tall })
  world.run('display.nudge', { display: 'near', to: 'down' })
  expect(world.refusal('display.remove', { display: tall })).toMatch(/main display/)
  world.run('display.main', { display: 'near' })
  world.run('home.set', { app: 'notes', desktop: 'first', display: tall })
  world.run('display.remove', { display: tall })
  expect(world.state.homes[0]?.display).toBeUndefined()
  for (let steps = 7; steps > 0; steps--) world.try('history.undo')
  expect(world.state.displays).toEqual(before.displays)
})

test('the arrows look for windows beyond the edge of a display, and for one without any', () => {
  const { world, tall } = two()
  const id = world.open('notes')
  world.run('window.focusToward', { to: 'right' })
  expect([world.state.display, focusId(world.state)]).toEqual([tall, null])
  world.run('window.focusToward', { to: 'left' })
  expect([world.state.display, focusId(world.state)]).toEqual(['near', id])
  const other = world.open('notes')
  world.run('window.toDisplay', { to: tall })
  world.run('window.focus', { window: id })
  world.run('window.focusToward', { to: 'right' })
  expect(focusId(world.state)).toBe(other)
})

test('named by nothing, what cannot be done with a browser window is done with the other display', () => {
  const { world, tall } = two()
  expect(world.run('display.open')).toMatchObject({
    effect: { does: 'open display', display: tall },
  })
  world.run('display.unplug')
  expect(world.state.displays[tall]?.connected).toBe(false)
  expect(world.refusal('display.open')).toMatch(/no other display/)
  expect(world.refusal('display.unplug')).toMatch(/no other display/)
})

test('the pad of a window that fills its desktop is refused, with what brings it back', () => {
  const world = new World()
  world.open('notes')
  world.run('window.solo')
  expect(world.refusal('window.pad')).toMatch(/is in a solo\. Alt\+Enter brings it back first/)
})

test('the shared edge of windows that stand on another display than they belong to is moved there', () => {
  const { world, tall, shows } = two()
  const [one, other] = [world.open('notes'), world.open('notes')]
  world.run('place.leftHalf', { window: one })
  world.run('place.rightHalf', { window: other })
  // They belong to Near, and go with their desktop to Tall.
  for (const id of [one, other]) world.run('window.send', { window: id, to: shows() })
  expect(on(world, one)).toBe(tall)
  const before = frame(world, one).width
  world.run('window.edge', { window: one, edge: 'right', by: 60 })
  expect(frame(world, one).width).toBe(before + 60)
  expect([window(world.state, one).display, window(world.state, other).display]).toEqual([
    tall,
    tall,
  ])
})

test('six displays, each another desktop; a solo leaves one free', () => {
  const world = new World()
  for (let at = 0; at < 5; at++) world.run('display.add')
  expect(world.state.displayOrder).toHaveLength(6)
  expect(new Set(Object.values(world.state.presence).map(({ shows }) => shows)).size).toBe(6)
  world.open('notes')
  world.run('window.solo')
  world.run('window.solo')
  expect(check(world.state)).toEqual([])
  world.run('display.add')
  world.run('display.add')
  expect(world.refusal('display.add')).toMatch(/8 displays/)
})

const ABOUT =
  /^displays?\.|[dD]isplay$|^desktop\.(go|create|fold)|^window\.(open|move|close|solo)|^place\./

test('displays come, go, grow, move, together and apart: every window is within reach, undo is exact', () => {
  const some = said.filter(({ id }) => ABOUT.test(id))
  fc.assert(
    fc.property(fc.array(some, { minLength: 1, maxLength: 30, size: 'max' }), (commands) => {
      const world = new World()
      const before: string[] = []
      for (const { id, args } of commands) {
        if (id === 'display.resize') continue
        const { displays, windows, apart } = world.state
        const outcome = world.try(id, args(world.state))
        if (outcome.ok && outcome.step) before.push(JSON.stringify({ displays, windows, apart }))
        for (const one of Object.values(world.state.windows)) {
          const { x, y, width } = frameOf(world.state, one)
          const area = world.state.displays[standsOn(world.state, one)]
          expect(area?.connected).toBe(true)
          const reach = Math.min(x + width, area?.width ?? 0) - Math.max(x, 0)
          expect(reach).toBeGreaterThanOrEqual(REACH)
          expect(y).toBeLessThanOrEqual((area?.height ?? 0) - HEM)
        }
      }
      for (const state of before.toReversed()) {
        world.run('history.undo')
        const { displays, windows, apart } = world.state
        expect({ displays, windows, apart }).toEqual(JSON.parse(state))
      }
    }),
    runs(80),
  )
})

test('a window on every desktop comes where it can be seen, though its display is filled by another', () => {
  const world = new World()
  const every = world.open()
  world.run('window.everywhere')
  world.open()
  world.run('window.solo')
  // It shows what the one that fills Near came from.
  world.run('display.add', { name: 'Side' })
  world.run('window.close', { window: every })
  world.run('window.reopen')
  expect(check(world.state)).toEqual([])
  expect(focusId(world.state)).toBe(every)
  // So does one whose home is every desktop, on that display.
  const full = Object.values(world.state.desktops).find(({ kind }) => kind === 'solo')
  world.run('desktop.go', { to: full?.id })
  world.run('home.set', { app: 'dial', desktop: 'every', display: 'near' })
  const dial = world.open('dial')
  expect(world.state.windows[dial]?.app).toBe('dial')
  expect(check(world.state)).toEqual([])
})

test('in a smaller room what stood within is wholly in sight, what stood over the edge is left; back in the larger one all is as before', () => {
  const world = new World()
  const resized = (width: number, height: number) =>
    world.run('display.resize', { display: 'near', width, height })
  resized(1280, 760)
  const [within, over] = [world.open('notes', 'Within'), world.open('notes', 'Over')]
  const { width, height } = frame(world, within)
  world.run('window.move', { window: within, x: 1280 - width, y: 760 - height })
  world.run('window.move', { window: over, x: 1280 - 100, y: 20 })
  const before = [frame(world, within), frame(world, over)]
  resized(900, 600)
  expect(frame(world, within)).toEqual({ x: 900 - width, y: 600 - height, width, height })
  expect(frame(world, over).x).toBe(900 - REACH)
  expect(check(world.state)).toEqual([])
  resized(1280, 760)
  expect([frame(world, within), frame(world, over)]).toEqual(before)
  // Moved there, it belongs there.
  resized(900, 600)
  world.run('window.move', { window: within, x: 300, y: 600 - height })
  resized(1280, 760)
  expect(frame(world, within)).toMatchObject({ x: 300, y: 600 - height })
})
