import type { Page } from '@playwright/test'
import { expect, type ShelfPage, test } from './shelf'

/** What the service was sent, in order; it answers as it is told to, after a while. */
async function service(page: Page, answers: (text: string) => number, takes = 600) {
  const posted: string[] = []
  await page.route('**/api/messages', async (route) => {
    const { text } = route.request().postDataJSON() as { text: string }
    posted.push(text)
    await new Promise((done) => setTimeout(done, takes))
    const status = answers(text)
    await route.fulfill({ status, json: status === 200 ? { ok: true } : { error: 'no' } })
  })
  return posted
}

/** A window of messages with a thread in it. */
async function talking(shelf: ShelfPage, page: Page) {
  await page.goto('/shelf?speed=60')
  await expect(page.locator('#desktop')).toBeVisible()
  await shelf.press('Alt+5')
  const window = page.locator('[data-app="messages"]')
  await expect(window.getByRole('log')).toContainText('Forecaster')
  return { window, field: window.getByLabel(/^Reply to/), log: window.getByRole('log') }
}

test('replies go out in their order, each is marked by the answer to itself, over a reload too', async ({
  shelf,
  page,
}) => {
  shelf.expected = /503|400|Failed to load/
  let down = true
  const posted = await service(page, (text) => (text === 'Two' ? 400 : down ? 503 : 200))
  const { window, field, log } = await talking(shelf, page)
  for (const text of ['One', 'Two', 'Three']) {
    await field.fill(text)
    await shelf.press('Enter')
    await page.waitForTimeout(300)
  }
  await expect(log.getByText('One').locator('..')).toContainText('Waiting')
  expect(new Set(posted)).toEqual(new Set(['One']))
  await shelf.reload()
  await expect(log.getByText('Three').locator('..')).toContainText('Waiting')
  down = false
  await expect(log.getByText('Three').locator('..')).not.toContainText('Waiting', {
    timeout: 20_000,
  })
  const order = posted.filter((text, at) => posted.indexOf(text) === at)
  expect(order).toEqual(['One', 'Two', 'Three'])
  const two = log.getByText('Two').locator('..')
  await expect(two).toContainText('Not sent: the service refused it')
  // What was refused is shortened, or taken away; it holds nothing else up.
  await two.getByRole('button', { name: 'Edit' }).click()
  await expect(field).toHaveValue('Two')
  await expect(log.getByText('Two')).toHaveCount(0)
  expect(await shelf.violations()).toEqual([])
  await expect(window).toBeVisible()
})

test('a reply that is too long is told before it is sent', async ({ shelf, page }) => {
  const posted = await service(page, () => 200, 0)
  const { window, field, log } = await talking(shelf, page)
  await field.fill('x'.repeat(3512))
  await shelf.press('Enter')
  await expect(window.getByRole('alert')).toContainText('12 letters too many')
  expect(posted).toEqual([])
  await field.fill('x'.repeat(3500))
  await expect(window.getByRole('alert')).toHaveCount(0)
  await field.press('Enter')
  await expect.poll(() => posted.length).toBe(1)
  await expect(log.getByText('Waiting')).toHaveCount(0)
})

test('a reply begun in the line goes to whom it was begun to, whoever asks meanwhile', async ({
  shelf,
  page,
}) => {
  const posted = await service(page, () => 200, 0)
  await talking(shelf, page)
  await shelf.press('Alt+N', 'Enter')
  const tethers = page.getByRole('list', { name: 'Tethers' })
  await tethers.getByRole('button', { name: 'reply' }).click()
  const field = tethers.getByRole('textbox', { name: /^Reply to/ })
  const to = (await field.getAttribute('aria-label')) ?? ''
  await page.keyboard.type('Half a ')
  // Others write, and ask for the person, every 0.75 seconds.
  const says = tethers.getByRole('listitem').first().getByRole('button').first()
  const before = (await says.getAttribute('title')) ?? ''
  await expect(says).not.toHaveAttribute('title', before, { timeout: 20_000 })
  await page.waitForTimeout(4000)
  await page.keyboard.type('sentence')
  await expect(field).toHaveAttribute('aria-label', to)
  await shelf.press('Enter')
  await expect.poll(() => posted).toEqual(['Half a sentence'])
  await shelf.press('Alt+\\')
  const window = page.locator('[data-app="messages"]')
  await window.getByRole('button', { name: to.replace('Reply to ', ''), exact: false }).click()
  await expect(window.getByRole('log')).toContainText('Half a sentence')
})

test('a reply is held for a while: it is taken back by key and by push, with its files, and goes out when the window is shut', async ({
  shelf,
  page,
}) => {
  test.setTimeout(120_000)
  const posted = await service(page, () => 200, 0)
  await page.goto('/shelf')
  await expect(page.locator('#desktop')).toBeVisible()
  await shelf.run('window.open', { app: 'document', title: 'Call sheet' })
  await shelf.press('Alt+5')
  const window = page.locator('[data-app="messages"]')
  await window.getByLabel('Start a thread with').fill('hut warden')
  await shelf.press('Enter')
  const field = window.getByLabel('Reply to hut warden')
  await expect(field).toBeFocused()
  await page.keyboard.type('Hold them')
  await window.getByRole('button', { name: 'Attach a file' }).click()
  await page.keyboard.type('no such file')
  await shelf.press('Enter')
  await expect(window.getByRole('alert')).toHaveText('No file has that title.')
  await window.getByLabel('File to attach').fill('call sheet')
  await shelf.press('Enter')
  await expect(field).toBeFocused()
  await shelf.reload()
  await expect(window.getByRole('button', { name: 'Call sheet', exact: true })).toBeVisible()
  await field.press('Enter')
  const log = window.getByRole('log')
  await expect(log).toContainText('Hold themSending')
  await shelf.press('Control+z')
  await expect(field).toHaveValue('Hold them')
  await expect(log.getByText('Sending')).toHaveCount(0)
  await field.press('Enter')
  await log.getByRole('button', { name: 'Undo' }).click()
  await expect(field).toHaveValue('Hold them')
  await expect(field).toBeFocused()
  await shelf.press('Enter')
  await log.getByRole('button', { name: 'Call sheet' }).click()
  await expect(page.locator('.win-focused')).toHaveAttribute('aria-label', /Call sheet/)
  expect(posted).toEqual([])
  expect(await shelf.violations()).toEqual([])
  const id = (await window.getAttribute('data-window')) ?? ''
  await shelf.run('window.close', { window: id })
  await expect.poll(() => posted).toEqual(['Hold them'])
})

test('who writes is seen to write before the message is there', async ({ shelf, page }) => {
  await page.goto('/shelf?speed=6')
  await expect(page.locator('#desktop')).toBeVisible()
  await shelf.press('Alt+5')
  const window = page.locator('[data-app="messages"]')
  await expect(window.getByRole('log')).toContainText('Forecaster', { timeout: 20_000 })
  const threads = window.getByRole('navigation', { name: 'Threads' })
  await threads.getByText('writing').waitFor({ timeout: 40_000 })
})
