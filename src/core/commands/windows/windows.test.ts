import { APPS, World } from '@testing/world'
import type { AppFacts } from '@/core/model/kinds/app'
import { currentId, focusId, shownFrame, window } from '@/core/model/selectors'
import { check } from '@/core/rules/check'

test('without a focused window a command says so', () => {
  expect(new World().refusal('window.minimise')).toContain('No window has the focus')
  expect(new World().refusal('window.close', { window: 'gone' })).toContain('no longer open')
})

test('a window is moved within reach and resized within its limits', () => {
  const world = new World()
  const id = world.open('dial')
  world.run('window.move', { x: -9000, y: -50 })
  expect(world.state.windows[id]?.frame).toMatchObject({ x: 48 - 200, y: 0 })
  world.run('window.resize', { width: 5000, height: 10 })
  expect(world.state.windows[id]?.frame).toMatchObject({ width: 320, height: 140 })
})

test('maximise fills the display and back; moving a maximised window frees it', () => {
  const world = new World()
  const id = world.open()
  const frame = world.state.windows[id]?.frame
  world.run('window.maximise')
  const window = world.state.windows[id]
  expect(window && shownFrame(world.state, window)).toEqual({
    x: 0,
    y: 0,
    width: 1072,
    height: 764,
  })
  world.run('window.maximise')
  expect(world.state.windows[id]?.frame).toEqual(frame)
  world.open('dial')
  expect(world.refusal('window.maximise')).toContain('maximum size')
})

test('closing asks when there are unsaved changes, and never when told to discard them', () => {
  const world = new World()
  const id = world.open()
  const document = world.state.windows[id]?.document
  world.run('document.set', { document, unsaved: true })
  const outcome = world.try('window.close')
  expect(outcome).toMatchObject({ ok: false, ask: { view: 'unsaved', window: id } })
  world.run('window.close', { discard: true })
  expect(world.state.windows[id]).toBeUndefined()
  expect(world.state.documents[document ?? '']?.unsaved).toBe(false)
})

test('closed windows come back where they were, the last 25, latest first', () => {
  const world = new World()
  const [other] = world.desktops('Other')
  const first = world.open()
  const before = world.state.windows[first]
  world.run('window.close')
  for (let n = 0; n < 25; n++) {
    world.open()
    world.run('window.close')
  }
  expect(world.refusal('window.reopen', { window: first })).toContain('25')
  const id = world.open()
  const frame = world.state.windows[id]?.frame
  world.run('window.close')
  world.run('desktop.go', { to: other })
  world.run('window.reopen')
  expect(currentId(world.state)).toBe('first')
  expect(focusId(world.state)).toBe(id)
  expect(world.state.windows[id]?.frame).toEqual(frame)
  expect(before?.desktop).toBe('first')
})

test('picking a window elsewhere goes there; restoring it from minimised is a step', () => {
  const world = new World()
  const [other] = world.desktops('Other')
  const id = world.open()
  world.run('window.minimise')
  world.run('desktop.go', { to: other })
  const outcome = world.run('window.focus', { window: id })
  expect(currentId(world.state)).toBe('first')
  expect(outcome.step).toBe(true)
  expect(world.run('window.focus', { window: id }).step).toBe(false)
})

test('a placed window stays placed when its display changes size, any other stays within reach', () => {
  const world = new World()
  const placed = world.open()
  world.run('window.place', { top: 0, left: 2, bottom: 2, right: 2 })
  const free = world.open()
  world.run('window.move', { x: 1000, y: 700 })
  world.run('display.resize', { display: 'near', width: 600, height: 400 })
  const frame = (id: string) => shownFrame(world.state, window(world.state, id))
  expect(frame(placed).x + frame(placed).width).toBeLessThanOrEqual(600)
  expect(frame(placed).x).toBeGreaterThan(380)
  expect(frame(free)).toMatchObject({ x: 552, y: 370 })
  // As large as it was, both stand where they stood; what was moved meanwhile starts from there.
  world.run('display.resize', { display: 'near', width: 1072, height: 764 })
  expect(frame(free)).toMatchObject({ x: 1000, y: 700 })
  world.run('display.resize', { display: 'near', width: 600, height: 400 })
  world.run('window.resize', { window: free, width: 500, height: 300 })
  world.run('display.resize', { display: 'near', width: 1072, height: 764 })
  expect(frame(free)).toMatchObject({ x: 552, y: 370, width: 500 })
})

test('undo after the display changed size keeps the size it has and the windows within reach', () => {
  const world = new World()
  const id = world.open()
  world.run('window.move', { x: 900, y: 600 })
  world.run('window.move', { x: 0, y: 0 })
  world.run('display.resize', { display: 'near', width: 500, height: 300 })
  world.run('history.undo')
  expect(world.state.displays.near?.width).toBe(500)
  expect(shownFrame(world.state, window(world.state, id))).toMatchObject({ x: 452, y: 270 })
})

