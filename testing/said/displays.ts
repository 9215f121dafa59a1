import fc from 'fast-check'
import type { State } from '@/core/model/state'
import {
  coordinate,
  direction,
  display,
  displayAt,
  maybe,
  nth,
  type Some,
  windowAt,
} from './choosing'

/** Displays, and windows between them. */
export const displays: Some = [
  fc
    .tuple(fc.integer({ min: 320, max: 4000 }), fc.integer({ min: 200, max: 2200 }))
    .map(([width, height]) => ({
      id: 'display.resize',
      args: () => ({ display: 'near', width, height }),
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
          'display.mirror',
          'display.fit',
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
]
