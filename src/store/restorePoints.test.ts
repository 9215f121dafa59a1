import { MemoryStore } from '@testing/shelf'
import { POINTS_MOST, POINTS_SIZE, RestorePoints } from './restorePoints'

test('points are kept with their files, the latest first, over another start', async () => {
  const store = new MemoryStore()
  const points = new RestorePoints(store, () => 1000)
  await points.add('Before the move', true, 'one')
  const second = await points.add('Before importing', false, 'two')
  const again = new RestorePoints(store, () => 1000)
  expect((await again.all()).map(({ name, at }) => [name, at])).toEqual([
    ['Before importing', 1001],
    ['Before the move', 1000],
  ])
  expect(await again.read(second)).toBe('two')
  await again.remove(second.at)
  expect((await again.all()).map(({ name }) => name)).toEqual(['Before the move'])
  await expect(again.read(second)).rejects.toThrow('not there')
  expect(await store.keys()).toHaveLength(2)
})

test('the oldest nobody made by hand goes first, by hand only where there is nothing else', async () => {
  const store = new MemoryStore()
  const points = new RestorePoints(store, () => 1)
  await points.add('mine', true, 'x')
  for (let n = 0; n < POINTS_MOST + 3; n++) await points.add(`made ${n}`, false, 'x')
  const names = (await points.all()).map(({ name }) => name)
  expect(names).toHaveLength(POINTS_MOST)
  expect(names).toContain('mine')
  expect(names).not.toContain('made 3')
  expect(await store.keys()).toHaveLength(POINTS_MOST + 1)
  for (let n = 0; n < POINTS_MOST; n++) await points.add(`mine ${n}`, true, 'x')
  expect((await points.all()).map(({ name }) => name)).not.toContain('mine')
})

test('they are no larger together than the bound; one that is larger stays alone', async () => {
  const points = new RestorePoints(new MemoryStore(), () => 1)
  const half = 'x'.repeat(POINTS_SIZE / 2 + 1)
  await points.add('a', true, half)
  await points.add('b', false, half)
  expect((await points.all()).map(({ name }) => name)).toEqual(['b'])
})

test('one that cannot be written is told, and the next is tried all the same', async () => {
  const store = new MemoryStore()
  const points = new RestorePoints(store, () => 1)
  store.failing.writes = /restore/
  await expect(points.add('a', true, 'x')).rejects.toThrow('full')
  store.failing = {}
  await points.add('b', true, 'x')
  expect((await points.all()).map(({ name }) => name)).toEqual(['b'])
})
