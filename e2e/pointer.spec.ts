import { expect, test } from './shelf'

/** Three windows, where their edges do not attract each other, and desktops to send them to. */
const THREE = {
  Field: {
    Stations: { app: 'table', frame: { x: 24, y: 24, width: 640, height: 350 } },
    Observers: { app: 'job', frame: { x: 24, y: 396, width: 600, height: 290 } },
    Slides: { app: 'job', frame: { x: 690, y: 24, width: 356, height: 300 } },
  },
  Model: {},
  Rota: { Duty: 'table', Break: 'countdown' },
}

test('the sign that stands above the windows for a moment takes no push', async ({
  shelf,
  page,
}) => {
  await page.emulateMedia({ reducedMotion: 'no-preference' })
  await shelf.open()
  await shelf.run('settings.set', { arrival: 3000 })
  await shelf.press('Alt+M')
  await expect(page.locator('.sign-arriving')).toBeVisible()
  await shelf.window('radio').getByRole('button', { name: 'Play' }).click({ timeout: 2500 })
  await expect(shelf.window('radio').getByRole('button', { name: 'Pause' })).toBeVisible()
})

test('a window is dragged by its hem, in one step, and Escape puts it back', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(THREE)
  const hem = shelf.window(id('Observers')).locator('.hem')
  // Where no edge is near: those attract each other.
  await shelf.drag(hem, { x: 660, y: 320 }, { x: 200, y: 15 })
  const { frame } = (await shelf.state()).windows[id('Observers')] ?? {}
  expect(frame).toEqual({ x: 660 - 208 - 201, y: 320 - 16, width: 600, height: 290 })
  await expect(shelf.window(id('Observers'))).toHaveCSS('left', `${frame?.x}px`)
  expect((await shelf.state()).focus).toBe(id('Observers'))
  await page.getByRole('button', { name: 'undo', exact: true }).click()
  expect((await shelf.state()).windows[id('Observers')]?.frame).toMatchObject({ x: 24, y: 396 })
  // Moves go to what is in hand alone: one is heard by the page, which tells that it is a drag.
  const heard = await page.evaluateHandle(() => {
    const moves: Event[] = []
    for (const type of ['pointermove', 'mousemove'])
      document.addEventListener(
        type,
        (event) => (event as MouseEvent).buttons && moves.push(event),
        true,
      )
    return moves
  })
  await shelf.grasp(hem, { x: 900, y: 200 }, { x: 200, y: 15 })
  expect(await heard.evaluate(({ length }) => length)).toBeLessThanOrEqual(2)
  await page.keyboard.press('Escape')
  await page.mouse.up()
  expect((await shelf.state()).windows[id('Observers')]?.frame).toMatchObject({ x: 24, y: 396 })
  await expect(shelf.window(id('Observers'))).toHaveCSS('translate', 'none')
})

test('what is closed while it is in hand lets pointer and keys go', async ({ shelf, page }) => {
  const id = await shelf.furnish(THREE)
  const hem = shelf.window(id('Observers')).locator('.hem')
  await shelf.grasp(hem, { x: 700, y: 300 }, { x: 200, y: 15 })
  await shelf.press('Alt+Backspace')
  await expect(shelf.window(id('Observers'))).toHaveCount(0)
  await page.mouse.up()
  const before = (await shelf.state()).windows[id('Stations')]?.frame.x ?? 0
  const other = shelf.window(id('Stations')).locator('.hem')
  await shelf.drag(other, { x: 208 + before + 240, y: 120 }, { x: 200, y: 15 })
  await expect
    .poll(async () => (await shelf.state()).windows[id('Stations')]?.frame.x)
    .not.toBe(before)
  await page.mouse.move(400, 300)
  const mark = () => page.evaluate(() => document.body.dataset.heard)
  await page.evaluate(() =>
    document.addEventListener('mousemove', () => (document.body.dataset.heard = 'yes'), {
      once: true,
    }),
  )
  await page.mouse.move(420, 320)
  await expect.poll(mark).toBe('yes')
  // By a grip; and by its bow, with a caption at the pointer.
  await shelf.run('window.focus', { window: id('Stations') })
  await shelf.grasp(shelf.window(id('Stations')).locator('[data-grip="se"]'), { x: 900, y: 500 })
  await shelf.press('Alt+Backspace')
  await page.mouse.up()
  await shelf.grasp(page.locator(`[data-bow="${id('Slides')}"]`), { x: 100, y: 300 })
  await expect(page.locator('#in-hand')).toBeVisible()
  await shelf.run('window.close', { window: id('Slides') })
  await page.mouse.up()
  await expect(page.locator('#in-hand')).toHaveCount(0)
  await shelf.press('Alt+;')
  await shelf.press('Escape')
  await expect(page.getByRole('dialog', { name: 'Line' })).toBeHidden()
})

