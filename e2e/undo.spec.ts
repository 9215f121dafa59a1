import { expect, numbered, test } from './shelf'

const THREE = {
  Field: {
    Pit: { app: 'job', frame: { x: 690, y: 24, width: 356, height: 300 } },
    Stations: { app: 'table', frame: { x: 24, y: 24, width: 640, height: 350 } },
  },
  Bulletin: { North: 'document' },
  Rota: { Duty: 'table' },
}

test('what was done is undone after a reload, by key and by pointer; and done again', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(THREE)
  const before = await shelf.state()
  await shelf.press('Alt+]', 'R')
  await shelf.run('settings.set', { cloth: 'night' })
  await shelf.press('Alt+N')
  await page.keyboard.type('Kestrel')
  await shelf.press('Enter')
  await shelf.reload()
  await shelf.press('Alt+Z', 'Alt+Z')
  expect((await shelf.state()).order).toEqual(before.order)
  await shelf.press('Alt+Z')
  expect((await shelf.state()).settings.cloth).toBe(before.settings.cloth)
  await shelf.reload()
  await shelf.press('Alt+Z')
  const back = await shelf.state()
  expect([back.windows[id('Stations')], back.focus]).toEqual([
    before.windows[id('Stations')],
    before.focus,
  ])
  await shelf.press('Alt+Shift+Z')
  expect((await shelf.state()).windows[id('Stations')]?.desktop).toBe(id('Rota'))
  await shelf.press('Alt+Z')
  await shelf.press("Alt+'")
  await page.getByRole('region', { name: 'Line' }).getByRole('button', { name: 'undo' }).click()
  expect((await shelf.state()).windows[id('Stations')]?.minimised).toBe(false)
})

test('a visit of the pad is one step; it ends where one goes to another window', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(THREE)
  const before = (await shelf.state()).windows[id('Stations')]
  await shelf.press('Alt+X', 'ArrowRight', 'Shift+ArrowDown', 'A', 'S', 'Enter')
  expect((await shelf.state()).windows[id('Stations')]?.placed).toMatchObject({ left: 0, right: 1 })
  await shelf.press('Alt+Z')
  expect((await shelf.state()).windows[id('Stations')]).toEqual(before)
  await shelf.press('Alt+X')
  await expect(page.getByRole('dialog', { name: 'Pad' })).toBeVisible()
  await shelf.press('Alt+ArrowRight', 'A', 'S')
  await expect(page.getByRole('dialog', { name: 'Pad' })).toBeHidden()
  expect((await shelf.state()).windows[id('Stations')]?.frame).toEqual(before?.frame)
})

test('a window that is sent says where it lives, and only the focused one is marked', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(THREE)
  const marked = () =>
    page.locator('[data-focused]').evaluateAll((all) => all.map((one) => one.dataset.window))
  expect(await marked()).toEqual([id('Stations')])
  await shelf.press('Alt+]', 'B')
  await expect(shelf.window(id('Stations'))).toHaveAttribute('data-desktop', id('Bulletin'))
  expect(await marked()).toEqual([(await shelf.state()).focus])
  await shelf.press('Alt+B')
  expect(await marked()).toEqual([(await shelf.state()).focus])
})

test('a window in hand is above those of the desktop that opens beneath it', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(THREE)
  const hem = await shelf.window(id('Stations')).locator('.hem').boundingBox()
  const row = await page.locator(`[data-desktop-row="${id('Bulletin')}"]`).boundingBox()
  if (!hem || !row) throw new Error('nothing to drag')
  await page.mouse.move(hem.x + 150, hem.y + 12)
  await page.mouse.down()
  await page.mouse.move(row.x + 60, row.y + 20, { steps: 6 })
  await expect.poll(() => shelf.here()).toBe(id('Bulletin'))
  await page.mouse.move(hem.x + 200, hem.y + 60, { steps: 6 })
  await expect
    .poll(() =>
      page.evaluate(
        ([x = 0, y = 0]) => document.elementFromPoint(x, y)?.closest('section')?.dataset.window,
        [hem.x + 200, hem.y + 60],
      ),
    )
    .toBe(id('Stations'))
  await page.mouse.up()
  expect((await shelf.state()).windows[id('Stations')]?.desktop).toBe(id('Bulletin'))
})

test('after the leader keys are told without Alt, and what may follow fits the screen', async ({
  shelf,
  page,
}) => {
  await page.setViewportSize({ width: 960, height: 700 })
  const id = await shelf.furnish(THREE)
  await shelf.run('settings.set', { keys: 'leader' })
  await shelf.desktops(...numbered('Slope', 0, 32))
  await shelf.press('Alt+B')
  expect(await shelf.here()).toBe(id('Field'))
  for (const keys of [['Control+.'], ['Control+.', ']'], ['Control+.', 'Shift+;']]) {
    await shelf.press(...keys)
    const told = page.getByRole('status').locator('.rise')
    const box = await told.boundingBox()
    expect(box?.y, `${keys}`).toBeGreaterThanOrEqual(0)
    expect((box?.x ?? 0) + (box?.width ?? 0), `${keys}`).toBeLessThanOrEqual(960)
    await expect(told).not.toContainText('Alt')
    await shelf.press('Escape')
  }
  await shelf.press('Control+.', 'B')
  expect(await shelf.here()).toBe(id('Bulletin'))
  await shelf.press('Control+.', 'Enter', 'Control+.', "'")
  await expect(page.locator('[data-said=refused]')).toContainText('Ctrl+. Enter')
  await shelf.press('Control+.', 'Shift+/')
  await expect(page.getByRole('dialog', { name: 'Keys' })).not.toContainText('Alt')
})
