import { expect, test } from './shelf'

/** Two windows beside each other and one below, and some elsewhere. */
const TWO = {
  Field: {
    Pit: { app: 'job', frame: { x: 700, y: 24, width: 340, height: 300 } },
    Observers: { app: 'table', frame: { x: 24, y: 400, width: 600, height: 280 } },
    Stations: { app: 'table', frame: { x: 24, y: 24, width: 640, height: 350 } },
  },
  Rota: { Duty: 'table', Break: 'countdown', Handover: 'document' },
}

test('the misplaced table is found and sent home through the line in at most 8 strokes', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+B')
  const strokes = ['Alt+;', 's', 'u', 'n', 'Alt+]', 'F']
  expect(strokes.length).toBeLessThanOrEqual(8)
  await shelf.press(...strokes)
  expect((await shelf.state()).windows.sunday?.desktop).toBe('field')
  await expect(shelf.said()).toContainText('Sent “Station readings, Sunday” to Field')
  expect(await shelf.here()).toBe('bulletin')
  await shelf.press('Escape')
  await expect(page.getByRole('dialog', { name: 'Line' })).toBeHidden()
})

test('the line goes to windows by their text, to desktops, and runs commands that ask where to', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+;')
  const line = page.getByRole('dialog', { name: 'Line' })
  await page.keyboard.type('mast was moved')
  await expect(line.getByRole('option')).toContainText(['Run notes'])
  await shelf.press('Enter')
  await expect(line).toBeHidden()
  expect((await shelf.state()).focus).toBe('notes')
  expect(await shelf.here()).toBe('model')
  await page.getByRole('button', { name: /^find/ }).click()
  await page.keyboard.type('breath')
  await line.getByRole('option', { name: 'Breather' }).first().click()
  expect(await shelf.here()).toBe('breather')
  await shelf.press('Alt+;')
  await page.keyboard.type('carry win')
  await shelf.press('Enter')
  await expect(line.getByText('Carry window to…')).toBeVisible()
  await page.keyboard.type('rot')
  await shelf.press('Enter')
  expect((await shelf.state()).windows.atlas?.desktop).toBe('rota')
  expect(await shelf.here()).toBe('rota')
  await shelf.press('Alt+;')
  await page.keyboard.type('qqqq')
  await expect(line.getByText('Nothing found')).toBeVisible()
})

test('words in any order, settings and passages; what is found in a text is gone to', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const line = page.getByRole('dialog', { name: 'Line' })
  const options = line.getByRole('option')
  await shelf.press('Alt+;')
  await page.keyboard.type('field station')
  await expect(options.first()).toContainText('Station readings 06:00')
  await page.keyboard.press('Control+A')
  await page.keyboard.type('undo')
  await expect(options).toContainText(['Undo'])
  await expect(line.getByText('Countdown')).toBeHidden()
  await page.keyboard.press('Control+A')
  await page.keyboard.type('night')
  await expect(line.getByRole('option', { name: /^Theme: dark, by night/ })).toContainText('off')
  await line.getByRole('option', { name: /^Theme: dark, by night/ }).click()
  expect((await shelf.state()).settings.cloth).toBe('night')
  await expect(shelf.said()).toContainText('Theme: dark')
  await shelf.press('Alt+Z')
  // A cell of a table, and a word of a document: shown with what stands around, and gone to.
  await shelf.press('Alt+;')
  await page.keyboard.type('two old slides')
  await expect(options.first()).toContainText('Wren Couloir: two old slides at 1,950 m')
  await shelf.press('Enter')
  await expect.poll(() => page.evaluate(() => String(getSelection()))).toBe('two old slides')
  await shelf.press('Alt+;')
  await page.keyboard.type('one collapse heard')
  await expect(options.first()).toContainText('one collapse heard')
  await shelf.press('Enter')
  await expect(page.locator('.win-focused [role=gridcell][aria-selected=true]')).toContainText(
    'one collapse heard',
  )
})

test('what is long is looked through to its end; where it stands is gone to', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  const lines = Array.from({ length: 3000 }, (_, at) => `Cairn ${at} stands where it stood`)
  await shelf.drop(
    {
      name: 'Paths.md',
      type: 'text/markdown',
      content: `${lines.join('\n\n')}\n\nthe last *red* lantern`,
    },
    { name: 'Log.txt', type: 'text/plain', content: `${lines.join('\n')}\namber cairn` },
    {
      name: 'Readings.csv',
      type: 'text/csv',
      content: `a,b\n${lines.join(',1\n')},1\nx,slate hut`,
    },
  )
  await expect(page.locator('[data-window]')).toHaveCount(3)
  const options = page.getByRole('dialog', { name: 'Line' }).getByRole('option')
  const find = async (words: string, title: string) => {
    await shelf.press('Alt+;')
    await page.keyboard.type(words)
    await expect(options.first()).toContainText(words, { ignoreCase: true })
    await shelf.press('Enter')
    await expect(page.locator('[data-focused]')).toHaveAttribute('aria-label', title)
  }
  await find('amber cairn', 'Log')
  await expect.poll(() => page.evaluate(() => String(getSelection()))).toBe('amber cairn')
  await find('slate hut', 'Readings')
  await expect(page.locator('[data-focused] [role=gridcell][aria-selected=true]')).toHaveText(
    'slate hut',
  )
  // Capitals and styles make no difference.
  await find('LANTERN', 'Paths')
  await expect(page.locator('[data-focused]').getByText('lantern')).toBeInViewport()
  // The loft looks there too.
  await shelf.press('Alt+/', '/')
  await page.keyboard.type('slate hut')
  await expect(page.locator('[data-standing]')).toHaveCount(1)
  await expect(page.locator('[data-standing]')).toHaveText('Readings')
})

