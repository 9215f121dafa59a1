import { expect, type ShelfPage, test } from './shelf'

/** Goes to the desktop that is quiet; what is reported meanwhile comes twenty times as soon. */
async function toQuiet(shelf: ShelfPage): Promise<void> {
  await shelf.page.goto('/demo?displays=one&speed=20')
  await expect(shelf.page.locator('#desktop')).toBeVisible()
  await shelf.press('Alt+B')
}

/** What waits is there from the start, told or not. */
const someWait = (shelf: ShelfPage) =>
  expect.poll(async () => Object.keys((await shelf.state()).attention).length).toBeGreaterThan(0)

test('a mention comes while one writes in quiet: nothing moves; left, it is told, answered, and one is back at the caret', async ({
  shelf,
  page,
}) => {
  await toQuiet(shelf)
  const text = shelf.window('bulletin').locator('[contenteditable=true]')
  await expect(text).toBeFocused()
  await shelf.press('End')
  await page.keyboard.type('So far so good')
  // It waits from the start, and nothing of it is told here.
  await someWait(shelf)
  await expect(page.locator('[data-waits]')).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'quiet', exact: true })).toBeVisible()
  await page.keyboard.type(', and on')
  await expect(text).toContainText('So far so good, and on')
  await expect(page.getByRole('region', { name: 'Digest' })).toBeHidden()
  // One stroke leaves, one answers, one is back at the caret.
  await shelf.press('Alt+R')
  const digest = page.getByRole('region', { name: 'Digest' })
  await expect(digest).toContainText('asks for you')
  await shelf.press('Alt+Home')
  expect(await shelf.here()).toBe('public')
  await expect(digest).toBeHidden()
  const reply = page.getByRole('textbox', { name: /^Reply/ })
  await expect(reply).toBeFocused()
  await page.keyboard.type('On my way')
  await shelf.press('Enter', 'Alt+B')
  expect(await shelf.here()).toBe('bulletin')
  await expect(text).toBeFocused()
  await page.keyboard.type('!')
  await expect(text).toContainText('So far so good, and on!')
  // Seen for two seconds it waits no more; others may by then.
  await shelf.press('Alt+P')
  const waits = async () => (await shelf.state()).attention.line?.says ?? ''
  await expect.poll(waits, { timeout: 9000 }).not.toContain('hut warden')
})

test('axe finds nothing on the digest of what came while one wrote in quiet', async ({
  shelf,
  page,
}) => {
  await toQuiet(shelf)
  await someWait(shelf)
  await shelf.press('Alt+R')
  await expect(page.getByRole('region', { name: 'Digest' })).toBeVisible()
  expect(await shelf.violations()).toEqual([])
})

test('what waits is walked: put off by a typed time, over a reload, and let go', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await expect(page.locator('[data-waits="1"]')).toBeVisible()
  await shelf.press('Alt+J', 'Shift+W')
  const list = page.getByRole('listbox', { name: 'Waiting' })
  await expect(list.getByRole('option')).toHaveCount(1)
  expect(await shelf.violations()).toEqual([])
  await shelf.press('t')
  await page.keyboard.type('soon')
  await expect(page.getByRole('alert').filter({ hasText: 'Type a span' })).toBeVisible()
  await page.getByRole('textbox', { name: /^Put off/ }).fill('20 min')
  await shelf.press('Enter')
  await expect(list.getByRole('option')).toHaveCount(0)
  await shelf.press('Escape')
  await expect(page.locator('[data-waits]')).toHaveCount(0)
  await shelf.reload()
  await shelf.run('attention.list')
  await expect(page.getByRole('dialog', { name: 'Waiting' })).toContainText('asks for you at')
  const { attention } = await shelf.state()
  expect((attention.line?.until ?? 0) - Date.now()).toBeGreaterThan(15 * 60_000)
  await shelf.press('Escape')
  // Another app asks: it is let go in one stroke.
  await shelf.run('attention.report', { document: 'notes', level: 'alarm', says: 'The run failed' })
  await expect(page.locator('[data-waits="1"]')).toContainText('The run failed')
  await shelf.run('attention.list')
  await shelf.press('l', 'Escape')
  await expect(page.locator('[data-waits]')).toHaveCount(0)
})

test('quiet until a time, with what comes through named; by menu and by key', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+J', 'Shift+Space')
  const dialog = page.getByRole('dialog', { name: 'Quiet on Field' })
  await dialog.getByRole('textbox', { name: 'until' }).fill('45 min')
  await dialog.getByRole('textbox', { name: 'let through' }).fill('messages, *station*')
  expect(await shelf.violations()).toEqual([])
  await shelf.press('Enter')
  const { quiet } = (await shelf.state()).desktops.field ?? {}
  expect(quiet).toMatchObject({ on: true, lets: ['messages', '*station*'] })
  // What was named comes through.
  await expect(page.locator('[data-waits]')).toBeVisible()
  await shelf.press('Alt+J', 'Space')
  await expect(shelf.said()).toContainText('Field is not quiet any more')
  await shelf.press('Alt+Z')
  expect((await shelf.state()).desktops.field?.quiet?.on).toBe(true)
  await shelf.row('Field').getByRole('button').first().click({ button: 'right' })
  await page.getByRole('menuitemcheckbox', { name: /^Quiet/ }).click()
  expect((await shelf.state()).desktops.field?.quiet?.on).toBe(false)
})

test('five hundred reports of one app are told together, and cost one drawing', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await expect(page.locator('[data-waits="1"]')).toBeVisible()
  await shelf.run('attention.letGo')
  await page.evaluate(() => {
    for (let at = 0; at < 500; at++)
      window.kiteShelf?.run('attention.report', {
        document: 'stations',
        level: 'mention',
        says: `reading ${at}`,
      })
  })
  await shelf.press('Alt+R')
  await expect(page.locator('[data-waits="1"]')).toContainText('reading 499')
})
