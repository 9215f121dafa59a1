import { World } from '@testing/world'
import { currentId, focusId, lastId } from '@/core/model/selectors'

/** first, then A, B, C. */
function four() {
  const world = new World()
  const [c, b, a] = world.desktops('Cody', 'Box', 'Aero')
  return { world, a, b, c }
}

test('next and previous go round, or stop at the ends', () => {
  const { world, a, c } = four()
  world.run('desktop.go', { to: 'previous' })
  expect(currentId(world.state)).toBe(c)
  world.run('desktop.go', { to: 'next' })
  world.run('desktop.go', { to: 'next' })
  expect(currentId(world.state)).toBe(a)
  world.run('settings.set', { wrap: false })
  world.run('desktop.go', { to: 'first' })
  expect(world.refusal('desktop.go', { to: 'previous' })).toContain('first desktop')
})

test('a place is a letter, a name or an id', () => {
  const { world, b } = four()
  world.run('desktop.go', { to: 'b' })
  expect(currentId(world.state)).toBe(b)
  world.run('desktop.go', { to: 'aero' })
  expect(world.refusal('desktop.go', { to: 'nowhere' })).toContain('“nowhere”')
  expect(world.refusal('desktop.go', { to: 'Q' })).toContain('answers to Q')
})

test('back goes to the desktop before this one, again returns, and skips folded ones', () => {
  const { world, a, b } = four()
  expect(world.refusal('desktop.go', { to: 'last' })).toContain('no desktop before')
  for (const to of [a, b]) world.run('desktop.go', { to })
  world.run('desktop.go', { to: 'last' })
  expect(currentId(world.state)).toBe(a)
  world.run('desktop.go', { to: 'last' })
  expect(currentId(world.state)).toBe(b)
  world.run('desktop.fold', { desktop: a })
  expect(lastId(world.state)).toBe('first')
})

test('focus returns to the window that had it when the desktop was left', () => {
  const { world } = four()
  const [one, two] = [world.open(), world.open()]
  world.run('window.focus', { window: one })
  world.run('desktop.go', { to: 'next' })
  expect(focusId(world.state)).toBeNull()
  world.run('desktop.go', { to: 'last' })
  expect(focusId(world.state)).toBe(one)
  world.run('window.minimise')
  expect(focusId(world.state)).toBe(two)
})

test('send stays, carry goes along, new makes a desktop; the frame is untouched', () => {
  const { world, a } = four()
  const window = world.open()
  const { frame } = world.state.windows[window] ?? {}
  expect(world.run('window.send', { to: a }).say).toBe('Sent “Note” to Aero')
  expect(currentId(world.state)).toBe('first')
  expect(focusId(world.state)).toBeNull()
  world.run('window.carry', { window, to: 'new' })
  expect(world.state.windows[window]?.desktop).toBe(currentId(world.state))
  expect(focusId(world.state)).toBe(window)
  expect(world.state.windows[window]?.frame).toEqual(frame)
  expect(world.refusal('window.send', { to: currentId(world.state) })).toContain('already')
})

test('one undo takes a carry back, and where one was with it', () => {
  const { world, a } = four()
  world.open()
  const before = world.state
  world.run('window.carry', { to: a })
  world.run('desktop.go', { to: 'next' })
  const after = world.state
  world.run('history.undo')
  expect(world.state).toEqual(before)
  world.run('history.redo')
  expect(world.state).toEqual(after)
})

test('every switch, send and carry is written to the journal with how it was given', () => {
  const { world, a } = four()
  const window = world.open()
  expect(world.run('window.carry', { to: a }).journal).toMatchObject([
    { kind: 'carry', window, from: 'first', to: a, by: 'key' },
    { kind: 'switch', from: 'first', to: a },
  ])
})

test('what takes more than one stroke, or has no keys, is written to the journal by its name', () => {
  const { world } = four()
  world.open()
  expect(world.run('documents.clearUp').journal).toMatchObject([
    { kind: 'does', by: 'key', command: 'documents.clearUp' },
  ])
  // Of this window, as that of the menu is named.
  const [window] = world.state.stacking
  expect(world.run('window.export', { window }).journal).toMatchObject([{ kind: 'does' }])
  // A single stroke says it; or it is given more than a command has keys for.
  expect(world.run('window.maximise').journal).toEqual([])
  expect(world.run('keys.open', { find: 'loft' }).journal).toEqual([])
})
