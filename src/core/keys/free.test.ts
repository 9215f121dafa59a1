import { World } from '@testing/world'
import type { State } from '@/core/model/state'
import { clashes } from './clashes'
import { effort } from './effort'
import { lightestFree, strokesOf } from './free'

const bound = (state: State, keys: string, command: string): State => ({
  ...state,
  bindings: [...state.bindings, { keys, command, args: {} }],
})

test('free strokes are offered from the lightest on, until none is left', () => {
  let { state } = new World()
  const found: string[] = []
  for (;;) {
    const keys = lightestFree(state, 'windows.tidy', 'linux')
    if (keys === null) break
    const asked = { keys, command: 'windows.tidy', platform: 'linux' as const, named: () => '' }
    expect(clashes(state, asked)).toEqual([])
    found.push(keys)
    state = bound(state, keys, `another ${keys}`)
  }
  expect(found[0]).toBe('Alt+-')
  expect(found.length).toBeGreaterThan(2)
  expect(found.map(effort)).toEqual(found.map(effort).toSorted((a, b) => a - b))
})

test('a command takes as many strokes as its shortest keys; what is said with more is not meant', () => {
  const { state } = new World()
  expect(strokesOf(state, 'window.close')).toBe(1)
  expect(strokesOf(state, 'rack.walk')).toBe(2)
  expect(strokesOf(bound(state, 'Alt+-', 'rack.walk'), 'rack.walk')).toBe(1)
  expect(strokesOf(state, 'documents.clearUp')).toBeNull()
  // Each with a letter of its own.
  expect(strokesOf(state, 'desktop.stow')).not.toBe(1)
})
