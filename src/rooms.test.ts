import { readdirSync, readFileSync } from 'node:fs'
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

test('a shelf is made, not imported: no module of store or ui keeps anything by itself', () => {
  const kept = ['store', 'ui'].flatMap((room) =>
    readdirSync(join(root, 'src', room), { recursive: true, encoding: 'utf8' })
      // A worker is of one shelf alone.
      .filter((file) => /\.tsx?$/.test(file) && !/\.(test|worker)\.tsx?$/.test(file))
      .flatMap((file) =>
        (readFileSync(join(root, 'src', room, file), 'utf8').match(KEEPS) ?? []).map(
          (line) => `${room}/${file}: ${line}`,
        ),
      ),
  )
  expect(kept).toEqual([])
})
