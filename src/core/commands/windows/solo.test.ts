import { World } from '@testing/world'
import { connected } from '@/core/model/displays'
import { currentId, focusId, shownFrame, window as windowOf } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { check } from '@/core/rules/check'

/** Three notes on the first desktop, Field and Rota after it; the middle one has the focus. */
function office() {
  const world = new World()
  const [rota, field] = world.desktops('Rota', 'Field')
  const ids = ['one', 'two', 'three'].map((title) => world.open('notes', title))
  world.run('window.focus', { window: ids[1] })
  const [one = '', two = '', three = ''] = ids
  return { world, one, two, three, field: field ?? '', rota: rota ?? '' }
}

/** What a round trip has to give back exactly; ids and times of the desktop made are its own. */
const arranged = (state: State) => ({
  order: state.order,
  focus: focusId(state),
  desktops: state.desktops,
  stacking: state.stacking,
  windows: Object.values(state.windows).map(({ cause: _cause, ...rest }) => rest),
})

const here = (world: World) => world.state.desktops[currentId(world.state)]

test('solo: a desktop of its own right after, named after the document; back to the exact state', () => {
  const { world, two, field } = office()
  const before = arranged(world.state)
  world.run('window.solo')
  expect(here(world)).toMatchObject({ kind: 'solo', name: 'two', windows: [two] })
  expect(world.state.order.indexOf(currentId(world.state))).toBe(1)
  expect(shownFrame(world.state, windowOf(world.state, two))).toEqual({
    x: 0,
    y: 0,
    width: 1072,
    height: 764,
  })
  world.run('desktop.go', { to: field })
  world.run('window.solo', { window: two })
  expect(currentId(world.state)).toBe(field)
  world.run('desktop.go', { to: 'first' })
  expect(arranged(world.state)).toEqual(before)
})

test('pair: two share a desktop; swapped, divided, and both back to the exact state', () => {
  const { world, one, two } = office()
  const before = arranged(world.state)
  world.run('window.pair', { with: one })
  const [left, right] = [two, one].map((id) => shownFrame(world.state, windowOf(world.state, id)))
  expect([left?.x, right?.x, (left?.width ?? 0) + (right?.width ?? 0)]).toEqual([0, 540, 1064])
  world.run('pair.swap')
  world.run('pair.divide', { to: 0.95 })
  expect(here(world)).toMatchObject({ windows: [one, two], divider: 0.8 })
  expect(world.refusal('pair.divide', { by: 0.1 })).toContain('20 to 80 %')
  world.run('window.pair')
  expect(arranged(world.state)).toEqual(before)
})

test('where a window came from is followed when it is folded meanwhile', () => {
  const { world, two, field } = office()
  world.run('window.solo')
  world.run('desktop.fold', { desktop: 'first', into: field })
  world.run('window.solo')
  expect(windowOf(world.state, two).desktop).toBe(field)
  expect(focusId(world.state)).toBe(two)
  expect(check(world.state)).toEqual([])
})

test('folding a solo puts its window back; undo brings the solo again', () => {
  const { world, two } = office()
  world.run('window.solo')
  const solo = world.state
  world.run('desktop.fold')
  expect(windowOf(world.state, two).desktop).toBe('first')
  world.run('history.undo')
  expect(world.state).toEqual(solo)
})

test('a solo takes no other window: the refusal offers a pair or the origin', () => {
  const { world, one } = office()
  world.run('window.solo')
  const solo = currentId(world.state)
  world.run('desktop.go', { to: 'first' })
  expect(world.try('window.send', { window: one, to: solo })).toMatchObject({
    ok: false,
    reason: 'One window fills two.',
    ask: { view: 'full', window: one, desktop: solo },
  })
})

test('what is opened from a solo opens where its window came from', () => {
  const { world } = office()
  world.run('window.solo')
  world.open('dial')
  expect(currentId(world.state)).toBe('first')
})

test('closing the window of a solo takes the solo away, of a pair leaves a solo', () => {
  const { world, one, two } = office()
  world.run('window.pair', { with: one })
  world.run('window.close', { window: one })
  expect(here(world)).toMatchObject({ kind: 'solo', windows: [two] })
  world.run('window.close')
  expect(currentId(world.state)).toBe('first')
  world.run('window.reopen', { window: two })
  expect(windowOf(world.state, two).desktop).toBe('first')
})

