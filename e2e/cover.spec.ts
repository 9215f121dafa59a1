import { expect, test } from './shelf'

test('one key covers everything, title and icon too, on every page of the shelf, until any key is pressed', async ({
  shelf,
  page,
  context,
}) => {
  await shelf.open()
  await shelf.run('window.focus', { window: 'north' })
  const editor = shelf.window('north').locator('[contenteditable=true]')
  await expect(editor).toBeFocused()
  const text = await editor.textContent()
  const cover = page.getByRole('dialog', { name: 'Covered' })
  await shelf.press('Alt+Shift+X')
  await expect(cover).toBeVisible()
  await expect(cover).toContainText('It isn’t a lock')
  await expect(page).toHaveTitle('Kite Shelf')
  expect(await shelf.violations('all')).toEqual([])
  // Neither typed nor a command.
  await shelf.press('x')
  await expect(cover).toHaveCount(0)
  await expect(editor).toBeFocused()
  expect(await editor.textContent()).toBe(text)
  await expect(page).toHaveTitle('Field · Kite Shelf')
  await shelf.press('Alt+Shift+X')
  const here = await shelf.here()
  await shelf.press('Alt+M')
  expect(await shelf.here()).toBe(here)
  await expect(cover).toHaveCount(0)
  // A push lifts it too, of either button, and what is typed next is typed: in a text and in a field.
  for (const button of ['left', 'right'] as const)
    for (const window of ['run', 'north']) {
      await shelf.run('window.focus', { window })
      await shelf.press('Alt+Shift+X')
      await cover.click({ button })
      await expect(cover).toHaveCount(0)
      await page.keyboard.type('after')
      const field = shelf.window(window).locator('input, [contenteditable=true]').first()
      if (window === 'run') await expect(field).toHaveValue('after')
      else await expect(field).toContainText('after')
      for (const _ of 'after') await shelf.press('Backspace')
    }
  // Over what is asked as well; letters land where they should when that has gone meanwhile.
  for (const asks of ['line.open', 'shelf.menu', 'desktop.askName', 'loft.open']) {
    await shelf.run(asks)
    await shelf.run('shelf.cover')
    await expect(cover).toBeVisible()
    // Nor by pointer is anything done beneath.
    await page.mouse.wheel(0, 400)
    await shelf.press('x')
    await expect(cover).toHaveCount(0)
    await shelf.press('Escape', 'Escape')
    await expect(editor).toBeFocused()
  }
  expect(await shelf.here()).toBe(here)
  // Also a display in a window of its own, and after a reload; a push lifts it as well.
  await shelf.press('Alt+Shift+X')
  await page.reload()
  await expect(cover).toBeVisible()
  const other = await context.newPage()
  await other.goto('/demo/display/tall')
  await expect(other.getByRole('dialog', { name: 'Covered' })).toBeVisible()
  await cover.click()
  await expect(cover).toHaveCount(0)
  await expect(other.getByRole('dialog', { name: 'Covered' })).toHaveCount(0)
})

test('with a phrase only that lifts the cover', async ({ shelf, page }) => {
  await shelf.open()
  await shelf.press('Alt+Shift+;', 'Shift+S')
  await page.getByRole('textbox', { name: 'Phrase to lift the cover' }).fill('soft snow')
  await shelf.press('Enter', 'Escape')
  expect((await shelf.state()).settings.coverPhrase).toBe('soft snow')
  await shelf.press('Alt+Shift+X')
  const cover = page.getByRole('dialog', { name: 'Covered' })
  await expect(cover.getByLabel('Phrase')).toBeFocused()
  await page.keyboard.type('hard snow')
  await shelf.press('Enter')
  await expect(cover).toContainText('That isn’t the phrase')
  await shelf.press('Escape', 'Escape')
  await expect(cover).toBeVisible()
  await page.keyboard.type('soft snow')
  await expect(cover).toHaveCount(0)
})

test('when nobody has touched anything for so long, it is covered by itself', {
  tag: '@apart',
}, async ({ shelf, page }) => {
  await page.clock.install()
  await shelf.open('shelf')
  await shelf.run('settings.set', { coverAfter: 5 })
  await page.clock.runFor('04:00')
  await page.mouse.move(300, 300)
  await page.clock.runFor('04:00')
  const cover = page.getByRole('dialog', { name: 'Covered' })
  await expect(cover).toHaveCount(0)
  await page.clock.runFor('01:30')
  await expect(cover).toBeVisible()
})
