import { readFile } from 'node:fs/promises'
import { expect, type ShelfPage, test } from './shelf'

test.beforeEach(async ({ page }) => {
  await page.goto('/demo')
  await expect(page.locator('#desktop')).toBeVisible()
  // Nothing moves any more: the column has its room, and what is grasped is there.
  await expect(page.locator('[data-display-target=tall]')).toBeVisible()
  await expect(page.locator('[data-window=stations] [role=gridcell]').first()).toBeVisible()
})

const windowIn = async (shelf: ShelfPage, id: string) => (await shelf.state()).windows[id]

test('Near and Tall apart: a document is carried to Tall and back by key, its place kept', async ({
  shelf,
  page,
}) => {
  const column = page.getByRole('complementary', { name: 'Displays' })
  await expect(column.getByRole('button', { name: /^Tall: Public line/ })).toBeVisible()
  // Its windows are there, small, and nothing can be done in them.
  await expect(shelf.window('calls')).toBeVisible()
  await expect(shelf.window('calls')).toHaveAttribute('inert', '')
  // Nor after they were laid out among all others.
  const loft = page.getByRole('dialog', { name: 'Loft' })
  await shelf.press('Alt+/')
  await expect(loft).toBeFocused()
  await expect(shelf.window('stations')).toHaveAttribute('inert', '')
  await shelf.press('Escape')
  await expect(loft).toHaveCount(0)
  await expect(shelf.window('stations')).not.toHaveAttribute('inert', '')
  await expect(shelf.window('calls')).toHaveAttribute('inert', '')
  await shelf.run('window.focus', { window: 'north' })
  const before = (await windowIn(shelf, 'north'))?.frame
  await shelf.press('Alt+Shift+ArrowRight')
  expect(await windowIn(shelf, 'north')).toMatchObject({ display: 'tall', desktop: 'public' })
  expect(await shelf.here()).toBe('public')
  await expect(column.getByRole('button', { name: /^Near: Field/ })).toBeVisible()
  const there = (await windowIn(shelf, 'north'))?.frame
  const near = (await shelf.state()).displays.near
  const share = (frame: typeof before, width: number) =>
    (frame?.x ?? 0) / (width - (frame?.width ?? 0))
  expect(share(there, 1080)).toBeCloseTo(share(before, near?.width ?? 0), 2)
  // In the large area it can be typed into.
  await page.keyboard.type('Kestrel ')
  await expect(shelf.window('north').getByText('Kestrel')).toBeVisible()
  await shelf.press('Alt+Shift+ArrowLeft')
  expect((await windowIn(shelf, 'north'))?.frame).toEqual(before)
  await shelf.reload()
  expect((await windowIn(shelf, 'north'))?.display).toBe('near')
  expect(await shelf.violations()).toEqual([])
})

test('unplugged, the windows of Tall come over; plugged in they return, but for one that was moved', async ({
  shelf,
}) => {
  const before = (await shelf.state()).windows
  await shelf.run('display.unplug', { display: 'tall' })
  await shelf.press('Alt+P')
  await expect(shelf.window('calls')).toBeVisible()
  await expect(shelf.window('calls')).not.toHaveAttribute('inert', '')
  await shelf.run('window.move', { window: 'closures', x: 30, y: 30 })
  await shelf.press('Alt+F')
  await shelf.run('display.plug')
  const { windows, displays } = await shelf.state()
  expect(displays.tall?.shows).toBe('public')
  expect(windows.calls?.frame).toEqual(before.calls?.frame)
  expect(windows.closures?.frame).not.toEqual(before.closures?.frame)
})

test('the column: a push goes to a display, a window dropped on it lands where it is dropped', async ({
  shelf,
  page,
}) => {
  const tall = page.locator('[data-display-target=tall]')
  const box = await tall.boundingBox()
  if (!box) throw new Error('Tall is in the column')
  const hem = shelf.window('observers').locator('.hem')
  await shelf.grasp(hem, { x: box.x + box.width / 2, y: box.y + box.height / 2 })
  await expect(tall).toHaveAttribute('data-drop', 'true')
  await page.mouse.up()
  await shelf.drawn()
  const dropped = await windowIn(shelf, 'observers')
  expect(dropped).toMatchObject({ display: 'tall', desktop: 'public' })
  expect(Math.abs((dropped?.frame.y ?? 0) - 720)).toBeLessThan(20)
  await page.locator('[data-display-target=near]').click()
  expect(await shelf.here()).toBe('field')
  // By arrows the focus goes over the edge, and to windows there.
  await shelf.run('window.focus', { window: 'pit' })
  await shelf.press('Alt+ArrowRight')
  expect(await shelf.here()).toBe('public')
  await shelf.press('Alt+Shift+;', 'Tab')
  expect(await shelf.here()).toBe('field')
})

