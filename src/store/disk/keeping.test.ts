import { runs } from '@testing/runs'
import { MemoryStore } from '@testing/shelf'
import version2 from '@testing/version2.json'
import { World } from '@testing/world'
import fc from 'fast-check'
import { readState } from '@/core/formats/shelfFile'
import { presence } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { findKept, Keeping } from './keeping'
import { readSteps, type StepContents, Steps } from './steps'

/** A store that takes its time, each time as long as it is told; of six and more it fails. */
class SlowStore extends MemoryStore {
  moods: number[] = []

  override async setItem(key: string, value: unknown): Promise<void> {
    const mood = this.moods.shift() ?? 0
    await ticks(mood)
    if (mood >= 6) throw new DOMException('full', 'QuotaExceededError')
    await super.setItem(key, value)
    await ticks(mood)
  }
}

async function ticks(count: number): Promise<void> {
  for (let at = 0; at < count; at++) await Promise.resolve()
}

/** A shelf that is written after every change, with what it was after each. */
async function written(changes: number, store = new MemoryStore()) {
  const world = new World()
  const keeping = new Keeping(store, null, 0, [0, 0])
  await keeping.write(world.state)
  const states: State[] = [world.state]
  for (let n = 1; n <= changes; n++) {
    world.run('desktop.rename', { name: `Named ${n}` })
    await keeping.write(world.state)
    states.push(world.state)
  }
  return { store, world, keeping, states }
}

const alter = (store: MemoryStore, key: string, to: (record: { json: string }) => unknown) =>
  store.items.set(key, to(store.items.get(key) as { json: string }))

test('a snapshot, then a record for each change: what is loaded is the last state', async () => {
  const { store, states } = await written(3)
  expect((await store.keys()).sort()).toEqual([
    'change-000000000002',
    'change-000000000003',
    'change-000000000004',
    'slot-a',
  ])
  expect(await findKept(store)).toMatchObject({
    state: states[3],
    revision: 4,
    damaged: [],
    cut: false,
    lost: [],
    slots: [1, 0],
  })
})

test('a change costs what changed, however many windows there are', async () => {
  const world = new World()
  for (let n = 0; n < 80; n++) world.run('window.open', { app: 'notes' })
  const store = new MemoryStore()
  const keeping = new Keeping(store, null, 0, [0, 0])
  await keeping.write(world.state)
  const whole = store.written
  world.run('window.move', { x: 10, y: 10 })
  await keeping.write(world.state)
  expect(store.written - whole).toBeLessThan(whole / 20)
})

test('a snapshot is written in the other slot when the person pauses; changes both have go', async () => {
  const { store, keeping, world } = await written(45)
  await keeping.settle()
  expect(await store.keys()).toContain('slot-b')
  expect((await store.keys()).filter((key) => key.startsWith('change-'))).toHaveLength(45)
  for (let n = 0; n < 45; n++) {
    world.run('desktop.rename', { name: `Again ${n}` })
    await keeping.write(world.state)
  }
  await keeping.settle()
  expect((await store.keys()).filter((key) => key.startsWith('change-'))).toHaveLength(45)
  expect((await findKept(store)).state).toEqual(world.state)
})

test.each(['settle first', 'write first'])(
  'a snapshot while a change is written hides nothing of it: %s',
  async (order) => {
    const { store, keeping, world } = await written(45)
    world.run('desktop.rename', { name: 'Meanwhile' })
    const write = () => keeping.write(world.state)
    const both =
      order === 'settle first' ? [keeping.settle(), write()] : [write(), keeping.settle()]
    await Promise.all(both)
    expect((await findKept(store)).state).toEqual(world.state)
    world.run('desktop.rename', { name: 'After it' })
    await keeping.write(world.state)
    expect((await findKept(store)).state).toEqual(world.state)
  },
)

test('whatever is written when, and whatever fails: what was called written is loaded', async () => {
  const act = fc.record({ does: fc.constantFrom('change', 'settle', 'cut'), ticks: fc.nat(9) })
  await fc.assert(
    fc.asyncProperty(fc.array(act, { maxLength: 14 }), fc.array(fc.nat(6)), async (acts, moods) => {
      const store = new SlowStore()
      const { world, keeping } = await written(41, store)
      store.moods = [...moods]
      let [changes, told] = [41, 41]
      const working: Promise<unknown>[] = []
      for (const { does, ticks: then } of acts) {
        if (does === 'change') {
          const mine = ++changes
          world.run('desktop.rename', { name: `Named ${mine}` })
          working.push(keeping.write(world.state).then(() => (told = Math.max(told, mine))))
        } else if (does === 'settle') working.push(keeping.settle())
        else {
          const left = new MemoryStore()
          left.items = new Map(store.items)
          const least = told
          const { state } = await findKept(left)
          const [{ name = '' } = {}] = Object.values(state?.desktops ?? {})
          expect(Number(name.split(' ')[1])).toBeGreaterThanOrEqual(least)
        }
        await ticks(then)
      }
      await Promise.allSettled(working)
      store.moods = []
      await keeping.write(world.state)
      expect((await findKept(store)).state).toEqual(world.state)
    }),
    runs(40),
  )
})

