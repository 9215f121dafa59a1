import { World } from '@testing/world'
import { registry } from '@/core/commands/registry'
import { everything } from '@/core/finding/find'
import { KEY_SETS, type KeySet } from '@/core/settings/keySets'
import { bindings, hear, isTaken, keysFor } from './bindings'
import { asPressed, asWritten, BEGINNINGS, LEADER, meant } from './sets'

const SETS = Object.keys(KEY_SETS) as KeySet[]

function world(set: KeySet): World {
  const made = new World()
  made.desktops('Bulletin', 'Rota')
  made.open()
  if (set !== 'auto') made.run('settings.set', { keys: set })
  return made
}

/** The strokes of keys as they are pressed in a set; tapping into the layer is not one of them. */
function strokesOf(world: World, keys: string): string[] {
  const pressed = asPressed(keys, world.state).split(' ')
  return world.state.settings.keys === 'layer' && keys.startsWith('Alt+')
    ? pressed.slice(2)
    : pressed
}

/** What strokes mean, one after the other, as the page hears them. */
function say(world: World, strokes: string[]): string | null {
  const { settings } = world.state
  const layer = settings.keys === 'layer'
  let pending = ''
  for (const stroke of strokes) {
    if (settings.keys === 'leader' && stroke === LEADER) {
      pending = LEADER
      continue
    }
    const said = meant(stroke, world.state, { pending, layer })
    if (said === null) return null
    const heard = hear(world.state, pending === LEADER ? '' : pending, said)
    if (heard.kind === 'command')
      return `${heard.bound.command} ${JSON.stringify(heard.bound.args ?? {})}`
    if (heard.kind !== 'prefix') return null
    pending = heard.keys
  }
  return null
}

test.each(SETS)('in the set “%s” every binding is heard as it is told', (set) => {
  const made = world(set)
  for (const { keys, command, args } of bindings(made.state).values())
    expect(`${keys}: ${say(made, strokesOf(made, keys))}`).toBe(
      `${keys}: ${command} ${JSON.stringify(args ?? {})}`,
    )
})

test('what a set of keys takes, no app gets', () => {
  const taken = (set: KeySet) => {
    const { state } = world(set)
    return ['Alt+B', 'Alt+8', 'Ctrl+Alt+B', 'Ctrl+Alt+C', 'Ctrl+B'].filter((one) =>
      isTaken(state, one),
    )
  }
  expect(taken('auto')).toEqual(['Alt+B', 'Alt+8'])
  expect(taken('control')).toEqual(['Ctrl+Alt+B', 'Ctrl+Alt+C'])
  expect(taken('leader')).toEqual([])
  const bound = world('control')
  bound.run('keys.bind', { keys: 'Ctrl+B', command: 'history.undo' })
  expect(isTaken(bound.state, 'Ctrl+B')).toBe(true)
})

/** Commands that need something said, by the one that asks for it or the place where it is chosen. */
const THROUGH: Record<string, string[]> = {
  'attention.list': ['attention.putOff'],
  'desktop.askName': ['desktop.rename'],
  'desktop.askLetter': ['desktop.letter'],
  'desktop.askLook': ['desktop.look'],
  'desktop.askCopyLook': ['desktop.copyLook'],
  'desktop.previewFold': ['desktop.fold'],
  // The menu key has it there.
  'rack.walk': ['desktop.rest'],
  'apps.walk': ['app.slot', 'app.remove', 'home.askOf'],
  'shelf.import': ['shelf.merge', 'desktop.import'],
  'folder.open': ['shelf.takeOver'],
  'loft.open': ['desktop.bring', 'window.sendAll'],
  'patterns.open': ['pattern.make', 'pattern.remove'],
  'log.open': ['desktops.order', 'log.decline'],
  'past.open': ['past.desktop', 'past.window'],
  'plan.open': ['plan.add', 'plan.put', 'plan.move', 'plan.goes', 'plan.remove'],
  'plan.skip': ['plan.leave'],
  'runs.open': ['run.make', 'run.note', 'run.move', 'run.drop'],
  'tether.use': ['tether.go'],
  'window.pad': ['window.place', 'window.move', 'window.resize'],
  'window.side': ['pair.divide'],
  'app.launch': ['window.open'],
  'shelf.openFile': ['window.openAll'],
  'line.open': ['app.openOn', 'window.find', 'folder.openFile', 'folder.newFile'],
  'app.askAdd': ['app.add'],
  'home.ask': ['home.set'],
  'home.list': ['home.setFor', 'home.remove', 'home.reorder'],
  'home.askPutRight': ['home.putRight'],
  'documents.clearUp': ['document.discard', 'documents.discard'],
  'window.askTitle': ['document.askTitle'],
  'window.export': ['document.export'],
  'window.compareFile': ['document.compareFile'],
  'restore.open': ['restore.goBack'],
  'sessions.open': ['session.reopen', 'session.windows'],
  'settings.open': ['settings.bring', 'pointer.set'],
  'keys.open': ['keys.bind', 'keys.unbind', 'keys.ofApp'],
  'sequences.open': ['sequence.keep', 'sequence.run', 'sequence.remove'],
  'displays.arrange': [
    'display.add',
    'display.set',
    'display.remove',
    'display.move',
    'display.nudge',
    'display.main',
  ],
}

