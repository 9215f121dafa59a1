import { expect, test } from './shelf'

test('the misplaced table is found and sent home through the loft in at most 6 strokes', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+B')
  const strokes = ['Alt+/', 'Shift+R', 'F']
  expect(strokes.length).toBeLessThanOrEqual(6)
  await shelf.press('Alt+/')
  const loft = page.getByRole('dialog', { name: 'Loft' })
  await expect(loft).toBeFocused()
  await shelf.press(...strokes.slice(1))
  expect((await shelf.state()).windows.sunday?.desktop).toBe('field')
  await shelf.press('Escape')
  await expect(loft).toBeHidden()
  expect(await shelf.here()).toBe('bulletin')
})

test('three marked windows of two rows go to a third in one stroke, one undo brings them back', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeFocused()
  const before = await shelf.state()
  await shelf.press('Shift+F', 'Space', 'ArrowRight', 'Space', 'Shift+M', 'Space')
  await expect(page.getByRole('status').filter({ hasText: '3 marked' })).toBeVisible()
  await shelf.press('P')
  const { windows } = await shelf.state()
  const moved = Object.values(windows).filter(
    ({ id, desktop }) => desktop !== before.windows[id]?.desktop,
  )
  expect(moved.map(({ desktop }) => desktop)).toEqual(['public', 'public', 'public'])
  await shelf.press('Alt+Z')
  expect((await shelf.state()).windows).toEqual(before.windows)
})

test('every window is drawn at its true proportions; walking and Enter go to one, without reloading it', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+R')
  await expect(shelf.window('rota').getByRole('grid')).toBeVisible()
  await shelf.press('Alt+F')
  await page.evaluate(() => {
    const cell = document.querySelector('[data-window="rota"] [role="grid"]')
    Object.assign(window, { same: cell })
  })
  await shelf.press('Alt+/')
  const loft = page.getByRole('dialog', { name: 'Loft' })
  await expect(loft.locator('[data-standing]')).toHaveCount(15)
  const { frame } = (await shelf.state()).windows.pit ?? {}
  const box = await shelf.window('pit').boundingBox()
  expect((box?.width ?? 0) / (box?.height ?? 1)).toBeCloseTo(
    (frame?.width ?? 0) / (frame?.height ?? 1),
    1,
  )
  expect(box?.height).toBeLessThan(90)
  await shelf.press('Shift+R', 'ArrowRight', 'ArrowRight')
  await expect(page.getByRole('complementary', { name: 'Bench' })).toContainText('Duty rota')
  await shelf.press('Enter')
  await expect(loft).toBeHidden()
  expect((await shelf.state()).focus).toBe('rota')
  expect(
    await page.evaluate(
      () =>
        document.querySelector('[data-window="rota"] [role="grid"]') ===
        (window as unknown as { same: Element }).same,
    ),
  ).toBe(true)
})

test('rows are renamed, folded, moved and made from the loft, which stays open', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+/')
  const loft = page.getByRole('dialog', { name: 'Loft' })
  await expect(loft).toBeFocused()
  await shelf.press('Shift+R', ';', 'R')
  await page.keyboard.type('Shifts')
  await shelf.press('Enter')
  await expect(loft).toBeFocused()
  await shelf.press('[')
  expect(await shelf.rowNames()).toEqual([
    'Field',
    'Model',
    'Bulletin',
    'Shifts',
    'Public line',
    'Breather',
  ])
  await shelf.press(';', 'F')
  await page
    .getByRole('dialog', { name: 'Fold Shifts' })
    .getByRole('button', { name: /^Fold/ })
    .click()
  await expect(loft).toBeFocused()
  expect((await shelf.state()).windows.sunday?.desktop).toBe('bulletin')
  await shelf.press('=')
  await expect(page.locator('[data-shelf]')).toHaveCount(6)
})

test('by pointer: a window is dragged to another row, a click goes', async ({ shelf, page }) => {
  await shelf.open()
  await page.getByRole('button', { name: /^loft/ }).click()
  await page.locator('[data-standing="sunday"]').dragTo(page.locator('[data-shelf="field"]'))
  expect((await shelf.state()).windows.sunday?.desktop).toBe('field')
  await page.locator('[data-standing="output"]').click()
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeHidden()
  expect(await shelf.here()).toBe('model')
})

test('the filter leaves only what matches, and axe finds nothing', async ({ shelf, page }) => {
  await shelf.open()
  await shelf.press('Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeFocused()
  await page.waitForTimeout(600)
  expect(await shelf.violations()).toEqual([])
  await shelf.press('/')
  await page.keyboard.type('station')
  await expect(page.locator('[data-standing]')).toHaveCount(2)
  await shelf.press('Enter', 'Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeHidden()
})
