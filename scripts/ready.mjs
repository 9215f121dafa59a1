// Makes a clone ready to run with nothing but Node.js: locked packages and a current build.
import { execFileSync, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = fileURLToPath(new URL('..', import.meta.url))
export const next = join(root, 'node_modules/next/dist/bin/next')

/** How Chromium is started: also as root, and without asking anything of the network. */
export const chromiumFlags = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

const digest = (text) => createHash('sha256').update(text).digest('hex')
const read = (path) => (existsSync(path) ? readFileSync(path, 'utf8') : '')

/** Installs the locked packages when node_modules is missing or of another lock file. */
export function installPackages() {
  const stamp = join(root, 'node_modules/.installed-lock')
  const lock = digest(read(join(root, 'package-lock.json')))
  if (read(stamp) === lock) return
  console.log('Installing the locked packages…')
  const { status } = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--prefer-offline'], {
    cwd: root,
    stdio: 'inherit',
  })
  if (status !== 0) {
    console.error('The packages could not be installed. Check the network and try again.')
    process.exit(1)
  }
  writeFileSync(stamp, lock)
}

/** Builds the application when its sources are not those of the last build. */
export function build() {
  const stamp = join(root, '.next/built-from')
  const sources = sourcesDigest()
  if (read(stamp) === sources) return
  console.log('Building…')
  const { status, stdout } = spawnSync(process.execPath, [next, 'build'], {
    cwd: root,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' },
  })
  if (status !== 0) {
    console.error(`${stdout}\nThe build failed. The lines above say why.`)
    process.exit(1)
  }
  writeFileSync(stamp, sources)
}

function sourcesDigest() {
  const hash = createHash('sha256')
  const files = readdirSync(join(root, 'src'), { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && !/\.test\.tsx?$/.test(entry.name))
    .map((entry) => join(entry.parentPath, entry.name))
    .sort()
  for (const file of [
    ...files,
    ...['package-lock.json', 'next.config.ts', 'postcss.config.mjs'].map((f) => join(root, f)),
  ])
    hash.update(file.slice(root.length)).update(readFileSync(file))
  return hash.digest('hex')
}

const CHROMIUM = '/usr/bin/chromium'
/** The same browser without its own window, which costs a test a fifth of its time. */
const SHELL = '/usr/bin/chromium-headless-shell'

/** The browser tests run in. */
export const testChromium = () => (existsSync(SHELL) ? SHELL : CHROMIUM)

/** Installs Debian's Chromium when the machine has none. */
export function installChromium() {
  if (!existsSync(CHROMIUM)) install('chromium')
}

/** Installs what tests run in; where there is only the browser itself, they run in that. */
export function installTestChromium() {
  installChromium()
  if (existsSync(SHELL)) return
  try {
    install('chromium-headless-shell', 180_000)
  } catch {
    console.log('Tests run in Chromium itself.')
  }
}

function install(name, timeout) {
  console.log(`Installing ${name}…`)
  const sudo = process.getuid?.() === 0 ? [] : ['sudo']
  const run = (...args) => {
    const [command, ...rest] = [...sudo, ...args]
    execFileSync(command, rest, {
      stdio: 'inherit',
      timeout,
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    })
  }
  run('apt-get', 'update', '-qq')
  run('apt-get', 'install', '-y', '-qq', name)
}

const isFree = (port) =>
  new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, () => probe.close(() => resolve(true)))
  })

/** The port asked for, or the next free one. */
export async function freePort(from) {
  for (let port = from; port < from + 200; port++) if (await isFree(port)) return port
  throw new Error(`No port is free from ${from} on.`)
}

/** Waits until the application answers; gives up after a minute. */
export async function answers(address) {
  for (let tries = 0; tries < 240; tries++) {
    const answer = await fetch(address).catch(() => null)
    if (answer?.ok) return
    await new Promise((resolve) => setTimeout(resolve, 250))
  }
  throw new Error(`${address} did not answer within a minute.`)
}
