// npm test: types, lint, what nobody uses, unit and the real interface, with one total at the end.
import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { installPackages, installTestChromium, root } from './ready.mjs'
import { script, tool } from './run.mjs'

installPackages()
installTestChromium()

const results = join(root, 'test-results')
mkdirSync(results, { recursive: true })
const unitFile = join(results, 'unit.json')
const e2eFile = join(results, 'e2e.json')
// What was found before counts for nothing.
for (const file of [unitFile, e2eFile]) rmSync(file, { force: true })

const read = (file) => {
  try {
    return JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    return null
  }
}

let passed = 0
let failed = 0
const count = (name, good, bad) => {
  passed += good
  failed += bad
  console.log(`${name}: ${good} passed, ${bad} failed`)
}

// The build writes types of its own: they are not to come while types are checked.
const checked = tool('tsc', ['--noEmit'])
const [types, lint, used, built, unitOk] = await Promise.all([
  checked,
  tool('biome', ['check', '.']),
  tool('knip', []),
  checked.then(() => script('build', process.execPath, [join(root, 'scripts/build.mjs')])),
  // One worker would leave a core idle while the others wait for it.
  tool('jest', ['--maxWorkers=2', '--json', `--outputFile=${unitFile}`]),
])
const e2eOk =
  built && (await tool('playwright', ['test'], { PLAYWRIGHT_JSON_OUTPUT_NAME: e2eFile }))

console.log('')
count('types', Number(types), Number(!types))
count('lint', Number(lint), Number(!lint))
count('used', Number(used), Number(!used))
count('build', Number(built), Number(!built))
const unit = read(unitFile)
const unitBad = (unit?.numFailedTests ?? 0) + (unit?.numRuntimeErrorTestSuites ?? 0)
count('unit', unit?.numPassedTests ?? 0, unitOk ? unitBad : Math.max(1, unitBad))
const e2e = read(e2eFile)?.stats
const e2eBad = e2e?.unexpected ?? 0
count('interface', (e2e?.expected ?? 0) + (e2e?.flaky ?? 0), e2eOk ? e2eBad : Math.max(1, e2eBad))
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)
