import fc from 'fast-check'
import { LOOK_PARTS } from '@/core/look/look'
import type { State } from '@/core/model/state'
import { desktopAt, maybe, nth, placeAt, type Some } from './choosing'

/** Desktops, their looks and letters, and the grid. */
export const desktops: Some = [
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
  fc.constantFrom('home reader first', 'order').map((suggestion) => ({
    id: 'log.decline',
    args: () => ({ suggestion }),
  })),
  // Turned, or with one that is not there.
  fc.tuple(fc.nat(5), fc.boolean()).map(([by, wrong]) => ({
    id: 'desktops.order',
    args: ({ order }: State) => {
      const at = by % order.length
      const turned = [...order.slice(at), ...order.slice(0, at)]
      return { order: wrong ? turned.with(0, 'gone') : turned }
    },
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
  fc.tuple(fc.nat(60), fc.boolean()).map(([at, clear]) => ({
    id: 'desktop.fold',
    args: (state: State) => {
      const kept = nth(state.order, at)
      const desktops = state.order.filter((id) => id !== kept).slice(0, 3)
      return { desktops, into: kept, clear }
    },
  })),
  maybe.map((at) => ({
    id: 'desktop.previewFold',
    args: (state: State) => desktopAt(state, at),
  })),
  fc.nat(60).map((at) => ({
    id: 'desktop.go',
    args: (state: State) => ({ to: placeAt(state, at) }),
  })),
  fc.integer({ min: 1, max: 5 }).map((columns) => ({
    id: 'grid.columns',
    args: () => ({ columns }),
  })),
  fc.constantFrom('grid.addRow', 'grid.addColumn').map((id) => ({ id, args: () => ({}) })),
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
  fc.tuple(maybe, fc.constantFrom('B', 'J', 'YA', 'П'), fc.boolean()).map(([at, letter, swap]) => ({
    id: 'desktop.letter',
    args: (state: State) => ({ ...desktopAt(state, at), letter, swap }),
  })),
  fc.constant({ id: 'letters.deal', args: () => ({}) }),
]