/** A grip, how far it is dragged, and where the window stands then. */
const GRIPS = [
  ['se', 30, 20, { x: 24, y: 24, width: 670, height: 370 }],
  ['nw', 20, 16, { x: 44, y: 40, width: 620, height: 334 }],
  ['n', 9, -10, { x: 24, y: 14, width: 640, height: 360 }],
  ['s', 9, 12, { x: 24, y: 24, width: 640, height: 362 }],
  ['e', -40, 5, { x: 24, y: 24, width: 600, height: 350 }],
  ['w', 900, 5, { x: 404, y: 24, width: 260, height: 350 }],
  ['ne', 10, -10, { x: 24, y: 14, width: 650, height: 360 }],
  ['sw', -10, 10, { x: 14, y: 24, width: 650, height: 360 }],
] as const

test('each grip moves its edges and no others, down to the smallest size', async ({ shelf }) => {
  const id = await shelf.furnish(THREE)
  for (const [grip, dx, dy, expected] of GRIPS) {
    const handle = shelf.window(id('Stations')).locator(`[data-grip="${grip}"]`)
    const box = await handle.boundingBox()
    if (!box) throw new Error('no grip')
    const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 }
    await shelf.drag(handle, { x: middle.x + dx, y: middle.y + dy })
    expect({ grip, ...(await shelf.state()).windows[id('Stations')]?.frame }).toEqual({
      grip,
      ...expected,
    })
    await shelf.press('Alt+Z')
  }
})

test('dropping a window on a row sends it and names the key for next time', async ({ shelf }) => {
  const id = await shelf.furnish(THREE)
  await shelf.dropOnRow(shelf.window(id('Stations')).locator('.hem'), 'Rota', { x: 300, y: 15 })
  await expect(shelf.said()).toContainText('Sent “Stations” to Rota')
  await expect(shelf.said()).toContainText('next time')
  await expect(shelf.said().locator('kbd')).toHaveText('Alt]R')
  expect(await shelf.here()).toBe(id('Field'))
  await expect(shelf.row('Rota')).not.toHaveAttribute('data-drop', 'true')
})

test('held over a row its desktop opens, with the window in hand', async ({ shelf, page }) => {
  const id = await shelf.furnish(THREE)
  const rota = await shelf.row('Rota').boundingBox()
  await shelf.grasp(
    shelf.window(id('Stations')).locator('.hem'),
    { x: (rota?.x ?? 0) + 60, y: (rota?.y ?? 0) + 20 },
    { x: 300, y: 15 },
  )
  await expect(shelf.row('Rota')).toHaveAttribute('data-drop', 'true')
  await expect.poll(() => shelf.here()).toBe(id('Rota'))
  await page.mouse.move(800, 470, { steps: 5 })
  await expect(shelf.window(id('Stations'))).toBeVisible()
  await page.mouse.up()
  const { windows, focus } = await shelf.state()
  expect(windows[id('Stations')]).toMatchObject({
    desktop: id('Rota'),
    frame: { x: 800 - 208 - 301, y: 454 },
  })
  expect(focus).toBe(id('Stations'))
  // Taken back, one is where the drag began, as after a carry.
  await shelf.press('Alt+Z')
  expect(await shelf.here()).toBe(id('Field'))
  expect((await shelf.state()).windows[id('Stations')]?.desktop).toBe(id('Field'))
  await shelf.press('Alt+Shift+Z')
  expect(await shelf.here()).toBe(id('Rota'))
})

