import { initialState } from '@/core/model/initial'
import { APPS } from '@/core/testing/world'
import { allDocuments, bringBack, provideCatalogue, TAKEN_BACK_WITHIN, tidy } from './catalogue'
import { changeContent, forgetContents, loadContent, provideContents } from './documents'
import { dispatch, getState, provideApps, shelf } from './shelf'
import { MemoryStore } from './testing'

const store = new MemoryStore()
const fresh = shelf.getInitialState()

beforeEach(() => {
  store.items.clear()
  store.failing = {}
  forgetContents()
  provideApps(APPS)
  shelf.setState({ ...fresh, session: { ...fresh.session, state: initialState() } }, true)
  provideContents({ store: new MemoryStore(), changed: () => {} })
  provideCatalogue(store)
})

const info = (n: number) => ({
  id: `old-${n}`,
  app: 'notes',
  title: `Old ${n}`,
  unsaved: false,
  openedAt: n,
})
const bringMany = (count: number) =>
  dispatch(
    'documents.bring',
    { documents: Array.from({ length: count }, (_, n) => info(n)) },
    'app',
  )

test('what nobody looked at for longest is kept apart, and found when it is looked for', async () => {
  bringMany(300)
  await tidy(Date.now())
  expect(Object.keys(getState().documents)).toHaveLength(150)
  expect(getState().documents['old-299']).toBeDefined()
  expect(Object.keys(await allDocuments())).toHaveLength(300)
  await bringBack(['old-3', 'old-299', 'nowhere'])
  expect(getState().documents['old-3']).toEqual(info(3))
  expect(getState().documents.nowhere).toBeUndefined()
})

test('a few more than enough stay: it is not tidied for each of them', async () => {
  bringMany(180)
  await tidy(Date.now())
  expect(Object.keys(getState().documents)).toHaveLength(180)
})

test('what has a window, could get one back, or is not saved, is left alone', async () => {
  bringMany(300)
  dispatch('window.open', { app: 'notes', document: 'old-0' })
  dispatch('window.open', { app: 'notes', document: 'old-1' })
  dispatch('window.close')
  dispatch('document.set', { document: 'old-2', unsaved: true }, 'app')
  // Only undo knows of it any more.
  dispatch('documents.discard', { documents: ['old-4'] })
  await tidy(Date.now())
  for (const id of ['old-0', 'old-1', 'old-2', 'old-4'])
    expect(getState().documents[id]).toBeDefined()
  expect(getState().documents['old-5']).toBeUndefined()
  expect(dispatch('history.undo').ok).toBe(true)
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
  dispatch('documents.bring', { documents }, 'app')
  await loadContent('old-2')
  changeContent('old-2', 'something', 'saved')
  await tidy(now)
  expect(Object.keys(getState().documents).sort()).toEqual(['old-2', 'old-4'])
})

test('what cannot be written apart stays at hand; what cannot be read apart is told', async () => {
  bringMany(300)
  store.failing = { writes: /./ }
  await expect(tidy(Date.now())).rejects.toThrow('full')
  expect(Object.keys(getState().documents)).toHaveLength(300)
  provideCatalogue(store)
  store.failing = { reads: /./ }
  await expect(allDocuments()).rejects.toThrow('not readable')
  store.failing = {}
  expect(Object.keys(await allDocuments())).toHaveLength(300)
})
