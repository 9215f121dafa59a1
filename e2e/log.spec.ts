import { readFileSync } from 'node:fs'
import type { Locator } from '@playwright/test'
import { expect, type ShelfPage, test } from './shelf'

/** Opens the log by its keys. */
async function openLog(shelf: ShelfPage): Promise<Locator> {
  await shelf.press('Alt+J', 'Shift+L')
  return shelf.page.getByRole('dialog', { name: 'Log' })
}

test('the log tells the day in lines, with its figures; what is exported is what is shown', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const log = await openLog(shelf)
  const lines = log.getByRole('list', { name: 'Lines of the log' }).locator('[data-line]')
  // Of today there is little: one came here.
  await expect(lines).toHaveCount(1)
  await expect(lines.first()).toContainText('Field')
  // The last working day, or the one before it.
  // Only those in sight are drawn.
  const items = log.getByRole('list', { name: 'Lines of the log' }).getByRole('listitem')
  const count = async () =>
    (await items.count()) ? Number(await items.first().getAttribute('aria-setsize')) : 0
  while ((await count()) < 50) {
    await shelf.press(',')
    await expect(log.getByText('Reading…')).toHaveCount(0)
  }
  const figures = log.getByRole('region', { name: 'Figures' })
  await expect(figures).toContainText(/time present9 h \d+ min/)
  await lines.first().focus()
  await shelf.press('ArrowDown', 'ArrowDown')
  await expect(lines.nth(2)).toBeFocused()
  await expect(lines.nth(2)).toHaveAttribute('aria-current', 'true')
  expect(await shelf.violations()).toEqual([])
  // The one with the keys stays, however far the list goes; the last is gone to.
  await shelf.press('End')
  await expect(items.last().locator('[data-line]')).toBeFocused()
  await expect(items.last()).toHaveAttribute('aria-posinset', String(await count()))
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    log.getByRole('button', { name: 'JSON' }).click(),
  ])
  const told = JSON.parse(readFileSync(await file.path(), 'utf8'))
  expect(told.lines).toHaveLength(await count())
  const [sheet] = await Promise.all([
    page.waitForEvent('download'),
    log.getByRole('button', { name: 'CSV' }).click(),
  ])
  const rows = readFileSync(await sheet.path(), 'utf8')
    .trim()
    .split('\r\n')
    .slice(1)
  expect(rows).toHaveLength(told.lines.length)
  const seconds = rows.reduce((sum, row) => sum + Number(row.split(',')[3]), 0)
  expect(seconds).toBeCloseTo(told.figures.present / 1000, -2)
  await expect(figures).toContainText(`switches${told.figures.switches},`)
  // A line for each switch, one for coming, and one for coming back.
  expect(told.lines.length).toBe(told.figures.switches + 2)
})

test('what is done now is in the log, and there over a reload', async ({ shelf, page }) => {
  await shelf.open()
  await shelf.press('Alt+M', 'Alt+B')
  await shelf.reload()
  await shelf.press('Alt+;')
  await page.keyboard.type('journal')
  await shelf.press('Enter')
  const log = page.getByRole('dialog', { name: 'Log' })
  const names = log.getByRole('list', { name: 'Lines of the log' }).locator('[dir=auto]')
  // The last time on Bulletin is one line or two: whether it was told that one left is up to the browser.
  await expect(names.last()).toHaveText('Bulletin')
  expect((await names.allTextContents()).slice(0, 3)).toEqual(['Field', 'Model', 'Bulletin'])
  await expect(log.getByRole('region', { name: 'Figures' })).toContainText('100 % of 2')
  await shelf.press('Escape')
  await shelf.press('Control+End')
  await page.keyboard.type('typed on')
  await expect(shelf.window('bulletin')).toContainText('typed on')
})

