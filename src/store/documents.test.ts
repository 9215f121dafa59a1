import { initialState } from '@/core/model/initial'
import { APPS } from '@/core/testing/world'
import {
  changeContent,
  contentOf,
  discardDraft,
  loadContent,
  provideContents,
  putContent,
  saveDraft,
  shownContent,
  writeContents,
} from './documents'
import { dispatch, getState, provideApps, shelf } from './shelf'

const kept = new Map<string, unknown>()
let full = false
let asked = 0
let soon = 0

beforeEach(() => {
  kept.clear()
  full = false
  asked = 0
  soon = 0
  provideApps(APPS)
  shelf.setState(({ session }) => ({ session: { ...session, state: initialState() } }))
  provideContents(
    {
      getItem: async (key) => {
        asked++
        return kept.get(key) ?? null
      },
      setItem: async (key, value) => {
        if (full) throw new Error('full')
        kept.set(key, value)
      },
    },
    () => soon++,
  )
})

/** Opens a window and returns its document. */
function opened(): string {
  dispatch('window.open', { app: 'notes' })
  return getState().windows[getState().focus ?? '']?.document ?? ''
}

test('content is read once, however many ask for it at the same time', async () => {
  const id = opened()
  kept.set(id, { saved: 'snow', draft: null })
  const [first, second] = await Promise.all([loadContent(id), loadContent(id)])
  expect(first).toEqual({ saved: 'snow', draft: null })
  expect(second).toBe(first)
  expect(asked).toBe(1)
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
  full = true
  await expect(writeContents()).rejects.toThrow('full')
  full = false
  await writeContents()
  expect(shownContent(kept.get(id) as { saved: unknown; draft: unknown })).toBe('one')
  kept.clear()
  await writeContents()
  expect(kept.size).toBe(0)
})
