import { expect, test } from './shelf'

/** Six desktops, two windows on the first. */
const SIX = {
  Field: { Due: 'countdown', Stations: 'table' },
  Model: {},
  Bulletin: { North: 'job' },
  Public: {},
  Rota: {},
  Breather: {},
}

test('the demo starts on Field, with real windows in it', async ({ shelf, page }) => {
  await page.goto('/')
  await expect(page).toHaveURL(/\/demo$/)
  await expect(page).toHaveTitle('Field · Kite Shelf')
  expect(await shelf.here()).toBe('field')
  expect(await shelf.rowNames()).toEqual([
    'Field',
    'Model',
    'Bulletin',
    'Public line',
    'Rota',
    'Breather',
  ])
  const stations = shelf.window('stations')
  await expect(stations).toHaveAttribute('aria-label', 'Station readings 06:00')
  await expect(stations).toHaveAttribute('data-app', 'table')
  await expect(stations).toHaveAttribute('data-desktop', 'field')
  await expect(stations.getByRole('gridcell', { name: 'HR-04' })).toBeVisible()
  await expect(page.locator('[data-window="rota"]:visible')).toHaveCount(0)
})

test('a morning by keyboard, kept over a reload', async ({ shelf, page }) => {
  const id = await shelf.furnish(SIX)
  // A desktop, its name typed over the default one.
  await shelf.press('Alt+N')
  await page.keyboard.type('Kestrel')
  await shelf.press('Enter')
  expect((await shelf.rowNames())[1]).toBe('Kestrel')
  const made = await shelf.here()
  await expect(page).toHaveTitle('Kestrel · Kite Shelf')
  // Back, and a window along with one chord.
  await shelf.press('Alt+\\')
  expect(await shelf.here()).toBe(id('Field'))
  await shelf.press('Alt+Shift+K')
  expect(await shelf.here()).toBe(made)
  await expect(shelf.window(id('Stations'))).toBeVisible()
  // Back, and another sent while staying.
  await shelf.press('Alt+\\', 'Alt+]', 'K')
  expect(await shelf.here()).toBe(id('Field'))
  await expect(shelf.said()).toContainText('Sent')
  // Reorder, fold with its preview, undo.
  await shelf.press('Alt+K', 'Alt+Shift+;', '.')
  expect((await shelf.rowNames())[2]).toBe('Kestrel')
  const before = await shelf.state()
  await shelf.press('Alt+Shift+;', 'F')
  const preview = page.getByRole('dialog', { name: 'Fold Kestrel' })
  await expect(preview.getByRole('listitem')).toHaveCount(2)
  await page.keyboard.press('Enter')
  await expect(preview).toBeHidden()
  expect(await shelf.rowNames()).not.toContain('Kestrel')
  expect(Object.keys((await shelf.state()).windows)).toHaveLength(
    Object.keys(before.windows).length,
  )
  await shelf.press('Alt+Z')
  expect((await shelf.state()).desktops).toEqual(before.desktops)
  // Everything as it was after a reload.
  const kept = await shelf.state()
  await shelf.reload()
  expect(await shelf.state()).toEqual(kept)
  await expect(shelf.window(id('Stations'))).toBeVisible()
  expect(await shelf.here()).toBe(made)
})

test('next, previous and their end without wrapping', async ({ shelf }) => {
  const id = await shelf.furnish(SIX)
  await shelf.press('Alt+,')
  expect(await shelf.here()).toBe(id('Breather'))
  await shelf.press('Alt+.')
  expect(await shelf.here()).toBe(id('Field'))
  await shelf.run('settings.set', { wrap: false })
  await shelf.press('Alt+,')
  expect(await shelf.here()).toBe(id('Field'))
  await expect(shelf.said()).toHaveText(/This is the first desktop/)
})

test('typing goes to the window that had the focus, and comes back to it', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+B')
  await expect(shelf.window('bulletin').getByRole('textbox', { name: 'Text' })).toBeFocused()
  await shelf.press('Control+End')
  await page.keyboard.type(' snow to the lee.')
  await shelf.press('Alt+P')
  await expect(shelf.window('line').getByRole('textbox', { name: /^Reply/ })).toBeFocused()
  await shelf.press('Alt+\\')
  await expect(shelf.window('bulletin').getByRole('textbox', { name: 'Text' })).toBeFocused()
  await page.keyboard.type(' Twice.')
  await expect(shelf.window('bulletin')).toContainText('carried snow to the lee. Twice.')
  await shelf.reload()
  await expect(shelf.window('bulletin')).toContainText('carried snow to the lee. Twice.')
})

test('letters and punctuation of other layouts: AltGr and plain typing never command', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+B')
  await expect(shelf.window('bulletin').getByRole('textbox', { name: 'Text' })).toBeFocused()
  await shelf.press('Control+End')
  await page.keyboard.type(' =[]\\ b,;')
  expect(await shelf.here()).toBe('bulletin')
  await expect(shelf.window('bulletin')).toContainText('=[]\\ b,;')
})