test('ways are counted, and an order that saves steps is taken in one step', async ({ shelf }) => {
  await shelf.open()
  const log = await openLog(shelf)
  await log.getByRole('radio', { name: 'four weeks' }).check()
  await log.getByRole('radio', { name: 'From and to' }).check()
  await expect(
    log.getByText(/You switched most often between (Field|Model) and Bulletin/),
  ).toBeVisible()
  const matrix = log.getByRole('table', { name: 'Switches, from the row to the column' })
  const cells = await matrix.locator('td[title]').allTextContents()
  const counted = cells.reduce((sum, cell) => sum + Number(cell), 0)
  await log.getByRole('button', { name: 'to Bulletin' }).click()
  const column = await matrix.locator('tbody td[title*="to Bulletin"]').allTextContents()
  expect(column.map(Number)).toEqual(column.map(Number).toSorted((a, b) => b - a))
  expect(await shelf.violations()).toEqual([])
  await log.getByRole('radio', { name: 'What happened' }).check()
  await expect(log.getByRole('region', { name: 'Figures' })).toContainText(`switches${counted},`)
  await log.getByRole('radio', { name: 'Suggestions' }).check()
  const take = log.getByRole('button', { name: 'Use this order' })
  await expect(take).toBeVisible()
  const wanted = await log
    .getByRole('region', { name: 'Suggested' })
    .locator('[title]')
    .allTextContents()
  expect(await shelf.violations()).toEqual([])
  await take.click()
  await expect(log.getByText('Your desktops are already in the best order')).toBeVisible()
  expect(await shelf.rowNames()).toEqual(wanted)
  // It is undone there, by key and by push.
  await shelf.press('Alt+Z')
  await expect(take).toBeVisible()
  await take.click()
  await log.getByRole('button', { name: 'Undo' }).click()
  await take.click()
  // Field and Bulletin, and Bulletin and Model, are neighbours then.
  const at = (name: string) => wanted.indexOf(name)
  expect(Math.abs(at('Field') - at('Bulletin'))).toBe(1)
  expect(Math.abs(at('Model') - at('Bulletin'))).toBe(1)
  // Homes that are worth it; what is declined is not suggested again.
  const offers = log.getByRole('list', { name: 'Suggestions' })
  await expect(offers).toContainText(/You opened reader windows on Bulletin \d+ of \d+ times/)
  await expect(offers).toContainText(/You opened web pages on Field/)
  const readers = offers.getByRole('listitem').filter({ hasText: 'reader windows' })
  await readers.getByRole('button', { name: 'Set as home' }).click()
  await expect(readers).toHaveCount(0)
  expect((await shelf.state()).homes.at(-1)).toMatchObject({ app: 'reader', desktop: 'bulletin' })
  await shelf.run('history.undo')
  const pages = offers.getByRole('listitem').filter({ hasText: 'web pages' })
  await pages.getByRole('button', { name: 'Don’t suggest again' }).click()
  await expect(pages).toHaveCount(0)
  expect((await shelf.state()).declined).toEqual(['home web field'])
  await shelf.run('history.undo')
  await shelf.press('Escape', 'Alt+Z')
  expect(await shelf.rowNames()).toEqual([
    'Field',
    'Model',
    'Bulletin',
    'Public line',
    'Rota',
    'Breather',
  ])
})

test('a shelf that has no log yet says what will be there', async ({ shelf, page }) => {
  await shelf.open('shelf')
  const log = await openLog(shelf)
  await shelf.press(',')
  await expect(log.getByText('The log is empty for this period.')).toBeVisible()
  await page.setViewportSize({ width: 960, height: 640 })
  await shelf.press('.')
  await expect(log.getByRole('list', { name: 'Lines of the log' })).toBeVisible()
  const outside = await log.evaluate((all) => all.scrollWidth - all.clientWidth)
  expect(outside).toBe(0)
})

test('a line and a day are struck for good when that was said twice', async ({ shelf }) => {
  await shelf.open()
  await shelf.press('Alt+M', 'Alt+B')
  const log = await openLog(shelf)
  const lines = log.getByRole('list', { name: 'Lines of the log' })
  const names = lines.locator('[dir=auto]')
  await expect(names).toHaveText(['Field', 'Model', 'Bulletin'])
  await lines.getByRole('button', { name: /Model/ }).focus()
  await shelf.press('ArrowUp', 'ArrowDown', 'Delete')
  await expect(names).toHaveText(['Field', 'Model', 'Bulletin'])
  await expect(lines.getByText('Delete for good')).toBeVisible()
  expect(await shelf.violations()).toEqual([])
  await shelf.press('Delete')
  await expect(names).toHaveText(['Field', 'Bulletin'])
  // The keys go on beside it.
  await expect(lines.locator('[data-line]').nth(1)).toBeFocused()
  await shelf.press('Escape')
  await shelf.reload()
  await shelf.press('Alt+J', 'Shift+L')
  await expect(names.first()).toHaveText('Field')
  await expect(lines).not.toContainText('Model')
  await log.getByRole('button', { name: 'Delete this day' }).click()
  await log.getByRole('button', { name: 'Delete this day for good' }).click()
  await expect(log.getByText('The log is empty for this period.')).toBeVisible()
  // Where none is kept it says so.
  await shelf.run('settings.set', { log: 0 })
  await expect(log.getByText('The log is off.')).toBeVisible()
})

