import type { KeptContent } from '@/core/formats/shelfFile'
import { initialState } from '@/core/model/initial'
import { focusedWindow } from '@/core/model/selectors'
import { APPS } from '@/core/testing/world'
import {
  changeContent,
  changeTyped,
  contentOf,
  discardDraft,
  forgetContents,
  loadContent,
  peekContent,
  provideContents,
  putContent,
  retryContent,
  saveDraft,
  shownContent,
  takeForSpare,
  writeContents,
} from './documents'
import { dispatch, getState, provideApps, shelf } from './shelf'
import { MemoryStore } from './testing'

const store = new MemoryStore()
const kept = store.items
let soon = 0
const spare = new Map<string, KeptContent>()

beforeEach(() => {
  kept.clear()
  spare.clear()
  store.failing = {}
  soon = 0
  forgetContents()
  provideApps(APPS)
  shelf.setState(({ session }) => ({ session: { ...session, state: initialState() } }))
  provideContents({
    store,
    changed: () => soon++,
    spare: async (id) => spare.get(id) ?? null,
  })
})

/** Opens a window and returns its document. */
function opened(): string {
  dispatch('window.open', { app: 'notes' })
  return focusedWindow(getState())?.document ?? ''
}

test('content is read once, however many ask for it at the same time', async () => {
  const id = opened()
  kept.set(id, { saved: 'snow', draft: null })
  const [first, second] = await Promise.all([loadContent(id), loadContent(id)])
  expect(first).toEqual({ saved: 'snow', draft: null })
  expect(second).toBe(first)
})

test('what nobody has written yet is empty', async () => {
  expect(await loadContent(opened())).toEqual({ saved: null, draft: null })
})

test('what was put in before it was read is not overwritten by what was kept', async () => {
  const id = opened()
  kept.set(id, { saved: 'old', draft: null })
  const loading = loadContent(id)
  putContent(id, { saved: 'new', draft: null })
  expect(await loading).toEqual({ saved: 'new', draft: null })
})

test('a draft is shown and marked until it is saved or discarded', () => {
  const id = opened()
  putContent(id, { saved: 'one', draft: null })
  changeContent(id, 'two', 'draft')
  expect(contentOf(id)).toBe('two')
  expect(getState().documents[id]?.unsaved).toBe(true)
  discardDraft(id)
  expect([contentOf(id), getState().documents[id]?.unsaved]).toEqual(['one', false])
  changeContent(id, 'three', 'draft')
  saveDraft(id)
  expect([contentOf(id), getState().documents[id]?.unsaved]).toEqual(['three', false])
})

test('another look leaves a draft a draft and a saved document saved', () => {
  const id = opened()
  putContent(id, { saved: { sort: 0 }, draft: null })
  changeContent(id, { sort: 1 }, 'look')
  expect(getState().documents[id]?.unsaved).toBe(false)
  changeContent(id, { sort: 1, cell: 'x' }, 'draft')
  changeContent(id, { sort: 2, cell: 'x' }, 'look')
  expect(getState().documents[id]?.unsaved).toBe(true)
  expect(contentOf(id)).toEqual({ sort: 2, cell: 'x' })
})

test('every change is written soon; what could not be is written the next time', async () => {
  const id = opened()
  changeContent(id, 'one', 'saved')
  expect(soon).toBe(1)
  store.failing = { writes: /./ }
  await expect(writeContents()).rejects.toMatchObject({ ids: [id] })
  store.failing = {}
  await writeContents()
  expect(shownContent(kept.get(id) as { saved: unknown; draft: unknown })).toBe('one')
  kept.clear()
  await writeContents()
  expect(kept.size).toBe(0)
})

test('one document that cannot be written holds no other up', async () => {
  const [one, two] = [opened(), opened()]
  changeContent(one, 'first', 'saved')
  changeContent(two, 'second', 'saved')
  store.failing = { writes: new RegExp(one) }
  await expect(writeContents()).rejects.toMatchObject({ ids: [one] })
  expect(kept.get(two)).toEqual({ saved: 'second', draft: null })
})

test('one that cannot be read is not written over; it is read when it can be', async () => {
  const id = opened()
  kept.set(id, { saved: 'snow', draft: null })
  store.failing = { reads: /./ }
  await expect(loadContent(id)).rejects.toThrow('cannot be read')
  changeContent(id, 'typed over', 'saved')
  await writeContents()
  store.failing = {}
  retryContent(id)
  expect(await loadContent(id)).toEqual({ saved: 'snow', draft: null })
})

test('what the store has lost comes from the spare copy', async () => {
  const id = opened()
  spare.set(id, { saved: 'copied', draft: null })
  expect(await peekContent(id)).toEqual({ saved: 'copied', draft: null })
  store.failing = { reads: /./ }
  expect(await loadContent(id)).toEqual({ saved: 'copied', draft: null })
})

test('what changed is copied once, and a shelf that was taken over keeps and writes nothing', async () => {
  const id = opened()
  changeContent(id, 'one', 'saved')
  expect([...takeForSpare()]).toEqual([[id, { saved: 'one', draft: null }]])
  expect(takeForSpare().size).toBe(0)
  forgetContents()
  expect(contentOf(id)).toBeNull()
  changeContent(id, 'two', 'saved')
  await writeContents()
  expect(kept.size).toBe(0)
})

test('what is half-typed is kept with its document, and changes nothing of it', async () => {
  const id = opened()
  await loadContent(id)
  changeContent(id, { text: 'saved' }, 'saved')
  changeTyped(id, 'reply', 'not sent')
  changeTyped(id, 'other', 'x')
  expect(getState().documents[id]?.unsaved).toBe(false)
  changeContent(id, { text: 'drafted' }, 'draft')
  discardDraft(id)
  changeTyped(id, 'other', '')
  await writeContents()
  expect(kept.get(id)).toEqual({
    saved: { text: 'saved' },
    draft: null,
    typed: { reply: 'not sent' },
  })
})
