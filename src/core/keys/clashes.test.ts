import { World } from '@testing/world'
import { bindings, hear, keysFor } from './bindings'
import { clashes, proposal } from './clashes'
import type { Platform } from './kept'
import { asWritten } from './sets'
import { readKeys } from './strokes'

/** A shelf with the desktops Delta (D) and Garden (G), and keys of one's own. */
function world(): World {
  const made = new World()
  made.run('desktop.create', { name: 'Garden' })
  made.run('keys.bind', { keys: 'Ctrl+J', command: 'loft.open' })
  made.run('keys.bind', { keys: 'Alt+F7 A', command: 'line.open' })
  return made
}

const asked = (keys: string, platform: Platform = 'linux', command = 'windows.sweep') => ({
  keys,
  command,
  platform,
  named: (bound: { command: string }) => bound.command,
})

const kinds = (keys: string, platform?: Platform, command?: string): string =>
  clashes(world().state, asked(keys, platform, command))
    .map(({ kind }) => kind)
    .join(' ')

/** Keys, what speaks against them for “sweep”, and on which platform. */
const CASES: [keys: string, found: string, platform?: Platform, command?: string][] = [
  // Free, or what they do already.
  ['Ctrl+K', ''],
  ['Ctrl+Shift+K', ''],
  ['Ctrl+B', ''],
  ['Alt+F7 B', ''],
  ['Alt+F9', ''],
  ['F9', ''],
  ['Ctrl+;', ''],
  ['Alt+Shift+\\', 'taken'],
  ['Alt+0', ''],
  ['Alt+/', '', 'linux', 'loft.open'],
  ['Ctrl+J', '', 'linux', 'loft.open'],
  ['Alt+Shift+; 0', ''],
  ['Alt+] 7', ''],
  // Taken.
  ['Alt+/', 'taken'],
  ['Ctrl+J', 'taken'],
  ["Alt+'", 'taken'],
  ['Alt+Enter', 'taken'],
  ['Alt+Z', 'taken'],
  ['Alt+Shift+Z', 'taken'],
  ['Alt+X', 'taken'],
  ['Alt+5', 'taken'],
  ['Alt+Shift+5', 'taken'],
  ['Alt+Shift+; R', 'taken'],
  ['Alt+] .', 'taken'],
  ['Alt+D', 'taken'],
  ['Alt+G', 'taken'],
  ['Alt+Shift+G', 'taken'],
  ['Alt+] G', 'taken'],
  ['Alt+F7 A', 'taken'],
  ['Ctrl+S', 'taken'],
  ['Alt+.', 'taken'],
  // A sequence that is never heard, or that makes others unheard.
  ['Alt+/ A', 'hidden'],
  ['Ctrl+J A', 'hidden'],
  ['Ctrl+J A B', 'hidden'],
  ['Alt+G A', 'hidden letter'],
  ['Alt+Z 1', 'hidden'],
  ['Alt+]', 'hides'],
  ['Alt+[', 'hides'],
  ['Alt+Shift+;', 'hides'],
  ['Alt+F7', 'hides'],
  // Typed.
  ['B', 'typed'],
  ['7', 'typed'],
  ['Shift+B', 'typed'],
  ['Enter', 'typed'],
  ['Left', 'typed'],
  ['; A', 'typed'],
  ['Ctrl+Alt+Q', 'types'],
  ['Ctrl+Alt+E', 'types'],
  ['Ctrl+Alt+Left', 'kept'],
  ['Ctrl+Alt+Left', '', 'mac'],
  // The letters of desktops.
  ['Alt+K', 'letter'],
  ['Alt+Shift+K', 'letter'],
  ['Alt+M', 'letter'],
  ['Alt+K A', 'letter'],
  // Kept by browser or system.
  ['Ctrl+W', 'kept'],
  ['Ctrl+T', 'kept'],
  ['Ctrl+N', 'kept'],
  ['Ctrl+Tab', 'kept'],
  ['Ctrl+W A', 'kept'],
  ['Alt+Tab', 'kept'],
  ['Alt+Tab', '', 'mac'],
  ['Alt+F4', 'kept', 'windows'],
  ['Alt+F4', '', 'mac'],
  ['Ctrl+Q', 'kept', 'mac'],
  ['Ctrl+Q', '', 'windows'],
  ['Ctrl+H', 'kept', 'mac'],
  ['Ctrl+H', '', 'linux'],
  ['F11', 'kept', 'windows'],
  ['F11', '', 'mac'],
  ['Ctrl+Shift+Escape', 'kept', 'windows'],
  // The lighter first stroke, as long as no desktop has its letter.
  ['Alt+J R', 'taken letter'],
  ['Alt+J', 'hides letter'],
  ['Alt+J 0', 'letter'],
  // Buttons of the mouse.
  ['Alt+MouseMiddle', ''],
  ['Ctrl+Shift+MouseBack', ''],
  ['MouseMiddle', 'types'],
  ['MouseForward', 'types'],
  ['Alt+MouseMiddle A', 'malformed'],
  // Not keys at all.
  ['Alt+Shift', 'malformed'],
  ['Shift+Alt+B', 'malformed'],
  ['alt+b', 'malformed'],
  ['Alt+B  A', 'malformed'],
  ['Alt+ä', 'malformed'],
  ['Alt+] A B C', 'malformed'],
  ['Ctrl+K Alt+J', 'malformed'],
]

