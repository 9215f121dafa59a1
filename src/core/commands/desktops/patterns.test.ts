import { World } from '@testing/world'

function incident(): World {
  const world = new World()
  const [id = ''] = world.desktops('Slide')
  world.run('desktop.go', { to: id })
  world.run('window.open', { app: 'notes', title: 'Log of Slide' })
  world.run('window.place', { top: 0, left: 0, bottom: 2, right: 0 })
  world.run('window.open', { app: 'dial', title: 'Clock' })
  world.run('desktop.look', { desktop: id, hue: 'rust', backdrop: 'dots', emblem: 'anchor' })
  world.run('pattern.keep', { name: 'Incident' })
  return world
}

test('a desktop made from a pattern has its apps, places, look, and the name typed in its titles', () => {
  const world = incident()
  const { say } = world.run('pattern.make', { pattern: 'incident', name: ' North bowl ' })
  expect(say).toBe('Made North bowl from Incident')
  const { state } = world
  const made = state.desktops[state.presence.near?.shows ?? '']
  expect(made).toMatchObject({
    name: 'North bowl',
    hue: 'rust',
    backdrop: 'dots',
    emblem: 'anchor',
  })
  const windows = (made?.windows ?? []).map((id) => state.windows[id])
  expect(windows.map((window) => state.documents[window?.document ?? '']?.title)).toEqual([
    'Log of North bowl',
    'Clock',
  ])
  expect(windows[0]?.placed).toEqual({ top: 0, left: 0, bottom: 2, right: 0 })
  // What is written in one is not in the other.
  const documents = new Set(Object.values(state.windows).map(({ document }) => document))
  expect(documents.size).toBe(Object.keys(state.windows).length)
  world.run('history.undo')
  expect(Object.keys(world.state.windows)).toHaveLength(2)
  expect(world.state.order).toHaveLength(2)
})

test('a pattern stays when its desktop goes, is removed in a step, and needs a name', () => {
  const world = incident()
  world.run('desktop.go', { to: 'first' })
  world.run('desktop.fold', { desktop: 'Slide' })
  expect(world.try('pattern.make', { pattern: 'Incident', name: ' ' })).toMatchObject({ ok: false })
  expect(world.try('pattern.make', { pattern: 'Other', name: 'A' })).toMatchObject({
    ok: false,
    reason: 'There is no pattern “Other”.',
  })
  world.run('pattern.make', { pattern: 'Incident', name: 'South' })
  world.run('pattern.remove', { pattern: 'Incident' })
  expect(world.state.patterns).toEqual([])
  world.run('history.undo')
  expect(world.state.patterns).toHaveLength(1)
})

test('a stowed desktop is kept as a pattern too; apps that are not here are told', () => {
  const world = incident()
  const stowed = world.state.presence.near?.shows
  world.run('desktop.stow', { desktop: stowed })
  world.run('pattern.keep', { desktop: stowed, name: 'Again' })
  const [, again] = world.state.patterns
  expect(again?.windows.map(({ title }) => title)).toEqual(['Log of …', 'Clock'])
  const { app } = world.env
  world.env.app = (id) => (id === 'dial' ? undefined : app(id))
  expect(world.run('pattern.make', { pattern: 'Again', name: 'Hut' }).say).toBe(
    'Made Hut from Again; 1 of its apps are not here',
  )
})
