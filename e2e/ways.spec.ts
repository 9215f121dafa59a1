import { expect, test } from './shelf'

test.beforeEach(({ shelf }) => shelf.open())

test('the wheel with Alt and over the rack goes from desktop to desktop; side buttons go back', async ({
  shelf,
  page,
}) => {
  // Before all is there a wheel is the browser's own.
  await expect(shelf.window('stations').getByRole('gridcell', { name: 'HR-04' })).toBeVisible()
  await page.mouse.move(900, 740)
  await page.keyboard.down('Alt')
  await shelf.drawn()
  await page.mouse.wheel(0, 120)
  await expect.poll(() => shelf.here()).toBe('model')
  await page.mouse.wheel(0, -120)
  await expect.poll(() => shelf.here()).toBe('field')
  await page.keyboard.up('Alt')
  // Without it a wheel is the window's, or nobody's.
  await page.mouse.wheel(0, 120)
  await page.mouse.move(120, 740)
  await page.mouse.wheel(0, 120)
  await expect.poll(() => shelf.here()).toBe('model')
  await page.mouse.wheel(160, 0)
  await expect.poll(() => shelf.here()).toBe('bulletin')
  // With Alt a swipe goes there over windows too, without it scrolls what is in them.
  const { x = 0, y = 0 } = (await page.locator('[data-focused]').boundingBox()) ?? {}
  await page.mouse.move(x + 60, y + 60)
  await page.mouse.wheel(-160, 0)
  await page.waitForTimeout(300)
  expect(await shelf.here()).toBe('bulletin')
  await page.keyboard.down('Alt')
  await page.mouse.wheel(-160, 0)
  await expect.poll(() => shelf.here()).toBe('model')
  await page.waitForTimeout(200)
  await page.mouse.wheel(160, 0)
  await expect.poll(() => shelf.here()).toBe('bulletin')
  await page.keyboard.up('Alt')
  const side = (button: number) =>
    page.evaluate((pressed) => {
      for (const type of ['mousedown', 'mouseup'])
        document.body.dispatchEvent(
          new MouseEvent(type, { button: pressed, bubbles: true, cancelable: true }),
        )
    }, button)
  const [back, forward] = [3, 4]
  // Back through the desktops one was on, and forward again to where that began.
  await side(back)
  await expect.poll(() => shelf.here()).toBe('model')
  await side(back)
  await expect.poll(() => shelf.here()).toBe('field')
  await side(forward)
  await expect.poll(() => shelf.here()).toBe('model')
  await side(forward)
  await expect.poll(() => shelf.here()).toBe('bulletin')
  await side(forward)
  await expect(shelf.said()).toContainText('You haven’t gone back')
  await shelf.run('pointer.set', { way: 'side button back', command: 'loft.open' })
  await shelf.reload()
  await page.evaluate(() =>
    document.body.dispatchEvent(
      new MouseEvent('mouseup', { button: 3, bubbles: true, cancelable: true }),
    ),
  )
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeVisible()
})

test('a corner does nothing until asked, then after its push time, never with a button down', async ({
  shelf,
  page,
}) => {
  const corner = async () => {
    await page.mouse.move(600, 300)
    await page.mouse.move(0, 0)
  }
  await corner()
  await page.waitForTimeout(600)
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeHidden()
  await shelf.run('settings.open', { find: 'corner' })
  const panel = page.getByRole('dialog', { name: 'Settings' })
  // That it stayed there was counted: so often it would have gone off.
  await expect(panel.getByText('top left corner 1')).toBeVisible()
  const row = panel.locator('[data-way="top left corner"]')
  await row.getByRole('combobox').selectOption({ label: 'Loft: see everything' })
  await row.getByRole('textbox', { name: 'Push time of the top left corner' }).fill('250')
  await row.getByRole('textbox').press('Enter')
  // The small page tells what would happen, without doing it.
  const small = panel.locator('[data-try-out]')
  await small.scrollIntoViewIfNeeded()
  const box = await small.boundingBox()
  if (!box) throw new Error('no small page')
  await page.mouse.move(box.x + 80, box.y + 60)
  await page.mouse.move(box.x + 3, box.y + 3)
  await expect(small).toContainText('now: Loft')
  expect(await shelf.violations()).toEqual([])
  await page.keyboard.press('Escape')
  await expect(panel).toBeHidden()
  await page.mouse.move(600, 760)
  await page.mouse.down()
  await page.mouse.move(0, 0)
  await page.waitForTimeout(500)
  await page.mouse.up()
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeHidden()
  // It is there for as long as the push takes: it is waited for before.
  await Promise.all([page.locator('.push-bar').waitFor({ state: 'attached' }), corner()])
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeVisible()
  // One push does one thing.
  await page.waitForTimeout(600)
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeVisible()
  await shelf.press('Escape')
  await shelf.reload()
  expect((await shelf.state()).bindings).toMatchObject([
    { keys: 'top left corner', command: 'loft.open', time: 250 },
  ])
})

test('with a mouse the bar of verbs is there only when it is asked for', async ({
  shelf,
  page,
}) => {
  const verbs = page.getByRole('toolbar', { name: 'Verbs' })
  await expect(verbs).toBeHidden()
  await shelf.run('settings.set', { verbs: 'always' })
  await expect(verbs).toBeVisible()
  await verbs.getByRole('button', { name: 'Loft' }).click()
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeVisible()
  expect(await shelf.violations()).toEqual([])
})

test('a pinch on the touch pad opens the loft and a spread leaves it; Ctrl with a wheel stays the browser’s', async ({
  shelf,
  page,
}) => {
  const fingers = (deltaY: number) =>
    page.evaluate((by) => {
      const told = [by, by, by].map((part) => {
        const event = new WheelEvent('wheel', {
          ctrlKey: true,
          deltaY: part / 3,
          bubbles: true,
          cancelable: true,
        })
        document.querySelector('#desktop')?.dispatchEvent(event)
        return event.defaultPrevented
      })
      return told.every(Boolean)
    }, deltaY)
  expect(await fingers(30)).toBe(true)
  await expect(page.locator('#loft')).toBeVisible()
  await page.waitForTimeout(200)
  expect(await fingers(-30)).toBe(true)
  await expect(page.locator('#loft')).toHaveCount(0)
  await page.waitForTimeout(200)
  await page.keyboard.down('Control')
  expect(await fingers(30)).toBe(false)
  await page.keyboard.up('Control')
  await expect(page.locator('#loft')).toHaveCount(0)
  // Off, it is the browser’s too.
  await shelf.run('pointer.set', { way: 'pinch', command: null })
  expect(await fingers(30)).toBe(false)
})
