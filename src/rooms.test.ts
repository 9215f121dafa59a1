import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { type Import, importsIn, wrongWays } from '@testing/imports'

const root = join(__dirname, '..')
const imports = importsIn(join(root, 'src'))

test('imports point from the upper floor to the lower, and nowhere in a circle, types included', () => {
  expect(imports.length).toBeGreaterThan(1000)
  expect(wrongWays(imports)).toEqual([])
})

/** An import that would be wrong, each for another reason, and one that would not. */
test.each<[...Import, boolean]>([
  ['core/model/a.ts', 'store/shelf.ts', true],
  ['core/model/a.ts', 'react', true],
  ['core/geometry/rect.ts', 'core/model/state.ts', true],
  ['core/settings/table.ts', 'core/keys/sets.ts', true],
  ['core/model/state.ts', 'core/rules/check.ts', true],
  ['core/keys/a.ts', 'core/commands/registry.ts', true],
  ['core/formats/a.ts', 'core/commands/command.ts', true],
  ['core/commands/a.ts', 'core/finding/find.ts', true],
  ['core/commands/command.ts', 'core/commands/registry.ts', true],
  ['core/commands/desktops/a.ts', 'core/keys/bindings.ts', false],
  ['store/a.ts', 'parts/focus.ts', true],
  ['store/a.ts', 'next/link', true],
  ['store/page.ts', 'store/shelf.ts', true],
  ['store/disk/storage.ts', 'store/documents/documents.ts', true],
  ['store/a.ts', 'core/model/state.ts', false],
  ['parts/a.ts', 'apps/list.tsx', true],
  ['apps/table/a.ts', 'ui/rack/Rack.tsx', true],
  ['apps/table/a.ts', 'parts/Tool.tsx', false],
  ['apps/contents.ts', 'apps/table/manifest.ts', true],
  ['outside/jobs.ts', 'apps/list.tsx', true],
  ['outside/jobs.ts', 'apps/job/protocol.ts', false],
  ['demo/demo.ts', 'ui/page/Workspace.tsx', true],
  ['ui/area/area.ts', 'ui/page/Desktop.tsx', true],
  ['ui/rack/a.ts', 'outside/jobs.ts', true],
  ['ui/rack/a.ts', 'app/layout.tsx', true],
  ['app/a.ts', 'ui/page/Workspace.tsx', false],
])('src/%s importing %s would be told: %s', (from, to, told) => {
  expect(wrongWays([...imports, [from, to]]).length > 0).toBe(told)
})

/** What a module would keep for all shelves at once: a variable that changes, or something to fill. */
const KEEPS =
  /^(?:export )?(?:let\b.*|const \w+(?:: (?!Readonly).*)? = (?:new (?:Map|Set)(?:<.*>)?\(\)|createStore\b).*)$/gm

test.each([
  ['let timer: Timer | undefined', true],
  ['export let count = 0', true],
  ['const known = new Map<string, number>()', true],
  ['const listeners: Set<() => void> = new Set()', true],
  ['export const area = createStore<Area>(() => ({ width: 0 }))', true],
  ['const area = ofShelf(() => createStore<Area>(() => ({ width: 0 })))', false],
  ['const NO_TEXTS: ReadonlyMap<string, string> = new Map()', false],
  ["const LAYS_OUT = new Set(['unstack', 'glance'])", false],
  ['  let left = false', false],
])('“%s” keeps something: %s', (line, keeps) => {
  expect(line.match(KEEPS) !== null).toBe(keeps)
})

/** The files of a room, with what stands in them, but tests and workers, which are of one shelf alone. */
const sources = (room: string): [file: string, text: string][] =>
  readdirSync(join(root, 'src', room), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !/\.(test|worker)\.tsx?$/.test(file))
    .map((file) => [`${room}/${file}`, readFileSync(join(root, 'src', room, file), 'utf8')])

test('a shelf is made, not imported: no module of store or ui keeps anything by itself', () => {
  const kept = ['store', 'parts', 'ui'].flatMap((room) =>
    sources(room).flatMap(([file, text]) =>
      (text.match(KEEPS) ?? []).map((line) => `${file}: ${line}`),
    ),
  )
  expect(kept).toEqual([])
})

test('time is the shelf’s everywhere: nothing but its clock asks the machine', () => {
  const asking = ['core', 'store', 'parts', 'apps', 'ui', 'demo'].flatMap((room) =>
    sources(room).flatMap(([file, text]) =>
      /\bDate\.now\(|\bnew Date\(\)/.test(text) ? [file] : [],
    ),
  )
  // The demo’s own clock begins at a moment of the person’s.
  expect(asking.sort()).toEqual(['store/clock.ts', 'ui/page/Workspace.tsx'])
})

/** An error that is caught and of which nothing is said: not told, not logged, not why it may be. */
const SWALLOWED = /catch(?:\(\(\) => (?:\{\}|null|undefined|false|\[\])\)| \{\s*\})/g

test.each([
  ['work().catch(() => {})', true],
  ['const all = await read().catch(() => null)', true],
  ['try { read() } catch {}', true],
  ["work().catch(expected('there is none'))", false],
  ['try { read() } catch { return null }', false],
])('“%s” swallows an error: %s', (line, swallows) => {
  expect(line.match(SWALLOWED) !== null).toBe(swallows)
})

test('every error that is caught is told, logged, or expected with a reason', () => {
  const swallowed = ['store', 'parts', 'apps', 'ui'].flatMap((room) =>
    sources(room).flatMap(([file, text]) =>
      (text.match(SWALLOWED) ?? []).map((found) => `${file}: ${found}`),
    ),
  )
  expect(swallowed).toEqual([])
})

test('the map in README names what is there', () => {
  const readme = readFileSync(join(root, 'README.md'), 'utf8')
  const named = [...readme.matchAll(/`((?:src|core|store|parts|apps|ui|testing)\/[\w./-]+)`/g)]
  const gone = named
    .map(([, path = '']) => path)
    .filter((path) => ![root, join(root, 'src')].some((from) => existsSync(join(from, path))))
  expect(named.length).toBeGreaterThan(80)
  expect(gone).toEqual([])
})
