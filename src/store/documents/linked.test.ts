import { MemoryStore, makeShelf } from '@testing/shelf'
import { changeContent, provideContents, putContent } from './documents'
import {
  allLinked,
  documentIn,
  factsOfFile,
  link,
  linkedTo,
  provideFiles,
  setStands,
  unlink,
  unlinkGone,
} from './linked'

/** A store that takes handles, which only browsers can copy. */
class HandleStore extends MemoryStore {
  override async getItem(key: string): Promise<unknown> {
    return this.items.get(key) ?? null
  }
  override async setItem(key: string, value: unknown): Promise<void> {
    this.items.set(key, value)
  }
}

const handleOf = (
  name: string,
  is: { permission: PermissionState } = { permission: 'granted' },
) => {
  const handle = {
    name,
    queryPermission: async () => is.permission,
    isSameEntry: async (other: unknown) => other === handle,
  }
  return handle as unknown as FileSystemFileHandle
}

async function begun(store = new HandleStore()) {
  const shelf = makeShelf()
  provideContents(shelf, {
    source: { read: async () => null, write: async () => {} },
    changed: () => {},
  })
  const over = new AbortController()
  await provideFiles(shelf, 'test', store, over.signal)
  return { shelf, store, over }
}

const file = (text: string) => new File([text], 'slope.md', { lastModified: 1000 })

test('a document has a file over another start; whether it is ahead of it is known at once', async () => {
  const { shelf, store, over } = await begun()
  putContent(shelf, 'a', { saved: { markdown: 'one' }, draft: null })
  const handle = handleOf('slope.md')
  await link(shelf, 'a', file('one'), handle, 'one', { markdown: 'one' })
  expect(factsOfFile(shelf, 'a')).toEqual({ name: 'slope.md', stands: 'same' })
  expect(await documentIn(shelf, handle)).toBe('a')
  expect(await documentIn(shelf, handleOf('slope.md'))).toBeUndefined()
  changeContent(shelf, 'a', { markdown: 'two' }, 'draft')
  expect(factsOfFile(shelf, 'a')?.stands).toBe('same')
  changeContent(shelf, 'a', { markdown: 'two' }, 'saved')
  expect(factsOfFile(shelf, 'a')?.stands).toBe('ahead')
  changeContent(shelf, 'a', { markdown: 'one' }, 'saved')
  expect(factsOfFile(shelf, 'a')?.stands).toBe('same')
  over.abort()
  expect(allLinked(shelf)).toEqual([])

  const again = await begun(store)
  expect(linkedTo(again.shelf, 'a')).toMatchObject({ base: 'one', size: 3, modified: 1000 })
  await unlink(again.shelf, 'a')
  expect(factsOfFile(again.shelf, 'a')).toBeUndefined()
  expect(await store.keys()).toEqual([])
  again.over.abort()
})

test('what is saved while it is being written is ahead of the file', async () => {
  const { shelf, over } = await begun()
  putContent(shelf, 'a', { saved: { markdown: 'two' }, draft: null })
  await link(shelf, 'a', file('one'), handleOf('slope.md'), 'one', { markdown: 'one' })
  expect(factsOfFile(shelf, 'a')?.stands).toBe('ahead')
  over.abort()
})

test('one that may not be read asks; one of a document that is gone is let go of', async () => {
  const { shelf, store, over } = await begun()
  const is = { permission: 'granted' as PermissionState }
  await link(shelf, 'a', file('one'), handleOf('slope.md', is), 'one', null)
  await link(shelf, 'b', file('two'), handleOf('rota.md'), 'two', null)
  is.permission = 'prompt'
  over.abort()
  const again = await begun(store)
  expect(factsOfFile(again.shelf, 'a')?.stands).toBe('asks')
  expect(factsOfFile(again.shelf, 'b')?.stands).toBe('same')
  await unlinkGone(again.shelf, { a: {} })
  expect(allLinked(again.shelf).map(([id]) => id)).toEqual(['a'])
  // What is not linked has no standing.
  setStands(again.shelf, 'b', 'gone')
  expect(factsOfFile(again.shelf, 'b')).toBeUndefined()
  again.over.abort()
})

test('a page hears what another linked', async () => {
  const store = new HandleStore()
  const one = await begun(store)
  const two = await begun(store)
  await link(one.shelf, 'a', file('one'), handleOf('slope.md'), 'one', null)
  const until = async (holds: () => boolean) => {
    for (let n = 0; n < 100 && !holds(); n++) await new Promise((done) => setTimeout(done, 10))
    expect(holds()).toBe(true)
  }
  await until(() => factsOfFile(two.shelf, 'a')?.name === 'slope.md')
  await unlink(one.shelf, 'a')
  await until(() => factsOfFile(two.shelf, 'a') === undefined)
  one.over.abort()
  two.over.abort()
})
