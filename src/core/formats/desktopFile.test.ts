import { World } from '@testing/world'
import type { State } from '@/core/model/state'
import { check } from '@/core/rules/check'
import { alone, aloneIn, beside } from './desktopFile'
import { BadShelfFile, readShelfFile, type ShelfFile, shelfFile } from './shelfFile'

/** A desktop with all that can belong to one, and its id. */
function office(): { world: World; rota: string } {
  const world = new World()
  const [rota = ''] = world.desktops('Rota')
  world.run('app.add', { name: 'Forecast', address: 'example.org' })
  world.run('desktop.go', { to: rota })
  world.open()
  world.run('window.place', { top: 0, left: 0, bottom: 2, right: 0 })
  const second = world.open('dial')
  world.run('arrange.columns')
  world.run('window.minimise', { window: second })
  world.run('home.set', { app: 'notes', desktop: rota })
  world.open()
  world.run('desktop.letter', { desktop: rota, letter: 'Q' })
  world.run('desktop.look', { desktop: rota, hue: 'rust', signed: { size: 80 } })
  world.run('keys.bind', { keys: 'Alt+F8', command: 'desktop.go', args: { to: rota } })
  world.run('plan.add', { text: '9-10 Rota' })
  world.run('windows.sweep')
  world.run('desktop.go', { to: 'first' })
  return { world, rota }
}

/** The file of a desktop, written and read again. */
function file(state: State, id: string): ShelfFile {
  const one = alone(state, id)
  if (!one) throw new Error('no such desktop')
  const contents = Object.fromEntries(
    Object.keys(one.documents).map((document) => [document, { saved: document, draft: null }]),
  )
  return readShelfFile(JSON.stringify({ ...shelfFile(one, contents, 0), desktop: id }))
}

function bring(world: World, given: ShelfFile): ShelfFile {
  const made = beside(given, world.state, world.state.documents, world.env.id)
  world.run('desktop.import', { state: made.state, desktop: made.desktop })
  expect(check(world.state)).toEqual([])
  return made
}

/** What belongs to a desktop, but for where one is. */
const belongings = (state: State, id: string) => {
  const { stowed, ...rest } = alone(state, id) ?? { stowed: [] }
  const [one] = stowed
  return { ...rest, stowed: one && { ...one, at: 0, desktop: { ...one.desktop, focus: null } } }
}

test('elsewhere it is exactly as it was: windows, frames, look, letter, homes, keys, blocks', () => {
  const { world, rota } = office()
  const there = new World()
  const made = bring(there, file(world.state, rota))
  expect(made.desktop).toBe(rota)
  expect(belongings(there.state, rota)).toEqual(belongings(world.state, rota))
  there.run('history.undo')
  expect(there.state.desktops[rota]).toBeUndefined()
  expect(there.state.homes).toEqual([])
})

test('a stowed desktop and one that is there make the same file', () => {
  const { world, rota } = office()
  const present = belongings(world.state, rota)
  world.run('desktop.stow', { desktop: rota })
  const { stowed, ...rest } = belongings(world.state, rota)
  expect({ ...rest, stowed }).toEqual(present)
})

test('where it is already a copy comes beside it, with names and documents of its own', () => {
  const { world, rota } = office()
  const before = world.state
  const made = bring(world, file(world.state, rota))
  const copy = made.desktop ?? ''
  expect(copy).not.toBe(rota)
  expect(world.state.windows).toMatchObject(before.windows)
  const [own, theirs] = [world.state.desktops[rota], world.state.desktops[copy]]
  expect(theirs?.windows).toHaveLength(own?.windows.length ?? 0)
  expect(theirs?.letter).not.toBe(own?.letter)
  const shown = (id: string) =>
    (world.state.desktops[id]?.windows ?? []).map((one) => world.state.windows[one]?.document)
  expect(shown(copy).some((one) => shown(rota).includes(one))).toBe(false)
  // Every name within it is one that is there.
  expect(aloneIn(made)?.stacking.every(({ item }) => world.state.windows[item])).toBe(true)
  expect(Object.keys(made.documents).sort()).toEqual(Object.keys(made.state.documents).sort())
  expect(theirs?.aside?.windows.every((one) => world.state.windows[one])).toBe(true)
  expect(Object.keys(theirs?.before ?? {}).every((one) => world.state.windows[one])).toBe(true)
  // And once more, beside both.
  bring(world, file(world.state, copy))
  expect(world.state.order).toHaveLength(4)
})

test('the app of a window comes along, what is not of the desktop does not', () => {
  const { world, rota } = office()
  const app = Object.keys(world.state.apps)[0] ?? ''
  expect(alone(world.state, rota)?.apps).toEqual({})
  const state = JSON.parse(JSON.stringify(world.state)) as State
  const one = state.desktops[rota]?.windows[0] ?? ''
  Object.assign(state.windows[one] ?? {}, { app })
  expect(alone(state, rota)?.apps).toEqual({ [app]: state.apps[app] })
  expect(alone(state, 'none')).toBeNull()
})

test('a file that contradicts itself is refused, as is a desktop that is here or is not in it', () => {
  const { world, rota } = office()
  const good = file(world.state, rota)
  const spoilt = (change: (state: State) => void) => {
    const bad = JSON.parse(JSON.stringify(good)) as ShelfFile
    change(bad.state)
    return () => readShelfFile(JSON.stringify(bad))
  }
  const entry = ({ stowed: [one] }: State) => one as NonNullable<typeof one>
  const set = (part: (state: State) => object, to: object) =>
    spoilt((state) => void Object.assign(part(state), to))
  expect(set(entry, { stacking: [] })).toThrow(BadShelfFile)
  expect(set((state) => entry(state).desktop, { kind: 'solo' })).toThrow(BadShelfFile)
  expect(
    spoilt((state) => {
      for (const { item } of entry(state).plan) item.end = item.start
    }),
  ).toThrow(BadShelfFile)
  expect(
    spoilt((state) => {
      for (const { item } of entry(state).homes) item.desktop = 'first'
    }),
  ).toThrow(BadShelfFile)
  expect(world.try('desktop.import', { state: good.state, desktop: rota })).toMatchObject({
    reason: 'That desktop is here already.',
  })
  expect(new World().try('desktop.import', { state: good.state, desktop: 'none' })).toMatchObject({
    reason: 'There is no such desktop in the file.',
  })
})

test('a file in which a window stands under another id than its own is refused in words', () => {
  const { world, rota } = office()
  const one = alone(world.state, rota)
  if (!one) throw new Error('no such desktop')
  const [stowed] = one.stowed
  const [id = ''] = Object.keys(stowed?.windows ?? {})
  const windows = { ...stowed?.windows, [id]: { ...stowed?.windows[id], id: 'another' } }
  const text = JSON.stringify({
    ...shelfFile({ ...one, stowed: [{ ...stowed, windows }] } as State, {}, 0),
    desktop: rota,
  })
  expect(() => readShelfFile(text)).toThrow('is not the key it stands at')
})
