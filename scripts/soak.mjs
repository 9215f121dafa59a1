// npm run soak: a week of ten hours a day in the demo, whose clock goes fast. What the page holds, what is
// kept and how long a start takes are level in the end, or it fails. Its figures go to docs/reliability.md.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { held } from '../bench/memory.mjs'
import { chromiumFlags, installChromium, installPackages } from './ready.mjs'
import { serve } from './serve.mjs'

const given = (name, otherwise) => {
  const at = process.argv.indexOf(`--${name}`)
  return at > 0 ? Number(process.argv[at + 1]) : otherwise
}
const days = given('days', 7)
const HOUR = 3_600_000
const HOURS = 10
/** How many hours of the demo pass in one of ours. */
const SPEED = given('speed', 400)
/** So much more than on the second day there may be on the last. */
const LEVEL = { windows: 1, megabytes: 1.15, elements: 1.15, listeners: 1.15, start: 1.6 }

installPackages()
installChromium()
const { chromium } = await import('@playwright/test')
const { address, stop } = await serve({ demo: true, from: 4380, quiet: true })
const profile = mkdtempSync(join(tmpdir(), 'kite-soak-'))
const context = await chromium.launchPersistentContext(profile, {
  executablePath: '/usr/bin/chromium',
  args: chromiumFlags,
  viewport: { width: 1280, height: 800 },
})
const page = context.pages()[0] ?? (await context.newPage())
const faults = []
page.on('pageerror', (error) => faults.push(error.message))

let seed = given('seed', 7)
const random = (below) => {
  seed = (seed * 1103515245 + 12345) % 2 ** 31
  return seed % below
}
const run = (id, args = {}) =>
  page.evaluate(([command, about]) => window.kiteShelf.run(command, about), [id, args])

/** What one does in some minutes; whatever is opened is closed again. */
const ACTS = {
  switch: async () => {
    for (let n = 0; n < 8; n++) await page.keyboard.press(random(2) ? 'Alt+.' : 'Alt+,')
  },
  type: async () => {
    await run('window.open', { app: 'document', title: `Notes ${random(40)}` })
    await page.getByRole('textbox', { name: 'Text' }).last().waitFor()
    await page.keyboard.type('What was seen on the way up, and what of it stays. ')
    await page.keyboard.press('Control+s')
    await run('window.close', { discard: true })
  },
  arrange: async () => {
    await run('window.place', { column: random(3), row: random(3) })
    await run('window.move', { dx: random(40) - 20, dy: random(40) - 20 })
    await run('history.undo')
  },
  send: async () => {
    await run('window.send', { to: 'next' })
    await run('history.undo')
  },
  look: async () => {
    await page.keyboard.press('Alt+/')
    await page.waitForTimeout(120)
    await page.keyboard.press('Escape')
  },
  find: async () => {
    await page.keyboard.press('Alt+;')
    await page.keyboard.type('station')
    await page.keyboard.press('Escape')
  },
}
const names = Object.keys(ACTS)

async function day() {
  const until = Date.now() + (HOURS * HOUR) / SPEED
  let acts = 0
  while (Date.now() < until) {
    await ACTS[names[random(names.length)]]()
    acts++
  }
  return acts
}

/** Shut in the evening and opened in the morning: the clock goes on meanwhile. */
async function night() {
  await page.locator('[data-saving="saved"]').waitFor()
  await page.evaluate(
    (asleep) => {
      const kept = JSON.parse(localStorage.getItem('kite-shelf-clock') ?? '{}')
      localStorage.setItem(
        'kite-shelf-clock',
        JSON.stringify({ ...kept, shows: kept.shows + asleep }),
      )
    },
    (24 - HOURS) * HOUR,
  )
  const began = Date.now()
  await page.reload()
  await page.locator('#desktop').waitFor()
  return Date.now() - began
}

async function measured() {
  const client = await context.newCDPSession(page)
  await client.send('Performance.enable')
  await client.send('HeapProfiler.enable')
  await page.waitForTimeout(1500)
  const is = await held(client)
  await client.detach()
  const records = await page.evaluate(async () => {
    const counts = await Promise.all(
      (await indexedDB.databases()).map(
        ({ name }) =>
          new Promise((told) => {
            const asked = indexedDB.open(name)
            asked.onsuccess = () => {
              const base = asked.result
              const stores = [...base.objectStoreNames]
              const all = base.transaction(stores)
              const asks = stores.map((store) => all.objectStore(store).count())
              all.oncomplete = () => {
                base.close()
                told(asks.reduce((sum, { result }) => sum + result, 0))
              }
            }
          }),
      ),
    )
    return counts.reduce((sum, count) => sum + count, 0)
  })
  const kept = await page.evaluate(async () => (await navigator.storage.estimate()).usage)
  const windows = await page.evaluate(() => Object.keys(window.kiteShelf.state().windows).length)
  return { ...is, records, windows, kept: kept / 2 ** 20 }
}

await page.goto(`${address}/demo?displays=one&at=7:30&speed=${SPEED}`)
await page.locator('#desktop').waitFor()
await page.waitForTimeout(2000)
const rows = []
for (let n = 1; n <= days; n++) {
  const acts = await day()
  const is = await measured()
  const start = await night()
  rows.push({ day: n, acts, ...is, start })
  const { megabytes, elements, listeners, records, windows, kept } = is
  console.log(
    `day ${n}: ${acts} acts, ${windows} windows, ${megabytes.toFixed(1)} MB, ${elements} elements, ${listeners} listeners, ${records} records, ${kept.toFixed(1)} MB kept, start ${start} ms`,
  )
}
await context.close()
stop()
rmSync(profile, { recursive: true, force: true })

const [, second = rows[0]] = rows
const last = rows.at(-1)
const risen = Object.entries(LEVEL).filter(([what, most]) => last[what] > second[what] * most)
for (const [what] of risen) console.error(`${what} rose from ${second[what]} to ${last[what]}`)
for (const fault of faults) console.error(`fault in the page: ${fault}`)
console.log(risen.length + faults.length ? 'Not level' : `${days} days, level`)
process.exit(risen.length + faults.length ? 1 : 0)
