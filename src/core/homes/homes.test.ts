import { World } from '@testing/world'
import fc from 'fast-check'
import type { Home } from '@/core/model/kinds/home'
import { currentId, focusId } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { clockOf, minuteOf } from '@/core/text/clock'
import { beatenBy, clashes, twinOf } from './clashes'
import { explain } from './explain'
import { fits, homeFor, type Moment, specificity, unmet } from './matching'
import { putRightPlan } from './putRight'
import { homeInWords } from './words'

const MONDAY: Moment = { day: 1, minute: 8 * 60 }

const home = (given: Partial<Home> = {}): Home => ({
  id: 'h',
  app: 'notes',
  desktop: 'first',
  follow: true,
  on: true,
  ...given,
})

/** A shelf with these homes. */
function shelf(...homes: Home[]): State {
  const world = new World()
  return { ...world.state, homes }
}

test('a pattern fits whole titles, a star any text, capitals do not count', () => {
  expect(fits('Station*', 'station readings 06:00')).toBe(true)
  expect(fits('Station*', 'Old station')).toBe(false)
  expect(fits('*bulletin*', 'Yesterday’s Bulletin')).toBe(true)
  expect(fits('a.b', 'axb')).toBe(false)
  expect(fits('[draft] *', '[draft] north')).toBe(true)
})

test('all conditions have to hold, and the first that does not is told', () => {
  const narrow = home({ title: 'Note*', days: [1], from: 420, to: 600, displays: ['near'] })
  const { displays } = shelf()
  const about = { app: 'notes', title: 'Notes' }
  expect(unmet(narrow, about, MONDAY, displays)).toBeNull()
  expect(unmet(narrow, { ...about, title: 'Dial' }, MONDAY, displays)).toBe('title')
  expect(unmet(narrow, about, { day: 2, minute: 480 }, displays)).toBe('day')
  expect(unmet(narrow, about, { day: 1, minute: 600 }, displays)).toBe('time')
  expect(unmet({ ...narrow, displays: ['tall'] }, about, MONDAY, displays)).toBe('display')
})

test('a time of the day may go over midnight', () => {
  const night = home({ from: 22 * 60, to: 6 * 60 })
  const at = (minute: number) => unmet(night, { app: 'notes', title: '' }, { day: 0, minute }, {})
  expect([at(23 * 60), at(60), at(6 * 60), at(12 * 60)]).toEqual([null, null, 'time', 'time'])
})

test('the most specific home wins, a title counts two, ties go by order', () => {
  const wide = home({ id: 'wide' })
  const timed = home({ id: 'timed', days: [1], from: 0, to: 1000 })
  const titled = home({ id: 'titled', title: 'Note*' })
  expect([wide, timed, titled].map(specificity)).toEqual([0, 2, 2])
  const win = (...homes: Home[]) =>
    homeFor(shelf(...homes), { app: 'notes', title: 'Note' }, MONDAY)?.id
  expect(win(wide, timed, titled)).toBe('timed')
  expect(win(wide, titled, timed)).toBe('titled')
  expect(win(wide, { ...titled, on: false })).toBe('wide')
  expect(win({ ...wide, app: 'dial' })).toBeUndefined()
})

test('why: the winner in words, and of each other home of the app why it lost', () => {
  const state = shelf(
    home({ id: 'wide' }),
    home({ id: 'off', title: 'Note*', on: false }),
    home({ id: 'win', title: 'Note*' }),
    home({ id: 'other', title: 'Dial*' }),
    home({ id: 'late', title: '*e*' }),
  )
  const found = explain(state, { app: 'notes', title: 'Note' }, MONDAY, 'notes')
  expect(found.why).toBe('Notes titled “Note*” open on Delta.')
  expect(found.losers.map(({ home: { id }, why }) => [id, why])).toEqual([
    ['wide', 'the other is more specific'],
    ['off', 'it is switched off'],
    ['other', 'the title doesn’t match'],
    ['late', 'the other stands before it'],
  ])
  const none = explain(state, { app: 'dial', title: 'Dial' }, MONDAY, 'dials')
  expect([none.home, none.losers]).toEqual([null, []])
})

test('homes that can never win are told from those that are equal', () => {
  const all = [
    home({ id: 'sta', title: 'Sta*' }),
    home({ id: 'station', title: 'Station*' }),
    home({ id: 'again', title: 'Sta*' }),
    home({ id: 'any' }),
    home({ id: 'monday', title: 'Station*', days: [1] }),
  ]
  expect(clashes(all)).toEqual([
    { home: 'station', by: 'sta', kind: 'never' },
    { home: 'again', by: 'sta', kind: 'equal' },
  ])
})

