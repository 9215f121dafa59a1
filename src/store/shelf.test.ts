import { MemoryStore, makeShelf } from '@testing/shelf'
import type { JournalEvent } from '@/core/journal/events'
import { focusedWindow } from '@/core/model/selectors'
import { database } from '@/store/documents/source'
import { changeContent, contentOf, provideContents } from './documents/documents'
import { notice, notices } from './notices'
import { report, reportOf } from './reports'
import { saving, setSaving } from './saving'
import type { Shelf } from './shelf'

let shelf: Shelf

beforeEach(() => {
  shelf = makeShelf()
})

test('what was done is said; done by pointer, with the keys for the next time', () => {
  shelf.dispatch('desktop.create', { name: 'Field', stay: true }, 'key')
  expect(shelf.page.getState().said).toMatchObject({ text: 'Made Field', step: true })
  expect(shelf.page.getState().said?.nextTime).toBeUndefined()
  const [, made] = shelf.state().order
  shelf.dispatch('desktop.go', { to: made ?? '' }, 'pointer')
  expect(shelf.page.getState().said).toMatchObject({ nextTime: 'Alt+F', step: false })
})

test('a refusal changes nothing and is said, until something else is done', () => {
  const before = shelf.state()
  expect(shelf.dispatch('window.close', {}, 'key').ok).toBe(false)
  expect(shelf.state()).toBe(before)
  expect(shelf.page.getState().said).toMatchObject({ refused: true })
  expect(shelf.page.getState().announced).toContain('No window has the focus')
  shelf.dispatch('desktop.create', { name: 'Field' }, 'key')
  expect(shelf.page.getState().said?.refused).toBeUndefined()
})

test('a refusal that offers something opens it instead', () => {
  shelf.dispatch('window.open', { app: 'notes' })
  const focused = focusedWindow(shelf.state())
  const { document = '' } = focused ?? {}
  shelf.dispatch('document.set', { document, unsaved: true }, 'app')
  shelf.dispatch('window.close')
  expect(shelf.page.getState().view).toMatchObject({ view: 'unsaved' })
  expect(shelf.state().windows).toHaveProperty(focused?.id ?? '')
  shelf.closeView()
  expect(shelf.page.getState().view).toBeNull()
})

test('the journal hears what happened, when, and by what; also that an undo went elsewhere', () => {
  const heard: JournalEvent[] = []
  const stop = shelf.onJournal((events) => heard.push(...events))
  shelf.dispatch('window.open', { app: 'notes' }, 'key')
  shelf.dispatch('desktop.create', { name: 'Field' }, 'pointer')
  shelf.dispatch('history.undo', {}, 'key')
  stop()
  shelf.dispatch('history.redo', {}, 'key')
  expect(heard.map(({ kind, by }) => [kind, by])).toEqual([
    ['open', 'key'],
    ['switch', 'pointer'],
    ['switch', 'key'],
  ])
  expect(heard[2]).toMatchObject({ to: 'first' })
})

test('the loft opens and shuts by the same key, and comes back after unstacking from it', () => {
  shelf.dispatch('window.open', { app: 'notes' })
  shelf.dispatch('loft.open', {}, 'key')
  expect(shelf.page.getState()).toMatchObject({ loft: true, loftBy: 'desktop' })
  shelf.dispatch('loft.byApp', {}, 'key')
  expect(shelf.page.getState()).toMatchObject({ loft: true, loftBy: 'app' })
  shelf.dispatch('unstack.desktop', { desktop: 'first' }, 'key')
  expect(shelf.page.getState()).toMatchObject({ loft: false, view: { view: 'unstack' } })
  shelf.closeView()
  expect(shelf.page.getState()).toMatchObject({ loft: true, view: null })
  shelf.dispatch('loft.open', {}, 'key')
  expect(shelf.page.getState().loft).toBe(false)
  shelf.dispatch('loft.open', {}, 'key')
  shelf.closeLoft()
  expect(shelf.page.getState().loft).toBe(false)
})

