import { World } from '@testing/world'

/** A world with one window, and its document. */
function withDocument(): { world: World; window: string; document: string } {
  const world = new World()
  const window = world.open('notes', 'Snow pit')
  return { world, window, document: world.state.windows[window]?.document ?? '' }
}

test('a document is renamed and marked as not saved; an empty title is refused', () => {
  const { world, document } = withDocument()
  world.run('document.set', { document, title: '  Pit at Tarn Ridge ', unsaved: true })
  expect(world.state.documents[document]).toMatchObject({
    title: 'Pit at Tarn Ridge',
    unsaved: true,
  })
  expect(world.refusal('document.set', { document, title: '  ' })).toBe('A document needs a title.')
  expect(world.refusal('document.set', { document: 'gone', title: 'x' })).toBe(
    'There is no such document.',
  )
})

test('a document that is open is not deleted; a deleted one is taken back', () => {
  const { world, window, document } = withDocument()
  expect(world.refusal('document.discard', { document })).toContain('Close its windows first')
  world.run('window.close', { window })
  expect(world.run('document.discard', { document }).say).toBe('Deleted “Snow pit”')
  expect(world.state.documents[document]?.discarded).toBe(true)
  expect(world.run('document.discard', { document }).say).toBe('Took back “Snow pit”')
  expect(world.state.documents[document]?.discarded).toBe(false)
})

test('renaming and exporting a document are asked for by the document or by its window', () => {
  const { world, window, document } = withDocument()
  expect(world.run('document.askTitle', { document }).show).toEqual({ view: 'title', document })
  expect(world.run('document.export', { document }).show).toMatchObject({ document })
  expect(world.run('window.askTitle', { window }).show).toMatchObject({ view: 'title' })
  expect(world.refusal('document.export', { document: 'gone' })).toContain('no such document')
})

test('a window that has none shows what to do first', () => {
  const world = new World()
  expect(world.refusal('window.askTitle')).toBe('No window has the focus. Click one first.')
  expect(world.refusal('window.askTitle', { window: 'gone' })).toContain('no longer open')
})