test('displays are arranged by key and pointer, sized, added, put together and apart, and undone', async ({
  shelf,
  page,
}) => {
  const before = (await shelf.state()).displays
  await shelf.press('Alt+Shift+;', 'Z')
  const dialog = page.getByRole('dialog', { name: 'Displays' })
  const tall = dialog.getByRole('button', { name: /^Tall,/ })
  await tall.focus()
  await shelf.press('ArrowDown')
  expect((await shelf.state()).displays.tall?.y).toBe(40)
  await shelf.press('ArrowLeft')
  expect((await shelf.state()).displays.tall?.x).toBe(-1080)
  await shelf.press('ArrowLeft')
  await expect(dialog.getByRole('alert')).toContainText('can’t go further')
  // Dragged it goes edge to edge, wherever it is let go.
  const near = await dialog.getByRole('button', { name: /^Near,/ }).boundingBox()
  await shelf.drag(tall, { x: (near?.x ?? 0) + (near?.width ?? 0) + 90, y: (near?.y ?? 0) + 60 })
  expect((await shelf.state()).displays.tall?.x).toBe(before.near?.width)
  await dialog.getByLabel('Common sizes').selectOption('1920 1080')
  expect((await shelf.state()).displays.tall).toMatchObject({ width: 1920, height: 1080 })
  await dialog.getByLabel('Scale').selectOption('2')
  expect((await shelf.state()).displays.tall).toMatchObject({ width: 960, height: 540 })
  await dialog.getByLabel('Name').fill('Upright')
  await shelf.press('Tab')
  expect((await shelf.state()).displays.tall?.name).toBe('Upright')
  await dialog.getByRole('button', { name: 'Add a display' }).click()
  expect((await shelf.state()).displayOrder).toHaveLength(3)
  expect(await shelf.violations()).toEqual([])
  await dialog.getByRole('radio', { name: 'together' }).check()
  const { displays } = await shelf.state()
  expect(new Set(Object.values(displays).map(({ shows }) => shows)).size).toBe(1)
  await dialog.getByRole('button', { name: 'Remove' }).click()
  await shelf.press('Escape')
  for (
    let steps = (await page.evaluate(() => window.kiteShelf?.steps().length)) ?? 0;
    steps > 0;
    steps--
  )
    await shelf.run('history.undo')
  expect((await shelf.state()).displays).toMatchObject({
    tall: { width: 1080, height: 1440, name: 'Tall', x: before.tall?.x, y: 0 },
  })
})

test('a window held against an edge goes on: to the display beyond, or to the desktop beside', async ({
  shelf,
  page,
}) => {
  const hem = shelf.window('stations').locator('.hem')
  const main = await page.locator('#desktop').boundingBox()
  const left = (main?.x ?? 0) + 3
  await shelf.grasp(hem, { x: left, y: 300 })
  await expect(page.locator('.flip')).toHaveText('Breather')
  await expect.poll(() => shelf.here()).toBe('breather')
  // Held on it goes on; Escape puts it back where the drag began, desktop and all.
  await expect.poll(() => shelf.here()).toBe('rota')
  await page.keyboard.press('Escape')
  await page.mouse.up()
  await expect.poll(() => shelf.here()).toBe('field')
  expect((await windowIn(shelf, 'stations'))?.desktop).toBe('field')
  const right = (main?.x ?? 0) + ((await shelf.state()).displays.near?.width ?? 0) - 3
  await shelf.grasp(hem, { x: right, y: 300 })
  await expect(page.locator('.flip')).toHaveText('Tall')
  // It stays in the hand, and goes over when it is let go there; drawn back it does not.
  await page.waitForTimeout(1200)
  expect((await windowIn(shelf, 'stations'))?.display).toBe('near')
  await page.mouse.move(right - 200, 300, { steps: 4 })
  await expect(page.locator('.flip')).toHaveCount(0)
  await page.mouse.move(right, 300, { steps: 4 })
  await expect(page.locator('.flip')).toHaveText('Tall')
  await page.waitForTimeout(1200)
  await page.mouse.up()
  await expect.poll(async () => (await windowIn(shelf, 'stations'))?.display).toBe('tall')
  await expect(page.locator('.flip')).toHaveCount(0)
})

