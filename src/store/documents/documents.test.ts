import { MemoryStore, makeShelf } from '@testing/shelf'
import type { KeptContent } from '@/core/formats/shelfFile'
import { focusedWindow } from '@/core/model/selectors'
import { database } from '@/store/documents/source'
import type { Shelf } from '@/store/shelf'
import {
  changeContent,
  changeTyped,
  contentOf,
  discardDraft,
  forgetContents,
  isPutIn,
  loadContent,
  peekContent,
  provideContents,
  putContent,
  receiveContent,
  retryContent,
  saveDraft,
  shownContent,
  takeForSpare,
  writeContents,
} from './documents'

const store = new MemoryStore()
let shelf: Shelf
const kept = store.items
let soon = 0
const spare = new Map<string, KeptContent>()

beforeEach(() => {
  kept.clear()
  spare.clear()
  store.failing = {}
  soon = 0
  shelf = makeShelf()
  provideContents(shelf, {
    source: database(store, { spare: async (id) => spare.get(id) ?? null }),
    changed: () => soon++,
  })
})

/** Opens a window and returns its document. */
function opened(): string {
  shelf.dispatch('window.open', { app: 'notes' })
  return focusedWindow(shelf.state())?.document ?? ''
}

test('content is read once, however many ask for it at the same time', async () => {
  const id = opened()
  kept.set(id, { saved: 'snow', draft: null })
  const [first, second] = await Promise.all([loadContent(shelf, id), loadContent(shelf, id)])
  expect(first).toEqual({ saved: 'snow', draft: null })
  expect(second).toBe(first)
})

test('what is put in is told from what is typed, here and from another view', () => {
  const id = opened()
  const told: boolean[] = []
  provideContents(shelf, {
    source: database(store),
    changed: () => {},
    told: (_id, _content, put) => told.push(put),
  })
  putContent(shelf, id, { saved: 'snow', draft: null })
  changeContent(shelf, id, 'rain', 'draft')
  saveDraft(shelf, id)
  changeContent(shelf, id, 'hail', 'draft')
  discardDraft(shelf, id)
  expect(told).toEqual([true, false, false, false, true])
  const content = { saved: 'fog', draft: null }
  receiveContent(shelf, id, { content, put: false })
  expect([contentOf(shelf, id), isPutIn(shelf, id)]).toEqual(['fog', false])
  receiveContent(shelf, id, { content, put: true })
  expect(isPutIn(shelf, id)).toBe(true)
  // It came from there: nobody is told again.
  expect(told).toHaveLength(5)
})

test('what nobody has written yet is empty', async () => {
  expect(await loadContent(shelf, opened())).toEqual({ saved: null, draft: null })
})

test('what was put in before it was read is not overwritten by what was kept', async () => {
  const id = opened()
  kept.set(id, { saved: 'old', draft: null })
  const loading = loadContent(shelf, id)
  putContent(shelf, id, { saved: 'new', draft: null })
  expect(await loading).toEqual({ saved: 'new', draft: null })
})

test('a draft is shown and marked until it is saved or discarded', () => {
  const id = opened()
  putContent(shelf, id, { saved: 'one', draft: null })
  changeContent(shelf, id, 'two', 'draft')
  expect(contentOf(shelf, id)).toBe('two')
  expect(shelf.state().documents[id]?.unsaved).toBe(true)
  discardDraft(shelf, id)
  expect([contentOf(shelf, id), shelf.state().documents[id]?.unsaved]).toEqual(['one', false])
  changeContent(shelf, id, 'three', 'draft')
  saveDraft(shelf, id)
  expect([contentOf(shelf, id), shelf.state().documents[id]?.unsaved]).toEqual(['three', false])
})

test('another look leaves a draft a draft and a saved document saved', () => {
  const id = opened()
  putContent(shelf, id, { saved: { sort: 0 }, draft: null })
  changeContent(shelf, id, { sort: 1 }, 'look')
  expect(shelf.state().documents[id]?.unsaved).toBe(false)
  changeContent(shelf, id, { sort: 1, cell: 'x' }, 'draft')
  changeContent(shelf, id, { sort: 2, cell: 'x' }, 'look')
  expect(shelf.state().documents[id]?.unsaved).toBe(true)
  expect(contentOf(shelf, id)).toEqual({ sort: 2, cell: 'x' })
})

test('every change is written soon; what could not be is written the next time', async () => {
  const id = opened()
  changeContent(shelf, id, 'one', 'saved')
  expect(soon).toBe(1)
  store.failing = { writes: /./ }
  await expect(writeContents(shelf)).rejects.toMatchObject({ ids: [id] })
  store.failing = {}
  await writeContents(shelf)
  expect(shownContent(kept.get(id) as { saved: unknown; draft: unknown })).toBe('one')
  kept.clear()
  await writeContents(shelf)
  expect(kept.size).toBe(0)
})

test('one document that cannot be written holds no other up', async () => {
  const [one, two] = [opened(), opened()]
  changeContent(shelf, one, 'first', 'saved')
  changeContent(shelf, two, 'second', 'saved')
  store.failing = { writes: new RegExp(one) }
  await expect(writeContents(shelf)).rejects.toMatchObject({ ids: [one] })
  expect(kept.get(two)).toEqual({ saved: 'second', draft: null })
})

test('one that cannot be read is not written over; it is read when it can be', async () => {
  const id = opened()
  kept.set(id, { saved: 'snow', draft: null })
  store.failing = { reads: /./ }
  await expect(loadContent(shelf, id)).rejects.toThrow('cannot be read')
  changeContent(shelf, id, 'typed over', 'saved')
  await writeContents(shelf)
  store.failing = {}
  retryContent(shelf, id)
  expect(await loadContent(shelf, id)).toEqual({ saved: 'snow', draft: null })
})

test('what the store has lost comes from the spare copy', async () => {
  const id = opened()
  spare.set(id, { saved: 'copied', draft: null })
  expect(await peekContent(shelf, id)).toEqual({ saved: 'copied', draft: null })
  store.failing = { reads: /./ }
  expect(await loadContent(shelf, id)).toEqual({ saved: 'copied', draft: null })
})

test('what changed is copied once, and a shelf that was taken over keeps and writes nothing', async () => {
  const id = opened()
  changeContent(shelf, id, 'one', 'saved')
  expect([...takeForSpare(shelf)]).toEqual([[id, { saved: 'one', draft: null }]])
  expect(takeForSpare(shelf).size).toBe(0)
  forgetContents(shelf)
  expect(contentOf(shelf, id)).toBeNull()
  changeContent(shelf, id, 'two', 'saved')
  await writeContents(shelf)
  expect(kept.size).toBe(0)
})

test('what is half-typed is kept with its document, and changes nothing of it', async () => {
  const id = opened()
  await loadContent(shelf, id)
  changeContent(shelf, id, { text: 'saved' }, 'saved')
  changeTyped(shelf, id, 'reply', 'not sent')
  changeTyped(shelf, id, 'other', 'x')
  expect(shelf.state().documents[id]?.unsaved).toBe(false)
  changeContent(shelf, id, { text: 'drafted' }, 'draft')
  discardDraft(shelf, id)
  changeTyped(shelf, id, 'other', '')
  await writeContents(shelf)
  expect(kept.get(id)).toEqual({
    saved: { text: 'saved' },
    draft: null,
    typed: { reply: 'not sent' },
  })
})