test('a thread in which something is found is opened', async ({ shelf, page }) => {
  await shelf.open()
  const threads = shelf.window('line').getByRole('navigation', { name: 'Threads' })
  for (const [words, who] of [
    ['stays closed until noon', 'road crew'],
    ['New snow at the hut', 'hut warden'],
  ] as const) {
    await shelf.press('Alt+;')
    await page.keyboard.type(words)
    await expect(
      page.getByRole('dialog', { name: 'Line' }).getByRole('option').first(),
    ).toContainText(words)
    await shelf.press('Enter')
    await expect(threads.locator('[aria-current]')).toContainText(who)
  }
})

test('where something is found beside a field, one types on in the field', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+;')
  await page.keyboard.type('the two parties here')
  await expect(page.locator('[cmdk-item][aria-selected=true]')).toContainText(
    'the two parties here',
  )
  await shelf.press('Enter')
  const reply = shelf.window('line').getByRole('textbox', { name: /^Reply/ })
  await expect(reply).toBeFocused()
  // What was found is shown once the focus has landed.
  await page.waitForTimeout(500)
  await page.keyboard.type('Yes, for now')
  await expect(reply).toHaveValue('Yes, for now')
})

test('a closed document is reopened from the line', async ({ shelf, page }) => {
  const id = await shelf.furnish(TWO)
  await shelf.press('Alt+R')
  await page.keyboard.type('evening forecaster')
  await expect(shelf.window(id('Handover'))).toContainText('evening forecaster')
  await shelf.press('Control+s')
  await shelf.run('window.close', { window: id('Handover') })
  await shelf.press('Alt+;')
  await page.keyboard.type('handover')
  await shelf.press('Enter')
  await expect(page.getByRole('region', { name: 'Handover' })).toContainText('evening forecaster')
})

test('the trail picks the window used before, steps on, and keeps to this desktop on Tab', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(TWO)
  await shelf.run('window.focus', { window: id('Duty') })
  await shelf.run('window.focus', { window: id('Pit') })
  const trail = page.getByRole('dialog', { name: 'Trail' })
  await page.keyboard.down('Alt')
  await page.keyboard.press('Backquote')
  await expect(trail.getByRole('option', { selected: true })).toContainText('Duty')
  await page.keyboard.up('Alt')
  await expect(trail).toBeHidden()
  expect(await shelf.here()).toBe(id('Rota'))
  await page.keyboard.down('Alt')
  await page.keyboard.press('Backquote')
  await page.keyboard.press('ArrowDown')
  await expect(trail.getByRole('option', { selected: true })).not.toContainText('Duty')
  await page.keyboard.press('Tab')
  await expect(trail.getByRole('option')).toHaveCount(3)
  await page.keyboard.press('Escape')
  await page.keyboard.up('Alt')
  expect((await shelf.state()).focus).toBe(id('Duty'))
  await page.keyboard.press('Alt+Shift+Backquote')
  await expect(trail).toBeHidden()
})

test('focus goes to the nearest window in a direction', async ({ shelf }) => {
  const id = await shelf.furnish(TWO)
  await shelf.press('Alt+ArrowDown')
  expect((await shelf.state()).focus).toBe(id('Observers'))
  await shelf.press('Alt+ArrowUp', 'Alt+ArrowRight')
  expect((await shelf.state()).focus).toBe(id('Pit'))
  await shelf.press('Alt+ArrowRight')
  await expect(shelf.said()).toContainText('no window to the right')
})

test('axe finds nothing on line and trail', async ({ shelf, page }) => {
  await shelf.furnish(TWO)
  await shelf.press('Alt+;')
  await page.keyboard.type('st')
  await expect(page.getByRole('dialog', { name: 'Line' }).getByRole('option').first()).toBeVisible()
  expect(await shelf.violations()).toEqual([])
  await shelf.press('Escape')
  await page.keyboard.down('Alt')
  await page.keyboard.press('Backquote')
  await expect(page.getByRole('dialog', { name: 'Trail' })).toBeVisible()
  expect(await shelf.violations()).toEqual([])
})

test('the trail shows windows that nobody has seen yet as they are, as many as there is room for', async ({
  shelf,
  page,
}) => {
  await page.setViewportSize({ width: 1920, height: 1080 })
  await shelf.open()
  await page.keyboard.down('Alt')
  await page.keyboard.press('`')
  const trail = page.getByRole('dialog', { name: 'Trail' })
  // What is drawn ahead comes later: these are drawn for the trail.
  for (const [title, text] of [
    ['Hazard wording', 'Considerable'],
    ['Duty rota', 'Wednesday'],
    ['Public line', 'Do I hold the two parties'],
  ] as const) {
    const row = trail.getByRole('option').filter({ has: page.getByTitle(title, { exact: true }) })
    await expect(row.locator('.win')).toContainText(text)
  }
  const below = await trail.evaluate((list) => list.getBoundingClientRect().bottom)
  for (const row of await trail.getByRole('option').all())
    if (((await row.boundingBox())?.y ?? below) < below - 80)
      await expect(row.locator('.win-body')).toHaveCount(1)
  await page.keyboard.up('Alt')
})
