import { expect, test } from './shelf'

test('a block is typed, its switch offered when it begins, and gone to by key; by itself it waits for a pause', {
  tag: '@apart',
}, async ({ shelf, page }) => {
  await page.clock.install({ time: new Date('2026-11-24T09:20') })
  await shelf.open('shelf')
  await page.clock.runFor(500)
  for (const name of ['Field', 'Rota', 'Model'])
    await page.evaluate(
      (given) => window.kiteShelf?.run('desktop.create', { name: given, stay: true }),
      name,
    )
  await page.evaluate(() => window.kiteShelf?.run('desktop.go', { to: 'Field' }))
  const line = page.getByRole('region', { name: 'Line' })
  await page.keyboard.press('Alt+J')
  await page.keyboard.press('Shift+P')
  const panel = page.getByRole('dialog', { name: 'Plan of the day' })
  await expect(panel.getByRole('textbox', { name: 'A block' })).toBeFocused()
  await page.keyboard.type('9 Nowhere')
  await page.keyboard.press('Enter')
  await expect(panel.getByRole('alert')).toContainText('no desktop called “Nowhere”')
  // What was typed is there again after Escape; what is wrong with it stands at its field.
  await page.keyboard.press('Escape')
  await shelf.run('plan.open')
  const block = panel.getByRole('textbox', { name: 'A block' })
  await expect(block).toHaveValue('9 Nowhere')
  await block.fill('25:00 Rota')
  await page.keyboard.press('Enter')
  await expect(block).toHaveAccessibleDescription(/./)
  await expect(block).toBeFocused()
  await panel.getByRole('textbox', { name: 'A block' }).fill('9:30-10 Rota')
  await page.keyboard.press('Enter')
  await page.keyboard.type('10-11 Model')
  await page.keyboard.press('Enter')
  await expect(panel.getByRole('listitem')).toHaveCount(2)
  await panel.getByRole('checkbox', { name: 'Go by itself: Model at 10:00' }).check()
  await page.keyboard.press('Escape')
  await expect(line).toContainText('09:30')
  await expect(line).not.toContainText('is planned')
  await page.clock.runFor('10:30')
  await expect(line).toContainText('is planned')
  await page.keyboard.press('Alt+J')
  await page.keyboard.press('/')
  await page.clock.runFor(200)
  const here = () => page.evaluate(() => document.title)
  await expect.poll(here).toContain('Rota')
  await expect(line).not.toContainText('is planned')
  // Quiet for as long as the block lasts.
  await page.evaluate(() => window.kiteShelf?.run('desktop.askQuiet'))
  await page.clock.runFor(100)
  await page.getByRole('button', { name: 'until its block of the plan ends, at 10:00' }).click()
  await expect(page.getByRole('textbox', { name: 'until' })).toHaveValue('10:00')
  await page.getByRole('button', { name: /^Make it quiet/ }).click()
  await page.clock.runFor(200)
  await expect(line.getByRole('button', { name: 'quiet', exact: true })).toBeVisible()
  // The quiet ends by itself, and the next goes by itself, but not while something is typed.
  await page.clock.runFor('29:00')
  await page.keyboard.press('Alt+F')
  await page.clock.runFor(300)
  await page.keyboard.press('Shift')
  await page.clock.runFor('00:31')
  await expect(line.getByRole('button', { name: 'quiet', exact: true })).toHaveCount(0)
  await page.clock.runFor('00:08')
  await expect.poll(here).toContain('Model')
})