test('who goes somewhere from the loft or from unstacked windows sees it; what is done there stays there', () => {
  shelf.dispatch('desktop.create', { name: 'Field' }, 'key')
  shelf.dispatch('loft.open', {}, 'key')
  shelf.dispatch('desktop.create', { name: 'Rota' }, 'key')
  expect(shelf.page.getState().loft).toBe(true)
  shelf.dispatch('desktop.go', { to: 'Field' }, 'app')
  expect(shelf.page.getState().loft).toBe(true)
  shelf.dispatch('desktop.go', { to: 'Rota' }, 'key')
  expect(shelf.page.getState()).toMatchObject({ loft: false, loftBehind: false })
  shelf.dispatch('loft.open', {}, 'key')
  shelf.dispatch('unstack.desktop', {}, 'key')
  shelf.dispatch('desktop.go', { to: 'Field' }, 'pointer')
  expect(shelf.page.getState()).toMatchObject({ loft: false, loftBehind: false, view: null })
})

test('a menu opens where it was asked for', () => {
  let prevented = false
  const event = { clientX: 40, clientY: 60, preventDefault: () => (prevented = true) }
  shelf.openMenu(event, { desktop: 'first' })
  expect(prevented).toBe(true)
  expect(shelf.page.getState().menu).toEqual({ x: 40, y: 60, desktop: 'first' })
})

test('own apps have facts beside those that ship', () => {
  expect(shelf.appFacts('notes')?.plural).toBe('notes')
  expect(shelf.appFacts('ridge')).toBeUndefined()
  shelf.dispatch('app.add', { name: 'Ridge', address: 'https://ridge.test/' })
  const [own] = Object.keys(shelf.state().apps)
  expect(shelf.appFacts(own ?? '')).toMatchObject({ name: 'Ridge' })
})

test('attention is announced once, when it is new and its window has not the focus', () => {
  jest.useFakeTimers()
  shelf.dispatch('window.open', { app: 'notes' })
  const document = focusedWindow(shelf.state())?.document ?? ''
  shelf.page.setState({ announced: '' })
  const told = (given: Parameters<typeof report>[2]) => {
    report(shelf, document, given)
    jest.runAllTimers()
  }
  shelf.page.setState({ ready: true })
  told({ attention: 'info', says: '1 unread' })
  expect(shelf.page.getState().announced).toBe('')
  shelf.dispatch('window.minimise')
  told({ attention: 'mention', says: 'the hut asks for you' })
  expect(shelf.page.getState().announced).toBe('the hut asks for you')
  shelf.page.setState({ announced: '' })
  told({ attention: 'mention', says: 'the hut asks for you' })
  expect(shelf.page.getState().announced).toBe('')
  told({ progress: 0.5 })
  expect(shelf.state().attention).toEqual({})
  jest.useRealTimers()
  expect(reportOf(shelf, document)).toEqual({ progress: 0.5 })
})

test('two shelves in one place do not touch: what is done to one, nothing of the other knows', async () => {
  const other = makeShelf({ apps: [], clock: () => 5 })
  const before = other.page.getState()
  const told: string[] = []
  other.onDone(() => told.push('done'))
  other.onJournal(() => told.push('journal'))
  other.onTravel(() => told.push('travel'))
  provideContents(shelf, { source: database(new MemoryStore()), changed: () => {} })
  provideContents(other, {
    source: database(new MemoryStore()),
    changed: () => told.push('content'),
  })

  shelf.dispatch('window.open', { app: 'notes' })
  const document = focusedWindow(shelf.state())?.document ?? ''
  changeContent(shelf, document, 'typed here', 'saved')
  report(shelf, document, { busy: true })
  notice(shelf, { id: 'one', text: 'Of this shelf' })
  setSaving(shelf, { state: 'saving' })
  shelf.dispatch('loft.open')
  shelf.dispatch('history.undo')

  expect(other.page.getState()).toBe(before)
  expect(told).toEqual([])
  expect(contentOf(other, document)).toBeNull()
  expect(reportOf(other, document)).toBeUndefined()
  expect(notices(other).getState().list).toEqual([])
  expect(saving(other).getState().saving).toEqual({ state: 'saved' })

  expect(other.dispatch('window.open', { app: 'notes' }).ok).toBe(false)
  other.dispatch('desktop.create', { name: 'Other' })
  expect(Object.values(shelf.state().desktops).map(({ name }) => name)).not.toContain('Other')
  expect(other.page.getState().done.map(({ at }) => at)).toEqual([5])

  // One that is taken over takes nothing of the other with it.
  other.letGo()
  expect(other.dispatch('desktop.create', { name: 'Late' }).ok).toBe(false)
  expect(shelf.dispatch('desktop.create', { name: 'Here' }).ok).toBe(true)
})
