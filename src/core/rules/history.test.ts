import { World } from '@testing/world'
import { currentId } from '@/core/model/selectors'
import { check } from './check'

test('going after an undo does not keep the step from being redone exactly', () => {
  const world = new World()
  const [other] = world.desktops('Other')
  const id = world.open()
  world.run('window.move', { x: 300, y: 200 })
  const after = world.state
  world.run('history.undo')
  world.run('desktop.go', { to: other })
  world.run('history.redo')
  expect(world.state).toEqual(after)
  expect(world.state.windows[id]?.frame).toMatchObject({ x: 300, y: 200 })
})

test('a new step after an undo ends what could be redone', () => {
  const world = new World()
  world.open()
  world.run('window.move', { x: 300, y: 200 })
  world.run('history.undo')
  world.run('window.move', { x: 10, y: 10 })
  expect(world.refusal('history.redo')).toBe('There is nothing to redo.')
})

test('titles and unsaved marks are not taken back with the arrangement; settings are a step', () => {
  const world = new World()
  const id = world.open()
  const document = world.state.windows[id]?.document ?? ''
  world.run('desktop.create', { name: 'Made' })
  world.run('document.set', { document, title: 'Typed since', unsaved: true })
  world.run('settings.set', { wrap: false })
  expect(world.run('history.undo').say).toBe('Undone: Wrap around at the ends: off')
  expect(world.state.settings.wrap).toBe(true)
  expect(world.run('history.undo').say).toBe('Undone: Made Made')
  expect(currentId(world.state)).toBe('first')
  expect(world.state.documents[document]).toMatchObject({ title: 'Typed since', unsaved: true })
  world.run('history.redo')
  world.run('history.redo')
  expect(world.state.settings.wrap).toBe(false)
})

test('undoing an import takes back titles, settings and added documents; redoing brings them', () => {
  const world = new World()
  const id = world.open('notes', 'Mine')
  const document = world.state.windows[id]?.document ?? ''
  const before = world.state
  const theirs = structuredClone(before)
  const known = theirs.documents[document]
  if (known) known.title = 'Theirs'
  theirs.documents.added = {
    id: 'added',
    app: 'notes',
    title: 'Added',
    unsaved: false,
    openedAt: 1,
  }
  theirs.settings.wrap = false
  world.run('shelf.merge', { state: theirs })
  expect(world.state.documents[document]?.title).toBe('Theirs')
  const { travelled } = world.run('history.undo')
  expect(travelled).toEqual({ step: world.session.history.future.at(-1)?.id, direction: 'undo' })
  expect(world.state).toEqual(before)
  world.run('history.redo')
  expect(world.state.documents.added?.title).toBe('Added')
  expect(world.state.settings.wrap).toBe(false)
})

test('the last 200 steps can be undone', () => {
  const world = new World()
  world.open()
  for (let n = 0; n < 205; n++) world.run('window.move', { x: n, y: n })
  let undone = 0
  while (world.try('history.undo').ok) undone++
  expect(undone).toBe(200)
})

test('the journal tells which windows an undo moved, and where one is then', () => {
  const world = new World()
  const [field] = world.desktops('Field')
  const id = world.open()
  world.run('window.carry', { window: id, to: field })
  expect(world.run('history.undo').journal).toMatchObject([
    { kind: 'undo', window: id, from: field, to: 'first' },
    { kind: 'switch', from: field, to: 'first' },
  ])
  expect(world.run('history.redo').journal).toMatchObject([
    { kind: 'redo', window: id, from: 'first', to: field },
    { kind: 'switch', from: 'first', to: field },
  ])
  world.run('history.undo')
  world.run('window.minimise', { window: id })
  expect(world.run('history.undo').journal).toEqual([])
})

test('an undo moves no other display, and leaves what was focused since on top', () => {
  const world = new World()
  const [other] = world.desktops('Other')
  const [one, two] = [world.open(), world.open()]
  world.session = {
    ...world.session,
    state: {
      ...world.state,
      displays: {
        ...world.state.displays,
        tall: {
          id: 'tall',
          name: 'Tall',
          width: 900,
          height: 1400,
          scale: 1,
          x: 1072,
          y: 0,
          connected: true,
        },
      },
      displayOrder: ['near', 'tall'],
      presence: {
        ...world.state.presence,
        tall: { shows: other ?? '', focus: null, visited: [other ?? ''] },
      },
    },
  }
  world.run('window.move', { window: two, x: 200, y: 100 })
  world.run('window.focus', { window: one })
  const { tall } = world.state.presence
  world.run('history.undo')
  expect(world.state.presence.tall).toBe(tall)
  expect(world.state.stacking.at(-1)).toBe(one)
  expect(check(world.state)).toEqual([])
})
