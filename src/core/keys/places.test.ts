import { World } from '@testing/world'
import { bindable } from '@/core/card/bindable'
import { registry } from '@/core/commands/registry'
import { KEY_PLACES } from '@/core/model/kinds/binding'
import { KEYMAPS } from './keymaps'
import { bindingsIn, hearIn, keysIn } from './places'
import { readKeys } from './strokes'

test('every act of a keymap can be pressed, and names itself or a command with arguments it takes', () => {
  for (const place of KEY_PLACES)
    for (const { keys, command, args = {} } of KEYMAPS[place]) {
      expect(readKeys(keys)).not.toBeNull()
      if (command.startsWith(`${place}:`)) continue
      const found = registry.get(command)
      if (!found)
        throw new Error(`${keys} in ${place} is bound to ${command}, which does not exist`)
      expect(() => found.args.validateSync(args, { strict: true })).not.toThrow()
    }
})

test('in each place every key the card tells is heard there, and does what is told', () => {
  const { state } = new World()
  for (const place of KEY_PLACES)
    for (const { keys, command, args } of KEYMAPS[place]) {
      const heard = keys.split(' ').reduce(
        (before, stroke) => {
          const now = hearIn(state, place, before.keys, [stroke])
          return now.kind === 'prefix' ? { ...now, said: '' } : { keys: '', said: saidBy(now) }
        },
        { keys: '', said: '' },
      )
      expect(`${place} ${keys}: ${heard.said}`).toBe(
        `${place} ${keys}: ${command} ${JSON.stringify(args ?? {})}`,
      )
    }
})

const saidBy = (heard: ReturnType<typeof hearIn>): string =>
  heard.kind === 'command'
    ? `${heard.bound.command} ${JSON.stringify(heard.bound.args ?? {})}`
    : heard.kind

test('no keys mean two things in one place', () => {
  for (const place of KEY_PLACES) {
    const keys = KEYMAPS[place].map((act) => act.keys)
    expect(new Set(keys).size).toBe(keys.length)
  }
})

test('in the loft letters send and walk, those of two strokes too', () => {
  const world = new World()
  world.desktops('Bulletin')
  const [, bulletin] = world.state.order
  const heard = (before: string, ...strokes: string[]) =>
    hearIn(world.state, 'loft', before, strokes)
  expect(heard('', 'B')).toMatchObject({ bound: { command: 'loft:send', args: { to: 'B' } } })
  expect(heard('', 'Shift+B')).toMatchObject({ bound: { command: 'loft:row' } })
  world.run('desktop.letter', { desktop: bulletin, letter: 'YB' })
  expect(heard('', 'B')).toEqual({ kind: 'nothing' })
  expect(heard('', 'Y')).toEqual({ kind: 'prefix', keys: 'Y' })
  expect(heard('Y', 'B')).toMatchObject({ bound: { command: 'loft:send', args: { to: 'YB' } } })
  expect(heard('Y', 'Q')).toEqual({ kind: 'unknown', keys: 'Y Q' })
  // As it is printed first, then by where it lies.
  expect(heard('', '/', 'Shift+7')).toMatchObject({ bound: { command: 'loft:filter' } })
  expect(heard('', 'ß', '-')).toMatchObject({ bound: { command: 'loft:smaller' } })
})

test('in each place every act and any command can be rebound, switched off, and found by its keys', () => {
  const world = new World()
  for (const place of KEY_PLACES) {
    const { keys, command, args } = KEYMAPS[place].find((act) => !/^[A-Z]$/.test(act.keys)) ?? {
      keys: '',
      command: '',
    }
    world.run('keys.bind', { keys: 'F8', place, command, args })
    expect(keysIn(world.state, place, command, args)).toBe('F8')
    world.run('keys.unbind', { keys, place })
    expect(bindingsIn(world.state, place).has(keys)).toBe(false)
    world.run('keys.bind', { keys: 'Ctrl+F8', place, command: 'windows.sweep' })
    expect(hearIn(world.state, place, '', ['Ctrl+F8'])).toMatchObject({
      bound: { command: 'windows.sweep' },
    })
    const rows = bindable(world.state, (id) => id).filter((row) => row.place === place)
    expect(rows.flatMap((row) => row.keys)).toContainEqual({ keys: 'Ctrl+F8', own: true })
    // Elsewhere nothing has changed.
    for (const other of KEY_PLACES.slice(KEY_PLACES.indexOf(place) + 1))
      expect(bindingsIn(world.state, other).has('F8')).toBe(false)
    world.run('keys.reset', { keys, place })
    expect(bindingsIn(world.state, place).has(keys)).toBe(true)
  }
})
