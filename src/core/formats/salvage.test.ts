import { runs } from '@testing/runs'
import { said } from '@testing/sequences'
import { World } from '@testing/world'
import fc from 'fast-check'
import { initialState } from '@/core/model/initial'
import { OBJECTS } from '@/core/model/parts'
import { objectProblem } from '@/core/model/shaping'
import type { State } from '@/core/model/state'
import { check } from '@/core/rules/check'
import { salvage } from './salvage'
import { BadState, readState } from './shelfFile'

/** A shelf after some commands, as it was kept. */
const kept = fc.array(said, { minLength: 20, maxLength: 60 }).map((commands): State => {
  const world = new World()
  for (const { id, args } of commands) world.try(id, args(world.state))
  return JSON.parse(JSON.stringify(world.state))
})

/** What may stand where something else stood. */
const stray = fc.constantFrom<unknown>(
  undefined,
  null,
  0,
  -1,
  0.5,
  2 ** 60,
  Number.POSITIVE_INFINITY,
  '',
  '__proto__',
  'gone',
  [],
  {},
  true,
)

/** Puts a stray value at a place of an object, found by walking into it. */
function mutate(value: unknown, path: number[], to: unknown): void {
  let at = value as Record<string, unknown>
  for (const [depth, step] of path.entries()) {
    const keys = Object.keys(at)
    const key = keys[step % Math.max(1, keys.length)]
    if (key === undefined) return
    const next = at[key]
    if (depth === path.length - 1 || typeof next !== 'object' || next === null) {
      if (to === undefined) delete at[key]
      else at[key] = to
      return
    }
    at = next as Record<string, unknown>
  }
}
const soundParts = ({ desktops, windows }: State): number => {
  const sound = (part: 'desktops' | 'windows', objects: object) =>
    Object.entries(objects ?? {}).filter(
      ([id, one]) => !objectProblem(id, one, OBJECTS[part].shape),
    )
  return sound('desktops', desktops).length + sound('windows', windows).length
}
const mutation = fc.tuple(fc.array(fc.nat(50), { minLength: 1, maxLength: 5 }), stray)

test('a sound state is read whole', () => {
  fc.assert(
    fc.property(kept, (state) => {
      expect(readState(state)).toEqual(state)
      expect(salvage(state)?.lost).toEqual([])
    }),
    runs(40),
  )
})

test('whatever happened to a state, it is read, read in part with all rules, or refused in words', () => {
  fc.assert(
    fc.property(kept, fc.array(mutation, { minLength: 1, maxLength: 6 }), (state, mutations) => {
      const given = structuredClone(state)
      for (const [path, to] of mutations) mutate(given, path, to)
      try {
        expect(check(readState(given))).toEqual([])
        return
      } catch (error) {
        expect(error).toBeInstanceOf(BadState)
        expect((error as Error).message.length).toBeLessThan(400)
      }
      const found = salvage(given)
      // Nothing is given up as long as a desktop or a window is sound by itself.
      if (!found) return expect(soundParts(given)).toBe(0)
      expect(check(found.state)).toEqual([])
      expect(readState(JSON.parse(JSON.stringify(found.state)))).toEqual(found.state)
    }),
    runs(200),
  )
})

test('a display too small to reach a window on is not kept', () => {
  const given = structuredClone(new World().state)
  Object.assign(given.displays.near ?? {}, { width: 0.5 })
  Object.assign(given, { desktops: {} })
  expect(() => readState(given)).toThrow(BadState)
  const world = new World()
  world.open('notes')
  const shelf = structuredClone(world.state)
  Object.assign(shelf.displays.near ?? {}, { width: 0.5 })
  const found = salvage(shelf)
  expect(found?.lost).toEqual(['1 display'])
  expect(found && check(found.state)).toEqual([])
})

test('windows are kept when their desktops are gone, and what is lost is told', () => {
  const world = new World()
  const [field] = world.desktops('Field')
  const id = world.open('notes', 'Snow pit')
  world.run('window.send', { to: field })
  const given = structuredClone(world.state) as unknown as Record<string, Record<string, unknown>>
  const desktops = given.desktops as Record<string, { hue: unknown }>
  if (field && desktops[field]) desktops[field].hue = 'mauve'
  const found = salvage(given)
  expect(found?.state.windows[id]?.desktop).toBe('first')
  expect(found?.state.order).toEqual(['first'])
  expect(found?.lost).toEqual(['1 desktop', 'where 1 window stood'])
  expect(salvage('nothing')).toBeNull()
  expect(salvage({})).toBeNull()
})

test('every part that is lost is named, in words there are', () => {
  const whole = initialState()
  for (const part of Object.keys(whole) as (keyof State)[]) {
    const { lost = [] } = salvage({ ...whole, [part]: 7 }) ?? {}
    for (const one of lost) expect(one).not.toMatch(/undefined|NaN|\bof the plans\b/)
  }
  const { lost } = salvage({ ...whole, exceptions: 7, slots: [], columns: 'x' }) ?? {}
  expect(lost).toEqual([
    'how many desktops stand in a row',
    'the number keys of apps',
    'exceptions for apps',
  ])
})
