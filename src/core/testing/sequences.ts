import fc from 'fast-check'
import { registry } from '@/core/commands/registry'
import { alone } from '@/core/formats/desktopFile'
import { LOOK_PARTS } from '@/core/look/look'
import type { State } from '@/core/model/types'
import { World } from './world'

/** What sequences are made of; the last is refused now and then. */
const DEEDS = [
  { command: 'windows.sweep', args: {} },
  { command: 'desktop.go', args: { to: 'next' } },
  { command: 'window.minimise', args: {} },
  { command: 'desktop.create', args: { stay: true } },
]

/** A command that may name desktops and windows by their number; most are accepted. */
export type Said = { id: string; args: (state: State) => object }

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
const length = fc.oneof(fc.integer({ min: 1, max: 4000 }), fc.constant(1e300))
/** Numbers as a program may give them. */
const extent = fc.constantFrom(-1e308, -1, 0, 0.5, 300, 1e9, 1e308, Number.POSITIVE_INFINITY)
const cell = fc.nat(2)
const display = fc.option(fc.nat(9), { nil: undefined })
const displayAt = (state: State, at: number | undefined) => {
  const id = at === undefined ? undefined : nth(state.displayOrder, at)
  return id ? { display: id } : {}
}
const direction = fc.constantFrom('left', 'right', 'up', 'down')

/** Another shelf to bring in, with a desktop and a window of its own. */
const other = new World()
other.env.id = (kind) => `other-${kind}`
other.desktops('Brought')
other.open('dial')

/** A desktop from a file. */
const away = new World()
away.env.id = (kind) => `away-${kind}`
const [course = ''] = away.desktops('Course')
away.run('desktop.go', { to: course })
away.open()
const put = alone(away.state, course) ?? away.state

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