test('content held over a row opens its desktop; given up, one is where the drag began', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(THREE)
  // As the browser tells of a file that is dragged; several at one moment.
  const tell = (types: string, at = shelf.row('Rota')) =>
    at.evaluate((element, told) => {
      for (const type of told.split(' '))
        element.dispatchEvent(
          new DragEvent(type, {
            bubbles: true,
            cancelable: true,
            dataTransfer: new DataTransfer(),
          }),
        )
    }, types)
  const area = page.locator('#desktop')
  await tell('dragover')
  await expect.poll(() => shelf.here()).toBe(id('Rota'))
  // It left the page, and came back before that was for good.
  await tell('dragleave dragover', area)
  await page.waitForTimeout(600)
  expect(await shelf.here()).toBe(id('Rota'))
  await tell('dragleave')
  await expect.poll(() => shelf.here()).toBe(id('Field'))
  // Dropped there one stays.
  await tell('dragover')
  await expect.poll(() => shelf.here()).toBe(id('Rota'))
  await tell('drop dragleave', area)
  await page.waitForTimeout(600)
  expect(await shelf.here()).toBe(id('Rota'))
})

test('double-click on the hem maximises and back; the icons act on their own window', async ({
  shelf,
}) => {
  const id = await shelf.furnish(THREE)
  const pit = shelf.window(id('Slides'))
  await pit.locator('.hem b').dblclick()
  await expect(pit).toHaveCSS('width', '1072px')
  await pit.locator('.hem b').dblclick()
  await expect(pit).toHaveCSS('width', '356px')
  // The hem is narrow: its title comes first, and the acts stand in a menu.
  await expect(pit.getByRole('button', { name: 'Minimise', exact: true })).toBeHidden()
  await pit.getByRole('button', { name: 'More', exact: true }).click()
  await shelf.page.getByRole('menuitem', { name: /^Minimise/ }).click()
  await expect(pit).toBeHidden()
  const bow = shelf.row('Field').getByRole('button', { name: 'Slides, minimised' })
  await bow.click()
  await expect(pit).toBeVisible()
  await pit.getByRole('button', { name: 'Close' }).click()
  await expect(pit).toHaveCount(0)
  await shelf.press('Alt+Shift+Backspace')
  await expect(pit).toBeVisible()
})

test('rows are dragged into another order', async ({ shelf }) => {
  await shelf.furnish(THREE)
  const target = await shelf.row('Field').boundingBox()
  await shelf.drag(
    shelf.row('Rota').locator('[data-row-name]'),
    { x: 100, y: (target?.y ?? 0) + 8 },
    { x: 20, y: 8 },
  )
  await expect.poll(() => shelf.rowNames()).toEqual(['Rota', 'Field', 'Model'])
  await expect(shelf.said()).toContainText('Moved Rota to place 1 of 3')
})

test('the menu of a row renames and folds, each window where one wants it', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(THREE)
  await page.getByRole('button', { name: /^Rota,/ }).click({ button: 'right' })
  await page.getByRole('menuitem', { name: 'Rename this desktop' }).click()
  await page.keyboard.type('Shifts')
  await page.keyboard.press('Enter')
  await shelf.row('Shifts').hover()
  await shelf.row('Shifts').getByRole('button', { name: 'Menu of Shifts' }).click()
  await page.getByRole('menuitem', { name: /^Fold this desktop/ }).click()
  const dialog = page.getByRole('dialog', { name: 'Fold Shifts' })
  await dialog.getByLabel('Where “Duty” goes').selectOption(id('Field'))
  await dialog.getByLabel('Don’t cover the windows there').check()
  await dialog.getByRole('button', { name: /^Fold/ }).click()
  const { windows, order } = await shelf.state()
  expect(order).not.toContain(id('Rota'))
  expect([windows[id('Duty')]?.desktop, windows[id('Break')]?.desktop]).toEqual([
    id('Field'),
    id('Model'),
  ])
})

test('all others fold into this one, and one undo brings them back', async ({ shelf, page }) => {
  await shelf.furnish(THREE)
  const before = await shelf.state()
  await page.getByRole('button', { name: /^Field,/ }).click({ button: 'right' })
  await page.getByRole('menuitem', { name: 'Fold all others into this one' }).click()
  await page.getByRole('button', { name: /^Fold/ }).click()
  expect(await shelf.rowNames()).toEqual(['Field'])
  await page.getByRole('button', { name: 'undo', exact: true }).click()
  const after = await shelf.state()
  expect(after.desktops).toEqual(before.desktops)
  expect(after.windows).toEqual(before.windows)
})

