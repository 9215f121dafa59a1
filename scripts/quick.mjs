// npm run quick: types, linter and the unit tests of what changed since the last commit, while one works.
import { installPackages } from './ready.mjs'
import { tool } from './run.mjs'

installPackages()
const begun = Date.now()
const all = await Promise.all([
  tool('tsc', ['--noEmit']),
  tool('biome', ['check', '.']),
  tool('jest', ['--onlyChanged', '--passWithNoTests', '--maxWorkers=2'], { RUNS: '0.1' }),
])
const good = all.every(Boolean)
console.log(`\n${good ? 'All is well' : 'Not yet'}, ${Math.round((Date.now() - begun) / 1000)} s`)
process.exit(good ? 0 : 1)
