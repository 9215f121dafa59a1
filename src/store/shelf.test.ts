import type { JournalEvent } from '@/core/journal/events'
import { initialState } from '@/core/model/initial'
import { focusedWindow } from '@/core/model/selectors'
import { APPS } from '@/core/testing/world'
import { report, reportOf } from './reports'
import {
  appFacts,
  closeLoft,
  closeView,
  dispatch,
  getState,
  onJournal,
  openMenu,
  provideApps,
  shelf,
} from './shelf'

const fresh = shelf.getInitialState()

beforeEach(() => {
  provideApps(APPS)
  shelf.setState({ ...fresh, session: { ...fresh.session, state: initialState() } }, true)
})

test('what was done is said; done by pointer, with the keys for the next time', () => {
  dispatch('desktop.create', { name: 'Field', stay: true }, 'key')
  expect(shelf.getState().said).toMatchObject({ text: 'Made Field', step: true })
  expect(shelf.getState().said?.nextTime).toBeUndefined()
  const [, made] = getState().order
  dispatch('desktop.go', { to: made ?? '' }, 'pointer')
  expect(shelf.getState().said).toMatchObject({ nextTime: 'Alt+F', step: false })
})

test('a refusal changes nothing and is said, until something else is done', () => {
  const before = getState()
  expect(dispatch('window.close', {}, 'key').ok).toBe(false)
  expect(getState()).toBe(before)
  expect(shelf.getState().said).toMatchObject({ refused: true })
  expect(shelf.getState().announced).toContain('No window has the focus')
  dispatch('desktop.create', { name: 'Field' }, 'key')
  expect(shelf.getState().said?.refused).toBeUndefined()
})

test('a refusal that offers something opens it instead', () => {
  dispatch('window.open', { app: 'notes' })
  const focused = focusedWindow(getState())
  const { document = '' } = focused ?? {}
  dispatch('document.set', { document, unsaved: true }, 'app')
  dispatch('window.close')
  expect(shelf.getState().view).toMatchObject({ view: 'unsaved' })
  expect(getState().windows).toHaveProperty(focused?.id ?? '')
  closeView()
  expect(shelf.getState().view).toBeNull()
})

test('the journal hears what happened, when, and by what; also that an undo went elsewhere', () => {
  const heard: JournalEvent[] = []
  const stop = onJournal((events) => heard.push(...events))
  dispatch('window.open', { app: 'notes' }, 'key')
  dispatch('desktop.create', { name: 'Field' }, 'pointer')
  dispatch('history.undo', {}, 'key')
  stop()
  dispatch('history.redo', {}, 'key')
  expect(heard.map(({ kind, by }) => [kind, by])).toEqual([
    ['open', 'key'],
    ['switch', 'pointer'],
    ['switch', 'key'],
  ])
  expect(heard[2]).toMatchObject({ to: 'first' })
})

test('the loft opens and shuts by the same key, and comes back after unstacking from it', () => {
  dispatch('window.open', { app: 'notes' })
  dispatch('loft.open', {}, 'key')
  expect(shelf.getState()).toMatchObject({ loft: true, loftBy: 'desktop' })
  dispatch('loft.byApp', {}, 'key')
  expect(shelf.getState()).toMatchObject({ loft: true, loftBy: 'app' })
  dispatch('unstack.desktop', { desktop: 'first' }, 'key')
  expect(shelf.getState()).toMatchObject({ loft: false, view: { view: 'unstack' } })
  closeView()
  expect(shelf.getState()).toMatchObject({ loft: true, view: null })
  dispatch('loft.open', {}, 'key')
  expect(shelf.getState().loft).toBe(false)
  dispatch('loft.open', {}, 'key')
  closeLoft()
  expect(shelf.getState().loft).toBe(false)
})

test('who goes somewhere from the loft or from unstacked windows sees it; what is done there stays there', () => {
  dispatch('desktop.create', { name: 'Field' }, 'key')
  dispatch('loft.open', {}, 'key')
  dispatch('desktop.create', { name: 'Rota' }, 'key')
  expect(shelf.getState().loft).toBe(true)
  dispatch('desktop.go', { to: 'Field' }, 'app')
  expect(shelf.getState().loft).toBe(true)
  dispatch('desktop.go', { to: 'Rota' }, 'key')
  expect(shelf.getState()).toMatchObject({ loft: false, loftBehind: false })
  dispatch('loft.open', {}, 'key')
  dispatch('unstack.desktop', {}, 'key')
  dispatch('desktop.go', { to: 'Field' }, 'pointer')
  expect(shelf.getState()).toMatchObject({ loft: false, loftBehind: false, view: null })
})

test('a menu opens where it was asked for', () => {
  let prevented = false
  const event = { clientX: 40, clientY: 60, preventDefault: () => (prevented = true) }
  openMenu(event, { desktop: 'first' })
  expect(prevented).toBe(true)
  expect(shelf.getState().menu).toEqual({ x: 40, y: 60, desktop: 'first' })
})

test('own apps have facts beside those that ship', () => {
  expect(appFacts('notes')?.plural).toBe('notes')
  expect(appFacts('ridge')).toBeUndefined()
  dispatch('app.add', { name: 'Ridge', address: 'https://ridge.test/' })
  const [own] = Object.keys(getState().apps)
  expect(appFacts(own ?? '')).toMatchObject({ name: 'Ridge' })
})

test('attention is announced once, when it is new and its window has not the focus', () => {
  jest.useFakeTimers()
  dispatch('window.open', { app: 'notes' })
  const document = focusedWindow(getState())?.document ?? ''
  shelf.setState({ announced: '' })
  const told = (given: Parameters<typeof report>[1]) => {
    report(document, given)
    jest.runAllTimers()
  }
  shelf.setState({ ready: true })
  told({ attention: 'info', says: '1 unread' })
  expect(shelf.getState().announced).toBe('')
  dispatch('window.minimise')
  told({ attention: 'mention', says: 'the hut asks for you' })
  expect(shelf.getState().announced).toBe('the hut asks for you')
  shelf.setState({ announced: '' })
  told({ attention: 'mention', says: 'the hut asks for you' })
  expect(shelf.getState().announced).toBe('')
  told({ progress: 0.5 })
  expect(getState().attention).toEqual({})
  jest.useRealTimers()
  expect(reportOf(document)).toEqual({ progress: 0.5 })
})
