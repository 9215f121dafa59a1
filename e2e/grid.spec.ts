import { expect, test } from './shelf'

/** Two rows of three. */
const SIX = {
  Field: { Pit: 'job', Stations: 'table' },
  Model: {},
  Bulletin: { North: 'countdown' },
  Public: { Calls: 'job' },
  Rota: { Handover: 'job', Duty: 'table' },
  Breather: {},
}

test('desktops stand in rows and columns: across, above and below, going round each axis', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(SIX)
  await shelf.press('Alt+Shift+;', '3')
  await expect(shelf.said()).toContainText('The desktops stand in rows of 3')
  await shelf.press('Alt+.', 'Alt+.', 'Alt+.')
  expect(await shelf.here()).toBe(id('Field'))
  await shelf.press('Alt+PageDown')
  expect(await shelf.here()).toBe(id('Public'))
  await shelf.press('Alt+PageDown')
  expect(await shelf.here()).toBe(id('Field'))
  await shelf.press('Alt+Shift+PageDown')
  expect((await shelf.state()).windows[id('Stations')]?.desktop).toBe(id('Public'))
  // The rack has the same rows: a mark of the map goes there.
  await page.getByRole('button', { name: 'Breather', exact: true }).first().click()
  expect(await shelf.here()).toBe(id('Breather'))
  await shelf.reload()
  expect((await shelf.state()).columns).toBe(3)
})

test('the desktops of a new row are named one after the other', async ({ shelf, page }) => {
  await shelf.furnish(SIX)
  await shelf.run('grid.columns', { columns: 3 })
  await shelf.run('grid.addRow')
  for (const name of ['Avalanche', 'Bridge']) {
    await page.keyboard.type(name)
    await page.keyboard.press('Enter')
  }
  const field = page.getByRole('textbox', { name: 'Name of the desktop' })
  await expect(field).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(field).toHaveCount(0)
  expect((await shelf.rowNames()).slice(3, 5)).toEqual(['Avalanche', 'Bridge'])
})

test('the small map is up while Alt is held; arrows and pointer go on from it', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(SIX)
  await shelf.run('grid.columns', { columns: 3 })
  const map = page.getByRole('region', { name: 'Map of desktops' })
  await page.keyboard.down('Alt')
  await page.keyboard.press('.')
  await expect(map.locator('[aria-current]')).toHaveAttribute('aria-label', 'Model')
  await page.keyboard.press('ArrowDown')
  await expect(map.locator('[aria-current]')).toHaveAttribute('aria-label', 'Rota')
  await map.getByRole('button', { name: 'Bulletin' }).click()
  expect(await shelf.here()).toBe(id('Bulletin'))
  await page.keyboard.up('Alt')
  await expect(map).toBeHidden()
})

test('a row is made, and folding it shows first where its windows go', async ({ shelf, page }) => {
  const id = await shelf.furnish(SIX)
  await shelf.press('Alt+Shift+;', '3', 'Alt+P')
  const before = await shelf.state()
  await shelf.press('Alt+Shift+;', '=')
  expect((await shelf.state()).order).toHaveLength(9)
  await shelf.press('Alt+Shift+;', '-')
  const dialog = page.getByRole('dialog', { name: 'Fold Public, Rota, Breather' })
  await dialog.getByLabel('Where “Handover” goes').selectOption(id('Model'))
  await shelf.press('Enter')
  const { windows, order } = await shelf.state()
  expect(order).toHaveLength(6)
  expect(windows[id('Handover')]?.desktop).toBe(id('Model'))
  expect(windows[id('Calls')]?.desktop).toBe(id('Bulletin'))
  await shelf.press('Alt+Z', 'Alt+Z')
  const now = await shelf.state()
  expect([now.order, now.windows, now.desktops]).toEqual([
    before.order,
    before.windows,
    before.desktops,
  ])
})

test('another desktop is looked into while Alt is held, and nothing in it reacts', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  // What the apps report comes by itself.
  const seen = async () => ({ ...(await shelf.state()), attention: {} })
  const before = await seen()
  const glance = page.getByRole('dialog', { name: 'Glance' })
  await page.keyboard.down('Alt')
  await page.keyboard.press('[')
  await page.keyboard.press('b')
  await expect(glance).toBeVisible()
  await expect(shelf.window('bulletin')).toBeVisible()
  await expect(shelf.window('stations')).toBeHidden()
  await page.keyboard.press('x')
  await page.keyboard.press('Backspace')
  await page.keyboard.press('m')
  await expect(shelf.window('notes')).toBeVisible()
  expect(await shelf.violations()).toEqual([])
  await page.keyboard.up('Alt')
  await expect(glance).toBeHidden()
  expect(await seen()).toEqual(before)
  await page.keyboard.down('Alt')
  await page.keyboard.press('[')
  await page.keyboard.press('.')
  await page.keyboard.press('Enter')
  await page.keyboard.up('Alt')
  expect(await shelf.here()).toBe('model')
  // By pointer from the menu of the row; a push leaves.
  await page.getByRole('button', { name: /^Rota,/ }).click({ button: 'right' })
  await page.getByRole('menuitem', { name: 'Glance at it' }).click()
  await expect(shelf.window('rota')).toBeVisible()
  await page.mouse.click(700, 400)
  await expect(glance).toBeHidden()
  expect(await shelf.here()).toBe('model')
})

test('the windows of one app follow each other, and a window is shown on every desktop', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(SIX)
  await shelf.press('Alt+End')
  const focus = (await shelf.state()).focus ?? ''
  expect((await shelf.state()).windows[focus]?.app).toBe('table')
  expect(focus).not.toBe(id('Stations'))
  await shelf.press('Alt+Shift+End')
  expect((await shelf.state()).focus).toBe(id('Stations'))
  await shelf.press('Alt+Shift+;', 'E', 'Alt+B')
  await expect(shelf.window(id('Stations'))).toBeVisible()
  await page.locator(`[data-bow="${id('Stations')}"]`).click({ button: 'right' })
  await shelf.chooseWithin('Keep in sight', 'Show on every desktop')
  await expect(shelf.said()).toContainText('is on Bulletin only')
})
