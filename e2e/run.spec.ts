import { expect, type ShelfPage, test } from './shelf'

/** A small shelf with a run through both its desktops. */
async function briefing(shelf: ShelfPage): Promise<void> {
  await shelf.open('shelf')
  await shelf.run('desktop.create', { name: 'Model', stay: true })
  await shelf.run('run.make', { name: 'Briefing' })
}

test('a run is made, put in order with notes, and walked by single keys with nothing else in sight', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await shelf.run('desktop.rename', { name: 'Field' })
  await shelf.desktops('Rota', 'Model')
  await shelf.press('Alt+1')
  await shelf.press('Alt+J', 'Shift+R')
  const panel = page.getByRole('dialog', { name: 'Runs' })
  await panel.getByRole('textbox', { name: 'Name of a new run' }).fill('Briefing')
  await page.keyboard.press('Enter')
  await expect(panel.getByRole('listitem')).toHaveCount(3)
  await panel.getByRole('button', { name: 'Add this window' }).click()
  await panel.getByRole('button', { name: 'Earlier: Rota' }).click()
  await panel.getByRole('textbox', { name: 'Notes for Rota' }).fill('Who is on duty')
  expect(await shelf.violations()).toEqual([])
  await panel.getByRole('button', { name: 'Start' }).click()
  const rack = page.getByRole('navigation', { name: 'Desktops' })
  const here = () => page.title()
  await expect(rack).toBeHidden()
  await expect(page.getByRole('region', { name: 'Line' })).toBeHidden()
  await page.keyboard.press('PageDown')
  await expect.poll(here).toContain('Rota')
  await page.keyboard.press('n')
  await expect(page.getByRole('region', { name: 'Notes' })).toContainText('Who is on duty')
  await expect(page.getByRole('region', { name: 'Notes' })).toContainText('2 of 4')
  expect(await shelf.violations()).toEqual([])
  // A chord that is begun says in the line what may follow.
  await page.keyboard.press('Alt+J')
  await expect(page.getByRole('region', { name: 'Line' })).toContainText('a key follows')
  await page.keyboard.press('Escape')
  await expect(rack).toBeHidden()
  await page.keyboard.press('Space')
  await page.keyboard.press('ArrowRight')
  await expect.poll(here).toContain('Field')
  // What would be typed goes nowhere, unless the keys are taken in hand.
  const text = page.locator('[data-focused] [contenteditable]')
  await page.keyboard.type('xyz')
  for (const key of ['Delete', 'Tab']) await page.keyboard.press(key)
  await page.keyboard.press('h')
  await expect(page.getByText('Typing goes to the window')).toBeVisible()
  await page.keyboard.type('shown')
  await expect(text).toHaveText('shown')
  await page.keyboard.press('Escape')
  await page.keyboard.press('PageUp')
  await expect.poll(here).toContain('Model')
  // Loaded anew it goes on.
  await page.waitForTimeout(600)
  await page.reload()
  await expect(page.getByRole('status').filter({ hasText: '3 of 4' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(rack).toBeVisible()
  await expect.poll(here).toContain('Field')
  // By pointer: what can be done is there as soon as it moves.
  await shelf.run('run.start')
  await page.keyboard.press('PageDown')
  const bar = page.getByRole('status').filter({ hasText: 'of 4' })
  await expect(bar).toBeHidden()
  await page.mouse.move(500, 400)
  await bar.getByRole('button', { name: 'next' }).click()
  await expect(bar).toContainText('3 of 4')
  await bar.getByRole('button', { name: 'end' }).click()
  await expect(rack).toBeVisible()
})

test('notes and time are on another display, which leads as well', async ({ shelf, page }) => {
  await shelf.open('shelf')
  await shelf.desktops('Rota', 'Model')
  await shelf.run('display.add', { name: 'Side', width: 900, height: 700 })
  const side = (await shelf.state()).displayOrder?.at(-1) ?? ''
  await shelf.run('run.make', {
    name: 'Briefing',
    stops: [
      { desktop: (await shelf.state()).order[0], notes: 'Begin here' },
      { desktop: (await shelf.state()).order[1] },
    ],
  })
  const other = await page.context().newPage()
  await other.goto(`/shelf/display/${side}`)
  await expect(other.locator('#desktop')).toBeVisible()
  await page.bringToFront()
  await shelf.run('run.start')
  const notes = other.getByRole('region', { name: 'Notes' })
  await expect(notes).toContainText('Begin here')
  await expect(notes).toContainText(/0:0\d · \d\d:\d\d/)
  await notes.getByRole('button', { name: 'Next' }).click()
  await expect(notes).toContainText('2 of 2')
  await expect.poll(() => page.title()).toContain('Model')
  // So does a presenter's remote, whichever page is in front.
  await other.keyboard.press('PageUp')
  await expect(notes).toContainText('1 of 2')
  await other.keyboard.press('PageDown')
  await expect(notes).toContainText('2 of 2')
  await notes.getByRole('button', { name: 'End' }).click()
  await expect(notes).toBeHidden()
  await expect(page.getByRole('navigation', { name: 'Desktops' })).toBeVisible()
})

test('notes are kept as they are typed; started with the loft open a run is seen', async ({
  shelf,
  page,
}) => {
  await briefing(shelf)
  await shelf.run('runs.open')
  await page.getByRole('textbox', { name: 'Notes for Model' }).click()
  await page.keyboard.type('Warmer from noon')
  await expect
    .poll(async () => (await shelf.state()).runs[0]?.stops[1]?.notes)
    .toBe('Warmer from noon')
  // Nothing is left for it to be kept, not even the field.
  await page.keyboard.type(', below 1,900 m')
  await page.reload()
  await expect(page.locator('#desktop')).toBeVisible()
  expect((await shelf.state()).runs[0]?.stops[1]?.notes).toBe('Warmer from noon, below 1,900 m')
  // Nor has the page to come to write anything before it is gone.
  await shelf.run('runs.open')
  await page.getByRole('textbox', { name: 'Notes for Model' }).click()
  await page.keyboard.press('Control+End')
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('gone', 'AbortError')
    }
    Worker.prototype.postMessage = () => {}
  })
  await page.keyboard.type('; wind')
  await page.reload()
  await expect(page.locator('#desktop')).toBeVisible()
  await expect
    .poll(async () => (await shelf.state()).runs[0]?.stops[1]?.notes)
    .toBe('Warmer from noon, below 1,900 m; wind')
  await shelf.run('history.undo')
  // Nor when the panel is left at once.
  await shelf.run('runs.open')
  await page.getByRole('textbox', { name: 'Notes for Model' }).click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type('.')
  await page.keyboard.press('Escape')
  await expect
    .poll(async () => (await shelf.state()).runs[0]?.stops[1]?.notes)
    .toBe('Warmer from noon, below 1,900 m.')
  await shelf.press('Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeVisible()
  await shelf.run('run.start')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toHaveCount(0)
  await page.keyboard.press('PageDown')
  await expect.poll(() => page.title()).toContain('Model')
})

