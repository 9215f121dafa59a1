import { World } from '@testing/world'
import { keyCard } from '@/core/card/card'
import { registry } from '@/core/commands/registry'
import { bindings, hear, keysFor } from './bindings'

test('verb and place make a command', () => {
  const world = new World()
  world.desktops('Bulletin')
  const { state } = world
  expect(hear(state, '', 'Alt+B')).toMatchObject({
    kind: 'command',
    bound: { command: 'desktop.go', args: { to: 'B' } },
  })
  expect(hear(state, '', 'Alt+Shift+B')).toMatchObject({ bound: { command: 'window.carry' } })
  expect(hear(state, '', 'Alt+]')).toEqual({ kind: 'prefix', keys: 'Alt+]' })
  const sent = { kind: 'command', bound: { command: 'window.send', args: { to: 'B' } } }
  expect(hear(state, 'Alt+]', 'B')).toMatchObject(sent)
  expect(hear(state, 'Alt+]', 'Alt+B')).toMatchObject(sent)
  expect(hear(state, 'Alt+]', 'K')).toEqual({ kind: 'unknown', keys: 'Alt+] K' })
  expect(hear(state, '', 'Alt+N')).toMatchObject({ bound: { command: 'desktop.create' } })
  expect(hear(state, '', 'Alt+Shift+N')).toMatchObject({
    bound: { command: 'window.carry', args: { to: 'new' } },
  })
})

test('letters no desktop has go where they would have gone', () => {
  expect(hear(new World().state, '', 'Alt+K')).toEqual({ kind: 'nothing' })
  expect(hear(new World().state, '', 'K')).toEqual({ kind: 'nothing' })
})

test('a binding of the person wins, and a built-in one can be switched off', () => {
  const { state } = new World()
  const own = {
    ...state,
    bindings: [
      { keys: 'Alt+K', command: 'desktop.create' },
      { keys: "Alt+'", command: null },
    ],
  }
  expect(hear(own, '', 'Alt+K')).toMatchObject({ bound: { command: 'desktop.create' } })
  expect(hear(own, '', "Alt+'")).toEqual({ kind: 'nothing' })
  expect(keysFor(own, 'window.minimise')).toBeUndefined()
})

test('every binding names a command with arguments it takes', () => {
  for (const { keys, command, args = {} } of bindings(new World().state).values()) {
    const found = registry.get(command)
    if (!found) throw new Error(`${keys} is bound to ${command}, which does not exist`)
    expect(() => found.args.validateSync(args, { strict: true })).not.toThrow()
  }
})

test('keys are told for what was done by pointer', () => {
  const world = new World()
  const [bulletin] = world.desktops('Bulletin')
  const window = world.open()
  const { state } = world
  expect(keysFor(state, 'desktop.go', { to: bulletin })).toBe('Alt+B')
  expect(keysFor(state, 'window.send', { window, to: bulletin })).toBe('Alt+] B')
  expect(keysFor(state, 'window.send', { window: 'another', to: bulletin })).toBeUndefined()
  expect(keysFor(state, 'desktop.askName', { desktop: 'first' })).toBe('Alt+J R')
  expect(keysFor(state, 'desktop.askName', { desktop: bulletin })).toBeUndefined()
})

test('the key card lists every place and every binding but the spoken ones', () => {
  const { state } = new World()
  const world = new World({ ...state, slots: ['document', ...Array(8).fill(null)] })
  world.desktops('Bulletin')
  const card = keyCard(world.state, (id) => id.toUpperCase())
  expect(card.places).toContainEqual({ keys: 'B', does: 'Bulletin' })
  const rows = card.groups.flatMap((group) => group.rows)
  expect(rows).toContainEqual({ keys: 'Alt+Z', does: 'Undo the last change' })
  expect(rows).toContainEqual({ keys: 'Alt+1', does: 'DOCUMENT: latest window, again: next' })
  expect(rows).toContainEqual({
    keys: 'Alt+Shift+1',
    does: 'Shift and a number: another window of that app',
  })
  expect(rows.some(({ keys }) => keys === 'Alt+9')).toBe(false)
})
