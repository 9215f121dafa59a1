// Programs a script starts: they end with it, also where it is stopped itself.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { root } from './ready.mjs'

const running = new Set()

/** Ends a program with this one, in the way it takes as “stop”. */
export function endWith(child) {
  running.add(child)
  child.once('close', () => running.delete(child))
  return child
}

process.once('exit', () => {
  for (const child of running) child.kill('SIGINT')
})
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, () => process.exit(130))

/**
 * Runs a program to its end.
 * @param env what it is told besides
 * @returns its exit code and what it said
 */
export const run = (command, args, env = {}) =>
  new Promise((resolve) => {
    const child = endWith(spawn(command, args, { cwd: root, env: { ...process.env, ...env } }))
    let output = ''
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk) => (output += chunk))
    child.on('close', (code) => resolve({ code, output: output.trim() }))
  })

/** Runs a script of this project; what it says is shown when it ends, so that several can run at once. */
export async function script(name, command, args, env) {
  const { code, output } = await run(command, args, env)
  console.log(`\n— ${name} ${args.join(' ')}\n${output}`)
  return code === 0
}

/** Runs a tool of node_modules in the same way. */
export const tool = (name, args, env) =>
  script(name, join(root, 'node_modules/.bin', name), args, env)
