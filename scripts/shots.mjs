// npm run shots: one current picture of each main view, from the demo data.
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { installChromium, root } from './ready.mjs'
import { serve } from './serve.mjs'

installChromium()
const { chromium } = await import('@playwright/test')
const { address, stop } = await serve({ demo: true, from: 4280, quiet: true })
const folder = join(root, 'docs/screenshots')
mkdirSync(folder, { recursive: true })

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
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
  await page.locator('#stage').waitFor()
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
const shots = {
  main: [['Alt+P', 'Alt+B', 'Alt+,', 'P', 'Alt+4']],
  night: [['Alt+P', 'Alt+F'], { cloth: 'dark' }],
  fold: [['Alt+R', 'Alt+Shift+;', 'F']],
  keys: [['Alt+Shift+/']],
  pad: [['Alt+R', 'Alt+X', 'Q']],
  look: [['Alt+Shift+;', 'V']],
  document: [['Alt+B', 'Alt+Shift+-']],
  table: [['Alt+Shift+-']],
  reader: [['Alt+E', 'Alt+Shift+-']],
  line: [['Alt+B', 'Alt+;', 'type stat']],
  trail: [['Alt+R', 'Alt+P', 'Alt+F', 'hold Alt', 'Backquote']],
  loft: [['Alt+P', 'Alt+R', 'Alt+/', 'Space', 'Shift+F', 'Space', 'Shift+R']],
  unstack: [['Alt+.']],
  countdown: [['Alt+E', 'Alt+4']],
}
for (const [name, [keys, options]] of Object.entries(shots))
  if (!only || only === name) await shot(name, keys, options)
await browser.close()
stop()
process.exit(0)
