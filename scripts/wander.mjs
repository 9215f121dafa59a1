// npm run wander: walks at random through the real page, far and with many seeds.
import { appendFileSync, mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { build, installChromium, installPackages, root } from './ready.mjs'
import { run } from './run.mjs'

const given = (name, otherwise) => {
  const at = process.argv.indexOf(`--${name}`)
  return at > 0 ? Number(process.argv[at + 1]) : otherwise
}
const seeds = given('seeds', 20)
const first = given('seed', 1)
const steps = given('steps', 1000)

installPackages()
installChromium()
build()
mkdirSync(join(root, 'test-results'), { recursive: true })
const file = join(root, 'test-results/wander.log')
writeFileSync(file, '')
const failed = []
for (let seed = first; seed < first + seeds; seed++) {
  const began = Date.now()
  const { code, output } = await run(
    join(root, 'node_modules/.bin/playwright'),
    ['test', 'e2e/wander.spec.ts', '--workers', '1', '--reporter', 'line'],
    {
      WANDER_SEED: String(seed),
      WANDER_STEPS: String(steps),
      WANDER_TYPES: 'always',
      WANDER_LENGTH: String(Math.min(steps, 200)),
      WANDER_SHORTEN: String(given('shorten', 600)),
    },
  )
  const walked = /seed \d+: (\d+) steps/.exec(output)?.[1] ?? '0'
  const line = `seed ${seed}: ${code === 0 ? `${walked} steps without a fault` : 'a fault'}, ${Math.round((Date.now() - began) / 1000)} s`
  console.log(line)
  appendFileSync(file, `${line}\n`)
  if (code === 0) continue
  failed.push(seed)
  console.log(output)
  appendFileSync(file, output)
}
console.log(
  failed.length
    ? `Faults with the seeds ${failed.join(', ')}`
    : `${seeds} seeds of ${steps} steps without a fault`,
)
process.exit(failed.length ? 1 : 0)
