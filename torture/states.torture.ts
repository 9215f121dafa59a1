import { isDeepStrictEqual } from 'node:util'
import { said } from '@testing/sequences'
import { MemoryStore } from '@testing/shelf'
import { World } from '@testing/world'
import fc from 'fast-check'
import { readState } from '@/core/formats/shelfFile'
import { changesBetween, withChanges } from '@/core/rules/changes'
import { check } from '@/core/rules/check'
import { findKept, Keeping } from '@/store/disk/keeping'
import { count, seed, times } from './figures'

const sequences = fc.array(said, { minLength: 150, maxLength: 400, size: 'max' })

test('random commands: after each the rules hold, and what was stored is loaded', async () => {
  const wanted = times('COMMANDS', 20_000)
  const figures = { commands: 0, accepted: 0, loads: 0 }
  await fc.assert(
    fc.asyncProperty(sequences, async (commands) => {
      const world = new World()
      const store = new MemoryStore()
      const keeping = new Keeping(store, null, 0, [0, 0])
      let kept: unknown = JSON.parse(JSON.stringify(world.state))
      for (const { id, args } of commands) {
        if (figures.commands >= wanted) return
        const before = world.state
        const outcome = world.try(id, args(before))
        figures.commands++
        if (!outcome.ok && outcome.broken) throw new Error(`${id}: ${outcome.broken}`)
        if (outcome.ok) figures.accepted++
        const broken = check(world.state, before)
        if (broken.length) throw new Error(`after ${id}: ${broken.join(' ')}`)
        await keeping.write(world.state)
        const changes = changesBetween(before, world.state)
        if (changes) kept = withChanges(kept, JSON.parse(JSON.stringify(changes)))
        // The change itself is applied after every command; the whole is read after every fifth.
        if (figures.commands % 5) continue
        const loaded = readState(kept)
        figures.loads++
        // The whole way round by the store, and all rules anew, now and then.
        if (figures.commands % 97 === 0) {
          expect(loaded).toEqual(world.state)
          expect(check(world.state)).toEqual([])
          expect((await findKept(store)).state).toEqual(world.state)
          await keeping.settle()
        }
      }
      expect((await findKept(store)).state).toEqual(world.state)
    }),
    { numRuns: Math.ceil(wanted / 150), seed, endOnFailure: false },
  )
  count(figures)
})

test('faults of the store: what was written is loaded, or the fault is told; nothing is written over', async () => {
  const figures = { faults: 0, whole: 0, inPart: 0, unreadable: 0 }
  const fault = fc.constantFrom('cut', 'damage change', 'damage slot', 'fail writes', 'fail reads')
  await fc.assert(
    fc.asyncProperty(
      fc.array(said, { minLength: 30, maxLength: 90 }),
      fault,
      fc.nat(1000),
      async (commands, kind, at) => {
        const world = new World()
        const store = new MemoryStore()
        const keeping = new Keeping(store, null, 0, [0, 0])
        await keeping.write(world.state)
        const states = [world.state]
        const failFrom = kind === 'fail writes' ? at % commands.length : Number.POSITIVE_INFINITY
        for (const [n, { id, args }] of commands.entries()) {
          world.try(id, args(world.state))
          store.failing = n >= failFrom ? { writes: /./ } : {}
          try {
            await keeping.write(world.state)
            if (states.at(-1) !== world.state) states.push(world.state)
            if (n % 45 === 44) await keeping.settle()
          } catch {
            // Told to the person; the next write tries all of it again.
          }
        }
        store.failing = {}
        const keys = [...store.items.keys()].sort()
        const changes = keys.filter((key) => key.startsWith('change-'))
        const slots = keys.filter((key) => key.startsWith('slot-'))
        const hit =
          kind === 'cut'
            ? changes.at(-1)
            : kind === 'damage change'
              ? changes[at % Math.max(1, changes.length)]
              : slots[at % slots.length]
        figures.faults++
        if (kind === 'fail reads') {
          store.failing = { reads: new RegExp(`^${hit}$`) }
          setTimeout(() => (store.failing = {}), 20)
        } else if (kind !== 'fail writes' && hit) {
          const record = store.items.get(hit) as { json?: string }
          store.items.set(hit, { ...record, json: record.json?.slice(0, at % 40) })
        }
        const kept = await findKept(store)
        const last = states.at(-1)
        if (isDeepStrictEqual(kept.state, last)) figures.whole++
        else if (kept.state) {
          figures.inPart++
          // A change that was cut loses only itself; a damaged one is told.
          if (kind === 'cut') expect(kept.state).toEqual(states.at(-2))
          else expect(kept.cut || kept.damaged.length > 0).toBe(true)
          expect(check(kept.state)).toEqual([])
        } else {
          figures.unreadable++
          // Only where the one snapshot there was is damaged, and that is told.
          expect(slots).toHaveLength(1)
          expect(kept.damaged.length).toBeGreaterThan(0)
        }
      },
    ),
    { numRuns: times('FAULTS', 300), seed },
  )
  count(figures)
})