test('no menu is long: at most fourteen entries at first, with their keys', async ({
  shelf,
  page,
}) => {
  await page.goto('/demo')
  await expect(page.locator('#desktop')).toBeVisible()
  for (let at = 0; at < 12; at++) await shelf.run('window.open', { app: 'table' })
  await shelf.run('window.focus', { window: 'stations' })
  const menu = page.getByRole('menu')
  const entries = menu.locator('[role^=menuitem]')
  const opened = {
    'of a window': () => shelf.window('stations').locator('.hem b').click({ button: 'right' }),
    'of a desktop': () =>
      page.locator('[data-desktop-row="field"] > button').click({ button: 'right' }),
    'of an app': () => page.getByRole('button', { name: /^Table,/ }).click({ button: 'right' }),
    'of the shelf': () => shelf.press('Alt+J', 'M'),
  }
  for (const [what, open] of Object.entries(opened)) {
    await open()
    await expect(menu, what).toBeVisible()
    expect(await entries.count(), what).toBeLessThanOrEqual(14)
    expect(await entries.count(), what).toBeGreaterThan(8)
    if (what !== 'of an app')
      expect(await menu.locator('kbd').count(), what).toBeGreaterThanOrEqual(4)
    if (/desktop|shelf/.test(what)) await expect(menu).toContainText('New desktop')
    await shelf.press('Escape')
    await expect(menu).toHaveCount(0)
  }
})

test('the menu of a window sends it, also to a new desktop', async ({ shelf, page }) => {
  const id = await shelf.furnish(THREE)
  await shelf.window(id('Slides')).getByRole('button', { name: 'Menu of Slides' }).click()
  await shelf.chooseWithin('Send to', 'Model')
  expect((await shelf.state()).windows[id('Slides')]?.desktop).toBe(id('Model'))
  await shelf.window(id('Stations')).locator('.hem b').click({ button: 'right' })
  await shelf.chooseWithin('Carry to', 'A new desktop')
  await page.keyboard.type('Tarn')
  await page.keyboard.press('Enter')
  expect(await shelf.rowNames()).toContain('Tarn')
  expect((await shelf.state()).windows[id('Stations')]?.desktop).toBe(await shelf.here())
})

test('an app is launched by a click and put on another number key', async ({ shelf, page }) => {
  const id = await shelf.furnish(THREE)
  await page.getByRole('button', { name: /^Countdown,/ }).click()
  expect((await shelf.state()).focus).toBe(id('Break'))
  await page.getByRole('button', { name: /^Countdown,/ }).click({ button: 'right' })
  await page.getByRole('menuitem', { name: 'Number key' }).hover()
  await page.getByRole('menuitem', { name: '9' }).click()
  expect((await shelf.state()).slots[8]).toBe('countdown')
})

test('to the apps, said over an open menu, ends at the apps', async ({ shelf, page }) => {
  await shelf.furnish(THREE)
  const app = page.getByRole('button', { name: /^Countdown,/ })
  await app.click({ button: 'right' })
  await shelf.press('Alt+Shift+;', 'Shift+A')
  await expect(page.getByRole('menu')).toHaveCount(0)
  // A menu that shuts gives the keys back a moment later.
  await page.waitForTimeout(100)
  await expect(page.locator('.app-row button').first()).toBeFocused()
})

test('the desktop keeps its windows within reach when it changes size', async ({ shelf, page }) => {
  await shelf.open()
  await page.setViewportSize({ width: 1024, height: 640 })
  await expect.poll(async () => (await shelf.state()).displays.near?.width).toBe(816)
  const { windows, displays } = await shelf.state()
  for (const { frame } of Object.values(windows)) {
    expect(frame.x + 48).toBeLessThanOrEqual(displays.near?.width ?? 0)
    expect(frame.y + 30).toBeLessThanOrEqual(displays.near?.height ?? 0)
  }
})

