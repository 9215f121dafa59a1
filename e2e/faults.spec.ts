import type { Page } from '@playwright/test'
import { AT_START, HURRIED, MIDWAY } from './faults'
import { expect, ShelfPage, test } from './shelf'

const health = (page: Page, part: string) => page.locator(`[data-health="${part}"]`)

/** A start with a fault is a shelf one can work with; what is missing is told. */
const WORKS: [fault: string, part: string, says: RegExp][] = [
  ['no locks', 'tabs', /stay in step/],
  ['no channels', 'tabs', /keeps tabs apart/],
  ['no workers', 'workers', /the page does it/],
  ['workers that die', 'workers', /the page does it/],
  ['silent workers', 'workers', /the page does it/],
  ['no session storage', 'database', /saved/],
  ['no local storage', 'database', /saved/],
  ['no private files', 'copy', /no place for a second copy/],
  ['private files denied', 'copy', /no place for a second copy/],
  ['silent file handles', 'copy', /can’t be opened. The browser doesn’t answer/],
  ['silent folder', 'copy', /can’t be opened. The browser doesn’t answer/],
  ['no writing to files', 'copy', /can’t be written. The disk is full/],
  ['failing writes', 'database', /storage is full/],
  ['silent writes', 'database', /doesn’t answer as it should/],
  ['no idle time', 'database', /saved/],
  ['no offline worker', 'database', /saved/],
]

for (const [fault, part, says] of WORKS)
  test(`with ${fault} the shelf opens, can be worked with, and says so`, { tag: '@apart' }, async ({
    shelf,
    page,
  }) => {
    shelf.expected = /./
    await page.addInitScript(HURRIED)
    await page.addInitScript(AT_START[fault] ?? '')
    await shelf.open('shelf')
    await shelf.press('Alt+1')
    await expect(page.getByRole('textbox', { name: 'Text' })).toBeFocused()
    await page.keyboard.type('kept')
    await expect(page.getByRole('textbox', { name: 'Text' })).toHaveText('kept')
    await shelf.run('shelf.health')
    await expect(health(page, part)).toContainText(says, { timeout: 30_000 })
    await page.screenshot({ path: `test-results/faults/${fault}.png` })
    if (/writes/.test(fault)) return
    await shelf.press('Escape')
    await shelf.reload()
    await expect(page.getByRole('textbox', { name: 'Text' })).toHaveText('kept')
  })

test('with silent files the second start opens too, and says that the second copy does not', {
  tag: '@apart',
}, async ({ shelf, page }) => {
  await shelf.open('shelf')
  await shelf.run('desktop.rename', { name: 'Kept' })
  await shelf.kept()
  await page.addInitScript(AT_START['silent files'] ?? '')
  await shelf.reload()
  expect(await shelf.rowNames()).toEqual(['Kept'])
  await page.getByRole('button', { name: 'Second copy' }).click()
  await expect(health(page, 'copy')).toContainText('can’t be opened. The browser doesn’t answer')
})

/** A start that cannot be is a page that says why, with the ways on. */
for (const fault of [
  'silent database',
  'database denied',
  'no database',
  'silent reads',
  'failing reads',
])
  test(`with ${fault} the page says what is wrong and what can be done`, { tag: '@apart' }, async ({
    shelf,
    page,
  }) => {
    shelf.expected = /./
    await page.addInitScript(HURRIED)
    await page.addInitScript(AT_START[fault] ?? '')
    await page.goto('/shelf')
    if (fault.startsWith('silent'))
      await expect(page.getByText('Waiting for the database')).toBeVisible()
    await expect(page.getByRole('heading', { name: 'could not be read' })).toBeVisible({
      timeout: 40_000,
    })
    await page.screenshot({ path: `test-results/faults/${fault}.png` })
    await page.getByRole('button', { name: 'Work without saving' }).click()
    await shelf.press('Alt+1')
    await expect(page.getByRole('textbox', { name: 'Text' })).toBeFocused()
    await expect(
      page.getByRole('alert').filter({ hasText: 'Nothing is being saved' }),
    ).toBeVisible()
  })