test('a block is drawn on the strip, moved with the rest of the day, skipped, and over a reload there', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await shelf.run('plan.open')
  const panel = page.getByRole('dialog', { name: 'Plan of the day' })
  await panel.getByRole('button', { name: 'The day after' }).click()
  const strip = panel.locator('.cursor-crosshair')
  await strip.scrollIntoViewIfNeeded()
  const box = await strip.boundingBox()
  if (!box) throw new Error('no strip')
  await page.mouse.move(box.x + 100, box.y + 22 * 3)
  await page.mouse.down()
  await page.mouse.move(box.x + 100, box.y + 22 * 5, { steps: 4 })
  await page.mouse.up()
  await expect(panel.getByRole('textbox', { name: /^Times of/ })).toHaveValue('09:00–11:00')
  // The block is dragged an hour down, then its end.
  const down = async (from: number, by: number) => {
    await page.mouse.move(box.x + 100, box.y + from)
    await page.mouse.down()
    await page.mouse.move(box.x + 100, box.y + from + by, { steps: 4 })
    await page.mouse.up()
  }
  const times = panel.getByRole('textbox', { name: /^Times of/ })
  await down(22 * 3.5, 22)
  await expect(times).toHaveValue('10:00–12:00')
  await down(22 * 6 - 3, 22 * 2)
  await expect(times).toHaveValue('10:00–14:00')
  // Its times are typed: what is no time is told and stays, Escape brings back what was.
  await times.fill('soon')
  await page.keyboard.press('Enter')
  await expect(panel.getByRole('alert')).toContainText('Type its times')
  await page.keyboard.press('Escape')
  await expect(times).toHaveValue('10:00–14:00')
  await times.fill('9-11')
  await page.keyboard.press('Enter')
  await expect(times).toHaveValue('09:00–11:00')
  expect(await shelf.violations()).toEqual([])
  await panel.getByRole('button', { name: /^Skip/ }).click()
  expect((await shelf.state()).plan[0]?.skipped).toBe(true)
  await shelf.press('Alt+Z')
  expect((await shelf.state()).plan[0]?.skipped).toBeUndefined()
  await shelf.press('Escape')
  await shelf.reload()
  expect((await shelf.state()).plan).toHaveLength(1)
  await shelf.run('plan.open')
  await panel.getByRole('button', { name: 'The day after' }).click()
  await panel.getByRole('button', { name: /^Remove/ }).click()
  await expect(panel.getByRole('listitem')).toHaveCount(0)
})

test('the clock of the demo is set by its address, goes on as fast as asked and over a reload, and is refused in words', async ({
  page,
}) => {
  const line = page.getByRole('region', { name: 'Line', exact: true })
  const minutes = async () => {
    const [hours = 0, rest = 0] = ((await line.locator('time').textContent()) ?? '')
      .split(':')
      .map(Number)
    return hours * 60 + rest
  }
  await page.goto('/demo?at=13:46&speed=60')
  await expect(line).toContainText('is planned')
  // What is due counts down by the same clock, however long the page took to come.
  const due = page.getByRole('region', { name: 'Bulletin due 16:00' })
  const left = async () => {
    const [, hours = 0, rest = 0] = (
      /(?:(\d+) h )?(\d+) min/.exec((await due.textContent()) ?? '') ?? []
    ).map(Number)
    return (hours || 0) * 60 + rest
  }
  await expect(due).toContainText(/\d min/)
  const apart = async () => Math.abs(16 * 60 - (await minutes()) - (await left()))
  await expect.poll(apart).toBeLessThan(4)
  const first = await minutes()
  expect(first).toBeGreaterThanOrEqual(13 * 60 + 46)
  await page
    .getByRole('button', { name: /^Bulletin/ })
    .last()
    .click()
  await expect.poll(minutes).toBeGreaterThan(first + 1)
  await page.evaluate(() => window.kiteShelf?.run('desktop.create', { name: 'Mine', stay: true }))
  await expect(page.locator('[data-saving="saved"]')).toBeVisible()
  const before = await minutes()
  await page.reload()
  await expect(page.getByRole('navigation', { name: 'Desktops' })).toContainText('Mine')
  expect(await minutes()).toBeGreaterThanOrEqual(before)
  // In another tab it begins again.
  await page.evaluate(() => sessionStorage.clear())
  await page.goto('/demo?at=06:31')
  await expect(line.locator('time')).toHaveText(/06:3[12]/)
  await expect(page.getByRole('navigation', { name: 'Desktops' })).not.toContainText('Mine')
  await page.goto('/demo?at=25:10')
  await expect(line).toContainText('“25:10” is no time of day')
})