test('interruptions are told, periods compared, and an app is struck from every day', async ({
  shelf,
  page,
}) => {
  // Four spans are read and drawn, two of them anew.
  test.setTimeout(180_000)
  await shelf.open()
  const log = await openLog(shelf)
  await log.getByRole('radio', { name: 'week', exact: true }).check()
  const figures = log.getByRole('region', { name: 'Figures' })
  const interruptions = figures.getByRole('table', { name: /^Interruptions/ })
  await expect(
    interruptions.getByRole('row', { name: /^Messages \d+ × half within \d+ min$/ }),
  ).toBeVisible()
  await log.getByRole('radio', { name: 'day', exact: true }).check()
  await shelf.press(',')
  await figures.getByRole('checkbox', { name: 'compare with the period before' }).check()
  await expect(figures).toContainText(/before: \d+, \d+\.\d per hour|before: 0/)
  const apps = figures.getByRole('table', { name: 'Time by app' })
  await expect(apps.getByRole('columnheader', { name: 'before' })).toBeVisible()
  await log.getByRole('radio', { name: 'week', exact: true }).check()
  const present = await figures.locator('dd').first().textContent()
  await apps.getByRole('button', { name: 'Delete Table from the log' }).click()
  expect(await shelf.violations()).toEqual([])
  await apps.getByRole('button', { name: 'Delete everything about Table for good' }).click()
  await expect(apps.getByRole('row', { name: /^Table/ })).toHaveCount(0)
  await expect(figures.locator('dd').first()).toHaveText(present ?? '')
  await shelf.press('Escape')
  await shelf.reload()
  await openLog(shelf)
  await log.getByRole('radio', { name: 'four weeks' }).check()
  await expect(apps.getByRole('row', { name: /^Document/ })).toBeVisible()
  // The seconds since are told again.
  await expect(apps.getByRole('row', { name: /^Table .*\d (min|h)/ })).toHaveCount(0)
  // Nor does what one winds back to show what it had.
  const past = page.getByRole('dialog', { name: 'Wind back' })
  const titled = async (app: string) => {
    const { windows, documents } = await shelf.state()
    return Object.values(windows)
      .filter((one) => one.app === app)
      .map(({ document }) => documents[document]?.title ?? '')
  }
  await shelf.press('Escape', 'Alt+J', 'Shift+B')
  for (let back = 0; back < 4; back++) {
    await shelf.press(',')
    await expect(past.getByText('Reading…')).toBeHidden()
    if (await past.getByRole('slider').isVisible()) break
  }
  const [text = ''] = await titled('document')
  await expect(past.getByRole('listitem').filter({ hasText: text }).first()).toBeVisible()
  for (const table of await titled('table')) await expect(past.getByText(table)).toHaveCount(0)
})