test('a home that is said never to be reached never is', () => {
  const part = fc.constantFrom<Partial<Home>>(
    {},
    { title: 'No*' },
    { title: 'Note*' },
    { days: [1] },
    { days: [1, 2] },
    { from: 400, to: 700 },
    { from: 450, to: 600 },
    { title: '*t*', days: [2] },
  )
  fc.assert(
    fc.property(fc.array(part, { minLength: 2, maxLength: 6 }), (parts) => {
      const homes = parts.map((given, at) => home({ id: String(at), ...given }))
      const never = new Set(clashes(homes).map((clash) => clash.home))
      for (const title of ['Note', 'North', 'Dial'])
        for (const day of [1, 2, 3])
          for (const minute of [100, 460, 650]) {
            const winner = homeFor(shelf(...homes), { app: 'notes', title }, { day, minute })
            expect(never.has(winner?.id ?? '')).toBe(false)
          }
    }),
  )
})

test('a home says in words what will happen', () => {
  const state = shelf()
  expect(homeInWords(home({ title: 'Station*' }), 'tables', state)).toBe(
    'Tables titled “Station*” open on Delta and take you there',
  )
  const timed = home({ desktop: 'named', name: 'Night', from: 1320, to: 360, follow: false })
  expect(homeInWords(timed, 'notes', state)).toBe(
    'Notes from 22:00 to 06:00 open on a desktop named Night while you stay',
  )
})

test('times of the day are read and written', () => {
  expect([minuteOf('06:30'), minuteOf('24:00'), minuteOf('7:5'), minuteOf('x')]).toEqual([
    390,
    null,
    null,
    null,
  ])
  expect(clockOf(390)).toBe('06:30')
})

test('a window opens at its home, and takes the person there or not', () => {
  const world = new World()
  const [field] = world.desktops('Field')
  world.run('home.set', { app: 'notes', desktop: field, title: 'Station*' })
  const { say } = world.run('window.open', { app: 'notes', title: 'Station readings' })
  expect(say).toBe('Opened “Station readings” at its home and went to Field')
  expect(currentId(world.state)).toBe(field)
  world.run('desktop.go', { to: 'first' })
  world.run('home.set', {
    id: world.state.homes[0]?.id,
    app: 'notes',
    desktop: field,
    follow: false,
  })
  const stayed = world.run('window.open', { app: 'notes', title: 'Another' })
  expect(stayed.say).toBe('Opened “Another” on Field, its home')
  expect(currentId(world.state)).toBe('first')
  expect(world.state.desktops[field ?? '']?.windows).toHaveLength(2)
  world.run('home.set', { app: 'dial', desktop: 'every' })
  world.open('dial')
  expect(world.state.everywhere).toEqual([focusId(world.state)])
})

test('a desktop that a home names is made for its first window and used by the next', () => {
  const world = new World()
  world.run('home.set', { app: 'notes', desktop: 'named', name: 'Night' })
  world.open()
  world.run('desktop.go', { to: 'first' })
  world.open()
  expect(Object.values(world.state.desktops).map(({ name }) => name)).toEqual(['Delta', 'Night'])
  expect(world.state.desktops[currentId(world.state)]?.windows).toHaveLength(2)
})

test('put right lists what is away from home, does what is ticked, and one undo restores', () => {
  const world = new World()
  const [field, rota] = world.desktops('Field', 'Rota')
  const [one, two] = [world.open('notes', 'Station one'), world.open('notes', 'Station two')]
  world.run('window.send', { window: two, to: rota })
  world.open('dial')
  world.run('home.set', { app: 'notes', desktop: field, title: 'Station*' })
  const { state } = world
  expect(putRightPlan(state, MONDAY).map(({ window, to }) => [window, to])).toEqual([
    [one, field],
    [two, field],
  ])
  world.run('home.putRight', { windows: [two] })
  expect(world.state.windows[two]?.desktop).toBe(field)
  expect(world.state.windows[one]?.desktop).toBe('first')
  world.run('history.undo')
  expect(world.state).toEqual(state)
  world.run('home.putRight')
  expect(world.refusal('home.putRight')).toContain('Every window is at home')
})

