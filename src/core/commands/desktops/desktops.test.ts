import { World } from '@testing/world'
import { overlap } from '@/core/geometry/rect'
import { currentId, focusId, shownFrame, window } from '@/core/model/selectors'
import type { State } from '@/core/model/state'

test('a new desktop stands after the current one with a free name, letter and hue', () => {
  const world = new World()
  const outcome = world.run('desktop.create')
  const [, made] = world.state.order
  const desktop = world.state.desktops[made ?? '']
  expect(currentId(world.state)).toBe(made)
  expect(outcome.show).toEqual({ view: 'rename', desktop: made, fresh: true })
  expect(desktop?.name).not.toBe('Delta')
  expect(desktop?.letter).toBe(desktop?.name[0])
  expect(desktop?.hue).not.toBe(world.state.desktops.first?.hue)
  expect(focusId(world.state)).toBeNull()
})

test('an empty desktop folds at once; of one with windows it is asked where they go', () => {
  const world = new World()
  const [full = '', empty = ''] = world.desktops('Full', 'Empty')
  world.run('desktop.go', { to: full })
  world.open()
  expect(world.run('desktop.previewFold').show).toMatchObject({ view: 'fold', desktops: [full] })
  const outcome = world.run('desktop.previewFold', { desktop: empty })
  expect([outcome.say, outcome.step, outcome.show]).toEqual(['Folded Empty', true, undefined])
  expect(world.state.desktops[empty]).toBeUndefined()
  world.run('history.undo')
  expect(world.state.desktops[empty]?.name).toBe('Empty')
})

test('a default name never ends in a number, however many desktops there are', () => {
  const world = new World()
  while (world.state.order.length < 40) world.run('desktop.create')
  const names = Object.values(world.state.desktops).map(({ name }) => name)
  expect(new Set(names).size).toBe(40)
  expect(names.filter((name) => /\d/.test(name))).toEqual([])
  expect(world.refusal('desktop.create')).toContain('40')
})

test('an empty name is refused with a reason; equal names are told apart by their letters', () => {
  const world = new World()
  expect(world.refusal('desktop.rename', { name: '  ' })).toContain('needs a name')
  const [a, b] = world.desktops('Same', 'Other')
  world.run('desktop.rename', { desktop: b, name: 'Same' })
  expect(world.state.desktops[a ?? '']?.letter).not.toBe(world.state.desktops[b ?? '']?.letter)
})

test('a letter stays with its desktop, whatever is made, named or folded', () => {
  const world = new World()
  const ids = world.desktops('Field', 'Model', 'Bulletin')
  const letters = () => ids.map((id) => world.state.desktops[id]?.letter)
  const before = letters()
  world.desktops('Fog', 'Fell', 'Foehn')
  expect(letters()).toEqual(before)
  const { say } = world.run('desktop.rename', { desktop: ids[0], name: 'Kestrel' })
  expect(letters()).toEqual(before)
  expect(say).toBe('Renamed Field to Kestrel; it keeps F. K is free: Alt+J L')
  world.run('desktop.fold', { desktop: ids[1] })
  expect(letters()[2]).toBe(before[2])
})

test('a desktop that was only just made takes the letter of the name it is given', () => {
  const world = new World()
  const [id] = world.desktops('Gust')
  world.run('desktop.rename', { desktop: id, name: 'Kestrel', fresh: true })
  expect(world.state.desktops[id ?? '']?.letter).toBe('K')
  const [other] = world.desktops('Moor')
  world.run('desktop.rename', { desktop: other, name: 'Kiln', fresh: true })
  expect(world.state.desktops[id ?? '']?.letter).toBe('K')
})

test('a letter set by hand is taken from a desktop that had it by itself', () => {
  const world = new World()
  const [model, other] = world.desktops('Model', 'Other')
  world.run('desktop.letter', { desktop: other, letter: 'm' })
  expect(world.state.desktops[other ?? '']?.letter).toBe('M')
  expect(world.state.desktops[model ?? '']?.letter).not.toBe('M')
  expect(world.refusal('desktop.letter', { desktop: model, letter: 'M' })).toContain('by hand')
  expect(world.refusal('desktop.letter', { letter: 'X' })).toContain('cannot')
})

