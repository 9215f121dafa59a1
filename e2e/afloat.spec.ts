import type { Page } from '@playwright/test'
import { expect, type ShelfPage, test } from './shelf'

/** The small window with the line, as the browser opens it. */
async function floated(shelf: ShelfPage, page: Page): Promise<Page> {
  const [small] = await Promise.all([
    page.context().waitForEvent('page'),
    shelf.press('Alt+J', 'Shift+F'),
  ])
  await small.getByRole('main', { name: 'Line' }).waitFor()
  return small
}

test('the line afloat says where one is, goes by call letter, and says chords to the shelf', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const small = await floated(shelf, page)
  const desktops = small.getByRole('list', { name: 'Desktops' })
  await expect(desktops.getByRole('button')).toHaveCount((await shelf.state()).order.length)
  await small.keyboard.press('m')
  await expect.poll(() => shelf.here()).toBe('model')
  await expect(desktops.locator('[aria-current]')).toHaveAttribute('aria-label', /^Model/)
  await small.keyboard.press('Alt+,')
  await expect.poll(() => shelf.here()).not.toBe('model')
  await desktops.getByRole('button', { name: /^Model/ }).click()
  await expect.poll(() => shelf.here()).toBe('model')
  // One shelf: what is undone there is undone here.
  await shelf.run('desktop.rename', { desktop: 'model', name: 'Runs' })
  await expect(desktops.locator('[aria-current]')).toHaveAttribute('aria-label', /^Runs/)
  await small.getByRole('button', { name: 'undo' }).click()
  expect((await shelf.state()).desktops.model?.name).toBe('Model')
  // With the leader as on the page.
  await shelf.run('settings.set', { keys: 'leader' })
  await small.keyboard.press('Control+.')
  await small.keyboard.press(',')
  await expect.poll(() => shelf.here()).not.toBe('model')
  await shelf.run('settings.set', { keys: 'auto' })
  // By the same keys it is gone again, and says so.
  await shelf.press('Alt+J', 'Shift+F')
  await expect.poll(() => small.isClosed()).toBe(true)
  await expect(shelf.said()).toContainText('The line is back on this page')
})

test('what waits is answered in the line afloat, once', async ({ shelf, page }) => {
  const posted: string[] = []
  await page.route('**/api/messages', async (route) => {
    posted.push((route.request().postDataJSON() as { text: string }).text)
    await route.fulfill({ json: { ok: true } })
  })
  await page.goto('/shelf?speed=60')
  await expect(page.locator('#desktop')).toBeVisible()
  await shelf.press('Alt+5')
  await expect(page.locator('[data-app="messages"]').getByRole('log')).toContainText('Forecaster')
  await shelf.press('Alt+N', 'Enter')
  const small = await floated(shelf, page)
  const tethers = small.getByRole('list', { name: 'Tethers' })
  await tethers.getByRole('button', { name: 'reply' }).click({ timeout: 30_000 })
  const field = small.getByRole('textbox', { name: /^Reply to/ })
  await field.pressSequentially('On my way.')
  // What is written there are letters, and no desktops are gone to.
  await expect(field).toHaveValue('On my way.')
  await field.press('Enter')
  await expect.poll(() => posted).toEqual(['On my way.'])
  await expect(field).toHaveCount(0)
  await page.waitForTimeout(500)
  expect(posted).toHaveLength(1)
  await small.close()
  await expect(shelf.said()).toContainText('The line is back on this page')
})

test('where the browser has no such window it says so', async ({ shelf, page }) => {
  await page.addInitScript(() => {
    Object.defineProperty(window, 'documentPictureInPicture', { value: undefined })
  })
  await shelf.open()
  await shelf.press('Alt+J', 'Shift+F')
  await expect(shelf.said()).toContainText('can’t keep a window on top of other programs')
})
