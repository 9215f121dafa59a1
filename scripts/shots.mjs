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
async function shot(name, keys, { cloth = 'light', path = '/demo', prepare } = {}) {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    colorScheme: cloth,
    reducedMotion: 'reduce',
  })
  const page = await context.newPage()
  await page.clock.setSystemTime(new Date(2026, 2, 4, 13, 46))
  await page.goto(`${address}${path}`)
  await page.locator('#desktop').waitFor()
  await page.waitForTimeout(1500)
  await prepare?.(page)
  for (const key of keys) {
    if (key.startsWith('type ')) await page.keyboard.type(key.slice(5))
    else if (key.startsWith('hold ')) await page.keyboard.down(key.slice(5))
    else await page.keyboard.press(key)
    await page.waitForTimeout(250)
  }
  await page.waitForTimeout(1200)
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

/** On a quiet desktop until something has asked for attention. */
async function waited(page) {
  await page.keyboard.press('Alt+B')
  await page.waitForTimeout(500)
  for (const [document, says] of [
    ['stations', 'HR-07 answers again'],
    ['closures', 'road crew: Saddle Road is open'],
  ])
    await first(['attention.report', { document, level: 'mention', says }])(page)
}

/** Forty desktops of a made-up office, with a few windows each. */
async function forty(page) {
  await page.evaluate(async (words) => {
    const { run, state } = window.kiteShelf
    run('start.contexts', { names: words })
    const apps = ['table', 'document', 'messages', 'countdown', 'job', 'reader']
    for (const [at, to] of state().order.entries()) {
      run('desktop.go', { to })
      for (let count = 0; count < (at * 7) % 5; count++)
        run('window.open', {
          app: apps[(at + count) % apps.length],
          title: `${words[at]} ${count + 1}`,
        })
      if (at % 8 === 0) await new Promise((done) => setTimeout(done, 50))
    }
    run('desktop.go', { to: state().order[4] })
    run('apps.fold')
  }, FORTY)
  await page.waitForTimeout(1500)
}

const FORTY =
  'Reception,Accounts,Payroll,Hiring,Legal,Press,Design,Research,Clients,Tenders,Budget,Travel,Library,Archive,Workshop,Stores,Orders,Returns,Fleet,Garden,Canteen,Safety,Training,Network,Servers,Backups,Website,Calendar,Board,Grants,Surveys,Maps,Weather,Radio,Photos,Music,Translations,Complaints,Inventory,Evening'.split(
    ',',
  )

const shots = {
  main: [['Alt+P', 'Alt+F'], { prepare: first(['window.goHome', { window: 'sunday' }]) }],
  night: [['Alt+B', 'Alt+M'], { cloth: 'dark', prepare: waited }],
  fold: [['Alt+R', 'Alt+J', 'F']],
  keys: [['Alt+Shift+/']],
  pad: [['Alt+R', 'Alt+X', 'ArrowLeft', 'ArrowUp']],
  displays: [['Alt+J', 'Z', 'Tab']],
  past: [['Alt+J', 'Shift+B', ',', 'Home', ...Array(7).fill('ArrowRight')]],
  run: [['PageDown', 'PageDown', 'n'], { prepare: first(['run.start']) }],
  log: [['Alt+J', 'Shift+L', ',']],
  line: [['Alt+B', 'Alt+;', 'type stat']],
  trail: [['Alt+R', 'Alt+B', 'Alt+F', 'hold Alt', 'Backquote']],
  loft: [['Alt+P', 'Alt+R', 'Alt+/', 'Space', 'Shift+F', 'Space', 'Shift+R']],
  unstack: [['Alt+=']],
  glance: [['hold Alt', 'BracketLeft', 'b'], { prepare: first(['grid.columns', { columns: 3 }]) }],
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
  look: [['Alt+B', 'Alt+J', 'V']],
  settings: [['Alt+J', 'Shift+S']],
  forty: [['Alt+/'], { path: '/shelf', prepare: forty }],
  plan: [['Alt+B', 'Alt+J', 'Shift+P']],
}
for (const [name, [keys, options]] of Object.entries(shots))
  if (!only || only === name) await shot(name, keys, options)
await browser.close()
stop()
process.exit(0)