test('a window on every desktop is not shown on a solo, and goes solo and back itself', () => {
  const { world, one, two } = office()
  world.run('window.everywhere', { window: one })
  world.run('window.solo', { window: two })
  expect(focusId(world.state)).toBe(two)
  world.run('window.focus', { window: one })
  expect(currentId(world.state)).toBe('first')
  world.run('window.solo')
  world.run('window.solo')
  expect(world.state.everywhere).toEqual([one])
})

test('what cannot be done with a window that fills a desktop is said', () => {
  const { world } = office()
  world.run('window.solo')
  for (const [id, args] of [
    ['window.move', { x: 1, y: 1 }],
    ['window.minimise', {}],
    ['window.maximise', {}],
    ['window.place', { top: 0, left: 0, bottom: 0, right: 0 }],
  ] as const)
    expect(world.refusal(id, args)).toContain('is in a solo')
  world.run('window.solo')
  world.open('dial')
  expect(world.refusal('window.solo')).toContain('has a maximum size')
  expect(world.refusal('pair.swap')).toContain('not a pair')
})

test('sweep minimises everything here and brings back exactly that', () => {
  const { world, one, three } = office()
  world.run('window.minimise', { window: one })
  const before = arranged(world.state)
  expect(world.run('windows.sweep').say).toBe('Swept 2 windows')
  expect(focusId(world.state)).toBeNull()
  expect(world.run('windows.sweep').say).toBe('Brought 2 windows back')
  expect(arranged(world.state)).toEqual(before)
  world.run('windows.sweep')
  world.run('window.focus', { window: three })
  expect(world.run('windows.sweep').say).toBe('Brought 1 window back')
  expect(windowOf(world.state, one).minimised).toBe(true)
})

test('isolate leaves only the windows of this app, then only this one, and brings the others back', () => {
  const { world, one, two } = office()
  const dial = world.open('dial')
  world.run('window.focus', { window: two })
  const before = arranged(world.state)
  world.run('windows.isolate')
  expect(windowOf(world.state, dial).minimised).toBe(true)
  expect(focusId(world.state)).toBe(two)
  expect(windowOf(world.state, one).minimised).toBe(false)
  expect(world.run('windows.isolate').say).toBe('Only “two”: 2 windows aside')
  expect([one, two, dial].map((id) => windowOf(world.state, id).minimised)).toEqual([
    true,
    false,
    true,
  ])
  world.run('windows.isolate')
  expect(arranged(world.state)).toEqual(before)
  world.run('window.focus', { window: two })
  world.run('window.close', { window: dial })
  expect(world.run('windows.isolate').say).toMatch(/^Only “/)
  world.run('windows.isolate')
  world.run('windows.sweep')
  expect(world.refusal('windows.isolate')).toContain('No window has the focus')
})

test('a pair of which one window is closed is called after the other', () => {
  const world = new World()
  const a = world.open('notes', 'Snow pit')
  const b = world.open('notes', 'Clock')
  world.run('window.pair', { window: a, with: b })
  const pair = () => Object.values(world.state.desktops).find(({ kind }) => kind !== 'open')
  expect(pair()?.name).toBe('Snow pit and Clock')
  world.run('window.close', { window: b })
  expect(pair()?.name).toBe('Snow pit')
  const c = world.open('notes', 'Other')
  world.run('window.pair', { window: a, with: c })
  world.run('desktop.rename', { desktop: pair()?.id, name: 'Morning' })
  world.run('window.close', { window: c })
  expect(pair()?.name).toBe('Morning')
})

test('back from a solo a window stands where it stood, also when the one below it was closed', () => {
  const { world, one, two, three } = office()
  world.run('window.focus', { window: three })
  expect(world.state.stacking).toEqual([one, two, three])
  world.run('window.solo', { window: two })
  world.run('window.close', { window: one })
  world.run('window.solo', { window: two })
  expect(world.state.stacking).toEqual([two, three])
})

test('a pair of two displays is taken apart, and what goes back out of sight has the focus nowhere', () => {
  const world = new World()
  world.desktops('Rota')
  world.run('display.add')
  const [here = '', other = ''] = connected(world.state).map(
    ({ id }) => world.state.presence[id]?.shows,
  )
  world.run('desktop.go', { to: other })
  const there = world.open()
  world.run('desktop.go', { to: here })
  const swept = world.open()
  world.run('windows.sweep')
  world.run('window.pair', { window: swept, with: there })
  world.run('window.solo', { window: there })
  expect(world.state.windows[swept]?.minimised).toBe(true)
  expect(Object.values(world.state.presence).map(({ focus }) => focus)).not.toContain(swept)
})
