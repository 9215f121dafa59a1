import { said } from '@testing/sequences'
import { World } from '@testing/world'
import fc from 'fast-check'
import { contentProblem } from '@/apps/contents'
import { APPS } from '@/apps/list'
import { alone, aloneIn, beside } from '@/core/formats/desktopFile'
import { BadSettingsFile, readSettingsFile, settingsFile } from '@/core/formats/settingsFile'
import { BadShelfFile, readShelfFile, readState, shelfFile } from '@/core/formats/shelfFile'
import { check } from '@/core/rules/check'
import type { State } from '../src/core/model/state'
import { count, seed, times } from './figures'
import { mutated, mutations } from './mutated'

/** Shelves of some size. */
const shelves: State[] = fc
  .sample(fc.array(said, { minLength: 20, maxLength: 120 }), { numRuns: 40, seed: seed + 7 })
  .map((commands, at) => {
    const world = new World()
    let made = 0
    world.env.id = (kind) => `${kind}-${at}-${++made}`
    for (const { id, args } of commands) world.try(id, args(world.state))
    return world.state
  })

const desktops = shelves.flatMap((state) => {
  const id = state.order.find((one) => state.desktops[one]?.kind === 'open') ?? ''
  const one = alone(state, id)
  const documents = Object.fromEntries(
    Object.keys(one?.documents ?? {}).map((document) => [document, { saved: null, draft: null }]),
  )
  return one ? [JSON.stringify({ ...shelfFile(one, documents, 0), desktop: id })] : []
})

const settings = shelves.map((state) => JSON.stringify(settingsFile(state, 0)))

const broken = (texts: string[], text: number, given: [number, number, string][]) =>
  given.reduce(
    (now, [kind, at, stray]) => mutated(now, kind, at, stray),
    texts[text % texts.length] ?? '',
  )

/** What was taken in loads again, and is equal. */
function loads(state: State): void {
  expect(check(state)).toEqual([])
  expect(readState(JSON.parse(JSON.stringify(state)))).toEqual(state)
}

test('mutated desktop files are read and brought in, or refused in words; what came in loads again', () => {
  const figures = { desktopFiles: 0, desktopsIn: 0, desktopsRefused: 0 }
  fc.assert(
    fc.property(fc.nat(), mutations, fc.nat(), (text, given, other) => {
      figures.desktopFiles++
      const world = new World(shelves[other % shelves.length])
      try {
        const file = readShelfFile(broken(desktops, text, given))
        if (!aloneIn(file)) return
        let made = 0
        const { state, desktop } = beside(file, world.state, {}, (kind) => `${kind}-new-${++made}`)
        const before = world.state
        const outcome = world.try('desktop.import', { state, desktop })
        if (outcome.ok) {
          figures.desktopsIn++
          return loads(world.state)
        }
        if (outcome.broken) throw new Error(outcome.broken)
        figures.desktopsRefused++
        expect(world.state).toBe(before)
      } catch (error) {
        if (!(error instanceof BadShelfFile)) throw error
        figures.desktopsRefused++
      }
    }),
    { numRuns: times('IMPORTS', 400), seed },
  )
  expect(figures.desktopsIn).toBeGreaterThan(0)
  count(figures)
})

test('mutated settings files are taken over, or refused in words; what was taken over loads again', () => {
  const figures = { settingsFiles: 0, settingsIn: 0, settingsRefused: 0 }
  fc.assert(
    fc.property(fc.nat(), mutations, fc.nat(), (text, given, other) => {
      figures.settingsFiles++
      const world = new World(shelves[other % shelves.length])
      try {
        const wanted = readSettingsFile(broken(settings, text, given))
        const outcome = world.try('settings.bring', { wanted })
        if (!outcome.ok) {
          if (outcome.broken) throw new Error(outcome.broken)
          figures.settingsRefused++
          return
        }
        figures.settingsIn++
        loads(world.state)
      } catch (error) {
        if (!(error instanceof BadSettingsFile)) throw error
        figures.settingsRefused++
      }
    }),
    { numRuns: times('IMPORTS', 400), seed },
  )
  expect(figures.settingsIn).toBeGreaterThan(0)
  count(figures)
})

test('any JSON is a content of an app or is not, with words that say why', () => {
  const figures = { contents: 0 }
  fc.assert(
    fc.property(fc.jsonValue({ maxDepth: 4 }), (content) => {
      for (const app of APPS) {
        figures.contents++
        const why = contentProblem(app.contents, content)
        if (why !== null) expect(why).not.toMatch(/\bthis must|final value|undefined/)
      }
    }),
    { numRuns: times('FILES', 300), seed },
  )
  count(figures)
})