test('the start of a sequence shows what may follow; a wrong key says so; Escape leaves', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(SIX)
  await shelf.press('Alt+]')
  await expect(page.getByText('Send to', { exact: true })).toBeVisible()
  await shelf.press('Escape')
  await expect(page.getByText('Send to', { exact: true })).toBeHidden()
  await shelf.press('Alt+]', 'K')
  await expect(shelf.said()).toContainText('means nothing')
  // What is about this desktop or window is listed by what it does, all of it in sight.
  await page.setViewportSize({ width: 1024, height: 640 })
  await shelf.press('Alt+Shift+;')
  for (const does of ['Arrange displays', 'Rename this desktop…', 'Menu of the whole shelf'])
    await expect(page.getByRole('status').getByText(does).last()).toBeInViewport({ ratio: 1 })
  await shelf.press('Escape')
  expect((await shelf.state()).windows[id('Stations')]?.desktop).toBe(id('Field'))
})

test('apps by number: latest window, again the next, Shift another', async ({ shelf, page }) => {
  const id = await shelf.furnish({
    ...SIX,
    Rota: { Duty: 'reader', Yesterday: 'reader' },
  })
  await shelf.press('Alt+4')
  expect((await shelf.state()).focus).toBe(id('Due'))
  await shelf.press('Alt+Shift+1')
  await expect(
    page.locator('[data-app="document"]:visible').filter({ has: page.getByText('New document') }),
  ).toBeVisible()
  await shelf.press('Alt+3')
  const first = (await shelf.state()).focus
  await shelf.press('Alt+3')
  expect((await shelf.state()).focus).not.toBe(first)
})

test('the pad places with one letter, spans with two, takes sides with arrows', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({
    Field: { Stations: { app: 'table', frame: { x: 24, y: 24, width: 640, height: 350 } } },
  })
  await shelf.press('Alt+X')
  await expect(page.getByRole('dialog', { name: 'Pad' })).toBeVisible()
  // Only the seam moves until it is kept.
  await shelf.press('Q')
  const seam = await page.locator('.pad-seam').boundingBox()
  expect((await shelf.state()).windows[id('Stations')]?.frame.x).toBe(24)
  await shelf.press('Enter')
  const ninth = (await shelf.state()).windows[id('Stations')]?.frame
  expect(ninth?.x).toBe(8)
  expect(ninth?.width).toBe(seam?.width)
  await shelf.press('Alt+X', 'Q', 'C')
  await expect(page.getByRole('dialog', { name: 'Pad' })).toContainText('Enter or a pause keeps')
  await expect(page.getByRole('dialog', { name: 'Pad' })).toBeHidden()
  const whole = (await shelf.state()).windows[id('Stations')]?.frame
  expect(whole?.width).toBeGreaterThan(2.9 * (ninth?.width ?? 0))
  // A visit is one step.
  await shelf.press('Alt+Z', 'Alt+Z')
  expect((await shelf.state()).windows[id('Stations')]?.frame).toEqual({
    x: 24,
    y: 24,
    width: 640,
    height: 350,
  })
  await shelf.press('Alt+X', 'Shift+ArrowRight', '+', 'Escape')
  expect((await shelf.state()).windows[id('Stations')]?.frame.x).toBe(24)
  await shelf.press('Alt+X', 'Shift+ArrowRight', '+', 'Enter')
  expect((await shelf.state()).windows[id('Stations')]?.frame).toEqual({
    x: 24,
    y: 0,
    width: 688,
    height: 398,
  })
  // By pointer: a side, a third of it, and kept; or left as it was.
  const pad = page.getByRole('dialog', { name: 'Pad' })
  const pushed = async (...names: RegExp[]) => {
    await shelf.press('Alt+X')
    for (const name of names) await pad.getByRole('button', { name }).click()
    await expect(pad).toBeHidden()
    return (await shelf.state()).windows[id('Stations')]?.placed
  }
  const left = /of it: left/
  expect(await pushed(left, left, /^keep/)).toEqual({ top: 0, left: 0, bottom: 2, right: 0 })
  expect(await pushed(/^Place at E/, /^leave/)).toEqual({ top: 0, left: 0, bottom: 2, right: 0 })
  await shelf.press('Alt+Z')
  // The numeric keypad has the same cells; two sides make a corner; what stood before comes back.
  await shelf.press('Alt+X', 'Numpad3', 'Enter')
  expect((await shelf.state()).windows[id('Stations')]?.placed).toEqual({
    top: 2,
    left: 2,
    bottom: 2,
    right: 2,
  })
  await shelf.press('Alt+X', 'ArrowLeft', 'ArrowUp', 'ArrowUp', 'Enter')
  expect((await shelf.state()).windows[id('Stations')]?.placed).toMatchObject({
    left: 0,
    right: 0.5,
    top: 0,
    bottom: 0,
  })
  await shelf.press('Alt+X', 'R')
  expect((await shelf.state()).windows[id('Stations')]?.frame).toMatchObject({ x: 24, y: 0 })
})

