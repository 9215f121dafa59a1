import { expect, test } from './shelf'

test('the inspector follows the focused window, tells its history, and is there after a reload', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const inspector = page.getByRole('region', { name: 'Inspector' })
  await shelf.press('Alt+Shift+;', 'I')
  await expect(inspector).toContainText('Station readings 06:00')
  await expect(inspector).toContainText('Its home put it there.')
  await expect(inspector).toContainText('640 × 350 at 24, 24')
  await shelf.run('window.focus', { window: 'pit' })
  await expect(inspector).toContainText('Snow pit, Tarn Ridge')
  await shelf.press('Alt+Shift+R')
  await expect(inspector).toContainText('Rota')
  await expect(inspector).toContainText('It was moved there by hand.')
  const today = inspector.getByRole('list', { name: 'Today' })
  await expect(today).toContainText('carried from Field to Rota, by key')
  await shelf.press('Alt+Z')
  await expect(today.getByRole('listitem').first()).toContainText('undone: on Field again, by key')
  expect(await shelf.violations()).toEqual([])
  await shelf.reload()
  await expect(inspector.getByRole('list', { name: 'Today' })).toContainText('undone: on Field')
  await inspector.getByRole('button', { name: /^why here/ }).click()
  await expect(page.getByRole('dialog')).toContainText('“Snow pit, Tarn Ridge” is on Field')
  await shelf.press('Escape')
  await inspector.getByRole('button', { name: 'Hide the inspector' }).click()
  await expect(inspector).toBeHidden()
})

test('it keeps clear of the focused window and tells the letters it was placed by', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.run('shelf.inspector')
  const inspector = page.getByRole('region', { name: 'Inspector' })
  const clear = async () => {
    const [one, other] = [
      await inspector.boundingBox(),
      await shelf.window('stations').boundingBox(),
    ]
    return !!one && !!other && (one.x >= other.x + other.width || other.x >= one.x + one.width)
  }
  for (const letter of ['C', 'Z']) {
    await shelf.run('window.focus', { window: 'stations' })
    await shelf.press('Alt+X', letter, 'Escape')
    await expect(inspector).toContainText(`placed${letter}`)
    await expect.poll(clear).toBe(true)
  }
})

test('the loft tells what waits on a desktop and how long one was on it today', async ({
  shelf,
  page,
}) => {
  await page.clock.install()
  await shelf.open()
  await page.clock.runFor('12:00')
  await shelf.press('Alt+M')
  await page.clock.runFor('03:30')
  await shelf.press('Alt+/')
  await page.clock.runFor(500)
  const row = (id: string) => page.locator(`[data-head="${id}"]`)
  await expect(row('field')).toContainText('12 min today')
  await expect(row('model')).toContainText('3 min today')
  await expect(row('public')).toContainText('1 waiting')
  await expect(row('rota')).not.toContainText('today')
})

test('many windows that listen to services leave the browser free to ask for more', async ({
  shelf,
  page,
}) => {
  const streams: string[] = []
  page.on('request', (request) => {
    if (request.url().includes('/api/events')) streams.push(request.url())
  })
  await page.goto('/shelf?speed=60')
  await expect(page.locator('#stage')).toBeVisible()
  for (let n = 0; n < 9; n++) await shelf.press('Alt+Shift+5')
  const windows = page.locator('[data-app="messages"]')
  await expect(windows).toHaveCount(9)
  for (const window of await windows.all())
    await expect(window.getByRole('log')).toContainText('Forecaster', { timeout: 15_000 })
  // The last stream asked for all nine, and everything else is still answered.
  const listens = new URL(streams.at(-1) ?? '').searchParams.getAll('listen')
  expect(listens).toHaveLength(9)
  const answer = await page.evaluate(async () => (await fetch('/pages/notice')).status)
  expect(answer).toBe(200)
})
