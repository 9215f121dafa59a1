import { expect, test } from './shelf'

const FOUR = {
  Field: { Stations: { app: 'table', frame: { x: 24, y: 24, width: 640, height: 350 } } },
  Model: { Notes: 'job' },
  Bulletin: {},
  Rota: {},
}

test.use({ hasTouch: true, isMobile: true, viewport: { width: 1180, height: 820 } })

test('by finger: verbs are pushed, a desktop is picked, a long push opens the menu', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(FOUR)
  const verbs = page.getByRole('toolbar', { name: 'Verbs' })
  await expect(verbs).toBeVisible()
  await verbs.getByRole('button', { name: 'Send' }).tap()
  await page.getByRole('status').locator('button[title="Rota"]').tap()
  expect((await shelf.state()).windows[id('Stations')]?.desktop).toBe(id('Rota'))
  await verbs.getByRole('button', { name: 'Undo' }).tap()
  expect((await shelf.state()).windows[id('Stations')]?.desktop).toBe(id('Field'))
  await verbs.getByRole('button', { name: 'Take along' }).tap()
  await page.getByRole('status').locator('button[title="Model"]').tap()
  expect(await shelf.here()).toBe(id('Model'))
  expect((await shelf.state()).windows[id('Stations')]?.desktop).toBe(id('Model'))
  // Pushed again a verb is taken back.
  await verbs.getByRole('button', { name: 'Send' }).tap()
  await verbs.getByRole('button', { name: 'Send' }).tap()
  await expect(page.getByRole('status').locator('button[title="Rota"]')).toBeHidden()
  await verbs.getByRole('button', { name: 'Loft' }).tap()
  const loft = page.getByRole('dialog', { name: 'Loft' })
  await expect(loft).toBeVisible()
  await loft.getByRole('button', { name: 'Escape back' }).first().tap()
  // A finger that stays asks for the menu.
  const row = await page.locator(`[data-desktop-row="${id('Bulletin')}"]`).boundingBox()
  if (!row) throw new Error('no row')
  const finger = await page.context().newCDPSession(page)
  const at = [{ x: row.x + 90, y: row.y + 14 }]
  await finger.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: at })
  await expect(page.getByRole('menu', { name: 'Desktop' })).toBeVisible()
  await finger.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
  await expect(page.getByRole('menu', { name: 'Desktop' })).toBeVisible()
  await page.keyboard.press('Escape')
  expect(await shelf.violations()).toEqual([])
})

test('a finger drawn sideways over the rack goes to the next desktop, a drag moves a window', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(FOUR)
  const finger = await page.context().newCDPSession(page)
  const drag = async (from: [number, number], to: [number, number]) => {
    const point = ([x, y]: [number, number]) => [{ x, y }]
    await finger.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: point(from) })
    for (let part = 1; part <= 2; part++) {
      const along = (at: 0 | 1) => from[at] + ((to[at] - from[at]) * part) / 2
      await finger.send('Input.dispatchTouchEvent', {
        type: 'touchMove',
        touchPoints: point([along(0), along(1)]),
      })
    }
    await finger.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
    await shelf.drawn()
  }
  await drag([190, 718], [30, 720])
  await expect.poll(() => shelf.here()).toBe(id('Model'))
  await drag([30, 718], [190, 720])
  await expect.poll(() => shelf.here()).toBe(id('Field'))
  // A bow that is drawn onto the desktop is its window, and no swipe.
  const bow = await page.locator(`[data-bow="${id('Notes')}"]`).boundingBox()
  if (!bow) throw new Error('no bow')
  await drag([bow.x + 8, bow.y + 10], [700, bow.y + 30])
  await expect
    .poll(async () => (await shelf.state()).windows[id('Notes')]?.desktop)
    .toBe(id('Field'))
  expect(await shelf.here()).toBe(id('Field'))
  await shelf.press('Alt+Z')
  await shelf.run('window.focus', { window: id('Stations') })
  const hem = await shelf.window(id('Stations')).locator('.hem').boundingBox()
  if (!hem) throw new Error('no hem')
  await drag([hem.x + 160, hem.y + 12], [hem.x + 260, hem.y + 112])
  const { frame } = (await shelf.state()).windows[id('Stations')] ?? {}
  expect(frame?.x).toBeGreaterThan(80)
})

test('two fingers drawn together open the loft, drawn apart they leave it; within a window they are its own', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(FOUR)
  const fingers = await page.context().newCDPSession(page)
  const draw = async ([x, y]: [number, number], from: number, to: number) => {
    const points = (half: number) => [
      { x: x - half, y, id: 0 },
      { x: x + half, y, id: 1 },
    ]
    const say = (type: 'touchStart' | 'touchMove' | 'touchEnd', half?: number) =>
      fingers.send('Input.dispatchTouchEvent', {
        type,
        touchPoints: half === undefined ? [] : points(half),
      })
    await say('touchStart', from)
    for (const part of [0.5, 1]) await say('touchMove', from + (to - from) * part)
    await say('touchEnd')
    await shelf.drawn()
  }
  const loft = page.getByRole('dialog', { name: 'Loft' })
  await draw([900, 640], 140, 40)
  await expect(loft).toBeVisible()
  await draw([600, 700], 40, 140)
  await expect(loft).toBeHidden()
  // Nor is it a swipe.
  expect(await shelf.here()).toBe(id('Field'))
  await draw([350, 250], 140, 40)
  await expect(loft).toBeHidden()
})
