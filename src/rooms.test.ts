import { spawnSync } from 'node:child_process'
import {
  copyFileSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'

const root = join(__dirname, '..')

/** Where a file would stand, what it would import, and whether it may. */
const IMPORTS: [path: string, from: string, may: boolean][] = [
  ['core/model/a.ts', '@/store/shelf', false],
  ['core/model/b.ts', 'react', false],
  ['store/a.ts', '@/ui/Workspace', false],
  ['store/b.ts', '@/apps/list', false],
  ['store/c.ts', '@/core/model/types', true],
  ['apps/table/a.ts', '@/ui/rack/Rack', false],
  ['apps/table/b.ts', '@/outside/jobs', false],
  ['apps/table/c.ts', '@/ui/parts/Tool', true],
  ['ui/rack/a.ts', '@/app/page', false],
  ['ui/rack/b.ts', '@/store/shelf', true],
  ['ui/parts/a.ts', '@/ui/rack/Rack', false],
  ['ui/parts/b.ts', '@/apps/list', false],
  ['demo/a.ts', '@/ui/Workspace', false],
  ['outside/a.ts', '@/store/shelf', false],
  ['app/a.ts', '@/store/shelf', false],
  ['app/b.ts', '@/ui/Workspace', true],
]

let said = ''

beforeAll(() => {
  const folder = mkdtempSync(join(tmpdir(), 'rooms-'))
  copyFileSync(join(root, 'biome.json'), join(folder, 'biome.json'))
  for (const [path, from] of IMPORTS) {
    const file = join(folder, 'src', path)
    mkdirSync(dirname(file), { recursive: true })
    writeFileSync(file, `import { x } from '${from}'\n\nexport const y = x\n`)
  }
  const biome = join(root, 'node_modules/.bin/biome')
  const flags = ['lint', '--vcs-enabled=false', '--max-diagnostics=100', '--reporter=json', '.']
  const { stdout } = spawnSync(biome, flags, { cwd: folder, encoding: 'utf8' })
  said = stdout
  rmSync(folder, { recursive: true })
})

test.each(IMPORTS)('src/%s importing %s is allowed: %s', (path, _from, may) => {
  const { diagnostics } = JSON.parse(said) as {
    diagnostics: { category: string; location: { path: unknown } }[]
  }
  const found = diagnostics.filter(({ location }) => JSON.stringify(location).includes(path))
  expect(found.map(({ category }) => category)).toEqual(
    may ? [] : ['lint/style/noRestrictedImports'],
  )
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
