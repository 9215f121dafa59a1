import fc from 'fast-check'
import type { State } from '@/core/model/state'
import type { Some } from './choosing'

/** What sequences are made of; the last is refused now and then. */
const DEEDS = [
  { command: 'windows.sweep', args: {} },
  { command: 'desktop.go', args: { to: 'next' } },
  { command: 'window.minimise', args: {} },
  { command: 'desktop.create', args: { stay: true } },
]

/** Settings, keys, sequences; undo. */
export const wishes: Some = [
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
  fc.constantFrom('Ctrl+H', undefined).map((keys) => ({
    id: 'keys.ofApp',
    args: () => ({ app: 'notes', key: 'Ctrl+F', ...(keys && { keys }) }),
  })),
  fc
    .constantFrom('control', 'leader')
    .map((to) => ({ id: 'keys.leaveTyping', args: () => ({ to }) })),
  fc
    .constantFrom('apps.fold', 'rack.furl', 'settings.reset', 'keys.reset')
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
  fc.boolean().map((wrap) => ({ id: 'settings.set', args: () => ({ wrap }) })),
  fc.tuple(fc.nat(32), fc.constantFrom('focus', 'swap', 'here')).map(([gap, elsewhere]) => ({
    id: 'settings.set',
    args: () => ({ gap, elsewhere }),
  })),
  fc.constant({ id: 'shelf.inspector', args: () => ({}) }),
  {
    weight: 5,
    arbitrary: fc
      .constantFrom('history.undo', 'history.redo')
      .map((id) => ({ id, args: () => ({}) })),
  },
]
