import fc from 'fast-check'
import type { State } from '@/core/model/state'
import { desktopAt, maybe, nth, type Some, windowAt } from './choosing'

/** Apps and where their windows open. */
export const homes: Some = [
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
  fc.tuple(fc.constantFrom('notes', 'dial'), fc.nat(20)).map(([app, at]) => ({
    id: 'home.setFor',
    args: (state: State) => ({ app, desktop: nth(state.order, at) ?? 'none' }),
  })),
  fc.nat(9).map((at) => ({
    id: 'home.remove',
    args: ({ homes }: State) => ({ id: nth(homes, at)?.id ?? 'none' }),
  })),
  fc.tuple(fc.nat(9), fc.constantFrom(-1, 1)).map(([at, by]) => ({
    id: 'home.reorder',
    args: ({ homes }: State) => ({ id: nth(homes, at)?.id ?? 'none', by }),
  })),
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
  fc
    .tuple(
      fc.constantFrom('app.neverCarried', 'app.alwaysSent', 'app.opensEverywhere', 'app.keepsSize'),
      fc.constantFrom('notes', 'dial'),
    )
    .map(([id, app]) => ({ id, args: () => ({ app }) })),
  fc.integer({ min: 1, max: 9 }).map((slot) => ({
    id: 'app.slot',
    args: () => ({ app: 'notes', slot }),
  })),
]