test('an app on a number key: opens, then goes to its latest window, again cycles, Shift opens another', () => {
  const { state } = new World()
  const world = new World({ ...state, slots: Array(9).fill(null) })
  world.run('app.slot', { app: 'notes', slot: 7 })
  world.run('app.launch', { slot: 7 })
  const one = focusId(world.state)
  world.run('app.launch', { slot: 7, another: true })
  const two = focusId(world.state)
  expect(two).not.toBe(one)
  world.run('app.launch', { slot: 7 })
  expect(focusId(world.state)).toBe(one)
  world.run('app.launch', { slot: 7 })
  expect(focusId(world.state)).toBe(two)
  expect(world.refusal('app.launch', { slot: 9 })).toContain('No app is on key 9')
  expect(world.refusal('app.launch', { app: 'chess' })).toContain('There are: notes, dial')
})

test('putting an app on a taken key swaps the two', () => {
  const world = new World()
  world.run('app.slot', { app: 'notes', slot: 1 })
  world.run('app.slot', { app: 'dial', slot: 2 })
  world.run('app.slot', { app: 'notes', slot: 2 })
  expect(world.state.slots.slice(0, 2)).toEqual(['dial', 'notes'])
})

test('wrong arguments are refused in words, unknown commands too', () => {
  const world = new World()
  expect(world.refusal('window.send', {})).toContain('“to” is missing')
  expect(world.refusal('window.send', { to: 'next', speed: 3 })).toContain('speed')
  expect(world.refusal('window.fly')).toContain('window.fly')
  expect(world.refusal('window.place', { top: 2, left: 0, bottom: 1, right: 0 })).toContain(
    'reversed',
  )
  expect(world.refusal('history.undo')).toBe('There is nothing to undo.')
})

test('with the setting to open here, picking an app leaves its windows elsewhere alone', () => {
  const world = new World()
  const [field] = world.desktops('Field')
  world.open()
  world.run('settings.set', { launch: 'here' })
  world.run('desktop.go', { to: field })
  world.run('app.launch', { app: 'notes' })
  expect(world.state.desktops[field ?? '']?.windows).toEqual([focusId(world.state)])
  world.run('app.launch', { app: 'notes' })
  expect(Object.keys(world.state.windows)).toHaveLength(2)
})

test('an app is added from an address, and removed when it has no window', () => {
  const world = new World()
  world.env.app = (id) => (world.state.apps[id] ? { ...APPS[0], id } : APPS[0]) as AppFacts
  expect(world.refusal('app.add', { name: ' ', address: 'a.example' })).toContain('needs a name')
  expect(world.refusal('app.add', { name: 'A', address: 'file:///x' })).toContain('Only http')
  world.run('app.add', { name: 'Road map', address: 'roads.example' })
  const [own] = Object.values(world.state.apps)
  expect(own).toMatchObject({ name: 'Road map', address: 'https://roads.example/' })
  world.open(own?.id)
  expect(world.refusal('app.remove', { app: own?.id })).toContain('has windows open')
  world.run('window.close')
  world.run('home.set', { app: own?.id, desktop: 'first' })
  world.run('app.remove', { app: own?.id })
  expect([world.state.apps, world.state.homes, world.state.closed]).toEqual([{}, [], []])
  world.run('history.undo')
  expect(world.state.homes).toHaveLength(1)
})

test('windows of an earlier session come back where they were, or where one is', () => {
  const world = new World()
  const [field] = world.desktops('Field')
  const [one, two] = [world.open(), world.open('dial')]
  world.run('window.send', { window: one, to: field })
  const earlier = world.state
  world.run('window.close', { window: one })
  world.run('window.close', { window: two })
  world.run('desktop.fold', { desktop: field })
  const windows = Object.keys(earlier.windows)
  world.run('session.windows', { windows, from: earlier })
  expect(world.state.windows[one]?.desktop).toBe('first')
  expect(world.refusal('session.windows', { windows, from: earlier })).toContain('open already')
  world.run('session.reopen', { state: earlier })
  expect(world.state.windows[one]?.desktop).toBe(field)
  expect(check(world.state)).toEqual([])
})

test('what is shown on every desktop keeps the focus where it had it, there and back', () => {
  const world = new World()
  const [model] = world.desktops('Model')
  world.open()
  const every = world.open()
  world.run('window.everywhere', { window: every })
  world.run('desktop.go', { to: model })
  world.run('desktop.go', { to: 'first' })
  expect(focusId(world.state)).toBe(every)
})
