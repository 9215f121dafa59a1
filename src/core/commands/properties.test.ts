import fc from 'fast-check'
import { check } from '@/core/model/check'
import type { State } from '@/core/model/types'
import { World } from '@/core/testing/world'
import { registry } from './registry'

/** A command that may name desktops and windows by their number; most are accepted. */
type Said = { id: string; args: (state: State) => object }

const nth = <T>(list: T[], at: number): T | undefined => list[at % Math.max(1, list.length)]
const places = ['next', 'previous', 'above', 'below', 'last', 'new']

const maybe = fc.option(fc.nat(60), { nil: undefined })
const windowAt = (state: State, at: number | undefined) => {
  const id = at === undefined ? undefined : nth(Object.keys(state.windows), at)
  return id ? { window: id } : {}
}
const desktopAt = (state: State, at: number | undefined) => {
  const id = at === undefined ? undefined : nth(state.order, at)
  return id ? { desktop: id } : {}
}
const placeAt = (state: State, at: number) => nth([...places, ...state.order], at) ?? 'next'

const coordinate = fc.integer({ min: -3000, max: 5000 })
const length = fc.integer({ min: 1, max: 4000 })
const cell = fc.nat(2)

/** Another shelf to bring in, with a desktop and a window of its own. */
const other = new World()
other.env.id = (kind) => `other-${kind}`
other.desktops('Brought')
other.open('dial')

/** An earlier session, with a solo, a window on every desktop and a desktop of its own. */
const past = new World()
past.env.id = (kind) => `past-${kind}-${++pastCount}`
let pastCount = 0
past.desktops('Yesterday')
past.open()
past.open('dial')
past.run('window.everywhere')
past.open()
past.run('window.solo')
const earlier = past.state

