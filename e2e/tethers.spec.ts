import { expect, test } from './shelf'

test('a job elsewhere is paused and goes on from the line, a push goes there and comes back', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const tethers = page.getByRole('list', { name: 'Tethers' })
  const job = tethers.getByRole('listitem').filter({ hasText: 'Snowpack run' })
  await expect(job).toContainText('%')
  expect(await shelf.violations()).toEqual([])
  await job.getByRole('button', { name: /^Pause/ }).click()
  await expect(job.getByRole('button', { name: /^Go on/ })).toBeVisible()
  // By its number, from any desktop, in two strokes.
  await shelf.press('Alt+R')
  const nth = (await job.locator('span').first().textContent()) ?? '1'
  await shelf.press('Alt+J', `Shift+Digit${nth}`)
  await expect(job.getByRole('button', { name: /^Pause/ })).toBeVisible()
  const from = (await shelf.state()).focus
  await job.getByRole('button').first().click()
  expect(await shelf.here()).toBe('model')
  await expect(job).toHaveCount(0)
  await shelf.press('Alt+Shift+Home')
  expect((await shelf.state()).focus).toBe(from)
})

test('the player is paused from any desktop in two strokes', async ({ shelf, page }) => {
  await shelf.open()
  await shelf.press('Alt+M')
  const radio = shelf.window('radio')
  await radio.getByRole('button', { name: 'Play' }).click()
  await shelf.press('Alt+F')
  const tethers = page.getByRole('list', { name: 'Tethers' })
  const player = tethers
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: /^Next tune/ }) })
  await expect(player).toBeVisible()
  const nth = (await player.locator('span').first().textContent()) ?? '1'
  await shelf.press('Alt+J', `Shift+Digit${nth}`)
  await expect(player).toHaveCount(0)
  await expect(radio.getByRole('button', { name: 'Play', includeHidden: true })).toHaveCount(1)
})

test('a reply is sent without leaving the desktop; half-typed it is kept', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const tethers = page.getByRole('list', { name: 'Tethers' })
  await tethers.getByRole('button', { name: 'reply' }).click()
  const field = tethers.getByRole('textbox', { name: /^Reply to/ })
  await expect(field).toBeFocused()
  await page.keyboard.type('On my')
  await shelf.press('Escape')
  await expect(field).toBeHidden()
  await expect(shelf.window('stations').locator(':focus')).toHaveCount(1)
  await tethers.getByRole('button', { name: 'reply' }).click()
  await expect(field).toHaveValue('On my')
  await page.keyboard.type(' way')
  await shelf.press('Enter')
  expect(await shelf.here()).toBe('field')
  await expect(shelf.window('stations').locator(':focus')).toHaveCount(1)
  await expect.poll(async () => (await shelf.state()).attention.line).toBeUndefined()
  await shelf.press('Alt+P')
  await expect(shelf.window('line').getByRole('log')).toContainText('On my way')
})

test('a window is tethered by key, over a reload, and let go', async ({ shelf, page }) => {
  await shelf.open()
  await shelf.press('Alt+J', "'")
  await expect(shelf.said()).toContainText('Tethered “Station readings 06:00”')
  await shelf.press('Alt+R')
  const tethers = page.getByRole('list', { name: 'Tethers' })
  await expect(tethers).toContainText('Station readings 06:00')
  await shelf.reload()
  await expect(tethers).toContainText('Station readings 06:00')
  await shelf.press('Alt+J', 'Shift+Digit6')
  await expect(shelf.said()).toContainText('There is no tether 6')
  await shelf.press('Alt+F', 'Alt+J', "'", 'Alt+R')
  await expect(tethers).not.toContainText('Station readings 06:00')
})

test('by pointer: an offered tether is let go in one act, from the line, and tethered from the window', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const tethers = page.getByRole('list', { name: 'Tethers' })
  const job = tethers.getByRole('listitem').filter({ hasText: 'Snowpack run' })
  await job.click({ button: 'right', position: { x: 4, y: 4 } })
  await shelf.chooseWithin('Keep in sight', 'Let its tether go')
  await expect(job).toHaveCount(0)
  await shelf.press('Alt+M')
  await page.getByRole('button', { name: 'Menu of Snowpack run, 24 h' }).click()
  await shelf.chooseWithin('Keep in sight', /^Tether:/)
  await shelf.press('Alt+F')
  await expect(job).toHaveCount(1)
})
