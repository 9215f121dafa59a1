import { execFileSync } from 'node:child_process'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** Median milliseconds of core commands, measured by Jest's transformer in a process of its own. */
export async function coreCosts() {
  const root = fileURLToPath(new URL('..', import.meta.url))
  const output = execFileSync(
    process.execPath,
    [
      join(root, 'node_modules/jest/bin/jest.js'),
      '--config',
      'bench/jest.config.mjs',
      '--silent=false',
    ],
    { cwd: root, encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] },
  )
  return JSON.parse(/COSTS (\[.*\])/.exec(output)[1])
}
