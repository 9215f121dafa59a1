import type { Locator } from '@playwright/test'
import { expect, test } from './shelf'

/** How wide something is drawn. */
const width = async (of: Locator): Promise<number> =>
  Math.round((await of.boundingBox())?.width ?? 0)

test('in the loft a window is looked at closely while Space is held, and marked when it is tapped', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const { windows, desktops } = await shelf.state()
  const id = desktops[(await shelf.here()) ?? '']?.windows.at(-1) ?? ''
  const own = windows[id]?.frame.width ?? 0
  await shelf.run('window.focus', { window: id })
  await shelf.run('loft.open')
  await expect.poll(() => width(shelf.window(id))).toBeLessThan(own / 2)
  await page.keyboard.down('Space')
  await expect.poll(() => width(shelf.window(id))).toBe(own)
  // Another one is looked at in its place.
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowDown')
  await expect.poll(() => width(shelf.window(id))).toBeLessThan(own / 2)
  await page.keyboard.up('Space')
  await expect(page.locator('.veil')).toHaveCount(0)
  await expect(page.locator('[data-standing][aria-pressed=true]')).toHaveCount(0)
  await shelf.press('Space')
  await expect(page.locator('[data-standing][aria-pressed=true]')).toHaveCount(1)
  // Enter goes to what is looked at.
  await page.keyboard.down('Space')
  await expect(page.locator('.veil')).toHaveCount(1)
  await page.keyboard.press('Enter')
  await page.keyboard.up('Space')
  await expect(page.locator('#loft')).toHaveCount(0)
  await expect(page.locator('.veil')).toHaveCount(0)
})

test('in the loft, unstack and on the rack a window is looked at while the pointer is held', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const { windows } = await shelf.state()
  const own = windows.stations?.frame.width ?? 0
  const hold = async (on: Locator) => {
    const before = await shelf.here()
    await on.hover()
    await page.mouse.down()
    await expect(page.locator('.veil')).toHaveCount(1)
    await expect.poll(() => width(shelf.window('stations'))).toBe(own)
    await page.mouse.up()
    await expect(page.locator('.veil')).toHaveCount(0)
    // To let go is no push.
    expect(await shelf.here()).toBe(before)
  }
  await shelf.run('desktop.go', { to: 'bulletin' })
  await hold(page.locator('[data-bow=stations]'))
  await shelf.run('loft.open')
  await hold(page.locator('[data-standing=stations]'))
  await expect(page.locator('#loft')).toBeVisible()
  await shelf.press('Escape')
  await shelf.run('window.focus', { window: 'stations' })
  await shelf.run('unstack.open')
  await hold(
    page.getByRole('dialog', { name: 'Unstack' }).getByRole('button', { name: /^Station/ }),
  )
  await expect(page.getByRole('dialog', { name: 'Unstack' })).toBeVisible()
  // By key there too.
  await page.keyboard.down('Space')
  await expect(page.locator('.veil')).toHaveCount(1)
  await page.keyboard.up('Space')
  await expect(page.locator('.veil')).toHaveCount(0)
})

test('in the trail the chosen window is looked at while → is held; in glance → raises one after the other', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await page.keyboard.down('Alt')
  await page.keyboard.press('Backquote')
  await expect(page.getByRole('dialog', { name: 'Trail' })).toBeVisible()
  await page.keyboard.down('ArrowRight')
  await expect(page.locator('.veil')).toHaveCount(1)
  await page.keyboard.up('ArrowRight')
  await expect(page.locator('.veil')).toHaveCount(0)
  await page.keyboard.press('Escape')
  await page.keyboard.up('Alt')

  await shelf.run('desktop.go', { to: 'bulletin' })
  await shelf.run('desktop.glance', { to: 'field' })
  await expect(page.getByRole('dialog', { name: 'Glance' })).toBeVisible()
  const topmost = () =>
    page.evaluate(() => {
      const all = [...document.querySelectorAll<HTMLElement>('.win')]
      return all.reduce((a, b) => (Number(b.style.zIndex) > Number(a.style.zIndex) ? b : a)).id
    })
  const first = await topmost()
  await shelf.press('ArrowRight')
  const second = await topmost()
  await shelf.press('ArrowRight')
  const third = await topmost()
  expect(new Set([first, second, third]).size).toBe(3)
  await shelf.press('ArrowLeft')
  expect(await topmost()).toBe(second)
  // One stays there with it.
  await shelf.press('Enter')
  await expect(page.locator(`#${second}`)).toHaveAttribute('data-focused', '')
})