test.each([
  ['altered', (slot: { json: string }) => ({ ...slot, json: slot.json.replace('Named', 'Maned') })],
  ['torn', (slot: { json: string }) => ({ ...slot, json: slot.json.slice(0, -20) })],
  ['a foreign record', () => ({ something: 'else' })],
])(
  'the newest snapshot is %s: the other one and the changes since give the same state',
  async (_, damage) => {
    const { store, keeping, states } = await written(45)
    await keeping.settle()
    alter(store, 'slot-b', damage)
    const kept = await findKept(store)
    expect(kept.state).toEqual(states.at(-1))
    expect(kept.damaged.map(({ key }) => key)).toEqual(['slot-b'])
  },
)

test('a write that was cut off loses only itself; one damaged before is told and passed over', async () => {
  const { store, states } = await written(3)
  alter(store, 'change-000000000004', (record) => ({ ...record, json: record.json.slice(0, 9) }))
  const cut = await findKept(store)
  expect([cut.cut, cut.damaged]).toEqual([true, []])
  expect(cut.state).toEqual(states[2])
  // The next change is written over it.
  const next = new World(cut.state ?? undefined)
  next.run('desktop.rename', { name: 'After' })
  await new Keeping(store, cut.state, cut.revision, cut.slots).write(next.state)
  expect(await findKept(store)).toMatchObject({ state: next.state, cut: false })
  alter(store, 'change-000000000002', () => null)
  const damaged = await findKept(store)
  expect(damaged.damaged.map(({ key }) => key)).toEqual(['change-000000000002'])
  expect(damaged.state).toEqual(next.state)
})

test('a state that cannot be read whole is read in part, and what it was is kept aside', async () => {
  const { store, world } = await written(0)
  const state = structuredClone(world.state)
  presence(state).visited = ['nowhere']
  state.columns = -1
  await new Keeping(store, null, 0, [0, 0]).write(state)
  const kept = await findKept(store)
  expect(kept.state?.desktops).toEqual(state.desktops)
  expect(kept.damaged).toEqual([{ key: 'state', record: state }])
})

test('both snapshots torn: nothing can be read, and nothing is made up', async () => {
  const { store } = await written(0)
  alter(store, 'slot-a', () => ({ json: 'torn' }))
  expect(await findKept(store)).toMatchObject({ state: null, damaged: [{ key: 'slot-a' }] })
})

test('a read that fails is tried again; one that goes on failing is told', async () => {
  const { store, states } = await written(2)
  store.failing = { reads: /slot-a/ }
  setTimeout(() => (store.failing = {}), 30)
  expect((await findKept(store)).state).toEqual(states[2])
  store.failing = { reads: /change/ }
  await expect(findKept(store)).rejects.toThrow('not readable')
})

test('a write that fails changes nothing, and the next one writes all of it', async () => {
  const { store, keeping, world } = await written(1)
  store.failing = { writes: /change/ }
  world.run('desktop.rename', { name: 'Not yet' })
  await expect(keeping.write(world.state)).rejects.toThrow('full')
  store.failing = {}
  world.run('desktop.create', { name: 'More' })
  await keeping.write(world.state)
  expect((await findKept(store)).state).toEqual(world.state)
})

test('what an earlier version kept is loaded, changes and all, and is to be written anew', async () => {
  const store = new MemoryStore()
  for (const [key, record] of Object.entries(version2.kept)) store.items.set(key, record)
  const kept = await findKept(store)
  expect(kept).toMatchObject({ damaged: [], cut: false, lost: [], older: true })
  expect(kept.state).toEqual(readState(version2.file.state))
  // The next change stands on a whole of this version.
  const world = new World(kept.state ?? undefined)
  world.run('desktop.rename', { name: 'Now' })
  await new Keeping(store, null, kept.revision, kept.slots).write(world.state)
  const again = await findKept(store)
  expect(again).toMatchObject({ damaged: [], older: false })
  expect(again.state).toEqual(world.state)
})

