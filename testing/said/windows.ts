import fc from 'fast-check'
import { registry } from '@/core/commands/registry'
import type { State } from '@/core/model/state'
import {
  cell,
  coordinate,
  direction,
  extent,
  length,
  maybe,
  nth,
  placeAt,
  type Some,
  windowAt,
} from './choosing'

/** Windows: opened, moved, placed, sent. */
export const windows: Some = [
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
      fc.constantFrom('notes', 'dial', 'notes', 'web'),
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
  fc.array(fc.constantFrom('notes', 'dial'), { minLength: 1, maxLength: 4 }).map((apps) => ({
    id: 'window.openAll',
    args: () => ({ windows: apps.map((app, at) => ({ app, title: `${app} ${at}` })) }),
  })),
  fc.constantFrom('notes', 'dial').map((app) => ({ id: 'app.launch', args: () => ({ app }) })),
  fc.constant({ id: 'window.bringBack', args: () => ({}) }),
  fc.tuple(fc.constantFrom('notes', 'dial'), fc.nat(9)).map(([app, nth]) => ({
    id: 'app.openOn',
    args: ({ order }: State) => ({ app, on: order[nth % order.length] }),
  })),
  {
    weight: 4,
    arbitrary: fc
      .tuple(
        fc.constantFrom('window.focus', 'window.minimise', 'window.maximise', 'window.close'),
        maybe,
      )
      .map(([id, at]) => ({ id, args: (state: State) => windowAt(state, at) })),
  },
  fc
    .constantFrom('window.everywhere', 'app.everywhere')
    .chain((id) => maybe.map((at) => ({ id, args: (state: State) => windowAt(state, at) }))),
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
]
