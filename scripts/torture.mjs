// npm run torture: random commands stored and loaded, faults of the store, mutated imports, hostile
// files, and browsers killed while they write. Its figures go to docs/reliability.md.
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromiumFlags, installChromium, installPackages, root } from './ready.mjs'
import { serve } from './serve.mjs'

installPackages()
installChromium()

const given = (name, otherwise) => {
  const at = process.argv.indexOf(`--${name}`)
  return at > 0 ? Number(process.argv[at + 1]) : otherwise
}
const wanted = {
  commands: given('commands', 1_000_000),
  faults: given('faults', 4000),
  imports: given('imports', 10_000),
  files: given('files', 4000),
  kills: given('kills', 300),
  seed: given('seed', Math.floor(Math.random() * 2 ** 31)),
}

/** One half of the work each, for the two cores there are at least. */
function jest(half) {
  const figures = join(mkdtempSync(join(tmpdir(), 'torture-')), 'figures')
  const env = {
    ...process.env,
    TORTURE_FIGURES: figures,
    TORTURE_SEED: String(wanted.seed + half),
  }
  for (const name of ['commands', 'faults', 'imports', 'files'])
    env[`TORTURE_${name.toUpperCase()}`] = String(Math.ceil(wanted[name] / 2))
  return new Promise((resolve) => {
    const child = spawn(
      join(root, 'node_modules/.bin/jest'),
      ['--config', 'torture/jest.config.mjs', '--runInBand', '--forceExit'],
      { cwd: root, env, stdio: ['ignore', 'inherit', 'inherit'] },
    )
    child.on('close', (code) => {
      const lines = existsSync(figures) ? readFileSync(figures, 'utf8').trim().split('\n') : []
      resolve({ ok: code === 0, lines: lines.map((line) => JSON.parse(line)) })
    })
  })
}

/** Starts a browser of its own that can be killed with all its processes. */
async function browser(folder) {
  const { chromium } = await import('@playwright/test')
  const child = spawn(
    '/usr/bin/chromium',
    [
      '--headless',
      ...chromiumFlags,
      '--remote-debugging-port=0',
      `--user-data-dir=${folder}`,
      'about:blank',
    ],
    { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
  )
  const address = await new Promise((resolve, reject) => {
    let heard = ''
    child.stderr.on('data', (chunk) => {
      heard += chunk
      const found = /ws:\/\/\S+/.exec(heard)
      if (found) resolve(found[0])
    })
    child.on('exit', () => reject(new Error('the browser did not start')))
  })
  const connected = await chromium.connectOverCDP(address)
  return { page: await connected.contexts()[0].newPage(), pid: child.pid, child }
}

const sleep = (time) => new Promise((resolve) => setTimeout(resolve, time))

/** A page that makes a change every 15 ms and types without pause, killed at a random moment. */
async function kill(address, folder, before) {
  const { page, pid, child } = await browser(folder)
  const log = []
  await page.exposeFunction('tell', (kind, n, at) => log.push([kind, n, at]))
  await page.goto(`${address}/shelf`)
  await page.locator('#desktop').waitFor()
  const found = await page.evaluate(() => {
    const { desktops, windows } = window.kiteShelf.state()
    return {
      n: Number(desktops.first.name.replace(/\D/g, '') || 0),
      windows: Object.keys(windows).length,
      notices: [...document.querySelectorAll('[aria-label="Notices"] [role=alert] p')].map(
        (one) => one.textContent,
      ),
    }
  })
  const text = page.getByRole('textbox', { name: 'Text' })
  if (found.windows === 0) await page.keyboard.press('Alt+1')
  await text.waitFor()
  const typed = Number(
    /(\d+) $/.exec(`${await text.textContent()} `.replaceAll('\u00a0', ' '))?.[1] ?? 0,
  )
  const result = { ...found, typed }
  await text.click()
  await page.keyboard.press('Control+End')
  // What is on screen counts from the moment it is there.
  await page.evaluate((from) => {
    let n = from
    setInterval(() => {
      window.kiteShelf.run('desktop.rename', { desktop: 'first', name: `Desk ${++n}` })
      window.tell('change', n, Date.now())
    }, 15)
  }, found.n)
  const started = Date.now()
  const lasts = 500 + Math.random() * 1200
  let number = typed
  while (Date.now() - started < lasts) {
    await page.keyboard.insertText(` ${++number}`)
    log.push(['typed', number, Date.now()])
    await sleep(20)
  }
  const at = Date.now()
  process.kill(-pid, 'SIGKILL')
  await new Promise((resolve) =>
    child.exitCode === null ? child.once('exit', resolve) : resolve(),
  )
  return { log, at, result, before }
}

/** How long before the kill the first change was made that is not there any more, in milliseconds. */
const lostSince = ({ log, at }, kind, there) => {
  const first = log.find(([one, n]) => one === kind && n > there)
  return first ? at - first[2] : 0
}

async function kills(count, load) {
  const { address, stop } = await serve({ from: 4290, quiet: true })
  const folder = mkdtempSync(join(tmpdir(), 'kite-kill-'))
  const burning = load
    ? [1, 2].map(() => spawn(process.execPath, ['-e', 'for (;;) Math.sqrt(Math.random())']))
    : []
  const lost = []
  const notices = []
  let gone = 0
  let last = null
  for (let round = 0; round <= count; round++) {
    const now = await kill(address, folder, last)
    notices.push(...now.result.notices)
    if (last) {
      if (now.result.windows === 0 || now.result.n === 0) gone++
      const both = [
        lostSince(last, 'change', now.result.n),
        lostSince(last, 'typed', now.result.typed),
      ]
      lost.push(...both)
      if (Math.max(...both) > 300)
        console.log(
          `round ${round}: ${both.join(' and ')} ms; ${now.result.notices[0] ?? 'nothing told'}`,
        )
    }
    last = now
    if (round % 20 === 0) console.log(`killed ${round} of ${count}${load ? ', loaded' : ''}`)
  }
  for (const one of burning) one.kill()
  stop()
  rmSync(folder, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 })
  const sorted = lost.toSorted((a, b) => a - b)
  return {
    kills: count,
    gone,
    median: sorted[Math.floor(sorted.length / 2)] ?? 0,
    worst: sorted.at(-1) ?? 0,
    over300: lost.filter((time) => time > 300).length,
    notices: [...new Set(notices)],
  }
}

const began = Date.now()
const halves = wanted.commands + wanted.imports > 0 ? await Promise.all([jest(0), jest(1)]) : []
const sums = {}
for (const { lines } of halves)
  for (const line of lines)
    for (const [name, value] of Object.entries(line)) sums[name] = (sums[name] ?? 0) + value
const quiet = wanted.kills ? await kills(Math.ceil((wanted.kills * 2) / 3), false) : null
const loaded = wanted.kills ? await kills(Math.floor(wanted.kills / 3), true) : null
const ok = halves.every((half) => half.ok) && [quiet, loaded].every((one) => !one?.gone)
const report = { when: new Date().toISOString().slice(0, 10), wanted, sums, quiet, loaded, ok }
console.log(JSON.stringify(report, null, 1))
console.log(
  `${Math.round((Date.now() - began) / 60_000)} minutes, ${ok ? 'nothing lost' : 'something failed'}`,
)
mkdirSync(join(root, 'test-results'), { recursive: true })
writeFileSync(join(root, 'test-results/torture.json'), JSON.stringify(report, null, 1))
process.exit(ok ? 0 : 1)
