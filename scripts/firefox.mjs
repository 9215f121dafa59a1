// npm run firefox: the main flows in Debian's Firefox, through WebDriver BiDi.
import { execFileSync } from 'node:child_process'
import { existsSync, mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { isDeepStrictEqual } from 'node:util'
import { installPackages, root } from './ready.mjs'
import { serve } from './serve.mjs'
import { visit } from './visit.mjs'

const FIREFOX = '/usr/bin/firefox-esr'

installPackages()
if (!existsSync(FIREFOX)) {
  console.log('Installing Firefox…')
  const sudo = process.getuid?.() === 0 ? [] : ['sudo']
  for (const args of [
    ['apt-get', 'update'],
    ['apt-get', 'install', '-y', 'firefox-esr'],
  ]) {
    const [command, ...rest] = [...sudo, ...args]
    execFileSync(command, rest, { stdio: ['ignore', 'ignore', 'inherit'] })
  }
}
const { default: puppeteer } = await import('puppeteer-core')
const { address, stop } = await serve({ demo: true, from: 4320, quiet: true })
const browser = await puppeteer.launch({ browser: 'firefox', executablePath: FIREFOX })
const page = await browser.newPage()
await page.setViewport({ width: 1280, height: 800 })
// As from a person's second visit on.
await visit(page, address)
const problems = []
page.on('pageerror', (error) => problems.push(String(error)))

const sleep = (time) => new Promise((resolve) => setTimeout(resolve, time))
// As text: what stands in it twice would come only once.
const state = async () =>
  JSON.parse(await page.evaluate(() => JSON.stringify(window.kiteShelf.state())))
const visible = (selector) =>
  page.evaluate((sought) => document.querySelector(sought)?.checkVisibility() ?? false, selector)
/** Presses chords as they are written: `Alt+Shift+B`. */
async function press(...chords) {
  for (const chord of chords) {
    const keys = chord.split(/(?<=.)\+(?=.)/)
    const last = keys.pop()
    for (const key of keys) await page.keyboard.down(key)
    await page.keyboard.press(last)
    for (const key of keys.reverse()) await page.keyboard.up(key)
  }
  await sleep(150)
}
const type = async (text) => {
  await page.keyboard.type(text)
  await sleep(150)
}

let failed = 0
async function flow(name, run) {
  try {
    const problem = (await run()) ?? problems.splice(0).join('; ')
    if (problem) throw new Error(problem)
    console.log(`passed  ${name}`)
  } catch (error) {
    failed++
    console.log(`FAILED  ${name}: ${error.message}`)
  }
}
const shortly = (value) => JSON.stringify(value).slice(0, 120)
const expected = (what, is, wanted) =>
  isDeepStrictEqual(is, wanted) ? undefined : `${what} is ${shortly(is)}, not ${shortly(wanted)}`

await page.goto(`${address}/demo`)
await page.waitForSelector('#desktop')
await sleep(1500)
await flow('going to a desktop by its letter', async () => {
  await press('Alt+b')
  return expected('the desktop', (await page.title()).split(' ·')[0], 'Bulletin')
})
await flow('typing goes to the focused window', async () => {
  await sleep(1000)
  await type('Fresh snow. ')
  const has = await page.evaluate(() =>
    document.querySelector('.win-focused')?.textContent.includes('Fresh snow.'),
  )
  return expected('typed', has, true)
})
await flow('sending a window, and undo', async () => {
  const { focus } = await state()
  await press('Alt+]', 'r')
  const sent = (await state()).windows[focus].desktop
  await press('Alt+z')
  return expected(
    'it went to and came back to',
    [sent, (await state()).windows[focus].desktop],
    ['rota', 'bulletin'],
  )
})
await flow('the loft opens, is walked, goes', async () => {
  await press('Alt+/')
  if (!(await visible('#loft'))) return 'the loft is not there'
  mkdirSync(join(root, 'test-results'), { recursive: true })
  await page.screenshot({ path: join(root, 'test-results/firefox-loft.png') })
  await press('Shift+m', 'Enter')
  return expected('the desktop', (await page.title()).split(' ·')[0], 'Model')
})
await flow('the line finds and goes', async () => {
  await press('Alt+;')
  await type('handover')
  await press('Enter')
  return expected('the focus', (await state()).focus, 'handover')
})
await flow('unstack picks by a letter', async () => {
  await press('Alt+=')
  if (!(await visible('[aria-label=Unstack]'))) return 'it is not there'
  await press('a')
  return expected('still open', await visible('[aria-label=Unstack]'), false)
})
await flow('the trail picks the window before', async () => {
  const before = (await state()).focus
  await page.keyboard.down('Alt')
  await page.keyboard.press('`')
  await sleep(200)
  const shown = await visible('[aria-label=Trail]')
  await page.keyboard.up('Alt')
  await sleep(200)
  const { focus } = await state()
  return expected('shown, and another picked', [shown, focus !== before], [true, true])
})
await flow('a desktop is made and named', async () => {
  await press('Alt+N')
  await type('Kestrel')
  await press('Enter')
  const names = Object.values((await state()).desktops).map(({ name }) => name)
  return expected('it is there', names.includes('Kestrel'), true)
})
await flow('everything is as it was after a reload', async () => {
  await page.waitForSelector('[data-saving=saved]')
  const before = await state()
  await page.reload()
  await page.waitForSelector('#desktop')
  await sleep(1000)
  return expected('the state', await state(), before)
})
await browser.close()
stop()
console.log(failed ? `${failed} failed` : 'All flows passed')
process.exit(failed ? 1 : 0)