test('a right click beside the windows is about the desktop; within one it is the browser’s own', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(THREE)
  const desktop = page.locator('#desktop')
  const { width = 0, height = 0 } = (await desktop.boundingBox()) ?? {}
  await desktop.click({ button: 'right', position: { x: width - 8, y: height - 8 } })
  // One is there already.
  await expect(page.getByRole('menuitem', { name: /^Go to desktop/ })).toHaveCount(0)
  await page.getByRole('menuitem', { name: /^New desktop/ }).click()
  await page.keyboard.type('From the menu')
  await page.keyboard.press('Enter')
  await expect(shelf.row('From the menu')).toBeVisible()
  await shelf.run('desktop.go', { to: 'first' })
  await shelf.window(id('Slides')).locator('.win-body').click({ button: 'right' })
  await expect(page.getByRole('menu')).toHaveCount(0)
})

test('a window at the edge is moved in when the page gets smaller, and back with the page', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({ Field: { Observers: 'document' } })
  const window = shelf.window(id('Observers'))
  await shelf.run('window.move', { window: id('Observers'), x: 560, y: 220 })
  const before = await window.boundingBox()
  await page.setViewportSize({ width: 1024, height: 700 })
  await expect
    .poll(async () => {
      const { x = 0, y = 0, width = 0, height = 0 } = (await window.boundingBox()) ?? {}
      return x + width <= 1024 && y + height <= 700 - 36 && x >= 0 && y >= 0
    })
    .toBe(true)
  await page.setViewportSize({ width: 1280, height: 800 })
  await expect.poll(() => window.boundingBox()).toEqual(before)
})

test('in unstack windows are marked by Ctrl and a click, by Space and by a band, and sent together', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({
    Field: { Pit: 'table', Depths: 'table', Notes: 'table' },
    Rota: {},
  })
  await shelf.press('Alt+=')
  const marked = page.locator('[data-hint][aria-pressed=true]')
  const picked = (name: string) => page.locator(`[data-standing="${id(name)}"]`)
  await picked('Pit').click({ modifiers: ['Control'] })
  await picked('Depths').click({ modifiers: ['Control'] })
  await expect(marked).toHaveCount(2)
  await picked('Depths').click({ modifiers: ['Control'] })
  await expect(marked).toHaveCount(1)
  await shelf.press('Space')
  await expect(marked).toHaveCount(2)
  await shelf.press('Space')
  // A band from the free room at the bottom, over all of them.
  const area = await page.locator('#desktop').boundingBox()
  if (!area) throw new Error('No desktop')
  const [left, bottom] = [area.x + 3, area.y + area.height - 3]
  await page.mouse.move(left, bottom)
  await page.mouse.down()
  await page.mouse.move(area.x + area.width - 3, area.y + 30, { steps: 4 })
  await page.mouse.up()
  await expect(marked).toHaveCount(3)
  // It selects no text, which the browser would drag instead of the window.
  expect(await page.evaluate(() => String(getSelection()))).toBe('')
  expect(await shelf.violations()).toEqual([])
  // The menu of one speaks of all; when it is left, the keys are unstack's.
  await picked('Pit').click({ button: 'right' })
  await expect(page.getByRole('menuitem', { name: 'Send the 3 marked to' })).toBeVisible()
  await shelf.press('Escape')
  await expect(page.getByRole('dialog', { name: 'Unstack' })).toBeFocused()
  // Dragged onto a row they go there together; Escape puts them back.
  const lives = async () => {
    const { windows } = await shelf.state()
    return ['Pit', 'Depths', 'Notes'].map((name) => windows[id(name)]?.desktop)
  }
  const field = Array(3).fill(id('Field'))
  const row = await page.locator(`[data-desktop-row="${id('Rota')}"]`).boundingBox()
  const onRow = { x: (row?.x ?? 0) + 60, y: (row?.y ?? 0) + 12 }
  await shelf.grasp(picked('Depths'), onRow)
  await expect(page.locator('#in-hand')).toHaveText('3 windows')
  await shelf.press('Escape')
  await page.mouse.up()
  await expect(page.locator('#in-hand')).toHaveCount(0)
  expect(await lives()).toEqual(field)
  await shelf.drag(picked('Depths'), onRow)
  expect(await lives()).toEqual(Array(3).fill(id('Rota')))
  await shelf.press('Alt+Z')
  expect(await lives()).toEqual(field)
  for (const name of ['Pit', 'Depths', 'Notes'])
    await picked(name).click({ modifiers: ['Control'] })
  await shelf.press('Alt+]', 'R')
  expect(await lives()).toEqual(Array(3).fill(id('Rota')))
  await shelf.press('Alt+Z')
  expect(await lives()).toEqual(field)
})
