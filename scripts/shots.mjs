// npm run shots: one current picture of each main view, from the demo data.
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { chromiumFlags, installChromium, root } from './ready.mjs'
import { serve } from './serve.mjs'

installChromium()
const { chromium } = await import('@playwright/test')
const { address, stop } = await serve({ demo: true, from: 4280, quiet: true })
const folder = join(root, 'docs/screenshots')
mkdirSync(folder, { recursive: true })

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: chromiumFlags,
})

/** A fresh demo at two in the afternoon, driven by keys, and a picture of what it shows. */
async function shot(name, keys, { cloth = 'light', prepare } = {}) {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    colorScheme: cloth,
    reducedMotion: 'reduce',
  })
  const page = await context.newPage()
  await page.clock.setSystemTime(new Date(2026, 2, 4, 13, 46))
  await page.goto(`${address}/demo`)
  await page.locator('#desktop').waitFor()
  await page.waitForTimeout(1500)
  await prepare?.(page)
  for (const key of keys) {
    if (key.startsWith('type ')) await page.keyboard.type(key.slice(5))
    else if (key.startsWith('hold ')) await page.keyboard.down(key.slice(5))
    else await page.keyboard.press(key)
    await page.waitForTimeout(250)
  }
  await page.waitForTimeout(700)
  await page.screenshot({ path: join(folder, `${name}.png`) })
  await context.close()
  console.log(`docs/screenshots/${name}.png`)
}

const only = process.argv[2]

/** Runs commands before the keys. */
const first =
  (...commands) =>
  async (page) => {
    for (const [id, args = {}] of commands)
      await page.evaluate(([command, given]) => window.kiteShelf.run(command, given), [id, args])
    await page.waitForTimeout(1200)
  }

const shots = {
  main: [['Alt+P', 'Alt+F'], { prepare: first(['window.goHome', { window: 'sunday' }]) }],
  night: [['Alt+P', 'Alt+M', 'Alt+6'], { cloth: 'dark' }],
  fold: [['Alt+R', 'Alt+Shift+;', 'F']],
  keys: [['Alt+Shift+/']],
  pad: [['Alt+R', 'Alt+X', 'Q']],
  look: [['Alt+Shift+;', 'V']],
  document: [['Alt+B', 'Alt+Shift+-']],
  inspector: [['Alt+,', 'r', 'Alt+z', 'Alt+Shift+;', 'I']],
  reader: [['Alt+E', 'Alt+Shift+-']],
  line: [['Alt+B', 'Alt+;', 'type stat']],
  trail: [['Alt+R', 'Alt+P', 'Alt+F', 'hold Alt', 'Backquote']],
  loft: [['Alt+P', 'Alt+R', 'Alt+/', 'Space', 'Shift+F', 'Space', 'Shift+R']],
  unstack: [['Alt+.']],
  glance: [['hold Alt', 'Quote', 'b'], { prepare: first(['grid.columns', { columns: 3 }]) }],
  homes: [
    [],
    {
      prepare: async (page) => {
        await first(
          ['home.set', { app: 'table', desktop: 'rota', title: 'Station r*' }],
          ['home.list'],
        )(page)
        await page.getByLabel('App', { exact: true }).selectOption('table')
        await page.getByLabel('Title', { exact: true }).fill('Station readings, Monday')
      },
    },
  ],
  'put-right': [['Alt+Shift+;', 'P']],
  why: [['Alt+8', 'Alt+7', 'Alt+Shift+;', 'Y']],
  solo: [['Alt+8', 'Alt+Enter']],
  pair: [
    [],
    {
      prepare: first(
        ['window.focus', { window: 'line' }],
        ['app.launch', { app: 'drawer' }],
        ['window.pair', { with: 'line' }],
        ['pair.swap'],
      ),
    },
  ],
}
for (const [name, [keys, options]] of Object.entries(shots))
  if (!only || only === name) await shot(name, keys, options)
await browser.close()
stop()
process.exit(0)