test.each(CASES)('%s: %s', (keys, found, platform = 'linux', command = 'windows.sweep') => {
  expect(kinds(keys, platform, command)).toBe(found)
})

test.each([
  ['Space', 'loft', 'taken'],
  ['T', 'loft', ''],
  ['G', 'loft', 'taken'],
  ['G', 'unstack', ''],
  ['Shift+G', 'loft', 'taken'],
  ['Escape', 'pad', 'taken'],
  ['Q', 'pad', 'taken'],
  ['V', 'pad', ''],
  ['Q A', 'pad', 'hidden'],
  ['Alt+/', 'loft', 'taken'],
  ['Alt+F9', 'loft', 'types'],
  ['F2', 'rack', ''],
  ['Ctrl+W', 'loft', 'kept'],
] as const)('%s %s: %s', (keys, place, found) => {
  const against = clashes(world().state, { ...asked(keys), place })
  expect(against.map(({ kind }) => kind).join(' ')).toBe(found)
})

test('enough cases, and every clash is said in a sentence', () => {
  expect(CASES.length).toBeGreaterThanOrEqual(60)
  for (const [keys, , platform] of CASES)
    for (const { why } of clashes(world().state, asked(keys, platform))) expect(why).toMatch(/\.$/)
})

test('free keys are proposed near by, with the same modifiers and hand', () => {
  const { state } = world()
  // Beside J under the same hand: Ctrl+H would do on Linux.
  expect(proposal(state, asked('Ctrl+J'))).toBe('Ctrl+H')
  expect(proposal(state, asked('Ctrl+J', 'mac'))).toBe('Ctrl+K')
  const found = proposal(state, asked('Alt+Shift+; R'))
  expect(readKeys(found ?? '')).toHaveLength(2)
  expect(clashes(state, asked(found ?? ''))).toEqual([])
  for (const keys of ['Alt+/', 'Alt+5', 'Ctrl+W', 'Alt+G']) {
    const free = proposal(state, asked(keys)) ?? ''
    expect(clashes(state, asked(free))).toEqual([])
    // Nor are those proposed that it has: Alt+0 is near by, and sweeps.
    expect(bindings(state).has(free)).toBe(false)
  }
})

test('keys are bound, switched off and set back, each a step; a first stroke of one’s own is awaited', () => {
  const made = world()
  expect(keysFor(made.state, 'loft.open')).toBe('Ctrl+J')
  expect(hear(made.state, '', 'Alt+F7')).toEqual({ kind: 'prefix', keys: 'Alt+F7' })
  expect(hear(made.state, 'Alt+F7', 'A')).toMatchObject({ bound: { command: 'line.open' } })
  made.run('keys.unbind', { keys: 'Alt+/' })
  expect(bindings(made.state).has('Alt+/')).toBe(false)
  made.run('keys.unbind', { keys: 'Ctrl+J' })
  expect(made.state.bindings.map(({ keys }) => keys)).toEqual(['Alt+F7 A', 'Alt+/'])
  expect(made.refusal('keys.unbind', { keys: 'Ctrl+J' })).toMatch(/not bound/)
  expect(made.refusal('keys.bind', { keys: 'nonsense', command: 'loft.open' })).toMatch(/pressed/)
  expect(made.refusal('keys.bind', { keys: 'W 4', command: 'loft.open' })).toMatch(/is typed/)
  made.run('keys.bind', { keys: 'W', place: 'loft', command: 'window.minimise' })
  made.run('history.undo')
  // Kept by an earlier version: not heard.
  const typed = { keys: 'W 4', command: 'loft.open', args: {} }
  const kept = { ...made.state, bindings: [...made.state.bindings, typed] }
  expect(hear(kept, '', 'W')).toEqual({ kind: 'nothing' })
  made.run('keys.reset', { keys: 'Alt+/' })
  expect(bindings(made.state).get('Alt+/')).toMatchObject({ command: 'loft.open' })
  made.run('keys.reset')
  expect(made.state.bindings).toEqual([])
  made.run('history.undo')
  expect(made.state.bindings.map(({ keys }) => keys)).toEqual(['Alt+F7 A'])
})

test('what is pressed is written as it will be heard, also after the leader', () => {
  const made = world()
  expect(asWritten(['Ctrl+K', 'Alt+J'], made.state)).toBe('Ctrl+K J')
  made.run('keys.bind', { keys: asWritten(['Ctrl+K', 'Alt+J'], made.state), command: 'loft.open' })
  expect(hear(made.state, 'Ctrl+K', 'Alt+J')).toMatchObject({ bound: { command: 'loft.open' } })
  made.run('settings.set', { keys: 'leader' })
  expect(asWritten(['Ctrl+.', 'K', 'J'], made.state)).toBe('Alt+K J')
  expect(asWritten(['Ctrl+.'], made.state)).toBe('Ctrl+.')
})
