import { FEW, runs } from '@testing/runs'
import { expectSame } from '@testing/same'
import { said } from '@testing/sequences'
import { World } from '@testing/world'
import fc from 'fast-check'
import { create } from 'mutative'
import { readState } from '@/core/formats/shelfFile'
import { connected } from '@/core/model/displays'
import type { State } from '@/core/model/state'
import { changesBetween, withChanges } from '@/core/rules/changes'
import { check } from '@/core/rules/check'
import { refused } from './command'
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
    runs(200),
  )
  if (FEW) return
  // Each kind of command was really accepted somewhere, or the property would show nothing.
  expect([...accepted].sort()).toEqual(
    [...new Set(fc.sample(said, { numRuns: 10_000, seed: 1 }).map(({ id }) => id))].sort(),
  )
})

test('a command refuses before it changes anything: what comes after it in a sequence is as if it was not there', () => {
  fc.assert(
    fc.property(sequences, (commands) => {
      const world = new World()
      for (const { id, args } of commands) {
        const given = args(world.state) as Record<string, unknown>
        let refusal = false
        const [, changes] = create(
          world.state,
          (draft) => {
            refusal = refused(registry.get(id)?.plan?.(draft, given, world.env))
          },
          { enablePatches: true },
        )
        if (refusal) expectSame({ id, changes }, { id, changes: [] })
        world.try(id, given)
      }
    }),
    runs(20),
  )
})

/** Where other displays are is no step, nor what was reported. */
const seen = (state: State): State => ({
  ...state,
  attention: {},
  answering: null,
  running: null,
  presence: { [state.display]: state.presence[state.display] as State['presence'][string] },
})

/** What is arranged; going, focusing and what was reported since are no steps, and are not taken back with one. */
const arranged = ({
  desktops,
  stacking,
  presence: _presence,
  display: _display,
  documents: _documents,
  attention: _attention,
  answering: _answering,
  running: _running,
  ...rest
}: State) => ({
  ...rest,
  desktops: Object.fromEntries(
    Object.entries(desktops).map(([id, { focus: _focus, ...desktop }]) => [id, desktop]),
  ),
  stacking: [...stacking].sort(),
})

test('a step undone gives back the state before it, and done again the state after', () => {
  fc.assert(
    fc.property(sequences, (commands) => {
      const world = new World()
      for (const { id, args } of commands) {
        if (id.startsWith('history')) continue
        const before = world.state
        const outcome = world.try(id, args(before))
        if (!outcome.ok || !outcome.step) continue
        const after = world.state
        world.run('history.undo')
        // With several displays, who asks is brought to where it can be seen: that may be another.
        const alone = connected(before).length === 1 && connected(after).length === 1
        const compared = alone ? seen : arranged
        // What was opened and renamed stays known.
        expect({ ...compared(world.state), documents: null }).toEqual({
          ...compared(before),
          documents: null,
        })
        world.run('history.redo')
        expectSame(compared(world.state), compared(after))
      }
    }),
    runs(40),
  )
})

test('undoing everything gives back each arrangement, and redoing each state after it', () => {
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
      const after: State[] = []
      for (const { before } of kept.toReversed()) {
        after.push(world.state)
        world.run('history.undo')
        expectSame(arranged(world.state), arranged(before))
      }
      for (const state of after.toReversed()) {
        world.run('history.redo')
        expectSame(arranged(world.state), arranged(state))
      }
    }),
    runs(40),
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
        expectSame(readState(kept), world.state)
      }
      expectSame(readState(JSON.parse(JSON.stringify(world.state))), world.state)
    }),
    runs(25),
  )
})

test('the same commands with the same times and ids give the same state', () => {
  fc.assert(
    fc.property(sequences, (commands) => {
      const [one, two] = [new World(), new World()]
      for (const { id, args } of commands) one.try(id, args(one.state))
      for (const { id, args } of commands) two.try(id, args(two.state))
      expectSame(two.state, one.state)
      expectSame(JSON.parse(JSON.stringify(one.state)), one.state)
    }),
    runs(40),
  )
})

test('the random sequences draw on every command that changes the arrangement', () => {
  const drawn = new Set(fc.sample(said, { numRuns: 10_000, seed: 1 }).map(({ id }) => id))
  const steps = [...registry.values()].filter(({ step }) => step).map(({ id }) => id)
  expect(steps.filter((id) => !drawn.has(id))).toEqual([])
})
