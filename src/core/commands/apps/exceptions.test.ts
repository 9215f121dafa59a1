import { World } from '@testing/world'
import { explain } from '@/core/homes/explain'
import { putRightPlan } from '@/core/homes/putRight'
import { currentId, focusId } from '@/core/model/selectors'
import { check } from '@/core/rules/check'

const MONDAY = { day: 1, minute: 600 }

function world() {
  const made = new World()
  const [rota = ''] = made.desktops('Rota')
  const window = made.open()
  return { made, rota, window }
}

test('of an app that is never carried the window stays and the person goes; anyway it is carried', () => {
  const { made, rota, window } = world()
  expect(made.run('app.neverCarried').say).toBe('Notes is never carried any more: you go, it stays')
  expect(made.run('window.carry', { to: rota }).say).toBe(
    'Went to Rota without “Note”: its app is never carried',
  )
  expect(currentId(made.state)).toBe(rota)
  expect(made.state.windows[window]?.desktop).toBe('first')
  made.run('desktop.go', { to: 'first' })
  made.run('window.carry', { to: rota, anyway: true })
  expect(made.state.windows[window]?.desktop).toBe(rota)
  expect(focusId(made.state)).toBe(window)
  expect(check(made.state)).toEqual([])
})

test('of an app that is always sent the window goes and the person stays', () => {
  const { made, rota, window } = world()
  made.run('app.neverCarried')
  made.run('app.alwaysSent')
  // One speaks against the other.
  expect(made.state.exceptions).toEqual({ notes: ['always sent'] })
  made.run('window.carry', { to: rota })
  expect(currentId(made.state)).toBe('first')
  expect(made.state.windows[window]?.desktop).toBe(rota)
  made.run('history.undo')
  made.run('app.alwaysSent')
  expect(made.state.exceptions).toEqual({})
})

test('an app opens on every desktop, whatever its homes say; with Shift here alone', () => {
  const { made, rota, window } = world()
  made.run('home.set', { app: 'notes', desktop: rota, follow: false })
  made.run('app.opensEverywhere')
  const every = made.open()
  expect(made.state.windows[every]).toMatchObject({ desktop: 'every', cause: { by: 'exception' } })
  made.run('app.launch', { app: 'notes', another: true })
  const alone = Object.keys(made.state.windows).at(-1) ?? ''
  expect(made.state.windows[alone]?.desktop).toBe(rota)
  const found = explain(made.state, { app: 'notes', title: 'Note' }, MONDAY, 'notes')
  expect(found).toMatchObject({ home: null, exceptions: ['on every desktop'] })
  expect(found.losers).toMatchObject([{ why: 'the app has an exception' }])
  expect(putRightPlan(made.state, MONDAY).map((one) => one.window)).not.toContain(window)
})

test('of an app that keeps its size windows are placed as large as they are; with Shift at the size of the place', () => {
  const { made, window } = world()
  const size = () => {
    const { width = 0, height = 0 } = made.state.windows[window]?.frame ?? {}
    return { width, height }
  }
  const before = size()
  made.run('app.keepsSize')
  made.run('window.place', { top: 0, left: 2, bottom: 2, right: 2 })
  expect(size()).toEqual(before)
  expect(made.state.windows[window]?.placed).not.toBeNull()
  made.run('arrange.columns')
  expect(size()).toEqual(before)
  made.run('display.add', { name: 'Side', width: 700, height: 500 })
  made.run('window.toDisplay', { to: 'next' })
  expect(size()).toEqual(before)
  made.run('window.toDisplay', { to: 'next' })
  made.run('window.place', { top: 0, left: 2, bottom: 2, right: 2, sized: true })
  expect(size()).not.toEqual(before)
  const sized = size()
  // From then on that is the size it keeps.
  made.run('window.side', { to: 'left' })
  expect(size()).toEqual(sized)
})

test('an exception of an app there is none of is refused, and removed with an app that was added', () => {
  const { made } = world()
  expect(made.refusal('app.keepsSize', { app: 'none' })).toBe('There is no app “none”.')
  made.run('app.keepsSize', { app: 'dial', on: true })
  made.run('app.keepsSize', { app: 'dial', on: true })
  expect(made.state.exceptions).toEqual({ dial: ['keeps its size'] })
})