const said: fc.Arbitrary<Said> = fc.oneof(
  fc.record({ id: fc.constant('desktop.create'), args: fc.constant(() => ({})) }),
  fc.boolean().map((stay) => ({ id: 'desktop.create', args: () => ({ name: 'Named', stay }) })),
  fc.tuple(maybe, fc.string({ minLength: 1, maxLength: 12 })).map(([at, name]) => ({
    id: 'desktop.rename',
    args: (state: State) => ({ ...desktopAt(state, at), name }),
  })),
  fc.tuple(maybe, fc.constantFrom(...'ABKWXZ')).map(([at, letter]) => ({
    id: 'desktop.letter',
    args: (state: State) => ({ ...desktopAt(state, at), letter }),
  })),
  fc.tuple(maybe, fc.integer({ min: -3, max: 3 })).map(([at, by]) => ({
    id: 'desktop.reorder',
    args: (state: State) => ({ ...desktopAt(state, at), by }),
  })),
  fc.tuple(maybe, maybe, maybe).map(([at, into, choice]) => ({
    id: 'desktop.fold',
    args: (state: State) => {
      const folded = desktopAt(state, at).desktop ?? nth(state.order, 0)
      const window = state.desktops[folded ?? '']?.windows[0]
      const target = desktopAt(state, choice).desktop
      const to = desktopAt(state, into).desktop
      return {
        ...(folded && { desktop: folded }),
        ...(to && { into: to }),
        ...(window && target && { moves: [{ window, to: target }] }),
      }
    },
  })),
  fc.nat(60).map((at) => ({
    id: 'desktop.fold',
    args: (state: State) => {
      const kept = nth(state.order, at)
      return { desktops: state.order.filter((id) => id !== kept).slice(0, 3), into: kept }
    },
  })),
  fc.nat(60).map((at) => ({
    id: 'desktop.go',
    args: (state: State) => ({ to: placeAt(state, at) }),
  })),
  fc
    .tuple(fc.constantFrom('window.send', 'window.carry'), maybe, fc.nat(60))
    .map(([id, window, at]) => ({
      id,
      args: (state: State) => ({ ...windowAt(state, window), to: placeAt(state, at) }),
    })),
  fc.tuple(maybe, maybe, fc.nat(60)).map(([one, two, at]) => ({
    id: 'window.sendAll',
    args: (state: State) => ({
      windows: [windowAt(state, one).window, windowAt(state, two).window].filter(Boolean),
      to: placeAt(state, at),
    }),
  })),
  fc.constantFrom('notes', 'dial').map((app) => ({ id: 'window.open', args: () => ({ app }) })),
  fc.constantFrom('notes', 'dial').map((app) => ({ id: 'app.launch', args: () => ({ app }) })),
  fc
    .tuple(
      fc.constantFrom('window.focus', 'window.minimise', 'window.maximise', 'window.close'),
      maybe,
    )
    .map(([id, at]) => ({ id, args: (state: State) => windowAt(state, at) })),
  fc.integer({ min: 1, max: 5 }).map((columns) => ({
    id: 'grid.columns',
    args: () => ({ columns }),
  })),
  fc.constantFrom('grid.addRow', 'grid.addColumn').map((id) => ({ id, args: () => ({}) })),
  fc
    .constantFrom('window.everywhere', 'app.everywhere')
    .chain((id) => maybe.map((at) => ({ id, args: (state: State) => windowAt(state, at) }))),
  fc
    .tuple(fc.constantFrom('notes', 'dial'), maybe, fc.constantFrom('Note', 'D*', ''), fc.boolean())
    .map(([app, at, title, follow]) => ({
      id: 'home.set',
      args: (state: State) => ({
        app,
        follow,
        desktop: desktopAt(state, at).desktop ?? nth(['every', 'here', 'named'], title.length),
        name: 'Made for it',
        ...(title && { title }),
        ...(follow && { place: { top: 0, left: 0, bottom: 2, right: 1 } }),
      }),
    })),
  fc.nat(9).map((at) => ({
    id: 'home.remove',
    args: ({ homes }: State) => ({ id: nth(homes, at)?.id ?? 'none' }),
  })),
  fc.tuple(fc.nat(9), fc.constantFrom(-1, 1)).map(([at, by]) => ({
    id: 'home.reorder',
    args: ({ homes }: State) => ({ id: nth(homes, at)?.id ?? 'none', by }),
  })),
  maybe.map((at) => ({ id: 'window.solo', args: (state: State) => windowAt(state, at) })),
  // Pairs are rare enough to be drawn more often, and so is what only they take.
  {
    weight: 4,
    arbitrary: fc.tuple(maybe, maybe).map(([at, other]) => ({
      id: 'window.pair',
      args: (state: State) => {
        const second = windowAt(state, other).window
        return { ...windowAt(state, at), ...(second && { with: second }) }
      },
    })),
  },
  {
    weight: 3,
    arbitrary: fc
      .constantFrom(-0.2, 0.1)
      .map((by) => ({ id: 'pair.divide', args: () => ({ by }) })),
  },
  {
    weight: 3,
    arbitrary: fc
      .constantFrom('pair.swap', 'windows.sweep', 'windows.isolate')
      .map((id) => ({ id, args: () => ({}) })),
  },
  fc.record({
    id: fc.constant('app.add'),
    args: fc.constant(() => ({ name: 'Forecast', address: 'example.org' })),
  }),
  fc.record({
    id: fc.constant('app.remove'),
    args: fc.constant(({ apps }: State) => ({ app: Object.keys(apps)[0] ?? 'none' })),
  }),
  fc.record({ id: fc.constant('home.putRight'), args: fc.constant(() => ({})) }),
  maybe.map((at) => ({ id: 'window.goHome', args: (state: State) => windowAt(state, at) })),
  fc.boolean().map((back) => ({ id: 'app.cycle', args: () => ({ back }) })),
  fc.record({ id: fc.constant('window.reopen'), args: fc.constant(() => ({})) }),
  fc.tuple(maybe, coordinate, coordinate).map(([at, x, y]) => ({
    id: 'window.move',
    args: (state: State) => ({ ...windowAt(state, at), x, y }),
  })),
  fc.tuple(maybe, length, length).map(([at, width, height]) => ({
    id: 'window.resize',
    args: (state: State) => ({ ...windowAt(state, at), width, height }),
  })),
  fc.tuple(maybe, cell, cell, cell, cell).map(([at, top, left, bottom, right]) => ({
    id: 'window.place',
    args: (state: State) => ({ ...windowAt(state, at), top, left, bottom, right }),
  })),
  fc.tuple(maybe, fc.constantFrom('teal', 'rust')).map(([at, hue]) => ({
    id: 'desktop.look',
    args: (state: State) => ({ ...desktopAt(state, at), hue }),
  })),
  fc.integer({ min: 1, max: 9 }).map((slot) => ({
    id: 'app.slot',
    args: () => ({ app: 'notes', slot }),
  })),
  fc
    .tuple(fc.integer({ min: 320, max: 4000 }), fc.integer({ min: 200, max: 2200 }))
    .map(([width, height]) => ({
      id: 'display.resize',
      args: () => ({ display: 'near', width, height }),
    })),
  fc.record({ id: fc.constant('session.reopen'), args: fc.constant(() => ({ state: earlier })) }),
  fc.nat(3).map((at) => ({
    id: 'session.windows',
    args: () => ({ windows: Object.keys(earlier.windows).slice(at % 2), from: earlier }),
  })),
  fc.record({ id: fc.constant('shelf.merge'), args: fc.constant(() => ({ state: other.state })) }),
  fc.boolean().map((wrap) => ({ id: 'settings.set', args: () => ({ wrap }) })),
  fc.constantFrom('history.undo', 'history.redo').map((id) => ({ id, args: () => ({}) })),
)