test('folding a desktop moves its homes along, and undo brings them back', () => {
  const world = new World()
  const [field] = world.desktops('Field')
  world.run('home.set', { app: 'notes', desktop: field })
  world.run('desktop.fold', { desktop: field })
  expect(world.state.homes[0]?.desktop).toBe('first')
  world.run('history.undo')
  expect(world.state.homes[0]?.desktop).toBe(field)
})

test('what is wrong with a home is said', () => {
  const world = new World()
  expect(world.refusal('home.set', { app: 'none', desktop: 'first' })).toContain('no app')
  expect(world.refusal('home.set', { app: 'notes', desktop: 'gone' })).toContain('no such desktop')
  expect(world.refusal('home.set', { app: 'notes', desktop: 'named' })).toContain('Type the name')
  expect(world.refusal('home.set', { app: 'notes', desktop: 'first', from: 10 })).toContain('both')
})

test('against 500 homes the explanation agrees with a plain search', () => {
  const homes = Array.from({ length: 500 }, (_, at) =>
    home({
      id: `h${at}`,
      app: at % 2 ? 'notes' : 'dial',
      ...(at % 3 && { title: `*${at % 50}*` }),
      ...(at % 5 === 0 && { days: [at % 7] }),
    }),
  )
  const state = shelf(...homes)
  for (let n = 0; n < 10_000; n += 250) {
    const about = { app: n % 500 ? 'notes' : 'dial', title: `Window ${n}` }
    const found = explain(state, about, MONDAY, 'windows')
    const matching = homes.filter(
      (one) => one.app === about.app && unmet(one, about, MONDAY, state.displays) === null,
    )
    const most = Math.max(...matching.map(specificity))
    expect(found.home).toBe(matching.find((one) => specificity(one) === most) ?? null)
    expect(found.losers).toHaveLength(249)
  }
})

test('a title that changes changes where a window belongs', () => {
  const world = new World()
  const [field] = world.desktops('Field')
  const id = world.open('notes', 'Draft')
  world.run('home.set', { app: 'notes', desktop: field, title: 'Station*' })
  expect(world.refusal('window.goHome')).toBe('It is at home.')
  const document = world.state.windows[id]?.document
  world.run('document.set', { document, title: 'Station HR-09' })
  world.run('window.goHome')
  expect(world.state.windows[id]?.desktop).toBe(field)
})

test('a second home for the same windows is refused, also in other words; what never wins is known', () => {
  const world = new World()
  world.desktops('Field')
  const [, field] = world.state.order
  world.run('home.set', { app: 'notes', desktop: 'first', title: 'Snow*' })
  const reason = world.refusal('home.set', { app: 'notes', desktop: field, title: 'snow* ' })
  expect(reason).toContain('have a home already')
  expect(world.state.homes).toHaveLength(1)
  // The same home may be changed, and a wider or narrower one may be set.
  const [set] = world.state.homes
  world.run('home.set', { id: set?.id, app: 'notes', desktop: field, title: 'Snow*' })
  world.run('home.set', { app: 'notes', desktop: 'first' })
  const titled = home({ id: 'new', title: 'Snow*', days: [1] })
  expect(beatenBy(world.state.homes, titled)).toBeUndefined()
  expect(beatenBy(world.state.homes, home({ id: 'new', title: 'Snow pit*' }))?.id).toBe(set?.id)
  expect(twinOf(world.state.homes, home({ id: 'new', title: 'SNOW*' }))?.id).toBe(set?.id)
})

test('an app is given a desktop for its home, whether it had one or not; there already, it says so', () => {
  const world = new World()
  const [first = ''] = world.state.order
  world.run('desktop.create', { name: 'Reading', stay: true })
  const reading = world.state.order.find((id) => id !== first) ?? ''
  world.run('home.setFor', { app: 'notes', desktop: reading })
  expect(world.state.homes).toMatchObject([{ app: 'notes', desktop: reading, on: true }])
  expect(world.try('home.setFor', { app: 'notes', desktop: reading })).toMatchObject({ ok: false })
  world.run('home.set', { ...world.state.homes[0], on: false })
  world.run('home.setFor', { app: 'notes', desktop: first })
  expect(world.state.homes).toMatchObject([{ app: 'notes', desktop: first, on: true }])
  // A home with conditions is another one, and stays.
  world.run('home.set', { app: 'dial', desktop: first, title: 'D*' })
  world.run('home.setFor', { app: 'dial', desktop: reading })
  expect(world.state.homes).toHaveLength(3)
  expect(world.try('home.setFor', { app: 'dial', desktop: 'gone' })).toMatchObject({ ok: false })
})
