// npm run torture: random commands stored and loaded, faults of the store, mutated imports, also in
// the page, hostile files, and browsers killed while they write. Its figures go to docs/reliability.md.
import { spawn, spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { build, chromiumFlags, installChromium, installPackages, root } from './ready.mjs'
import { endWith } from './run.mjs'
import { serve } from './serve.mjs'
import { updates } from './updates.mjs'
import { visit } from './visit.mjs'

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
  pages: given('pages', 200),
  kills: given('kills', 300),
  updates: given('updates', 1),
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
    const child = endWith(
      spawn(
        join(root, 'node_modules/.bin/jest'),
        ['--config', 'torture/jest.config.mjs', '--runInBand', '--forceExit'],
        { cwd: root, env, stdio: ['ignore', 'inherit', 'inherit'] },
      ),
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
  const child = endWith(
    spawn(
      '/usr/bin/chromium',
      [
        '--headless',
        ...chromiumFlags,
        '--remote-debugging-port=0',
        `--user-data-dir=${folder}`,
        'about:blank',
      ],
      { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
    ),
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

/** What is going on when the browser is killed. */
const MOMENTS = ['typing', 'importing', 'saving 2 MB', 'taking over', 'first start']

/** A shelf file with very much in it, as text. */
const MUCH = 'Snow on the ridge, wind from the west. '.repeat(54_000)

/** Exports the shelf, and brings it in again. */
async function importing(page, log) {
  const [file] = await Promise.all([
    page.waitForEvent('download', { timeout: 8000 }),
    page.evaluate(() => window.kiteShelf.run('shelf.export')),
  ])
  const buffer = readFileSync(await file.path())
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser', { timeout: 8000 }),
    page.evaluate(() => window.kiteShelf.run('shelf.import')),
  ])
  await chooser.setFiles(
    { name: 'shelf.kite.json', mimeType: 'application/json', buffer },
    { timeout: 8000 },
  )
  await page.getByRole('button', { name: 'Import' }).click({ timeout: 5000 })
  // It brings back what was called otherwise when it was exported: that is no loss.
  log.splice(0, log.length, ...log.filter(([kind]) => kind !== 'change'))
}

/**
 * A page that makes changes and types without pause, or at the pace of a person, killed at a random
 * moment of what is going on.
 */
async function kill(address, folder, { moment, human }) {
  const { page, pid, child } = await browser(folder)
  const log = []
  await page.exposeFunction('tell', (kind, n, at) => log.push([kind, n, at]))
  // The offline worker is in control, as from a person's second visit on.
  await visit(page, address)
  await page.goto(`${address}/shelf`)
  const killed = async (result) => {
    const at = Date.now()
    process.kill(-pid, 'SIGKILL')
    await new Promise((resolve) =>
      child.exitCode === null ? child.once('exit', resolve) : resolve(),
    )
    return { log, at, result }
  }
  if (moment === 'first start') {
    await sleep(Math.random() * 900)
    return killed(null)
  }
  await page.locator('#desktop').waitFor()
  const found = await page.evaluate(async () => {
    const { desktops, windows } = window.kiteShelf.state()
    const steps = window.kiteShelf.steps().length
    const name = desktops.first.name
    const undone = steps ? window.kiteShelf.run('history.undo').ok : true
    const back = undone && (!steps || window.kiteShelf.run('history.redo').ok)
    return {
      n: Number(name.replace(/\D/g, '') || 0),
      windows: Object.keys(windows).length,
      steps,
      undone: back && window.kiteShelf.state().desktops.first.name === name,
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
  await page.evaluate(() => {
    const all = Object.values(window.kiteShelf.state().windows)
    for (const { id, app } of all)
      window.kiteShelf.run(app === 'document' ? 'window.focus' : 'window.close', { window: id })
  })
  await text.focus()
  await page.keyboard.press('Control+End')
  // What is on screen counts from the moment it is there.
  await page.evaluate(
    ([from, every]) => {
      let n = from
      setInterval(() => {
        const name = `Desk ${n + 1}`
        // A page that another one takes the shelf from refuses what comes then.
        if (!window.kiteShelf.run('desktop.rename', { desktop: 'first', name }).ok) return
        window.tell('change', ++n, Date.now())
        window.tell('steps', window.kiteShelf.steps().length, Date.now())
      }, every)
    },
    [found.n, human ? 300 : 15],
  )
  const started = Date.now()
  const lasts = 500 + Math.random() * (human ? 2500 : 1200)
  let number = typed
  const type = async () => {
    await page.keyboard.insertText(` ${++number}`)
    log.push(['typed', number, Date.now()])
    await sleep(human ? 150 : 20)
  }
  while (Date.now() - started < lasts) await type()
  // Where the browser gives no file in time, it is killed while one types.
  if (moment === 'importing')
    await importing(page, log).catch((why) =>
      console.log(`not importing: ${why.message.split('\n')[0]}`),
    )
  if (moment === 'saving 2 MB')
    await page.evaluate(
      ([much]) => {
        const data = new DataTransfer()
        data.items.add(new File([much], 'Much.txt', { type: 'text/plain' }))
        const drop = new DragEvent('drop', { dataTransfer: data, bubbles: true, cancelable: true })
        document.querySelector('#desktop').dispatchEvent(drop)
      },
      [MUCH],
    )
  if (moment === 'taking over') {
    const second = await page.context().newPage()
    await second.goto(`${address}/shelf`)
    await second
      .getByRole('button', { name: 'Use it here' })
      .click({ timeout: 8000 })
      .catch(() => console.log('not taken over in time'))
  }
  if (moment !== 'typing') await sleep(Math.random() * 700)
  return killed(result)
}

/** How long before the kill the first change was made that is not there any more, in milliseconds. */
const lostSince = ({ log, at }, kind, there) => {
  const first = log.find(([one, n]) => one === kind && n > there)
  return first ? at - first[2] : 0
}

/** How many of a kind are not there any more. */
const lostOf = ({ log }, kind, there) => log.filter(([one, n]) => one === kind && n > there).length

async function kills(count, load) {
  const { address, stop } = await serve({ from: 4290, quiet: true })
  const folder = mkdtempSync(join(tmpdir(), 'kite-kill-'))
  const burning = load
    ? [1, 2].map(() => spawn(process.execPath, ['-e', 'for (;;) Math.sqrt(Math.random())']))
    : []
  const lost = []
  const notices = []
  const sum = { shelves: 0, changes: 0, letters: 0, steps: 0, worstSteps: 0, notUndone: 0 }
  let last = null
  for (let round = 0; round <= count; round++) {
    const moment = last ? MOMENTS[round % MOMENTS.length] : 'typing'
    const fresh = moment === 'first start'
    const place = fresh ? mkdtempSync(join(tmpdir(), 'kite-kill-')) : folder
    const now = await kill(address, place, { moment, human: round % 2 === 1 })
    if (fresh) {
      // What was killed at its very first start opens all the same.
      const again = await kill(address, place, { moment: 'typing', human: false })
      if (again.result.notices.length) notices.push(...again.result.notices)
      rmSync(place, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 })
      continue
    }
    notices.push(...now.result.notices)
    if (last) {
      if (now.result.windows === 0 || now.result.n === 0) sum.shelves++
      if (!now.result.undone) sum.notUndone++
      const changes = lostOf(last, 'change', now.result.n)
      const letters = lostOf(last, 'typed', now.result.typed)
      const had = last.log.findLast(([kind]) => kind === 'steps')?.[1] ?? 0
      // A change that is lost takes its step along.
      const steps = Math.max(0, had - now.result.steps - changes)
      sum.changes += changes
      sum.letters += letters
      sum.steps += steps
      sum.worstSteps = Math.max(sum.worstSteps, steps)
      const both = [
        lostSince(last, 'change', now.result.n),
        lostSince(last, 'typed', now.result.typed),
      ]
      lost.push(...both)
      if (Math.max(...both) > 300 || steps > 1)
        console.log(
          `round ${round}, ${last.moment}: ${both.join(' and ')} ms, ${changes} changes, ${letters} letters, ${steps} steps of ${had}; ${now.result.notices[0] ?? 'nothing told'}`,
        )
    }
    last = { ...now, moment }
    if (round % 20 === 0)
      console.log(
        `killed ${round} of ${count}${load ? ', loaded' : ''}: worst ${Math.max(0, ...lost)} ms, ${JSON.stringify(sum)}`,
      )
  }
  for (const one of burning) one.kill()
  stop()
  rmSync(folder, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 })
  const sorted = lost.toSorted((a, b) => a - b)
  return {
    kills: count,
    gone: sum.shelves,
    ...sum,
    median: sorted[Math.floor(sorted.length / 2)] ?? 0,
    worst: sorted.at(-1) ?? 0,
    over300: lost.filter((time) => time > 300).length,
    notices: [...new Set(notices)],
  }
}

/** Mutated files brought into a page, with a reload after each. */
function pages() {
  build()
  const { status } = spawnSync('npx', ['playwright', 'test', 'e2e/mutated'], {
    cwd: root,
    env: {
      ...process.env,
      TORTURE_PAGES: String(wanted.pages),
      TORTURE_SEED: String(wanted.seed),
    },
    stdio: 'inherit',
  })
  return status === 0
}

const began = Date.now()
const halves = wanted.commands + wanted.imports > 0 ? await Promise.all([jest(0), jest(1)]) : []
const sums = {}
for (const { lines } of halves)
  for (const line of lines)
    for (const [name, value] of Object.entries(line)) sums[name] = (sums[name] ?? 0) + value
const inPages = wanted.pages === 0 || pages()
const quiet = wanted.kills ? await kills(Math.ceil(wanted.kills / 2), false) : null
const loaded = wanted.kills ? await kills(Math.floor(wanted.kills / 2), true) : null
const updated = wanted.updates ? await updates() : []
for (const wrong of updated) console.log(`updated, ${wrong}: not so`)
const ok =
  halves.every((half) => half.ok) &&
  inPages &&
  [quiet, loaded].every((one) => !one?.gone) &&
  updated.length === 0
const report = {
  when: new Date().toISOString().slice(0, 10),
  wanted,
  sums,
  inPages,
  quiet,
  loaded,
  updated,
  ok,
}
console.log(JSON.stringify(report, null, 1))
console.log(
  `${Math.round((Date.now() - began) / 60_000)} minutes, ${ok ? 'nothing lost' : 'something failed'}`,
)
mkdirSync(join(root, 'test-results'), { recursive: true })
writeFileSync(join(root, 'test-results/torture.json'), JSON.stringify(report, null, 1))
process.exit(ok ? 0 : 1)
