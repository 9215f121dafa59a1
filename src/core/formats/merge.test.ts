import { World } from '@testing/world'
import { arriving } from '@/core/model/kinds/display'
import type { State } from '@/core/model/state'
import { check } from '@/core/rules/check'
import { difference, merge } from './merge'

/** A shelf with a desktop, two windows on it, and one that was closed there. */
function here(): { world: World; desktop: string; windows: string[] } {
  const world = new World()
  world.env.id = (kind) => `here-${kind}-${++made}`
  let made = 0
  const [desktop = ''] = world.desktops('Shared')
  world.run('desktop.go', { to: desktop })
  const windows = [world.open('notes', 'One'), world.open('notes', 'Two')]
  world.run('window.close', { window: world.open('notes', 'Gone') })
  return { world, desktop, windows }
}

test('where a window fills the desktop in the file, windows from here go to an open one', () => {
  const { world, desktop, windows } = here()
  const file = structuredClone(world.state)
  const shared = file.desktops[desktop]
  const [alone = '', other = ''] = windows
  // In the file, as it was made elsewhere, the second window is not there and the first is alone.
  delete file.windows[other]
  file.closed = []
  file.stacking = file.stacking.filter((id) => id !== other)
  file.presence.near = arriving('first')
  Object.assign(shared ?? {}, {
    kind: 'solo',
    windows: [alone],
    focus: null,
    origins: {
      [alone]: { desktop: 'first', at: 0, on: null, minimised: false, focused: false },
    },
  })
  expect(check(file)).toEqual([])
  const merged = merge(world.state, file)
  expect(check({ ...merged, presence: { near: arriving('first') } })).toEqual([])
  expect(merged.desktops[desktop]?.windows).toEqual([alone])
  expect(merged.windows[other]?.desktop).toBe('first')
  expect(merged.closed[0]?.window.desktop).toBe('first')
  // And as the command does it.
  world.run('shelf.merge', { state: file })
  expect(check(world.state)).toEqual([])
})

test('a display that is only here does not show what another shows already', () => {
  const { world, desktop } = here()
  const near = world.state.displays.near
  if (!near) throw new Error('no display')
  const both: State = {
    ...world.state,
    displays: { near, tall: { ...near, id: 'tall', name: 'Tall' } },
    presence: { ...world.state.presence, tall: arriving('first') },
    displayOrder: ['near', 'tall'],
  }
  expect(check(both)).toEqual([])
  const file = structuredClone(world.state)
  file.presence.near = { ...arriving('first'), visited: ['first', desktop] }
  const merged = merge(both, file)
  expect(check(merged)).toEqual([])
  expect(merged.displays.tall?.connected).toBe(false)
})

test('the preview names everything that would change', () => {
  const { world, desktop } = here()
  const file = structuredClone(world.state)
  file.settings.cloth = 'night'
  file.columns = 3
  file.slots[0] = 'reader'
  const [document] = Object.values(file.documents)
  if (document) document.title = 'Called otherwise'
  file.documents.added = { id: 'added', app: 'notes', title: 'Added', unsaved: false, openedAt: 0 }
  file.apps.ridge = { id: 'ridge', name: 'Ridge', address: 'https://ridge.test/' }
  file.homes.push({ id: 'home', app: 'notes', desktop, follow: true, on: true })
  const away = new World(JSON.parse(JSON.stringify(file)))
  away.run('pattern.keep', { desktop: 'first', name: 'Incident' })
  away.run('plan.add', { text: '9 first' })
  away.run('desktop.create', { name: 'Course', stay: true })
  away.run('desktop.stow', { desktop: 'Course' })
  const change = difference(world.state, away.state)
  expect(change).toMatchObject({
    stowedAdded: ['Course'],
    patternsAdded: ['Incident'],
    blocksAdded: 1,
    settingsChanged: ['cloth'],
    documentsAdded: ['Added'],
    documentsRenamed: ['One to Called otherwise'],
    appsChanged: ['Ridge'],
    homesChanged: 1,
    keysChanged: true,
    reordered: true,
  })
  expect(difference(world.state, world.state)).toMatchObject({
    stowedAdded: [],
    patternsAdded: [],
    blocksAdded: 0,
    settingsChanged: [],
    documentsRenamed: [],
    homesChanged: 0,
    keysChanged: false,
    reordered: false,
  })
})
