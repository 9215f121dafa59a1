import { World } from '@testing/world'

const go = (to: string) => ({ command: 'desktop.go', args: { to } })
const create = (name: string) => ({ command: 'desktop.create', args: { name, stay: true } })

function world(...deeds: { command: string; args: Record<string, unknown> }[]): World {
  const made = new World()
  made.desktops('Rota')
  made.open()
  made.run('sequence.keep', { name: ' Evening ', deeds })
  return made
}

test('a sequence does all of it as one step, and one undo takes it back', () => {
  const made = world({ command: 'windows.sweep', args: {} }, create('Attic'), go('Rota'))
  const before = made.state
  const { say } = made.run('sequence.run', { sequence: 'evening' })
  expect(say).toBe('Ran Evening')
  expect(made.state.order).toHaveLength(3)
  expect(Object.values(made.state.windows)[0]?.minimised).toBe(true)
  expect(made.state.presence.near?.shows).toBe(before.order[1])
  made.run('history.undo')
  expect({ ...made.state, presence: {}, display: '' }).toEqual({
    ...before,
    presence: {},
    display: '',
  })
})

test('it stops where something is refused and says where and why; what was done is one step', () => {
  const made = world(create('Attic'), go('Nowhere'), create('Cellar'))
  const { say } = made.run('sequence.run', { sequence: 'Evening' })
  expect(say).toBe(
    'Evening stopped at 2 of 3, Go to desktop: There is no desktop called “Nowhere”.',
  )
  expect(made.state.order).toHaveLength(3)
  made.run('history.undo')
  expect(made.state.order).toHaveLength(2)
})

test('where the first is refused nothing was done', () => {
  const made = world(go('Nowhere'), create('Attic'))
  const outcome = made.try('sequence.run', { sequence: 'Evening' })
  expect(outcome).toMatchObject({ ok: false, reason: expect.stringContaining('stopped at 1 of 2') })
  expect(made.state.order).toHaveLength(2)
})

test.each([
  ['an unknown command', { command: 'window.fly', args: {} }, 'no command “window.fly”'],
  ['arguments it does not take', { command: 'desktop.go', args: { where: 'B' } }, 'Go to'],
  ['undo', { command: 'history.undo', args: {} }, 'can’t contain undo'],
])('it stops at %s', (_name, deed, reason) => {
  const outcome = world(deed).try('sequence.run', { sequence: 'Evening' })
  expect(outcome).toMatchObject({ ok: false, reason: expect.stringContaining(reason) })
})

test('one of a file that runs itself stops there', () => {
  const made = world(go('next'))
  const { state } = made
  const own = { command: 'sequence.run', args: { sequence: 'Evening' } }
  const sequences = state.sequences.map((one) => ({ ...one, deeds: [own] }))
  const outcome = new World({ ...state, sequences }).try('sequence.run', { sequence: 'Evening' })
  expect(outcome).toMatchObject({ ok: false, reason: expect.stringContaining('another one') })
})

test('a name is needed, no sequence runs another, and keys of a removed one go with it', () => {
  const made = world(go('next'))
  const id = made.state.sequences[0]?.id ?? ''
  expect(made.state.sequences[0]?.name).toBe('Evening')
  expect(made.try('sequence.keep', { name: ' ', deeds: [go('next')] })).toMatchObject({ ok: false })
  const inner = { command: 'sequence.run', args: { sequence: id } }
  expect(made.try('sequence.keep', { name: 'Outer', deeds: [inner] })).toMatchObject({ ok: false })
  made.run('keys.bind', { keys: 'Alt+F8', command: 'sequence.run', args: { sequence: id } })
  made.run('sequence.keep', { name: 'Night', deeds: [go('last')], sequence: id })
  expect(made.state.sequences).toEqual([{ id, name: 'Night', deeds: [go('last')] }])
  made.run('sequence.remove', { sequence: 'Night' })
  expect([made.state.sequences, made.state.bindings]).toEqual([[], []])
  made.run('history.undo')
  expect(made.state.bindings).toHaveLength(1)
})
