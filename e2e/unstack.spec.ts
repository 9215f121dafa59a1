import { expect, test } from './shelf'

test('windows stand side by side at one scale, keep what is in them, and a letter picks one', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const bulletin = shelf.window('north')
  await bulletin.getByRole('textbox', { name: 'Text' }).click()
  await page.keyboard.type('Unsaved words. ')
  await page.evaluate(() =>
    Object.assign(window, { same: document.querySelector('[data-window="north"] .ProseMirror') }),
  )
  await shelf.press('Alt+=')
  const unstacked = page.getByRole('dialog', { name: 'Unstack' })
  await expect(unstacked).toBeFocused()
  await page.waitForTimeout(250)
  const { windows } = await shelf.state()
  const ids = ['north', 'pit', 'observers', 'stations', 'due']
  const boxes = await Promise.all(ids.map((id) => shelf.window(id).boundingBox()))
  const scales = ids.map((id, at) => (boxes[at]?.width ?? 0) / (windows[id]?.frame.width ?? 1))
  for (const scale of scales) expect(scale).toBeCloseTo(scales[0] ?? 0, 2)
  for (const [at, a] of boxes.entries())
    for (const b of boxes.slice(at + 1)) {
      if (!a || !b) throw new Error('not drawn')
      const apart =
        a.x + a.width <= b.x ||
        b.x + b.width <= a.x ||
        a.y + a.height <= b.y ||
        b.y + b.height <= a.y
      expect(apart).toBe(true)
    }
  const hint = await unstacked.getByRole('button', { name: /^Snow pit/ }).getAttribute('data-hint')
  await shelf.press(hint?.toLowerCase() ?? '')
  await expect(unstacked).toBeHidden()
  expect((await shelf.state()).focus).toBe('pit')
  await expect(shelf.window('pit')).toHaveCSS('transform', 'none')
  const same = await page.evaluate(() => {
    const { same } = window as unknown as { same: Element }
    return same.isConnected && same.textContent?.includes('Unsaved words.')
  })
  expect(same).toBe(true)
})

test('one app’s windows of all desktops, stepping from app to app, arrows, a minimised one among them', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+Shift+=')
  const unstacked = page.getByRole('dialog', { name: 'Unstack' })
  await expect(unstacked).toBeFocused()
  await expect(unstacked.getByRole('button')).toHaveCount(6)
  await expect(unstacked.getByRole('button', { name: /^Duty rota, ., on Rota/ })).toBeVisible()
  await shelf.press(',')
  await expect(unstacked.getByRole('button', { name: /, on / })).toHaveCount(4)
  const minimised = unstacked.getByRole('button', { name: /^Yesterday’s bulletin.*minimised$/ })
  // In the same rows at the same scale, drawn hollow; a key leaves them out and shows them.
  const scales = await unstacked
    .getByRole('button', { name: /, on / })
    .evaluateAll((all) => all.map((one) => one.querySelectorAll('.hollow').length))
  expect(scales.sort()).toEqual([0, 0, 0, 1])
  await expect(minimised.locator('.hollow')).toBeVisible()
  await shelf.press("'")
  await expect(unstacked.getByRole('button', { name: /, on / })).toHaveCount(3)
  await shelf.press("'")
  await expect(minimised).toBeVisible()
  await shelf.press('.', 'Escape')
  await expect(unstacked).toBeHidden()
  expect(await shelf.here()).toBe('field')
  expect((await shelf.state()).focus).toBe('stations')
  await shelf.press('Alt+=')
  await expect(unstacked).toBeFocused()
  const before = await unstacked.locator('[aria-current]').getAttribute('data-hint')
  await shelf.press('ArrowRight')
  expect(await unstacked.locator('[aria-current]').getAttribute('data-hint')).not.toBe(before)
  await page.waitForTimeout(400)
  expect(await shelf.violations()).toEqual([])
  await unstacked.getByRole('button', { name: /^Observer reports/ }).click()
  expect((await shelf.state()).focus).toBe('observers')
})
