import { MemoryStore } from '@testing/shelf'
import { World } from '@testing/world'
import type { State } from '@/core/model/state'
import { stateAt, stretchAt } from '@/core/past/past'
import { Past, STRETCHES_MOST } from './past'

/** A shelf that changes, one change a second, and what keeps how it stood. */
async function kept(changes: number) {
  const world = new World()
  const store = new MemoryStore()
  let now = 1000
  const past = new Past(store, () => now)
  past.open(world.session)
  const stood = new Map<number, State>([[now, world.state]])
  const change = () => {
    now += 1000
    world.run('desktop.rename', { name: `Name ${now}` })
    past.note(world.session)
    stood.set(now, world.state)
  }
  for (let at = 0; at < changes; at++) change()
  await past.write()
  return { world, store, past, stood, change, at: (time: number) => (now = time) }
}

test('over many records and a new start the shelf is as it was at each moment', async () => {
  const { store, stood, world, change, past } = await kept(1240)
  const again = new Past(store, () => 2_000_000)
  again.open(world.session)
  const read = await again.read(0, 3_000_000)
  expect(read).toHaveLength(3)
  for (const [moment, state] of stood) {
    const stretch = stretchAt(read, moment)
    expect(stretch && stateAt(stretch, moment).desktops).toEqual(state.desktops)
  }
  expect(read[1]?.changes[7]?.say).toMatch(/^Renamed .* to Name/)
  // What was not written yet is read with the rest.
  change()
  expect((await past.read(0, 3_000_000)).flatMap(({ changes }) => changes)).toHaveLength(1241)
})

test('of a span only what belongs to it is read, with how it stood at its beginning', async () => {
  const { past, stood } = await kept(1240)
  const [stretch, ...others] = await past.read(700_500, 702_500)
  expect(others).toEqual([])
  expect(stretch && stateAt(stretch, 700_500).desktops).toEqual(stood.get(700_000)?.desktops)
})

test('what is over is forgotten, but for what the days that are kept begin with', async () => {
  const { past, store } = await kept(1240)
  await past.forget(600_000)
  expect(await past.begins()).toEqual([501_000, 1_001_000])
  await past.forget(Number.POSITIVE_INFINITY)
  expect(await store.keys()).toEqual([])
})

test('nothing is kept where that is not wanted, and what comes after is whole', async () => {
  const { world, past, change, stood, store } = await kept(2)
  world.run('settings.set', { past: 0 })
  past.note(world.session)
  change()
  await past.write()
  expect(await past.read(0, 1e9)).toHaveLength(1)
  world.run('settings.set', { past: 7 })
  past.note(world.session)
  change()
  await past.write()
  const read = await past.read(0, 1e9)
  const last = read.at(-1)
  expect(last && stateAt(last, 1e9).desktops).toEqual([...stood.values()].at(-1)?.desktops)
  expect(await store.keys()).not.toEqual([])
})

test('a span is struck from what is kept', async () => {
  const { past, stood } = await kept(60)
  await past.strike(10_000, 20_000)
  const read = await past.read(0, 1e9)
  const moments = read.flatMap(({ at, changes }) => [at, ...changes.map((one) => one.at)])
  expect(moments.filter((at) => at >= 10_000 && at < 20_000)).toEqual([])
  for (const moment of [9000, 20_000, 45_000]) {
    const stretch = stretchAt(read, moment)
    expect(stretch && stateAt(stretch, moment).desktops).toEqual(stood.get(moment)?.desktops)
  }
})

test('what cannot be written is written the next time; what cannot be read is left out', async () => {
  const { store, past, change } = await kept(0)
  store.failing = { writes: /past/ }
  change()
  await expect(past.write()).rejects.toThrow('full')
  store.failing = {}
  await past.write()
  expect(await past.read(0, 1e9)).toHaveLength(1)
  store.items.set('past-5', 'torn')
  store.failing = { reads: /\.0$/ }
  expect(await past.read(0, 1e9)).toEqual([])
})

test('there is a limit to how much is kept', async () => {
  const { past, store } = await kept(0)
  for (let at = 0; at < STRETCHES_MOST + 5; at++) store.items.set(`past-${at}`, {})
  await past.forget(0)
  expect(await past.begins()).toHaveLength(STRETCHES_MOST)
})
