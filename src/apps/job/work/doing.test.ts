import { MemoryStore, makeShelf } from '@testing/shelf'
import { PLAIN } from '@/core/formula/value'
import { addDocument } from '@/store/documents/adding'
import {
  changeContent,
  contentOf,
  discardDraft,
  keptContent,
  onContent,
  provideContents,
} from '@/store/documents/documents'
import { database } from '@/store/documents/source'
import type { Shelf } from '@/store/shelf'
import { JOBS, type Job, type JobContent } from '../content'
import { queue, remove, setState } from '../queue'
import { Doing } from './doing'
import type { Work } from './works'

let shelf: Shelf
let jobs: string
const note = (title: string, markdown: string) =>
  addDocument(shelf, { app: 'document', title }, { markdown })
const markdown = (id: string) => (contentOf(shelf, id) as { markdown: string }).markdown
const now = () => contentOf(shelf, jobs) as JobContent
const job = () => now().jobs[0] as Job
const begin = (work: Work) => {
  changeContent(shelf, jobs, queue(now(), 'one', 'Replace', work), 'saved')
  const ending = new AbortController()
  return { all: () => new Doing(shelf, jobs, 'one', PLAIN, ending.signal).all(), ending }
}
const replace = (documents: string[]): Work => ({
  kind: 'replace',
  text: 'snow',
  instead: 'ice',
  caseSensitive: false,
  wholeWord: false,
  documents,
})

beforeEach(() => {
  shelf = makeShelf()
  provideContents(shelf, {
    source: database(new MemoryStore(), { spare: async () => null }),
    changed: () => {},
  })
  jobs = addDocument(shelf, { app: 'job', title: 'Jobs' }, JOBS.empty)
})

test('words are replaced as drafts, a table tells where, and all is as it was when they are discarded', async () => {
  const [a, b] = [note('A', 'snow'), note('B', 'rain')]
  await begin(replace([a, b])).all()
  expect(job()).toMatchObject({ state: 'done', at: 100, log: ['A: 1 match'] })
  expect([markdown(a), markdown(b)]).toEqual(['ice', 'rain'])
  expect(shelf.state().documents[a]?.unsaved).toBe(true)
  expect(shelf.state().documents[b]?.unsaved).toBe(false)
  expect(contentOf(shelf, job().result ?? '')).toMatchObject({ rows: [['A', '1']] })
  discardDraft(shelf, a)
  expect(markdown(a)).toBe('snow')
})

test('what is not saved is left alone, what changes meanwhile too, and both are told', async () => {
  const [a, b, c] = [note('A', 'snow'), note('B', 'snow'), note('C', 'snow')]
  changeContent(shelf, a, { markdown: 'more snow' }, 'draft')
  const { all } = begin(replace([a, b, c, 'gone']))
  // Typed as soon as it was read.
  const stop = onContent(shelf, jobs, () => {
    if (!job().log.includes('B: 1 match')) return
    stop()
    changeContent(shelf, b, { markdown: 'snow again' }, 'saved')
  })
  await all()
  expect([markdown(a), markdown(b), markdown(c)]).toEqual(['more snow', 'snow again', 'ice'])
  expect(keptContent(shelf, a)?.saved).toEqual({ markdown: 'snow' })
  expect(job().log).toEqual([
    'A has unsaved changes. Save or discard them first',
    'A file can’t be read',
    'B: 1 match',
    'C: 1 match',
    'B was changed in the meantime, so it is left as it is',
  ])
})

test('it waits while it is paused, and does nothing once it is removed or shut', async () => {
  const a = note('A', 'snow')
  const first = begin(replace([a]))
  changeContent(shelf, jobs, setState(now(), 'one', 'paused'), 'saved')
  const paused = first.all()
  await new Promise((done) => setTimeout(done, 30))
  expect(markdown(a)).toBe('snow')
  changeContent(shelf, jobs, setState(now(), 'one', 'running'), 'saved')
  await paused
  expect(markdown(a)).toBe('ice')
  discardDraft(shelf, a)
  changeContent(shelf, jobs, remove(now(), 'one'), 'saved')
  const removed = begin(replace([a]))
  changeContent(shelf, jobs, remove(now(), 'one'), 'saved')
  await removed.all()
  const shut = begin(replace([a]))
  shut.ending.abort()
  await shut.all()
  expect(markdown(a)).toBe('snow')
  expect(job().state).toBe('running')
})

test('nothing to work on, and a column that is gone, are told', async () => {
  await begin(replace(['gone'])).all()
  expect(job()).toMatchObject({ state: 'failed', why: 'There is nothing to work on: see the log.' })
  changeContent(shelf, jobs, JOBS.empty, 'saved')
  const table = addDocument(shelf, { app: 'table', title: 'T' }, { columns: ['A'], rows: [] })
  await begin({ kind: 'sum', table, column: 'B', by: '' }).all()
  expect(job()).toMatchObject({ state: 'failed', why: 'There is no column “B” any more.' })
})