const sequences = fc.array(said, { minLength: 1, maxLength: 200, size: 'max' })

test('all rules hold after every command of any sequence', () => {
  const accepted = new Set<string>()
  fc.assert(
    fc.property(sequences, (commands) => {
      const world = new World()
      for (const { id, args } of commands) {
        const before = world.state
        const outcome = world.try(id, args(world.state))
        if (outcome.ok) accepted.add(id)
        else if (world.state !== before) throw new Error(`${id} was refused and changed the state`)
        const broken = check(world.state)
        if (broken.length) throw new Error(`after ${id}: ${broken.join(' ')}`)
      }
    }),
    { numRuns: 300 },
  )
  // Each kind of command was really accepted somewhere, or the property would show nothing.
  expect([...accepted].sort()).toEqual(
    [...new Set(fc.sample(said, { numRuns: 2000, seed: 1 }).map(({ id }) => id))].sort(),
  )
})

test('undoing everything gives back each state, and redoing each state after it', () => {
  fc.assert(
    fc.property(sequences, (commands) => {
      const world = new World()
      const steps: { before: State; after: State }[] = []
      for (const { id, args } of commands) {
        if (id.startsWith('history') || id === 'display.resize') continue
        const before = world.state
        const outcome = world.try(id, args(before))
        if (outcome.ok && outcome.step) steps.push({ before, after: world.state })
      }
      const kept = steps.slice(-200)
      const settings = { settings: world.state.settings, documents: world.state.documents }
      const seen: State[] = []
      for (const { before } of kept.toReversed()) {
        seen.push(world.state)
        world.run('history.undo')
        expect(world.state).toEqual({ ...before, ...settings })
      }
      for (const state of seen.toReversed()) {
        world.run('history.redo')
        expect(world.state).toEqual(state)
      }
    }),
    { numRuns: 100 },
  )
})

test('the same commands with the same times and ids give the same state', () => {
  fc.assert(
    fc.property(sequences, (commands) => {
      const [one, two] = [new World(), new World()]
      for (const { id, args } of commands) one.try(id, args(one.state))
      for (const { id, args } of commands) two.try(id, args(two.state))
      expect(two.state).toEqual(one.state)
      expect(JSON.parse(JSON.stringify(one.state))).toEqual(one.state)
    }),
    { numRuns: 100 },
  )
})

test('the random sequences draw on every command that changes the arrangement', () => {
  const drawn = new Set(fc.sample(said, { numRuns: 2000, seed: 1 }).map(({ id }) => id))
  const steps = [...registry.values()].filter(({ step }) => step).map(({ id }) => id)
  expect(steps.filter((id) => !drawn.has(id))).toEqual([])
})