test('in the hand X shows nine cells, to be dropped into by pointer or letter; edges attract edges', async ({
  shelf,
  page,
}) => {
  const hem = shelf.window('stations').locator('.hem')
  const main = await page.locator('#desktop').boundingBox()
  await shelf.grasp(hem, { x: (main?.x ?? 0) + 420, y: 620 })
  await page.keyboard.press('x')
  await page.mouse.move((main?.x ?? 0) + 430, 640)
  await expect(page.locator('.pad-cell-drop')).toHaveCount(9)
  await page.mouse.up()
  expect((await windowIn(shelf, 'stations'))?.placed).toEqual({
    top: 2,
    left: 1,
    bottom: 2,
    right: 1,
  })
  await expect(page.locator('.pad-cell-drop')).toHaveCount(0)
  await shelf.grasp(hem, { x: (main?.x ?? 0) + 300, y: 400 })
  await page.keyboard.press('x')
  await page.keyboard.press('e')
  await expect(page.locator('.pad-cell-drop')).toHaveCount(0)
  await page.mouse.up()
  expect((await windowIn(shelf, 'stations'))?.placed).toEqual({
    top: 0,
    left: 2,
    bottom: 0,
    right: 2,
  })
  // Let go a few pixels from a gap at the edge of the display, it stands there.
  await shelf.grasp(hem, { x: (main?.x ?? 0) + 40 + 11, y: 300 }, { x: 40, y: 15 })
  await expect(page.locator('#guide-x')).toBeVisible()
  await page.mouse.up()
  expect((await windowIn(shelf, 'stations'))?.frame.x).toBe(8)
})

test('the edge two placed windows share is dragged, and both stay placed', async ({ shelf }) => {
  await shelf.run('place.leftHalf', { window: 'stations' })
  await shelf.run('place.rightHalf', { window: 'observers' })
  const before = (await windowIn(shelf, 'observers'))?.frame
  const grip = shelf.window('stations').locator('.grip-e')
  const box = await grip.boundingBox()
  await shelf.drag(grip, { x: (box?.x ?? 0) + (box?.width ?? 0) / 2 + 60, y: 400 })
  const { windows } = await shelf.state()
  expect(windows.observers?.frame.x).toBe((before?.x ?? 0) + 60)
  expect(windows.observers?.placed).not.toBeNull()
  await shelf.press('Alt+Shift+;', 'Q')
  expect((await shelf.state()).windows.stations?.placed).toMatchObject({ top: 0, bottom: 2 })
  await shelf.press('Alt+Shift+;', 'B')
  expect((await windowIn(shelf, 'observers'))?.frame.x).toBe((before?.x ?? 0) + 60)
  await expect(shelf.said()).toContainText('Brought back')
})

test('pictures of a window and of the desktop, named by desktop and time; frames stand as sheets', async ({
  shelf,
  page,
}) => {
  const take = async (command: string, args: object = {}) => {
    const [file] = await Promise.all([page.waitForEvent('download'), shelf.run(command, args)])
    return { name: file.suggestedFilename(), content: await readFile(await file.path()) }
  }
  const window = await take('picture.window.png')
  expect(window.name).toMatch(/^Field, Station readings 06-00 \d{4}-\d\d-\d\d \d\d\.\d\d\.png$/)
  // As large as the window, and not of one colour.
  expect(window.content.subarray(1, 4).toString()).toBe('PNG')
  const { frame } = (await windowIn(shelf, 'stations')) ?? {}
  expect(window.content.readUInt32BE(16)).toBe(frame?.width)
  expect(window.content.readUInt32BE(20)).toBe(frame?.height)
  expect(window.content.length).toBeGreaterThan(8000)
  await shelf.run('window.focus', { window: 'camera' })
  await expect(shelf.window('camera').locator('iframe')).toBeVisible()
  const desktop = await take('picture.desktop.svg')
  expect(desktop.name).toMatch(/^Field .*\.svg$/)
  const svg = desktop.content.toString()
  expect(svg).toContain('Station readings')
  expect(svg).not.toContain('<iframe')
  await expect(shelf.said()).toContainText('stands as a sheet')
  // A desktop that is on several displays is drawn over all of them, as they are arranged.
  await shelf.run('displays.together')
  const { near, tall } = (await shelf.state()).displays
  const over = await take('picture.desktop.png')
  await expect(shelf.said()).toContainText('over 2 displays')
  const [wide, high] = [near, tall].map((display) => ({
    right: (display?.x ?? 0) + (display?.width ?? 0),
    low: (display?.y ?? 0) + (display?.height ?? 0),
  })) as [{ right: number; low: number }, { right: number; low: number }]
  const first = { x: Math.min(near?.x ?? 0, tall?.x ?? 0), y: Math.min(near?.y ?? 0, tall?.y ?? 0) }
  expect(over.content.readUInt32BE(16)).toBe(Math.max(wide.right, high.right) - first.x)
  expect(over.content.readUInt32BE(20)).toBe(Math.max(wide.low, high.low) - first.y)
  expect((await take('picture.display.svg')).name).toMatch(/^Field on Near /)
})

