import { World } from '@testing/world'
import { presence } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { check } from './check'

/** A sound shelf: three desktops, windows on two of them, a pair, one on every desktop. */
function sound(): State {
  const world = new World()
  const [field] = world.desktops('Field', 'Rota')
  world.open('notes', 'One')
  world.open('notes', 'Two')
  const every = world.open('dial', 'Clock')
  world.run('window.everywhere', { windows: [every] })
  world.run('desktop.go', { to: field })
  const left = world.open('notes', 'Left')
  const right = world.open('notes', 'Right')
  world.run('window.pair', { window: left, with: right })
  world.run('desktop.go', { to: 'first' })
  world.run('home.set', { app: 'notes', desktop: 'first', follow: true })
  return structuredClone(world.state)
}

const idOf = (state: State, title: string): string =>
  Object.values(state.windows).find(({ document }) => state.documents[document]?.title === title)
    ?.id ?? ''

/** What is broken in a state, and the sentence that says so. */
const BROKEN: [string, (state: State) => unknown, RegExp][] = [
  ['no open desktop', (s) => each(s.desktops, (d) => (d.kind = 'solo')), /no open desktop/],
  ['order too short', (s) => s.order.pop(), /does not list each desktop once/],
  ['order names a stranger', (s) => s.order.push('gone'), /in the order but does not exist/],
  ['no column', (s) => (s.columns = 0), /no column/],
  ['a nameless desktop', (s) => each(s.desktops, (d) => (d.name = ' ')), /has no name/],
  ['one letter for two', (s) => each(s.desktops, (d) => (d.letter = 'F')), /stands for two/],
  [
    'a window listed where it does not live',
    (s) => s.desktops.first?.windows.push(idOf(s, 'Left')),
    /is listed on first but does not live there/,
  ],
  [
    'a window listed twice',
    (s) => s.desktops.first?.windows.push(idOf(s, 'One')),
    /is not listed once/,
  ],
  ['a window listed nowhere', (s) => (s.everywhere = []), /is not listed once where it lives/],
  [
    'a guest among those on every desktop',
    (s) => s.everywhere.push(idOf(s, 'One')),
    /listed on every desktop but is not/,
  ],
  [
    'a remembered window that is gone',
    (s) => each(s.desktops, (d) => (d.focus = 'gone')),
    /remembers a window that does not exist/,
  ],
  ['a visit to nowhere', (s) => presence(s).visited.push('gone'), /Visited desktop gone/],
  ['a home nowhere', (s) => each(s.homes, (h) => (h.desktop = 'gone')), /Home .* points at/],
  ['a pair of one', (s) => full(s).windows.pop(), /is a pair of 1/],
  ['a divider at the edge', (s) => (full(s).divider = 0.05), /divider of .* outside/],
  ['a pair without origins', (s) => delete full(s).origins, /does not know where it came from/],
  [
    'an origin that is gone',
    (s) => each(full(s).origins ?? {}, (o) => (o.desktop = 'gone')),
    /came from a desktop that is not open/,
  ],
  [
    'a minimised window in a pair',
    (s) => each(full(s).windows, (id) => window(s, id, (w) => (w.minimised = true))),
    /fills .* minimised/,
  ],
  ['no document', (s) => (s.documents = {}), /shows no document/],
  ['two at one height', (s) => s.stacking.push(s.stacking[0] ?? ''), /stack does not list/],
  ['at no height', (s) => s.stacking.pop(), /stack does not list/],
  ['a stranger in the stack', (s) => s.stacking.splice(0, 1, 'gone'), /stack does not list/],
  [
    'on no display',
    (s) => each(s.windows, (w) => (w.display = 'gone')),
    /display that does not exist/,
  ],
  ['too small', (s) => each(s.windows, (w) => (w.frame.width = 20)), /smaller than its app allows/],
  [
    'too wide',
    (s) => window(s, idOf(s, 'Clock'), (w) => (w.frame.width = 999)),
    /wider than its app allows/,
  ],
  [
    'too tall',
    (s) => window(s, idOf(s, 'Clock'), (w) => (w.frame.height = 999)),
    /taller than its app allows/,
  ],
  ['nowhere', (s) => each(s.windows, (w) => (w.frame.x = Number.NaN)), /cannot be reached/],
  [
    'a display that shows nothing',
    (s) => (presence(s).shows = 'gone'),
    /shows a desktop that does not exist/,
  ],
  [
    'one desktop on two displays',
    (s) => {
      const [first] = Object.values(s.displays)
      if (first) s.displays.far = { ...first, id: 'far' }
      s.presence.far = presence(s)
    },
    /is shown twice/,
  ],
  [
    'a display of which nothing is known',
    (s) => (s.presence = {}),
    /Nothing is known of what display near shows/,
  ],
  ['present on no display', (s) => (s.presence.gone = presence(s)), /There is no display gone/],
  [
    'keys go to what is not connected',
    (s) => each(s.displays, (d) => (d.connected = false)),
    /takes the keys is not connected/,
  ],
  ['visited last', (s) => presence(s).visited.reverse(), /not the last one visited/],
  ['focus on a stranger', (s) => (presence(s).focus = 'gone'), /focused window does not exist/],
  [
    'focus out of sight',
    (s) => (presence(s).focus = idOf(s, 'Left')),
    /focused window cannot be seen/,
  ],
  [
    'closed and open',
    (s) => {
      const one = s.windows[idOf(s, 'One')]
      if (one) s.closed.push({ window: one, at: 0 })
    },
    /is closed and open/,
  ],
  [
    'closed on a desktop that is gone',
    (s) => {
      const one = s.windows[idOf(s, 'One')]
      if (one) s.closed.push({ window: { ...one, id: 'old', desktop: 'gone' }, at: 0 })
    },
    /Closed window old remembers/,
  ],
]

function each<T>(items: Record<string, T> | T[], to: (item: T) => unknown): void {
  for (const item of Object.values(items)) to(item)
}

function window(state: State, id: string, to: (window: State['windows'][string]) => unknown): void {
  const found = state.windows[id]
  if (found) to(found)
}

function full(state: State) {
  const found = Object.values(state.desktops).find(({ kind }) => kind === 'pair')
  if (!found) throw new Error('There is no pair.')
  return found
}

test('a sound shelf breaks no rule', () => {
  expect(check(sound())).toEqual([])
})

test.each(BROKEN)('%s is told', (_what, breakIt, told) => {
  const state = sound()
  breakIt(state)
  expect(check(state).join('\n')).toMatch(told)
})
