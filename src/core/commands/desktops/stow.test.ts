import { World } from '@testing/world'

/** Field and Rota with two windows each; Rota has a home, keys, a look and a letter by hand. */
function office(): { world: World; rota: string } {
  const world = new World()
  const [rota = ''] = world.desktops('Rota')
  world.open()
  world.run('desktop.go', { to: rota })
  world.open()
  world.run('window.place', { top: 0, left: 0, bottom: 2, right: 0 })
  const second = world.open()
  world.run('window.minimise', { window: second })
  world.run('home.set', { app: 'notes', desktop: rota })
  world.run('desktop.letter', { desktop: rota, letter: 'Q' })
  world.run('desktop.look', { desktop: rota, hue: 'rust', signed: { size: 80 } })
  world.run('keys.bind', { keys: 'Alt+F8', command: 'desktop.go', args: { to: rota } })
  world.run('desktop.go', { to: 'first' })
  return { world, rota }
}

test('stowed and brought back all is as it was, but where one is', () => {
  const { world, rota } = office()
  const before = world.state
  expect(world.run('desktop.stow', { desktop: rota }).say).toBe('Stowed Rota with 2 windows')
  expect(world.state.order).toEqual(['first'])
  expect(Object.keys(world.state.windows)).toHaveLength(1)
  expect([world.state.homes, world.state.bindings]).toEqual([[], []])
  expect(world.run('desktop.bring', { desktop: 'rota' }).say).toBe('Brought Rota back')
  const { presence, stacking, ...rest } = world.state
  const { presence: _presence, stacking: stood, ...wanted } = before
  expect(rest).toEqual({ ...wanted, desktops: rest.desktops })
  expect(rest.desktops[rota]).toEqual({ ...before.desktops[rota], focus: presence.near?.focus })
  // It is gone to: only its own windows are raised.
  expect([...stacking].sort()).toEqual([...stood].sort())
  expect(presence.near?.shows).toBe(rota)
})

test('each is a step, undone and done again to the same', () => {
  const { world, rota } = office()
  const before = world.state
  world.run('desktop.stow', { desktop: rota })
  const away = world.state
  world.run('history.undo')
  expect(world.state.windows).toEqual(before.windows)
  expect(world.state.homes).toEqual(before.homes)
  world.run('history.redo')
  expect(world.state.stowed).toEqual(away.stowed)
})

test('a letter or keys that are taken meanwhile stay with who has them', () => {
  const { world, rota } = office()
  world.run('desktop.stow', { desktop: rota })
  world.run('desktop.create', { name: 'Other', stay: true })
  const [, other = ''] = world.state.order
  world.run('desktop.letter', { desktop: other, letter: 'Q' })
  world.run('keys.bind', { keys: 'Alt+F8', command: 'loft.open' })
  world.run('desktop.bring', { desktop: rota })
  expect(world.state.desktops[other]?.letter).toBe('Q')
  expect(world.state.desktops[rota]?.letter).not.toBe('Q')
  expect(world.state.desktops[rota]?.letter).not.toBeNull()
  expect(world.state.bindings).toEqual([{ keys: 'Alt+F8', command: 'loft.open', args: {} }])
})

test('a window can be gone to where it is brought back', () => {
  const { world, rota } = office()
  const small = Object.values(world.state.windows).find(({ minimised }) => minimised)?.id
  world.run('desktop.stow', { desktop: rota })
  world.run('desktop.bring', { desktop: rota, window: small })
  expect(world.state.presence.near?.focus).toBe(small)
  expect(world.state.windows[small ?? '']?.minimised).toBe(false)
})

test('the last desktop stays, as does one that a window fills or where something is at work', () => {
  const { world, rota } = office()
  world.run('desktop.go', { to: rota })
  world.run('window.solo', { window: Object.keys(world.state.windows)[1] })
  expect(world.try('desktop.stow')).toMatchObject({
    ok: false,
    reason: expect.stringContaining('filled by a window'),
  })
  world.run('window.solo')
  world.env.busy = () => true
  expect(world.try('desktop.stow', { desktop: rota })).toMatchObject({ ok: false })
  world.env.busy = () => false
  world.run('desktop.stow', { desktop: rota })
  expect(world.try('desktop.stow')).toMatchObject({
    ok: false,
    reason: expect.stringContaining('only desktop'),
  })
  expect(world.try('desktop.bring', { desktop: 'Nowhere' })).toMatchObject({ ok: false })
})

test('documents of what is stowed are in use; what waits there waits until it is back', () => {
  const { world, rota } = office()
  const document = Object.values(world.state.windows).find(
    ({ desktop }) => desktop === rota,
  )?.document
  world.run('attention.report', { document, level: 'mention', says: 'asks' })
  world.run('desktop.stow', { desktop: rota })
  expect(world.try('document.discard', { document })).toMatchObject({ ok: false })
  expect(world.try('attention.next')).toMatchObject({ ok: false })
  world.run('desktop.bring', { desktop: rota })
  expect(world.state.attention).toHaveProperty(document ?? '')
})
