import fc from 'fast-check'
import { changesBetween, withChanges } from '@/core/formats/changes'
import { readState } from '@/core/formats/shelfFile'
import { check } from '@/core/model/check'
import type { State } from '@/core/model/types'
import { said } from '@/core/testing/sequences'
import { World } from '@/core/testing/world'
import { registry } from './registry'

const sequences = fc.array(said, { minLength: 1, maxLength: 200, size: 'max' })

test('all rules hold after every command of any sequence', () => {
  const accepted = new Set<string>()
  fc.assert(
    fc.property(sequences, (commands) => {
      const world = new World()
      for (const { id, args } of commands) {
        const before = world.state
        const outcome = world.try(id, args(world.state))
        if (outcome.ok) accepted.add(id)
        else if (outcome.broken) throw new Error(`${id}: ${outcome.broken}`)
        else if (world.state !== before) throw new Error(`${id} was refused and changed the state`)
        const broken = check(world.state)
        if (broken.length) throw new Error(`after ${id}: ${broken.join(' ')}`)
      }
    }),
    { numRuns: 200 },
  )
  // Each kind of command was really accepted somewhere, or the property would show nothing.
  expect([...accepted].sort()).toEqual(
    [...new Set(fc.sample(said, { numRuns: 2000, seed: 1 }).map(({ id }) => id))].sort(),
  )
})

test('undoing everything gives back each state, and redoing each state after it', () => {
  fc.assert(
    fc.property(sequences, (commands) => {
      const world = new World()
      const steps: { before: State; after: State }[] = []
      for (const { id, args } of commands) {
        if (id.startsWith('history') || id === 'display.resize') continue
        const before = world.state
        const outcome = world.try(id, args(before))
        if (outcome.ok && outcome.step) steps.push({ before, after: world.state })
      }
      const kept = steps.slice(-200)
      // What was opened and renamed stays known.
      const { documents } = world.state
      const seen: State[] = []
      for (const { before } of kept.toReversed()) {
        seen.push(world.state)
        world.run('history.undo')
        expect({ ...world.state, documents }).toEqual({ ...before, documents })
      }
      for (const state of seen.toReversed()) {
        world.run('history.redo')
        expect(world.state).toEqual(state)
      }
    }),
    { numRuns: 40 },
  )
})

test('what can be run can be loaded: whole, and from what each command changed', () => {
  fc.assert(
    fc.property(sequences, (commands) => {
      const world = new World()
      let kept: unknown = JSON.parse(JSON.stringify(world.state))
      for (const { id, args } of commands) {
        const before = world.state
        world.try(id, args(before))
        const changes = changesBetween(before, world.state)
        if (!changes) continue
        kept = withChanges(kept, JSON.parse(JSON.stringify(changes)))
        expect(readState(kept)).toEqual(world.state)
      }
      expect(readState(JSON.parse(JSON.stringify(world.state)))).toEqual(world.state)
    }),
    { numRuns: 25 },
  )
})

test('the same commands with the same times and ids give the same state', () => {
  fc.assert(
    fc.property(sequences, (commands) => {
      const [one, two] = [new World(), new World()]
      for (const { id, args } of commands) one.try(id, args(one.state))
      for (const { id, args } of commands) two.try(id, args(two.state))
      expect(two.state).toEqual(one.state)
      expect(JSON.parse(JSON.stringify(one.state))).toEqual(one.state)
    }),
    { numRuns: 40 },
  )
})

test('the random sequences draw on every command that changes the arrangement', () => {
  const drawn = new Set(fc.sample(said, { numRuns: 2000, seed: 1 }).map(({ id }) => id))
  const steps = [...registry.values()].filter(({ step }) => step).map(({ id }) => id)
  expect(steps.filter((id) => !drawn.has(id))).toEqual([])
})