/** Every command that changes the shelf, with what a person or a program may give it. */
export const said: fc.Arbitrary<Said> = fc.oneof(
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
  fc
    .tuple(
      fc.constantFrom('notes', 'dial'),
      fc.constantFrom(undefined, '', ' ', '.csv', 'x'.repeat(400)),
    )
    .map(([app, title]) => ({
      id: 'window.open',
      args: () => ({ app, ...(title !== undefined && { title }) }),
    })),
  fc.tuple(maybe, extent, extent).map(([at, x, width]) => ({
    id: 'window.open',
    args: (state: State) => ({
      app: 'notes',
      frame: { x, y: x, width, height: width },
      ...(at !== undefined && { document: nth(Object.keys(state.documents), at) }),
    }),
  })),
  fc.constantFrom('notes', 'dial').map((app) => ({ id: 'app.launch', args: () => ({ app }) })),
  {
    weight: 4,
    arbitrary: fc
      .tuple(
        fc.constantFrom('window.focus', 'window.minimise', 'window.maximise', 'window.close'),
        maybe,
      )
      .map(([id, at]) => ({ id, args: (state: State) => windowAt(state, at) })),
  },
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
        name: `Made for it ${(at ?? 0) % 7}`,
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
  fc
    .tuple(maybe, fc.constantFrom('', 'anchor'), fc.integer({ min: 10, max: 260 }))
    .map(([at, emblem, size]) => ({
      id: 'desktop.look',
      args: (state: State) => ({
        ...desktopAt(state, at),
        emblem,
        signed: { size },
        picture: { document: 'picture', fit: 'fill', x: 50, y: 50, strength: 80 },
        backdrop: 'picture',
      }),
    })),
  maybe.map((at) => ({
    id: 'desktop.resetLook',
    args: (state: State) => desktopAt(state, at),
  })),
  fc.tuple(maybe, fc.nat(9), fc.subarray([...LOOK_PARTS])).map(([at, count, parts]) => ({
    id: 'desktop.copyLook',
    args: (state: State) => ({ ...desktopAt(state, at), to: state.order.slice(0, count), parts }),
  })),
  fc.constantFrom('loft.open', 'window.minimise').map((command) => ({
    id: 'keys.bind',
    args: () => ({ keys: 'Alt+K', command }),
  })),
  fc.constantFrom('Alt+K', 'Alt+/').map((keys) => ({ id: 'keys.unbind', args: () => ({ keys }) })),
  fc.constantFrom('R', 'Space').map((keys) => ({
    id: 'keys.bind',
    args: () => ({ keys, place: 'loft', command: 'desktop.askName' }),
  })),
  fc
    .constantFrom('Space', 'Delete')
    .map((keys) => ({ id: 'keys.unbind', args: () => ({ keys, place: 'loft' }) })),
  fc.tuple(maybe, fc.constantFrom('B', 'J', 'YA', 'П'), fc.boolean()).map(([at, letter, swap]) => ({
    id: 'desktop.letter',
    args: (state: State) => ({ ...desktopAt(state, at), letter, swap }),
  })),
  fc
    .tuple(fc.constantFrom('Evening', 'Morning'), fc.nat(3), fc.boolean())
    .map(([name, at, again]) => ({
      id: 'sequence.keep',
      args: (state: State) => ({
        name,
        deeds: DEEDS.slice(at),
        ...(again && state.sequences[0] && { sequence: state.sequences[0].id }),
      }),
    })),
  fc.constantFrom('sequence.run', 'sequence.run', 'sequence.remove').map((id) => ({
    id,
    args: (state: State) => ({ sequence: state.sequences[0]?.id ?? 'Evening' }),
  })),
  {
    weight: 2,
    arbitrary: fc
      .tuple(maybe, fc.constantFrom(null, 'info', 'mention', 'alarm'), fc.constantFrom('a', 'b'))
      .map(([at, level, says]) => ({
        id: 'attention.report',
        args: ({ documents }: State) => ({
          document: nth(Object.keys(documents), at ?? 0) ?? 'none',
          level,
          says,
        }),
      })),
  },
  {
    weight: 2,
    arbitrary: fc
      .constantFrom('attention.next', 'attention.back', 'attention.seen', 'attention.letGo')
      .map((id) => ({ id, args: () => ({}) })),
  },
  fc.constantFrom(2_000, 1_000_000).map((until) => ({
    id: 'attention.putOff',
    args: () => ({ until }),
  })),
  fc
    .tuple(maybe, fc.constantFrom(undefined, 1_000_000), fc.boolean())
    .map(([at, until, named]) => ({
      id: 'desktop.quiet',
      args: (state: State) => ({
        ...desktopAt(state, at),
        ...(until && { until }),
        ...(named && { lets: ['notes'] }),
      }),
    })),
  maybe.map((at) => ({ id: 'desktop.stow', args: (state: State) => desktopAt(state, at) })),
  fc.nat(3).map((at) => ({
    id: 'desktop.bring',
    args: ({ stowed }: State) => ({ desktop: nth(stowed, at)?.id ?? 'none' }),
  })),
  fc.constant({
    id: 'desktop.import',
    args: () => ({ state: put, desktop: put.stowed[0]?.id ?? '' }),
  }),
  maybe.map((at) => ({
    id: 'pattern.keep',
    args: (state: State) => ({ ...desktopAt(state, at), name: 'Incident' }),
  })),
  fc.constantFrom('Slide', ' ').map((name) => ({
    id: 'pattern.make',
    args: () => ({ pattern: 'Incident', name }),
  })),
  fc.constant({ id: 'pattern.remove', args: () => ({ pattern: 'Incident' }) }),
  fc.tuple(maybe, fc.constantFrom('window.tether', 'tether.go')).map(([at, id]) => ({
    id,
    args: (state: State) => windowAt(state, at),
  })),
  fc.constantFrom('9:30-11 next', '23:00-1:00 Delta', '8 Field').map((text) => ({
    id: 'plan.add',
    args: () => ({ text, day: 1_000 }),
  })),
  fc.nat(200).map((from) => ({
    id: 'plan.put',
    args: ({ order }: State) => ({
      blocks: order.slice(0, 2).map((desktop) => ({ desktop, start: from, end: from + 3_600_000 })),
    }),
  })),
  fc.constantFrom('plan.move', 'plan.remove', 'plan.skip', 'plan.goes').map((id) => ({
    id,
    args: ({ plan }: State) => ({
      block: plan[0]?.id ?? 'none',
      ...(id === 'plan.move' && { start: 5, end: 7_200_000 }),
    }),
  })),
  fc
    .tuple(
      fc.constantFrom('app.neverCarried', 'app.alwaysSent', 'app.opensEverywhere', 'app.keepsSize'),
      fc.constantFrom('notes', 'dial'),
    )
    .map(([id, app]) => ({ id, args: () => ({ app }) })),
  fc.constant({ id: 'plan.late', args: () => ({}) }),
  fc.constantFrom('Briefing', ' ').map((name) => ({ id: 'run.make', args: () => ({ name }) })),
  fc.tuple(maybe, maybe).map(([at, desktop]) => ({
    id: 'run.add',
    args: (state: State) => ({ ...windowAt(state, at), ...desktopAt(state, desktop) }),
  })),
  {
    weight: 3,
    arbitrary: fc
      .constantFrom(
        'run.start',
        'run.next',
        'run.next',
        'run.back',
        'run.end',
        'run.ends',
        'run.remove',
      )
      .map((id) => ({ id, args: () => ({}) })),
  },
  fc.constantFrom('run.note', 'run.move', 'run.drop').map((id) => ({
    id,
    args: ({ runs }: State) => ({
      stop: runs.at(-1)?.stops[0]?.id ?? 'none',
      ...(id === 'run.note' && { notes: 'Say it' }),
      ...(id === 'run.move' && { by: 1 }),
    }),
  })),
  fc.constant({ id: 'letters.deal', args: () => ({}) }),
  fc
    .constantFrom('control', 'leader')
    .map((to) => ({ id: 'keys.leaveTyping', args: () => ({ to }) })),
  fc
    .constantFrom('apps.fold', 'settings.reset', 'keys.reset')
    .map((id) => ({ id, args: () => ({}) })),
  fc.constantFrom('loft.open', null).map((command) => ({
    id: 'pointer.set',
    args: () => ({ way: 'left edge', command }),
  })),
  fc.constant({
    id: 'settings.bring',
    args: (state: State) => ({
      wanted: {
        settings: { ...state.settings, gap: 20 },
        homes: state.homes.map((home) => ({ ...home, desktop: 'elsewhere', name: 'Field' })),
        bindings: [],
      },
    }),
  }),
  fc.constant({
    id: 'start.contexts',
    args: () => ({ names: ['Mail', 'Music', 'Budget'], homes: [{ app: 'notes', name: 'Music' }] }),
  }),
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
  fc.tuple(fc.nat(32), fc.constantFrom('focus', 'swap', 'here')).map(([gap, elsewhere]) => ({
    id: 'settings.set',
    args: () => ({ gap, elsewhere }),
  })),
  fc
    .tuple(fc.constantFrom(undefined, 'Side', ' '), fc.constantFrom(undefined, 400, 1080, 1440))
    .map(([name, width]) => ({
      id: 'display.add',
      args: () => ({ ...(name && { name }), ...(width && { width, height: 2160 - width }) }),
    })),
  fc
    .tuple(display, fc.constantFrom(0.5, 1, 1.5, 3), fc.constantFrom(undefined, 640, 2000))
    .map(([at, scale, width]) => ({
      id: 'display.set',
      args: (state: State) => ({ ...displayAt(state, at), scale, ...(width && { width }) }),
    })),
  {
    weight: 3,
    arbitrary: fc
      .tuple(
        fc.constantFrom(
          'display.unplug',
          'display.plug',
          'display.plug',
          'display.remove',
          'display.main',
        ),
        display,
      )
      .map(([id, at]) => ({ id, args: (state: State) => displayAt(state, at) })),
  },
  fc.tuple(display, coordinate, coordinate).map(([at, x, y]) => ({
    id: 'display.move',
    args: (state: State) => {
      const beside = nth(state.displayOrder, Math.abs(x))
      const { x: left = 0, width = 0 } = state.displays[beside ?? ''] ?? {}
      return { ...displayAt(state, at), x: y % 2 ? x : left + width, y: y % 2 ? y : y % 300 }
    },
  })),
  fc.tuple(display, direction).map(([at, to]) => ({
    id: 'display.nudge',
    args: (state: State) => ({ ...displayAt(state, at), to }),
  })),
  fc.constantFrom('displays.together', 'displays.apart').map((id) => ({ id, args: () => ({}) })),
  fc.oneof(direction, fc.constant('next')).map((to) => ({
    id: 'display.focus',
    args: () => ({ to }),
  })),
  {
    weight: 3,
    arbitrary: fc.tuple(maybe, fc.oneof(direction, fc.constant('next'))).map(([at, to]) => ({
      id: 'window.toDisplay',
      args: (state: State) => ({ ...windowAt(state, at), to }),
    })),
  },
  direction.map((to) => ({ id: 'window.focusToward', args: () => ({ to }) })),
  {
    weight: 6,
    arbitrary: fc
      .tuple(
        fc.constantFrom(
          ...['nextDisplay', 'centre', 'grow', 'shrink', 'restore'].map((id) => `window.${id}`),
          ...[...registry.keys()].filter((id) => id.startsWith('place.')),
        ),
        maybe,
      )
      .map(([id, at]) => ({ id, args: (state: State) => windowAt(state, at) })),
  },
  fc
    .tuple(
      maybe,
      fc.constantFrom('left', 'right', 'top', 'bottom'),
      fc.integer({ min: -300, max: 300 }),
    )
    .map(([at, edge, by]) => ({
      id: 'window.edge',
      args: (state: State) => ({ ...windowAt(state, at), edge, by }),
    })),
  {
    weight: 4,
    arbitrary: direction.map((to) => ({ id: 'window.edge', args: () => ({ to }) })),
  },
  fc.tuple(maybe, direction).map(([at, to]) => ({
    id: 'window.side',
    args: (state: State) => ({ ...windowAt(state, at), to }),
  })),
  {
    weight: 2,
    arbitrary: fc
      .constantFrom(...[...registry.keys()].filter((id) => id.startsWith('arrange.')))
      .map((id) => ({ id, args: () => ({}) })),
  },
  fc.constant({ id: 'shelf.inspector', args: () => ({}) }),
  fc.constantFrom('documents.discard', 'documents.putAway').chain((id) =>
    fc.nat(60).map((at) => ({
      id,
      args: ({ documents }: State) => ({ documents: [nth(Object.keys(documents), at) ?? 'none'] }),
    })),
  ),
  fc.nat(60).map((at) => ({
    id: 'documents.bring',
    args: () => ({
      documents: [{ id: `kept-${at}`, app: 'notes', title: 'Kept', unsaved: false, openedAt: at }],
    }),
  })),
  fc.tuple(fc.nat(60), fc.constantFrom('', ' ', '.md', 'Renamed')).map(([at, title]) => ({
    id: 'document.set',
    args: ({ documents }: State) => ({
      document: nth(Object.keys(documents), at) ?? 'none',
      title,
      unsaved: at % 2 === 0,
    }),
  })),
  {
    weight: 2,
    arbitrary: fc
      .constantFrom('history.undo', 'history.undo', 'history.redo')
      .map((id) => ({ id, args: () => ({}) })),
  },
)
