import { expect, test } from './shelf'

test('an app is never carried: set from a window in one step, told under “why here?”, overridden once with Shift', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await shelf.run('desktop.create', { name: 'Field', stay: true })
  await shelf.press('Alt+1')
  const window = page.locator('[data-window][data-focused]')
  const id = await window.getAttribute('data-window')
  const lives = async () => (await shelf.state()).windows[id ?? '']?.desktop
  const first = await lives()
  await window.locator('.hem').click({ button: 'right' })
  await shelf.chooseWithin('For every window of Document', 'Never carried')
  await expect(shelf.said()).toContainText('is never carried any more')
  await shelf.press('Alt+Shift+F')
  await expect(shelf.said()).toContainText('Went to Field without')
  expect(await lives()).toBe(first)
  await shelf.press('Alt+\\', 'Alt+J', 'Y')
  await expect(page.getByRole('dialog')).toContainText('never carried')
  await shelf.press('Escape', 'Alt+]', 'Shift+F')
  await expect(shelf.said()).toContainText('Carried')
  expect(await lives()).not.toBe(first)
  await shelf.reload()
  expect((await shelf.state()).exceptions).toEqual({ document: ['never carried'] })
  // By hand it comes along, whatever its app does.
  await shelf.press('Alt+Z', 'Alt+Z')
  expect((await shelf.state()).exceptions).toEqual({ document: ['never carried'] })
  await shelf.press('Alt+Z')
  expect((await shelf.state()).exceptions).toEqual({})
})

test('an app keeps its size on the pad; with Shift it takes that of the place', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await shelf.press('Alt+1')
  const window = page.locator('[data-window][data-focused]')
  const size = async () => {
    const box = await window.boundingBox()
    return [Math.round(box?.width ?? 0), Math.round(box?.height ?? 0)]
  }
  const before = await size()
  await shelf.run('app.keepsSize')
  await shelf.press('Alt+X', 'C', 'Enter')
  await expect(page.getByRole('dialog', { name: 'Pad' })).toHaveCount(0)
  expect(await size()).toEqual(before)
  await shelf.press('Alt+X')
  await expect(page.getByRole('dialog', { name: 'Pad' })).toContainText('at its size')
  await shelf.press('Shift+C', 'Enter')
  await expect(page.getByRole('dialog', { name: 'Pad' })).toHaveCount(0)
  expect(await size()).not.toEqual(before)
})