/** A shelf of which the steps are kept as well. */
async function undoable(contentsOf: (id: number) => StepContents | undefined = () => undefined) {
  const store = new MemoryStore()
  const world = new World()
  const keeping = new Keeping(store, null, 0, [0, 0], new Steps(store, contentsOf))
  const write = () => keeping.write(world.state, 0, world.session.history)
  const run = async (id: string, args: object = {}) => {
    world.run(id, args)
    await write()
  }
  await write()
  /** As it is when the page is opened again. */
  const again = async () => {
    const kept = await findKept(store)
    const next = new World(kept.state ?? undefined)
    next.session = { ...next.session, history: await readSteps(store, kept.steps) }
    return next
  }
  return { store, world, keeping, run, again }
}

test('what was done can be undone and redone after the shelf is loaded again', async () => {
  const { world, run, again, keeping } = await undoable()
  const states = [world.state]
  await run('desktop.create', { name: 'Field' })
  await run('window.open', { app: 'notes' })
  await run('window.move', { x: 200, y: 100 })
  await run('history.undo')
  await keeping.settle()
  const next = await again()
  expect(next.state).toEqual(world.state)
  next.run('history.redo')
  expect(Object.values(next.state.windows)[0]?.frame).toMatchObject({ x: 200, y: 100 })
  for (let n = 0; n < 3; n++) next.run('history.undo')
  expect({ ...next.state, documents: null }).toEqual({ ...states[0], documents: null })
  expect(next.refusal('history.undo')).toContain('nothing to undo')
})

test('what documents say on the other side of a step goes with it; with too much it ends what can be undone', async () => {
  const much = { saved: 'x'.repeat(9_000_000), draft: null }
  const contents = new Map<number, StepContents>([
    [2, new Map([['note', much]])],
    [3, new Map([['note', { saved: 'before', draft: null }]])],
  ])
  const { store, run, world } = await undoable((id) => contents.get(id))
  for (const name of ['One', 'Much', 'Two', 'Three']) await run('desktop.create', { name })
  const found = new Map<number, StepContents>()
  const { steps } = await findKept(store)
  const history = await readSteps(store, steps, undefined, (id, said) => found.set(id, said))
  expect(history.past.map(({ id }) => id)).toEqual([3, 4])
  expect(history.past).toEqual(world.session.history.past.slice(2))
  expect(found).toEqual(new Map([[3, contents.get(3)]]))
  // Gone over, it has other contents: what is kept of it is written anew.
  contents.set(3, new Map([['note', { saved: 'after', draft: null }]]))
  await run('history.undo')
  await readSteps(store, (await findKept(store)).steps, undefined, (id, said) =>
    found.set(id, said),
  )
  expect(found).toEqual(contents.get(3) ? new Map([[3, contents.get(3)]]) : null)
})

test('steps that were known from elsewhere are written with the first change', async () => {
  const { world, run, store } = await undoable()
  for (const name of ['One', 'Two']) await run('desktop.create', { name })
  for (const key of await store.keys()) if (key.startsWith('step-')) await store.removeItem(key)
  const { state, revision, slots } = await findKept(store)
  const keeping = new Keeping(
    store,
    state,
    revision,
    slots,
    new Steps(store),
    world.session.history,
    ({ id }) => id !== 2,
  )
  world.run('desktop.go', { to: 'first' })
  await keeping.write(world.state, 0, world.session.history)
  const again = await findKept(store)
  expect((await readSteps(store, again.steps)).past.map(({ id }) => id)).toEqual([2])
})

test('a step that is lost ends what can be undone', async () => {
  const { store, run, again } = await undoable()
  for (const name of ['One', 'Two', 'Three', 'Four']) await run('desktop.create', { name })
  const count = async () => {
    const next = await again()
    let undone = 0
    while (next.try('history.undo').ok) undone++
    return undone
  }
  expect(await count()).toBe(4)
  store.items.set('step-3', { torn: true })
  expect(await count()).toBe(1)
})

test('steps that cannot be undone any more are not kept', async () => {
  const { store, run, keeping } = await undoable()
  await run('desktop.create', { name: 'Field' })
  for (let n = 0; n < 230; n++) await run('desktop.rename', { name: `Named ${n}` })
  await keeping.settle()
  expect((await store.keys()).filter((key) => key.startsWith('step-'))).toHaveLength(200)
})

test('which steps there are is told where that changed, and not believed after a damaged change', async () => {
  const { store, run } = await undoable()
  for (const name of ['One', 'Two', 'Three']) await run('desktop.create', { name })
  await run('desktop.go', { to: 'first' })
  const keys = (await store.keys()).filter((key) => key.startsWith('change-')).sort()
  const told = keys.map((key) => 'steps' in (store.items.get(key) as object))
  expect(told).toEqual([true, true, true, false])
  expect((await findKept(store)).steps?.past).toEqual([1, 2, 3])
  alter(store, keys[1] ?? '', (record) => ({ ...record, json: 'torn' }))
  expect((await findKept(store)).steps).toBeNull()
})