test('a run is recorded to a file; where the browser cannot, it says so', async ({
  shelf,
  page,
}) => {
  await briefing(shelf)
  // A page of its own is filmed in place of the screen, which a test has none of.
  await page.evaluate(() => {
    navigator.mediaDevices.getDisplayMedia = async () => {
      const canvas = document.createElement('canvas')
      const paint = canvas.getContext('2d')
      setInterval(() => paint?.fillRect(Math.random() * 100, 0, 9, 9), 30)
      return canvas.captureStream()
    }
  })
  await shelf.run('run.record')
  await expect(page.getByRole('status').filter({ hasText: '1 of 2' })).toBeVisible()
  await page.keyboard.press('PageDown')
  await page.waitForTimeout(300)
  const download = page.waitForEvent('download')
  await page.keyboard.press('Escape')
  const file = await download
  expect(file.suggestedFilename()).toMatch(/^Briefing\.(webm|mp4)$/)
  await page.evaluate(() => Object.assign(navigator.mediaDevices, { getDisplayMedia: undefined }))
  await shelf.run('run.record')
  await expect(shelf.said()).toContainText('This browser cannot record a page')
})

test('that nothing can be saved is told in a run too, for as long', async ({ shelf, page }) => {
  await page.addInitScript(() => {
    const { put } = IDBObjectStore.prototype
    IDBObjectStore.prototype.put = function (...given) {
      if ('fullDisk' in window) throw new DOMException('full disk', 'QuotaExceededError')
      return put.apply(this, given)
    }
  })
  await briefing(shelf)
  await shelf.run('run.start')
  const line = page.getByRole('region', { name: 'Line' })
  await expect(line).toBeHidden()
  await page.evaluate(() => Object.assign(window, { fullDisk: true }))
  await page.keyboard.press('PageDown')
  await expect(line.getByRole('alert')).toContainText('Cannot save')
  await page.evaluate(() => delete (window as { fullDisk?: true }).fullDisk)
  await page.keyboard.press('PageUp')
  await expect(line).toBeHidden()
})
