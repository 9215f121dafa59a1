import { MemoryStore, makeShelf } from '@testing/shelf'
import { APPS } from '@testing/world'
import { database } from '@/store/documents/source'
import type { Shelf } from '@/store/shelf'
import { allDocuments, bringBack, provideCatalogue, TAKEN_BACK_WITHIN, tidy } from './catalogue'
import { changeContent, loadContent, provideContents } from './documents'

const store = new MemoryStore()
let shelf: Shelf

beforeEach(() => {
  store.items.clear()
  store.failing = {}
  shelf = makeShelf()
  provideContents(shelf, { source: database(new MemoryStore()), changed: () => {} })
  provideCatalogue(shelf, store)
})

const info = (n: number) => ({
  id: `old-${n}`,
  app: 'notes',
  title: `Old ${n}`,
  unsaved: false,
  openedAt: n,
})
const bringMany = (count: number) =>
  shelf.dispatch(
    'documents.bring',
    { documents: Array.from({ length: count }, (_, n) => info(n)) },
    'app',
  )

test('what nobody looked at for longest is kept apart, and found when it is looked for', async () => {
  bringMany(300)
  await tidy(shelf, Date.now())
  expect(Object.keys(shelf.state().documents)).toHaveLength(150)
  expect(shelf.state().documents['old-299']).toBeDefined()
  expect(Object.keys(await allDocuments(shelf))).toHaveLength(300)
  await bringBack(shelf, ['old-3', 'old-299', 'nowhere'])
  expect(shelf.state().documents['old-3']).toEqual(info(3))
  expect(shelf.state().documents.nowhere).toBeUndefined()
})

test('a few more than enough stay: it is not tidied for each of them', async () => {
  bringMany(180)
  await tidy(shelf, Date.now())
  expect(Object.keys(shelf.state().documents)).toHaveLength(180)
})

test('what has a window, could get one back, or is not saved, is left alone', async () => {
  bringMany(300)
  shelf.dispatch('window.open', { app: 'notes', document: 'old-0' })
  shelf.dispatch('window.open', { app: 'notes', document: 'old-1' })
  shelf.dispatch('window.close')
  shelf.dispatch('document.set', { document: 'old-2', unsaved: true }, 'app')
  // Only undo knows of it any more.
  shelf.dispatch('documents.discard', { documents: ['old-4'] })
  await tidy(shelf, Date.now())
  for (const id of ['old-0', 'old-1', 'old-2', 'old-4'])
    expect(shelf.state().documents[id]).toBeDefined()
  expect(shelf.state().documents['old-5']).toBeUndefined()
  expect(shelf.dispatch('history.undo').ok).toBe(true)
})

test('empty ones without a title go, and so does what was deleted long ago', async () => {
  const now = TAKEN_BACK_WITHIN * 2
  const untitled = APPS[0]?.untitled ?? ''
  const documents = [
    { ...info(1), title: untitled },
    { ...info(2), title: untitled },
    { ...info(3), discarded: true, discardedAt: 5 },
    { ...info(4), discarded: true, discardedAt: now - 5 },
  ]
  shelf.dispatch('documents.bring', { documents }, 'app')
  await loadContent(shelf, 'old-2')
  changeContent(shelf, 'old-2', 'something', 'saved')
  await tidy(shelf, now)
  expect(Object.keys(shelf.state().documents).sort()).toEqual(['old-2', 'old-4'])
})

test('what cannot be written apart stays at hand; what cannot be read apart is told', async () => {
  bringMany(300)
  store.failing = { writes: /./ }
  await expect(tidy(shelf, Date.now())).rejects.toThrow('full')
  expect(Object.keys(shelf.state().documents)).toHaveLength(300)
  provideCatalogue(shelf, store)
  store.failing = { reads: /./ }
  await expect(allDocuments(shelf)).rejects.toThrow('not readable')
  store.failing = {}
  expect(Object.keys(await allDocuments(shelf))).toHaveLength(300)
})