test('folding sends windows to the neighbour before, keeps frames and stacking, and undo brings all back', () => {
  const world = new World()
  const [second] = world.desktops('Second')
  const kept = world.open()
  world.run('desktop.go', { to: second })
  const windows = [world.open(), world.open('dial')]
  const before = world.state
  world.run('desktop.fold', { desktop: second })
  expect(world.state.order).toEqual(['first'])
  expect(world.state.desktops.first?.windows).toEqual([kept, ...windows])
  for (const id of windows)
    expect(world.state.windows[id]?.frame).toEqual(before.windows[id]?.frame)
  const among = ({ stacking }: State) => stacking.filter((id) => windows.includes(id))
  expect(among(world.state)).toEqual(among(before))
  world.run('history.undo')
  expect(world.state).toEqual(before)
})

test('folded windows are laid out clear of what stands there where that is asked, as large as they were', () => {
  const world = new World()
  const [second] = world.desktops('Second')
  const kept = world.open('dial')
  world.run('desktop.go', { to: second })
  const moved = [world.open('dial'), world.open('dial')]
  const size = (id: string) => {
    const { width, height } = window(world.state, id).frame
    return { width, height }
  }
  const before = world.state
  const sizes = moved.map(size)
  world.run('desktop.fold', { desktop: second, clear: true })
  const frames = [kept, ...moved].map((id) => shownFrame(world.state, window(world.state, id)))
  for (const [at, one] of frames.entries())
    for (const other of frames.slice(at + 1)) expect(overlap(one, other)).toBe(0)
  expect(moved.map(size)).toEqual(sizes)
  world.run('history.undo')
  expect(world.state).toEqual(before)
})

test('the first desktop folds into the one after; each window can be sent elsewhere', () => {
  const world = new World()
  const [second, third] = world.desktops('Third', 'Second').reverse()
  const [a, b] = [world.open(), world.open()]
  world.run('desktop.fold', { moves: [{ window: a, to: third }] })
  expect(world.state.windows[a]?.desktop).toBe(third)
  expect(world.state.windows[b]?.desktop).toBe(second)
  expect(currentId(world.state)).toBe(second)
})

test('all others fold into one; the only desktop is not folded', () => {
  const world = new World()
  const others = world.desktops('A', 'B', 'C')
  world.run('desktop.fold', { desktops: others, into: 'first' })
  expect(world.state.order).toEqual(['first'])
  expect(world.refusal('desktop.fold')).toContain('only desktop')
  expect(world.refusal('desktop.previewFoldOthers')).toContain('no other')
})

test('what pointed at a folded desktop follows: homes, keys, closed windows', () => {
  const world = new World()
  const [gone] = world.desktops('Gone')
  world.run('desktop.go', { to: gone })
  world.open()
  world.run('window.close')
  const state = JSON.parse(JSON.stringify(world.state))
  state.homes = [{ id: 'h', app: 'notes', desktop: gone ?? '', follow: true, on: true }]
  state.bindings = [{ keys: 'Alt+K', command: 'desktop.go', args: { to: gone } }]
  const after = new World(state)
  after.run('desktop.fold', { desktop: gone })
  expect(after.state.homes[0]?.desktop).toBe('first')
  expect(after.state.bindings[0]?.args).toEqual({ to: 'first' })
  after.run('window.reopen')
  expect(currentId(after.state)).toBe('first')
})

test('reordering goes by steps and to a place, and says so at the ends', () => {
  const world = new World()
  const [b, a] = world.desktops('B', 'A')
  world.run('desktop.reorder', { by: 1 })
  expect(world.state.order).toEqual([a, 'first', b])
  world.run('desktop.reorder', { to: 2 })
  expect(world.state.order).toEqual([a, b, 'first'])
  expect(world.refusal('desktop.reorder', { by: 1 })).toContain('stays')
})