/** What the page and the apps say themselves; the first start asks for its contexts. */
const THEIRS = [
  'attention.report',
  'display.giveBack',
  'display.resize',
  'document.set',
  'documents.bring',
  'documents.putAway',
  'keys.leaveTyping',
  'pointer.brush',
  'start.contexts',
]

test.each(SETS)('in the set “%s” every command is reached by keyboard', (set) => {
  const made = world(set)
  const all = [...bindings(made.state).values()]
  // What has keys, in that set; and what is typed in the line, which has.
  expect(keysFor(made.state, 'line.open')).toBe(asPressed('Alt+;', made.state))
  const bound = all.map(({ command }) => command)
  const typed = everything(made.state, { apps: made.env.apps() })
  const reached = new Set([...bound, ...typed.map(({ command }) => command)])
  for (const [opener, commands] of Object.entries(THROUGH)) {
    expect(reached).toContain(opener)
    for (const id of commands) reached.add(id)
  }
  const left = [...registry.keys()].filter((id) => !reached.has(id) && !THEIRS.includes(id))
  expect(left).toEqual([])
})

test.each(SETS)('in the set “%s” the ten most frequent acts take at most three strokes', (set) => {
  const made = world(set)
  // After the loft and the line are open a plain key picks; what is typed to find is not counted.
  const acts: Record<string, [keys: string, then: string[]]> = {
    'go to a desktop': ['Alt+B', []],
    'go back to the last': ['Alt+\\', []],
    'go to the next': ['Alt+.', []],
    'carry a window': ['Alt+Shift+B', []],
    'send a window': ['Alt+] B', []],
    'find a window': ['Alt+;', ['Enter']],
    'pick in the loft': ['Alt+/', ['2']],
    'place left': ['Alt+J Left', []],
    'place right': ['Alt+J Right', []],
    solo: ['Alt+Enter', []],
    minimise: ["Alt+'", []],
  }
  for (const [act, [keys, then]] of Object.entries(acts)) {
    const strokes = strokesOf(made, keys)
    expect(`${act}: ${say(made, strokes)}`).not.toContain('null')
    expect(`${act}: ${strokes.length + then.length <= 3}`).toBe(`${act}: true`)
  }
})

test.each(SETS)('in the set “%s” what is pressed is written as it will be heard', (set) => {
  const made = world(set)
  for (const keys of ['Alt+F8', 'Alt+F8 G', 'Ctrl+F8'])
    expect(
      asWritten(
        asPressed(keys, made.state)
          .replace(/^Alt Alt /, 'Alt+')
          .split(' '),
        made.state,
      ),
    ).toBe(keys)
})

test('in every set but the first the strokes of Alt alone are left to what types', () => {
  for (const set of SETS) {
    const made = world(set)
    const said = meant('Alt+B', made.state, { pending: '', layer: false })
    expect(`${set} ${said}`).toBe(`${set} ${BEGINNINGS[set] === 'Alt+' ? 'Alt+B' : null}`)
  }
})

test('where Alt types, commands begin otherwise from then on; who chose is not asked again', () => {
  const made = world('auto')
  expect(made.run('keys.leaveTyping', { to: 'control' }).say).toContain('Control and Option')
  expect(keysFor(made.state, 'loft.open')).toBe('Ctrl+Alt+/')
  made.run('settings.set', { keys: 'alt' })
  expect(made.try('keys.leaveTyping', { to: 'control' })).toMatchObject({ ok: false })
})