test('where the page is not served securely tabs keep out of each other’s way all the same', {
  tag: '@apart',
}, async ({ shelf, page, context, baseURL }) => {
  shelf.expected = /./
  const address = (baseURL ?? '').replace('localhost', 'shelf.test')
  await page.goto(`${address}/shelf`)
  await expect(page.locator('#desktop')).toBeVisible()
  expect(await page.evaluate(() => [isSecureContext, 'locks' in navigator])).toEqual([false, false])
  await shelf.run('desktop.rename', { name: 'Plain' })
  await shelf.press('Alt+1')
  await page.keyboard.type('insecure, but kept')
  await expect(page.getByRole('textbox', { name: 'Text' })).toHaveText('insecure, but kept')
  await shelf.kept()
  const second = await context.newPage()
  await second.goto(`${address}/shelf`)
  await expect(second.getByRole('heading', { name: 'open in another tab' })).toBeVisible()
  await second.getByRole('button', { name: 'Use it here' }).click()
  const there = new ShelfPage(second)
  await expect(second.locator('#desktop')).toBeVisible()
  expect(await there.rowNames()).toEqual(['Plain'])
  await expect(second.getByRole('textbox', { name: 'Text' })).toHaveText('insecure, but kept')
  await expect(page.getByRole('heading', { name: 'open in another tab' })).toBeVisible()
  await there.run('shelf.health')
  await expect(health(second, 'copy')).toContainText('no place for a second copy')
  await expect(health(second, 'offline')).toContainText('isn’t served securely')
})

test('where what looks through the texts falls silent, it is begun anew, elsewhere', {
  tag: '@apart',
}, async ({ shelf, page }) => {
  await page.addInitScript(HURRIED)
  await page.addInitScript(MIDWAY['the log’s worker falls silent'] ?? '')
  await shelf.open()
  const line = page.getByRole('dialog', { name: 'Line' })
  await shelf.press('Alt+;')
  await page.keyboard.type('two old slides')
  await expect(line.getByRole('option').first()).toContainText('two old slides at 1,950 m')
  await page.evaluate(() => Object.assign(window, { broken: true }))
  await page.keyboard.press('Control+A')
  await page.keyboard.type('one collapse heard')
  await page.keyboard.press('Enter')
  await expect(line).toBeHidden({ timeout: 30_000 })
  await expect(page.locator('.win-focused [role=gridcell][aria-selected=true]')).toContainText(
    'one collapse heard',
  )
})

/** What fails while one works is told at once, and taken back when it works again. */
const LATER: [fault: string, part: string, says: RegExp][] = [
  ['writes begin to fail', 'database', /storage is full/],
  ['writes fall silent', 'database', /doesn’t answer as it should/],
  ['files begin to fail', 'copy', /can’t be written. The disk is full/],
  ['files fall silent', 'copy', /can’t be written. The browser doesn’t answer/],
  ['the log’s worker dies', 'workers', /the page does it/],
  ['the log’s worker falls silent', 'workers', /the page does it/],
]

for (const [fault, part, says] of LATER)
  test(`when ${fault} that is told; nothing typed is lost`, { tag: '@apart' }, async ({
    shelf,
    page,
  }) => {
    shelf.expected = /./
    test.setTimeout(120_000)
    await page.addInitScript(HURRIED)
    await page.addInitScript(MIDWAY[fault] ?? '')
    await shelf.open('shelf')
    await shelf.press('Alt+1')
    await page.keyboard.type('before')
    await shelf.kept()
    const broken = (is: boolean) =>
      page.evaluate((now) => Object.assign(window, { broken: now }), is)
    await broken(true)
    await page.keyboard.type(' after')
    const text = page.getByRole('textbox', { name: 'Text' })
    await expect(text).toHaveText('before after')
    await shelf.run('shelf.health')
    // A worker that says nothing is waited for some seconds, twice.
    await expect(health(page, part)).toContainText(says, { timeout: 60_000 })
    await page.screenshot({ path: `test-results/faults/${fault}.png` })
    await shelf.press('Escape')
    await broken(false)
    await expect(text).toBeFocused()
    await page.keyboard.type(' again')
    await expect(text).toHaveText('before after again')
    if (part === 'database' || part === 'copy') {
      await shelf.run('shelf.health')
      await expect(health(page, part)).toContainText('Good', { timeout: 40_000 })
      await shelf.press('Escape')
    }
    await shelf.reload()
    await expect(text).toHaveText('before after again')
  })
