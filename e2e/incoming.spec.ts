import type { Page } from '@playwright/test'
import { expect, test } from './shelf'

/** Drops what another program gives onto a place of the page. */
async function drop(page: Page, onto: string, given: Record<string, string>): Promise<void> {
  const dataTransfer = await page.evaluateHandle((all) => {
    const data = new DataTransfer()
    for (const [type, text] of Object.entries(all)) data.setData(type, text)
    return data
  }, given)
  for (const type of ['dragover', 'drop']) await page.dispatchEvent(onto, type, { dataTransfer })
}

/** Pastes a text where the keys are. */
const paste = (page: Page, text: string) =>
  page.evaluate((given) => {
    const clipboardData = new DataTransfer()
    clipboardData.setData('text/plain', given)
    const event = new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true })
    ;(document.activeElement ?? document.body).dispatchEvent(event)
  }, text)

test('an address, a text or a file dropped on a row becomes a window there, and one stays where one is', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({ Here: { Note: 'document' }, There: {} })
  const row = `[data-desktop-row="${id('There')}"]`
  await drop(page, row, { 'text/uri-list': 'https://example.org/forecast?day=2' })
  await expect(shelf.said()).toContainText('Opened “example.org” on There')
  await drop(page, row, { 'text/plain': 'Fresh snow\n\nAbove 1,800 m.' })
  await expect(shelf.said()).toContainText('Opened “Fresh snow” on There')
  const { windows, desktops } = await shelf.state()
  const apps = desktops[id('There')]?.windows.map((one) => windows[one]?.app)
  expect(apps).toEqual(['web', 'document'])
  expect(await shelf.here()).toBe(id('Here'))
  // What was put there last has the keys when one comes.
  await shelf.run('desktop.go', { to: id('There') })
  await page.keyboard.type('New: ')
  await expect(page.locator('.win-focused [contenteditable=true]')).toContainText('New: ')
  await expect(page.locator('.win-focused')).toContainText('Above 1,800 m.')
  await shelf.press('Alt+Z', 'Alt+Z')
  expect((await shelf.state()).desktops[id('There')]?.windows).toEqual([])
})

test('on the bare desktop, the line or the loose thread it opens too; over a window it is the window’s', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({ Here: {} })
  const count = async () => Object.keys((await shelf.state()).windows).length
  await drop(page, '#desktop', { 'text/plain': 'https://example.org' })
  await expect.poll(count).toBe(1)
  await drop(page, '[aria-label="Line"]', { 'text/plain': 'Call the pass station' })
  await expect.poll(count).toBe(2)
  await drop(page, '[data-app=web] .hem', { 'text/plain': 'Nothing of this' })
  await page.waitForTimeout(300)
  expect(await count()).toBe(2)
  await drop(page, '[data-thread]', { 'text/uri-list': 'https://example.net/map' })
  await expect.poll(count).toBe(3)
  const { desktops, order } = await shelf.state()
  expect(order.map((one) => desktops[one]?.name)).toEqual(['Here', 'example.net'])
  expect(await shelf.here()).not.toBe(id('Here'))
})

test('pasted where nothing is typed it becomes a window: on the bare desktop, or on the row with the keys', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({ Here: {}, There: {} })
  await paste(page, 'https://example.org/pass')
  await expect(shelf.said()).toContainText('Opened “example.org”')
  // With a window in front a paste is for that window.
  await page.locator('.win-focused .hem').click()
  await expect(page.locator('.win-focused:focus-within')).toBeVisible()
  await paste(page, 'For nobody')
  expect(Object.keys((await shelf.state()).windows)).toHaveLength(1)
  await shelf.press('Alt+Shift+;', 'k')
  await shelf.press('ArrowDown')
  await expect(page.locator(`[data-desktop-row="${id('There')}"] [data-row-name]`)).toBeFocused()
  await paste(page, 'Wind from the north')
  await expect(shelf.said()).toContainText('Opened “Wind from the north” on There')
})

test('an address that is added by a bookmark of another page opens on the desktop with that letter, once', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({ Here: {}, There: {} })
  const letter = (await shelf.state()).desktops[id('There')]?.letter ?? ''
  await shelf.kept()
  const added = encodeURIComponent('https://example.org/pass?day=2')
  await page.goto(`/shelf?add=${added}&on=${letter.toLowerCase()}`)
  await expect(shelf.said()).toContainText('Opened “example.org” on There')
  expect(new URL(page.url()).search).toBe('')
  await shelf.kept()
  await shelf.reload()
  expect(Object.keys((await shelf.state()).windows)).toHaveLength(1)
  await page.goto(`/shelf?add=${added}&on=7`)
  await expect(shelf.said()).toContainText(
    'No desktop answers to 7. “example.org” was opened here.',
  )
})

test('a link leads back to a desktop and to a document, from anywhere, once', async ({
  shelf,
  page,
}) => {
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write'])
  await shelf.furnish({ Field: { Notes: 'document' }, Model: { Output: 'table' } })
  const copied = () => page.evaluate(() => navigator.clipboard.readText())
  await shelf.press('Alt+;')
  await page.keyboard.type('copy link to this desktop')
  await shelf.press('Enter')
  await expect(page.locator('[data-said]')).toContainText('Copied a link to “Field”')
  const toField = await copied()
  await shelf.run('window.copyLink')
  await expect.poll(copied).not.toBe(toField)
  const toNotes = await copied()
  await shelf.run('desktop.go', { to: 'Model' })
  // From another program: a page of its own, which begins there.
  await page.goto('about:blank')
  await page.goto(toField)
  await expect(shelf.row('Field')).toHaveClass(/row-current/)
  expect(new URL(page.url()).hash).toBe('')
  await shelf.run('desktop.go', { to: 'Model' })
  // On this page: the document’s window, or a new one.
  await page.evaluate((to) => location.assign(to), toNotes)
  await expect(page.locator('.win-focused')).toHaveAttribute('aria-label', /Notes/)
  await shelf.run('window.close')
  await shelf.run('desktop.go', { to: 'Model' })
  await page.evaluate((to) => location.assign(to), toNotes)
  await expect(page.locator('.win-focused')).toHaveAttribute('aria-label', /Notes/)
  // In a second page the shelf has to come there first.
  const second = await page.context().newPage()
  await second.goto(toField)
  await second.getByRole('button', { name: 'Use it here' }).click()
  await expect(second.locator('[data-desktop-row].row-current')).toContainText('Field')
  await second.close()
  await page.reload()
  await expect(shelf.row('Field')).toBeVisible()
  await page.evaluate(() => location.assign('#go=gone%'))
  await expect(page.locator('[data-said]')).toContainText(
    'What this link leads to is not on this shelf.',
  )
})
