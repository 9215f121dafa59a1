import { World } from '@testing/world'
import { currentId } from '@/core/model/selectors'

test('a desktop has one sheet of notes: made once, gone to wherever its window is, opened again', () => {
  const world = new World()
  world.run('desktop.create', { name: 'Model' })
  const model = currentId(world.state)
  world.run('desktop.notes')
  const [window] = Object.values(world.state.windows)
  expect(window?.desktop).toBe(model)
  expect(world.state.documents[window?.document ?? '']?.title).toBe('Notes, Model')
  expect(world.state.desktops[model]?.notes).toEqual({ document: window?.document })
  world.run('desktop.go', { to: 'previous' })
  world.run('desktop.notes', { desktop: model })
  expect(Object.keys(world.state.windows)).toHaveLength(1)
  expect(currentId(world.state)).toBe(model)
  world.run('window.close', { window: window?.id })
  world.run('desktop.notes')
  const [again] = Object.values(world.state.windows)
  expect(again?.document).toBe(window?.document)
  expect(again?.id).not.toBe(window?.id)
})
