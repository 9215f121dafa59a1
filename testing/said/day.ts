import fc from 'fast-check'
import type { State } from '@/core/model/state'
import { desktopAt, maybe, nth, type Some, windowAt } from './choosing'

/** What asks, tethers, the plan and runs. */
export const day: Some = [
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
  maybe.chain((at) =>
    fc
      .constantFrom('desktop.furl', 'desktop.notes')
      .map((id) => ({ id, args: (state: State) => desktopAt(state, at) })),
  ),
  fc.tuple(maybe, fc.constantFrom('window.tether', 'tether.go', 'window.furl')).map(([at, id]) => ({
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
  {
    weight: 3,
    arbitrary: fc.constantFrom('plan.move', 'plan.remove', 'plan.skip', 'plan.goes').map((id) => ({
      id,
      args: ({ plan }: State) => ({
        block: plan[0]?.id ?? 'none',
        ...(id === 'plan.move' && { start: 5, end: 7_200_000 }),
      }),
    })),
  },
  fc.constant({ id: 'plan.late', args: () => ({}) }),
  {
    weight: 2,
    arbitrary: fc
      .constantFrom('Briefing', 'All', ' ')
      .map((name) => ({ id: 'run.make', args: () => ({ name }) })),
  },
  fc.tuple(maybe, maybe).map(([at, desktop]) => ({
    id: 'run.add',
    args: (state: State) => ({ ...windowAt(state, at), ...desktopAt(state, desktop) }),
  })),
  // What only goes on with a run is drawn often enough to be accepted.
  {
    weight: 10,
    arbitrary: fc
      .constantFrom(
        'run.start',
        'run.start',
        'run.next',
        'run.next',
        'run.back',
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
]