test('the log is kept in a window, for the days one chooses, over a reload', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const dialog = await openLog(shelf)
  await dialog.getByRole('button', { name: 'keep it in a window' }).focus()
  await shelf.press('Enter')
  await expect(dialog).toHaveCount(0)
  const log = page.locator('[data-app=log]')
  const lines = log.getByRole('list', { name: 'Lines of the log' })
  // The keys are in it, and walk as above the desktop.
  await expect(lines.locator('[data-line]').first()).toBeFocused()
  const said = log.getByRole('status')
  const today = await said.textContent()
  await shelf.press(',')
  await expect(said).not.toHaveText(today ?? '')
  await log.getByRole('button', { name: 'Later' }).click()
  await expect(said).toHaveText(today ?? '')
  await log.getByRole('radio', { name: 'week', exact: true }).check()
  await expect(log.getByText('Reading…')).toHaveCount(0)
  // The days that were shown are those one begins with.
  await log.getByRole('radio', { name: 'other dates' }).check()
  const [from, to] = [
    log.getByLabel('from', { exact: true }),
    log.getByLabel('to', { exact: true }),
  ]
  const first = await from.inputValue()
  const last = await to.inputValue()
  expect(new Date(last).getTime() - new Date(first).getTime()).toBe(6 * 24 * 3_600_000)
  const days = log.getByRole('group', { name: 'Day by day' })
  const bands = await days.locator('[data-band]').count()
  expect(bands).toBeGreaterThan(3)
  // One day alone; the other end follows where it would come first.
  await from.fill(last)
  await expect(days.locator('[data-band]')).toHaveCount(1)
  await to.fill(first)
  await expect(from).toHaveValue(first)
  await from.fill(first)
  await to.fill(last)
  await expect(days.locator('[data-band]')).toHaveCount(bands)
  // Typed, a year is others before it is that one: the other end stays; none to come is taken.
  await from.focus()
  const early = new Date(new Date(last).getTime() - 340 * 24 * 3_600_000).toISOString().slice(0, 10)
  const [year, month, day] = early.split('-')
  await page.keyboard.type(`${month}/${day}/${year}`)
  await expect(from).toHaveValue(early)
  await expect(to).toHaveValue(last)
  await from.fill('2999-01-01')
  await expect(log.getByRole('alert')).toContainText('up to today')
  await expect(to).toHaveValue(last)
  await from.fill(first)
  await expect(log.getByRole('alert')).toHaveCount(0)
  await expect(days.locator('[data-band]')).toHaveCount(bands)
  expect(await shelf.violations('all but colours', '[data-app=log]')).toEqual([])
  await log.getByRole('radio', { name: 'From and to' }).check()
  await expect(log.getByRole('table', { name: /^Switches, from/ })).toBeVisible()
  await shelf.reload()
  await expect(log.getByRole('table', { name: /^Switches, from/ })).toBeVisible()
  await expect(to).toHaveValue(last)
  // By the days that are shown.
  await log.getByRole('button', { name: 'Earlier' }).click()
  expect(new Date(last).getTime() - new Date(await to.inputValue()).getTime()).toBe(
    7 * 24 * 3_600_000,
  )
})

test('windows one goes to and fro between are brought together, from the log, in one step', async ({
  shelf,
}) => {
  await shelf.furnish({ Field: { Stations: 'table' }, Model: { Notes: 'document' } })
  for (let n = 0; n < 24; n++) await shelf.run('desktop.go', { to: 'next' })
  const log = await openLog(shelf)
  await log.getByRole('radio', { name: 'Suggestions' }).check()
  await log.getByRole('button', { name: 'Send them there' }).click()
  const { windows } = await shelf.state()
  expect(new Set(Object.values(windows).map(({ desktop }) => desktop)).size).toBe(1)
  await shelf.run('history.undo')
  const after = await shelf.state()
  expect(new Set(Object.values(after.windows).map(({ desktop }) => desktop)).size).toBe(2)
})

test('what is chosen often and has no keys is given a light stroke, from the log', async ({
  shelf,
  page,
}) => {
  await shelf.furnish({ Field: { Stations: 'table' } })
  const clearing = page.getByRole('dialog', { name: 'Clear up documents' })
  for (let n = 0; n < 10; n++) {
    await page.getByRole('button', { name: 'Kite Shelf menu' }).click()
    await shelf.chooseWithin('Apps and files', 'Clear up documents…')
    await expect(clearing).toBeVisible()
    await shelf.press('Escape')
  }
  const log = await openLog(shelf)
  await log.getByRole('radio', { name: 'Suggestions' }).check()
  const offer = log.getByRole('listitem').filter({ hasText: 'You used “Clear up documents” 10' })
  await expect(offer).toContainText('It has no keys; Alt- is free')
  expect(await shelf.violations()).toEqual([])
  await offer.getByRole('button', { name: 'Use these keys' }).click()
  await expect(offer).toHaveCount(0)
  await shelf.press('Escape', 'Alt+-')
  await expect(clearing).toBeVisible()
  await shelf.press('Escape')
  await shelf.reload()
  await shelf.press('Alt+-')
  await expect(clearing).toBeVisible()
})