test('a picture of an area is drawn by pointer or with the keys; any picture goes to the clipboard', async ({
  shelf,
  page,
  context,
}) => {
  await shelf.open()
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  const ground = page.getByRole('dialog', { name: 'Draw the area' })
  const size = async (file: { path(): Promise<string> }) => {
    const content = await readFile(await file.path())
    return [content.readUInt32BE(16), content.readUInt32BE(20)]
  }
  // What is waited for below is not what starts it.
  const ask = (command: string) =>
    page.evaluate((id) => void window.kiteShelf?.run(id, {}), command)
  await ask('picture.area.png')
  await expect(ground).toBeFocused()
  expect(await shelf.violations()).toEqual([])
  const drawn = page.waitForEvent('download')
  await page.mouse.move(400, 200)
  await page.mouse.down()
  await page.mouse.move(700, 420, { steps: 4 })
  await page.mouse.up()
  expect(await size(await drawn)).toEqual([300, 220])
  await expect(ground).toHaveCount(0)
  await expect(shelf.said()).toContainText('Made a picture of part of Field')

  await ask('picture.area.png')
  const taken = page.waitForEvent('download')
  const { near } = (await shelf.state()).displays
  await shelf.press('Shift+ArrowRight', 'Shift+ArrowRight', 'ArrowDown', 'Control+Shift+ArrowUp')
  await shelf.press('Enter')
  const [wide = 0, high = 0] = await size(await taken)
  expect(wide).toBe(Math.round((near?.width ?? 0) / 2 + 40))
  expect(high).toBe(Math.round((near?.height ?? 0) / 2 - 1))

  await ask('picture.area.png')
  await shelf.press('Escape')
  await expect(ground).toHaveCount(0)

  await ask('picture.window.clipboard')
  await expect(shelf.said()).toContainText('Copied a picture of “Station readings 06:00”')
  const copied = await page.evaluate(async () => {
    const [item] = await navigator.clipboard.read()
    const bitmap = await createImageBitmap((await item?.getType('image/png')) ?? new Blob())
    return [bitmap.width, bitmap.height]
  })
  const { width, height } = (await shelf.state()).windows.stations?.frame ?? {}
  expect(copied).toEqual([width, height])
})

test('Tall, shown in this window, has the size of the room when asked to, and its own again', async ({
  shelf,
  page,
}) => {
  await shelf.press('Alt+Shift+;', 'Tab')
  expect(await shelf.here()).toBe('public')
  const zoom = async () => {
    const { frame } = (await shelf.state()).windows.calls ?? {}
    return ((await shelf.window('calls').boundingBox())?.width ?? 0) / (frame?.width ?? 1)
  }
  await expect.poll(zoom).toBeLessThan(0.8)
  await shelf.press('Alt+Shift+;', 'Z')
  const dialog = page.getByRole('dialog', { name: 'Displays' })
  await dialog.getByRole('checkbox', { name: 'Fit the main window' }).check()
  await shelf.press('Escape')
  const size = async () => (await shelf.state()).displays.tall
  const near = (await shelf.state()).displays.near
  await expect.poll(size).toMatchObject({ width: near?.width, height: near?.height })
  await expect.poll(zoom).toBeCloseTo(1, 2)
  // Its windows stand as they stood to each other, all of them in sight.
  const room = await page.locator('#desktop').boundingBox()
  const boxes = await Promise.all(
    ['line', 'calls', 'closures'].map((id) => shelf.window(id).boundingBox()),
  )
  const [line, calls, closures] = boxes
  for (const box of boxes)
    expect((box?.y ?? 0) + (box?.height ?? 0)).toBeLessThan((room?.y ?? 0) + (room?.height ?? 0))
  expect(calls?.y).toBeGreaterThan((line?.y ?? 0) + (line?.height ?? 0))
  expect(closures?.x).toBeGreaterThan((calls?.x ?? 0) + (calls?.width ?? 0))
  await page.setViewportSize({ width: 1500, height: 900 })
  await expect.poll(size).toMatchObject({ width: (near?.width ?? 0) + 220 })
  await shelf.reload()
  await expect.poll(size).toMatchObject({ width: (near?.width ?? 0) + 220 })
  await shelf.run('display.fit', { display: 'tall' })
  await expect.poll(size).toMatchObject({ width: 1080, height: 1440 })
})