test('keys after a leader, for people whose Alt is taken', async ({ shelf }) => {
  const id = await shelf.furnish(SIX)
  await shelf.run('settings.set', { keys: 'leader' })
  await shelf.press('Alt+B')
  expect(await shelf.here()).toBe(id('Field'))
  await shelf.press('Control+.', 'B')
  expect(await shelf.here()).toBe(id('Bulletin'))
  await shelf.press('Control+.', ']', 'P')
  expect((await shelf.state()).windows[id('North')]?.desktop).toBe(id('Public'))
})

test('the key card is made from the bindings as they are', async ({ shelf, page }) => {
  const id = await shelf.furnish(SIX)
  await shelf.press('Alt+Shift+/')
  const card = page.getByRole('dialog', { name: 'Keys' })
  await card.getByRole('button', { name: 'all keys' }).click()
  await expect(card.getByText('Breather')).toBeVisible()
  await expect(card.getByText('Minimise window')).toBeVisible()
  await shelf.press('Escape')
  await expect(card).toBeHidden()
  await expect(shelf.window(id('Stations')).locator(':focus')).toHaveCount(1)
})

test('the rack by keyboard: walk, go, rename, reorder', async ({ shelf, page }) => {
  const id = await shelf.furnish(SIX)
  await page.getByRole('button', { name: /^Field,/ }).focus()
  await shelf.press('ArrowDown', 'Enter')
  expect(await shelf.here()).toBe(id('Model'))
  await page.getByRole('button', { name: /^Model,/ }).focus()
  await shelf.press(',')
  expect((await shelf.rowNames())[0]).toBe('Model')
  await page.getByRole('button', { name: /^Model,/ }).focus()
  await shelf.press('r')
  const name = page.getByRole('textbox', { name: 'Name of the desktop' })
  await name.fill('')
  await shelf.press('Enter')
  await expect(shelf.said()).toContainText('needs a name')
  await name.fill('Runs')
  await shelf.press('Enter')
  expect((await shelf.rowNames())[0]).toBe('Runs')
  expect((await shelf.state()).desktops[id('Model')]?.letter).not.toBeNull()
})

test('letter and look of a desktop by keyboard', async ({ shelf, page }) => {
  const id = await shelf.furnish(SIX)
  await shelf.press('Alt+Shift+;', 'L')
  await page.keyboard.type('x')
  await shelf.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: 'cannot be a call letter' })).toBeVisible()
  await page.getByRole('textbox', { name: 'Call letter' }).fill('k')
  await shelf.press('Enter')
  expect((await shelf.state()).desktops[id('Field')]).toMatchObject({
    letter: 'K',
    letterByHand: true,
  })
  await shelf.press('Alt+Shift+;', 'V')
  await page.getByRole('radio', { name: 'rust' }).check({ force: true })
  await page.getByRole('radio', { name: 'dots' }).check({ force: true })
  await page.getByRole('checkbox').uncheck()
  await shelf.press('Escape')
  expect((await shelf.state()).desktops[id('Field')]).toMatchObject({
    hue: 'rust',
    backdrop: 'dots',
    sign: false,
  })
})

test('the console: the same commands, with reasons', async ({ shelf, page }) => {
  const id = await shelf.furnish(SIX)
  await shelf.run('window.send', { window: id('Stations'), to: 'Rota' })
  expect((await shelf.state()).windows[id('Stations')]?.desktop).toBe(id('Rota'))
  const refusal = await page.evaluate(() => window.kiteShelf?.run('window.send', { to: 'Nowhere' }))
  expect(refusal).toMatchObject({ ok: false, reason: expect.stringContaining('Nowhere') })
  const commands = await page.evaluate(() => window.kiteShelf?.commands())
  expect(commands).toContainEqual({ id: 'desktop.go', title: 'Go to desktop', args: ['to'] })
})

test('what may follow is shown at once, after a moment, or not at all', { tag: '@apart' }, async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  const card = page.getByRole('status').getByText('Rename this desktop')
  await shelf.press('Alt+Shift+;')
  await expect(card).toBeVisible()
  await shelf.press('Escape')
  await shelf.run('settings.set', { hints: 'later' })
  // By a clock that stands, however slow the machine is.
  await page.clock.install()
  await page.clock.pauseAt(Date.now() + 5000)
  await page.keyboard.press('Alt+Shift+;')
  await expect(page.getByRole('status').getByText('a key follows')).toBeVisible()
  await page.clock.runFor(300)
  await expect(card).toBeHidden()
  await page.clock.runFor(200)
  await expect(card).toBeVisible()
  await page.keyboard.press('Escape')
  await page.clock.resume()
  await shelf.run('settings.set', { hints: 'never' })
  await shelf.press('Alt+Shift+;')
  await page.waitForTimeout(600)
  await expect(card).toBeHidden()
  // The keys mean what they did all the while.
  await shelf.press('r')
  await expect(page.getByRole('textbox', { name: 'Name of the desktop' })).toBeFocused()
})
