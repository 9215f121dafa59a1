// npm test: types, lint, what nobody uses, unit and the real interface, with one total at the end.
import { spawn } from 'node:child_process'
import { mkdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { build, installPackages, installTestChromium, root } from './ready.mjs'

installPackages()
installTestChromium()

const results = join(root, 'test-results')
mkdirSync(results, { recursive: true })
const unitFile = join(results, 'unit.json')
const e2eFile = join(results, 'e2e.json')

/** Runs a tool of node_modules; its output is shown when it ends, so that two can run at once. */
const tool = (name, args, env = {}) =>
  new Promise((resolve) => {
    const child = spawn(join(root, 'node_modules/.bin', name), args, {
      cwd: root,
      env: { ...process.env, ...env },
    })
    let output = ''
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk) => (output += chunk))
    child.on('close', (code) => {
      console.log(`\n— ${name} ${args.join(' ')}\n${output.trim()}`)
      resolve(code === 0)
    })
  })

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

const [types, lint, used, unitOk] = await Promise.all([
  tool('tsc', ['--noEmit']),
  tool('biome', ['check', '.']),
  tool('knip', []),
  tool('jest', ['--json', `--outputFile=${unitFile}`]),
])
build()
const e2eOk = await tool('playwright', ['test'], { PLAYWRIGHT_JSON_OUTPUT_NAME: e2eFile })

console.log('')
count('types', Number(types), Number(!types))
count('lint', Number(lint), Number(!lint))
count('used', Number(used), Number(!used))
const unit = read(unitFile)
const unitBad = (unit?.numFailedTests ?? 0) + (unit?.numRuntimeErrorTestSuites ?? 0)
count('unit', unit?.numPassedTests ?? 0, unitOk ? unitBad : Math.max(1, unitBad))
const e2e = read(e2eFile)?.stats
const e2eBad = e2e?.unexpected ?? 0
count('interface', (e2e?.expected ?? 0) + (e2e?.flaky ?? 0), e2eOk ? e2eBad : Math.max(1, e2eBad))
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)
