import { World } from '@/core/testing/world'
import { loadSlots, type SlotStore, saveSlot } from './slots'

class Memory implements SlotStore {
  items = new Map<string, unknown>()
  getItem = async (key: string) => this.items.get(key) ?? null
  setItem = async (key: string, value: unknown) => void this.items.set(key, value)
}

async function twoRevisions() {
  const store = new Memory()
  const world = new World()
  const old = world.state
  await saveSlot(store, old, 1)
  world.run('desktop.create', { name: 'Newer' })
  await saveSlot(store, world.state, 2)
  return { store, old, newer: world.state }
}

test('the newest slot is loaded, and the one before stays beside it', async () => {
  const { store, newer } = await twoRevisions()
  expect(await loadSlots(store)).toEqual({ state: newer, revision: 2, damaged: [] })
  expect(store.items.size).toBe(2)
})

test.each([
  [
    'altered text',
    (slot: { json: string }) => ({ ...slot, json: slot.json.replace('Newer', 'Never') }),
  ],
  ['torn text', (slot: { json: string }) => ({ ...slot, json: slot.json.slice(0, -20) })],
  ['a foreign record', () => ({ something: 'else' })],
])('%s: the other slot is loaded and the damage reported', async (_, damage) => {
  const { store, old } = await twoRevisions()
  store.items.set('slot-a', damage(store.items.get('slot-a') as { json: string }))
  const loaded = await loadSlots(store)
  expect(loaded.state).toEqual(old)
  expect(loaded.damaged.map(({ slot }) => slot)).toEqual(['slot-a'])
})

test('a state that breaks a rule is not loaded, however well it was written', async () => {
  const store = new Memory()
  const { state } = new World()
  await saveSlot(store, { ...state, visited: ['nowhere'] }, 1)
  expect((await loadSlots(store)).state).toBeNull()
})
