import { pdf } from '../testing/pdf.mjs'
import { expect, test } from './shelf'

/** Three desktops with windows of the same few apps, and one without. */
const THREE = {
  Field: { Stations: 'table', Observers: 'table', Slides: 'countdown' },
  Model: { Output: 'table' },
  Rota: { Duty: 'table', Break: 'countdown' },
  Public: {},
}

test('the misplaced table is found and sent home through the loft in at most 6 strokes', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+B')
  const strokes = ['Alt+/', 'Shift+R', 'ArrowLeft', 'ArrowLeft', 'F']
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
  const id = await shelf.furnish(THREE)
  await shelf.press('Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeFocused()
  const before = await shelf.state()
  await shelf.press('Shift+F', 'Space', 'ArrowLeft', 'Space', 'Shift+M', 'Space')
  await expect(page.getByRole('status').filter({ hasText: '3 marked' })).toBeVisible()
  await shelf.press('P')
  const { windows } = await shelf.state()
  const moved = Object.values(windows).filter(
    ({ id, desktop }) => desktop !== before.windows[id]?.desktop,
  )
  expect(moved.map(({ desktop }) => desktop)).toEqual(Array(3).fill(id('Public')))
  await shelf.press('Alt+Z')
  expect((await shelf.state()).windows).toEqual(before.windows)
})

test('the same letter twice in quick succession is one step of undo', async ({ shelf, page }) => {
  const id = await shelf.furnish(THREE)
  const before = await shelf.state()
  await shelf.press('Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeFocused()
  // Both on their way before either is answered.
  await Promise.all([page.keyboard.press('p'), page.keyboard.press('p')])
  const sent = async () =>
    Object.values((await shelf.state()).windows).filter(
      (one) => one.desktop === id('Public') && before.windows[one.id]?.desktop !== id('Public'),
    ).length
  await expect.poll(sent).toBe(2)
  await expect(shelf.said()).toContainText('Sent 2 windows to Public')
  await shelf.press('Alt+Z')
  expect((await shelf.state()).windows).toEqual(before.windows)
})

test('every window is drawn at its true proportions; walking and Enter go to one, without reloading it', async ({
  shelf,
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 660 })
  await shelf.open()
  await shelf.run('settings.set', { loft: 320 })
  await shelf.press('Alt+R')
  await expect(shelf.window('rota').getByRole('grid')).toBeVisible()
  await shelf.press('Alt+F')
  await page.evaluate(() => {
    const cell = document.querySelector('[data-window="rota"] [role="grid"]')
    Object.assign(window, { same: cell })
  })
  await shelf.press('Alt+/')
  const loft = page.getByRole('dialog', { name: 'Loft' })
  // Only what is in sight is drawn; another row comes when it is walked to.
  await expect(loft.locator('[data-standing="yesterday"]')).toBeVisible()
  await expect(loft.locator('[data-standing="calls"]')).toHaveCount(0)
  await shelf.press('Shift+P')
  await expect(loft.locator('[data-standing="calls"]')).toHaveCount(1)
  await expect(loft.locator('[data-standing].outline-2')).toBeInViewport()
  await shelf.press('Shift+F')
  const { frame } = (await shelf.state()).windows.pit ?? {}
  const box = await shelf.window('pit').boundingBox()
  expect((box?.width ?? 0) / (box?.height ?? 1)).toBeCloseTo(
    (frame?.width ?? 0) / (frame?.height ?? 1),
    1,
  )
  expect(box?.height).toBeLessThan(481)
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
  const id = await shelf.furnish(THREE)
  await shelf.press('Alt+/')
  const loft = page.getByRole('dialog', { name: 'Loft' })
  await expect(loft).toBeFocused()
  await shelf.press('Shift+R', ';', 'R')
  await page.keyboard.type('Shifts')
  await shelf.press('Enter')
  await expect(loft).toBeFocused()
  await shelf.press(',')
  expect(await shelf.rowNames()).toEqual(['Field', 'Shifts', 'Model', 'Public'])
  await shelf.press(';', 'F')
  await page
    .getByRole('dialog', { name: 'Fold Shifts' })
    .getByRole('button', { name: /^Fold/ })
    .click()
  await expect(loft).toBeFocused()
  expect((await shelf.state()).windows[id('Duty')]?.desktop).toBe(id('Field'))
  await shelf.press('Insert')
  await expect(page.locator('[data-shelf]')).toHaveCount(4)
})

test('by pointer: a window is dragged to another row, a click goes', async ({ shelf, page }) => {
  const id = await shelf.furnish(THREE)
  await shelf.run('window.everywhere', { window: id('Break') })
  await page.getByRole('button', { name: /^loft/ }).click()
  const standing = (name: string) => page.locator(`[data-standing="${id(name)}"]`)
  const row = (name: string) => page.locator(`ol [data-shelf="${id(name)}"]`)
  const livesOn = async (name: string) => (await shelf.state()).windows[id(name)]?.desktop
  await standing('Duty').dragTo(row('Field'))
  expect(await livesOn('Duty')).toBe(id('Field'))
  await standing('Slides').dragTo(page.locator('[data-shelf="every"]'))
  expect(await livesOn('Slides')).toBe('every')
  await page.locator(`[data-choice="${id('Model')}"]`).dragTo(row('Field'))
  expect(await shelf.rowNames()).toEqual(['Model', 'Field', 'Rota', 'Public'])
  // While windows are in hand every desktop's mark is in reach; Escape puts them back.
  const before = await shelf.state()
  const box = await row('Rota').boundingBox()
  await shelf.grasp(standing('Output'), { x: box?.x ?? 0, y: box?.y ?? 0 })
  await expect(page.getByRole('list', { name: 'Desktops to drop on' })).toBeVisible()
  await shelf.press('Escape')
  await page.mouse.up()
  expect((await shelf.state()).windows).toEqual(before.windows)
  await standing('Output').click()
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeHidden()
  expect(await shelf.here()).toBe(id('Model'))
})

test('several marked windows are dragged together, and sent from the menu of one', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(THREE)
  await shelf.press('Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeFocused()
  await shelf.press('Shift+F', 'Space', 'ArrowLeft', 'Space')
  await page
    .locator(`[data-standing="${id('Slides')}"]`)
    .dragTo(page.locator(`ol [data-shelf="${id('Public')}"]`))
  let { windows } = await shelf.state()
  const onPublic = () => Object.values(windows).filter(({ desktop }) => desktop === id('Public'))
  expect(onPublic().map((one) => one.id)).toEqual([id('Observers'), id('Slides')])
  await shelf.press('Shift+P', 'Space', 'Shift+R', 'Space')
  await page.locator(`[data-standing="${id('Break')}"]`).click({ button: 'right' })
  await shelf.chooseWithin('Send the 2 marked to', 'Model')
  windows = (await shelf.state()).windows
  expect(windows[id('Break')]?.desktop).toBe(id('Model'))
  expect(Object.values(windows).filter(({ desktop }) => desktop === id('Model'))).toHaveLength(3)
})

test('what is done to marked windows by key is done to all of them', async ({ shelf, page }) => {
  const id = await shelf.furnish(THREE)
  await shelf.press('Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeFocused()
  await shelf.press('Shift+R', 'Space', 'ArrowLeft', 'Space', ';', 'E')
  expect((await shelf.state()).everywhere).toEqual([id('Break'), id('Duty')])
  await shelf.press('Alt+Z')
  expect((await shelf.state()).everywhere).toEqual([])
})

test('the menu key opens the menu of the choice, and a row is unstacked and returned from', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(THREE)
  await shelf.press('Alt+/')
  const loft = page.getByRole('dialog', { name: 'Loft' })
  await expect(loft).toBeFocused()
  await shelf.press('Shift+R', 'ContextMenu')
  await expect(page.getByRole('menu')).toBeVisible()
  await shelf.press('Escape')
  await expect(loft).toBeFocused()
  await shelf.press(';', 'U')
  const unstacked = page.getByRole('dialog', { name: 'Unstack' })
  await expect(unstacked.getByRole('button')).toHaveText([/Duty/, /Break/])
  await shelf.press('Escape')
  await expect(loft).toBeFocused()
  expect(await shelf.here()).toBe(id('Field'))
})

test('nothing can be done in windows that are laid out, by no key either; back in their place all can be', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(THREE)
  const still = page.locator('.slot > .win[inert]')
  const own = ['Stations', 'Observers', 'Slides'].map(id)
  await shelf.run('window.focus', { window: id('Stations') })
  await shelf.press('Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeFocused()
  for (const window of own) await expect(shelf.window(window)).toHaveAttribute('inert', '')
  // Those of other rows as well, as soon as they are laid out.
  await expect(still).toHaveCount(6)
  await shelf.press('Escape')
  await expect(still).toHaveCount(0)
  await expect(shelf.window(id('Stations')).locator(':focus')).toHaveCount(1)
  await shelf.press('Alt+=')
  await expect(page.getByRole('dialog', { name: 'Unstack' })).toBeVisible()
  for (const window of own) await expect(shelf.window(window)).toHaveAttribute('inert', '')
  await shelf.press('Escape')
  await expect(still).toHaveCount(0)
  // Who goes on at once comes into none of them.
  await page.evaluate(() => {
    window.requestIdleCallback = () => 0
  })
  await shelf.press('Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeFocused()
  await expect(still).toHaveCount(0)
  await shelf.press('Tab')
  await expect(still).toHaveCount(6)
})

test('windows are grouped by app, each with the mark of its desktop', async ({ shelf, page }) => {
  const id = await shelf.furnish(THREE)
  await shelf.press('Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeFocused()
  await shelf.press(';', 'G')
  await expect(page.locator('[data-row]')).toHaveCount(2)
  await expect(page.locator('[data-row="table"] [data-standing]')).toHaveCount(4)
  await page.getByRole('button', { name: 'Duty, on Rota' }).click()
  expect(await shelf.here()).toBe(id('Rota'))
  // Opened anew it is by desktop.
  await page.getByRole('button', { name: /^loft/ }).click()
  await expect(page.locator('[data-row]')).toHaveCount(4)
})

test('the filter leaves only what matches, and axe finds nothing', async ({ shelf, page }) => {
  const id = await shelf.furnish(THREE)
  await shelf.press('Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeFocused()
  expect(await shelf.violations()).toEqual([])
  await shelf.press('/')
  await page.keyboard.type('stations')
  await expect(page.locator('[data-standing]')).toHaveCount(1)
  // Rows without a match are a thin edge, and are walked past.
  expect((await page.locator(`[data-row="${id('Model')}"]`).boundingBox())?.height).toBeLessThan(30)
  await shelf.press('Enter', 'ArrowDown')
  await expect(page.getByRole('complementary', { name: 'Bench' })).toContainText('Stations')
  await shelf.press('/')
  await shelf.press('Enter', 'Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeHidden()
})

test('the loft tells what waits on a desktop and how long one was on it today', {
  tag: '@apart',
}, async ({ shelf, page }) => {
  // Not over midnight, whenever this runs.
  await page.clock.install({ time: new Date('2026-11-24T10:00') })
  await shelf.open()
  await page.clock.runFor('12:00')
  await shelf.press('Alt+M')
  await page.clock.runFor('03:30')
  await shelf.press('Alt+/')
  await page.clock.runFor(500)
  const row = (id: string) => page.locator(`[data-head="${id}"]`)
  await expect(row('field')).toContainText('12 min today')
  await expect(row('model')).toContainText('3 min today')
  await expect(row('public')).toContainText('1 waiting')
  await expect(row('rota')).not.toContainText('today')
})

test('Alt+] and a letter send all that are marked; Shift and a letter go to the window used last', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(THREE)
  await shelf.press('Alt+/', 'Space')
  await page.keyboard.press('ArrowLeft')
  await shelf.press('Space', 'Alt+]', 'R')
  await expect(shelf.said()).toContainText('Sent 2 windows to Rota')
  await expect(page.locator('[data-standing][aria-pressed=true]')).toHaveCount(0)
  await shelf.press('Alt+Z', 'Shift+F')
  await shelf.press('Enter')
  expect((await shelf.state()).focus).toBe(id('Slides'))
})

test('the filter looks into texts; the bench is scrolled by keys', async ({ shelf, page }) => {
  await page.setViewportSize({ width: 1280, height: 640 })
  await shelf.open()
  await shelf.press('Alt+/')
  const scrolled = () => page.locator('#bench').evaluate((bench) => bench.scrollTop)
  await shelf.press('PageDown')
  await expect.poll(scrolled).toBeGreaterThan(20)
  await shelf.press('PageUp')
  await expect.poll(scrolled).toBe(0)
  await shelf.press('/')
  await page.keyboard.type('slides couloir old')
  await expect(page.locator('[data-standing]')).toHaveCount(1)
  await expect(page.locator('[data-standing]')).toContainText('Bulletin, north side')
  await shelf.press('Escape', 'Escape')
  await expect(page.locator('#loft')).toBeHidden()
})

test('the bench shows what stands in a window, drawn, typed or not seen yet, and nothing of another', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await shelf.press('Alt+1')
  await page.keyboard.type('Snow of the night')
  await expect(page.getByRole('textbox', { name: 'Text' })).toHaveText('Snow of the night')
  await shelf.drop({ name: 'Route.pdf', type: 'application/pdf', content: pdf(['Cornice']) })
  await expect(page.locator('[data-app="reader"] canvas')).toBeVisible()
  // Made from a pattern behind, a desktop has windows that were never drawn.
  await shelf.run('pattern.keep', { name: 'Again' })
  await shelf.run('pattern.make', { pattern: 'Again', name: 'Other' })
  await shelf.reload()
  await shelf.run('desktop.go', { to: 'first' })
  await shelf.press('Alt+/')
  const bench = page.locator('#bench')
  const ink = () =>
    bench.locator('canvas').evaluate((canvas: HTMLCanvasElement) => {
      const { data } =
        canvas.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height) ?? {}
      return data?.some((value, at) => at % 4 === 0 && value < 128 && (data[at + 3] ?? 0) > 0)
    })
  await expect.poll(ink).toBe(true)
  await shelf.press('ArrowLeft')
  await expect(bench).toContainText('Snow of the night')
  // Those of the pattern are empty, and shown so.
  await shelf.press('Shift+O')
  await expect(bench).not.toContainText('Snow of the night')
  await expect(bench.locator('canvas')).toHaveCount(0)
})

test('the loft uses the room there is; + and - change how large windows are, 0 lets them fit again', async ({
  shelf,
  page,
}) => {
  await page.setViewportSize({ width: 1920, height: 1080 })
  await shelf.open()
  await shelf.press('Alt+/')
  const area = page.locator('#windows')
  const fits = () => area.evaluate((element) => element.scrollHeight <= element.clientHeight)
  expect(await fits()).toBe(true)
  const width = async () => (await shelf.window('stations').boundingBox())?.width ?? 0
  const before = await width()
  // A row of the six has far more room here than on a small screen.
  expect(before).toBeGreaterThan(140)
  await shelf.press('+')
  await expect.poll(width).toBeGreaterThan(before * 1.15)
  await expect(page.getByRole('button', { name: 'As large as fits' })).toHaveAttribute(
    'aria-pressed',
    'false',
  )
  await shelf.press('-', '-')
  await expect.poll(width).toBeLessThan(before)
  await shelf.press('0')
  await expect.poll(width).toBeCloseTo(before, 0)
})

test('rows stand in columns, all in sight; arrows go along the lines and from column to column', async ({
  shelf,
  page,
}) => {
  const names = ['Alps', 'Bow', 'Cirque', 'Drift', 'Edge', 'Firn']
  const three = (name: string) => [`${name} one`, `${name} two`, `${name} three`]
  const id = await shelf.furnish(
    Object.fromEntries(
      names.map((name) => [name, Object.fromEntries(three(name).map((title) => [title, 'table']))]),
    ),
  )
  await shelf.press('Alt+/')
  const loft = page.getByRole('dialog', { name: 'Loft' })
  const area = page.locator('#windows')
  expect(await area.evaluate((element) => element.scrollHeight <= element.clientHeight)).toBe(true)
  for (const name of names.flatMap(three))
    await expect(loft.locator(`[data-standing="${id(name)}"]`)).toBeInViewport()
  const place = async (selector: string) => {
    const box = await loft.locator(selector).boundingBox()
    if (!box) throw new Error(`${selector} is not there`)
    return box
  }
  const chosen = () => place('[data-standing].outline-2, [data-head].outline-2')
  const rows = await Promise.all(names.map((name) => place(`[data-row="${id(name)}"]`)))
  const lefts = [...new Set(rows.map(({ x }) => x))]
  expect(lefts.length).toBeGreaterThan(1)
  // One column after the other.
  expect(rows.map(({ x }) => lefts.indexOf(x))).toEqual(
    rows.map(({ x }) => lefts.indexOf(x)).toSorted((a, b) => a - b),
  )
  await shelf.press('Shift+A', 'ArrowLeft', 'ArrowLeft', 'ArrowLeft')
  expect((await chosen()).x).toBeLessThan(lefts[1] ?? 0)
  await shelf.press('ArrowRight', 'ArrowRight', 'ArrowRight')
  await shelf.press('ArrowRight')
  expect((await chosen()).x).toBeGreaterThan((lefts[1] ?? 0) - 1)
  await shelf.press('ArrowLeft', 'ArrowLeft', 'ArrowLeft', 'ArrowLeft')
  expect((await chosen()).x).toBeLessThan(lefts[1] ?? 0)
  // Down goes from line to line, from row to row, and on at the top of the next column.
  const seen = new Set<string>()
  await shelf.press('Shift+A')
  for (let step = 0; step < 24; step++) {
    const { x, y } = await chosen()
    seen.add(`${Math.round(x)} ${Math.round(y)}`)
    await shelf.press('ArrowDown')
  }
  expect((await chosen()).x).toBeGreaterThan((lefts.at(-1) ?? 0) - 1)
  expect(seen.size).toBeGreaterThanOrEqual(names.length)
})

test('another desktop is looked into from the loft, which is as it was after that', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(THREE)
  await shelf.press('Alt+/')
  const loft = page.getByRole('dialog', { name: 'Loft' })
  const small = async () => (await shelf.window(id('Stations')).boundingBox())?.width ?? 0
  await expect.poll(small).toBeLessThan(300)
  const before = await small()
  await page.keyboard.down('Alt')
  await shelf.press('[', 'r', 'm')
  await expect(page.getByRole('dialog', { name: 'Glance' })).toBeVisible()
  await page.keyboard.up('Alt')
  await expect(loft).toBeFocused()
  await expect.poll(small).toBe(before)
  await page.keyboard.down('Alt')
  await shelf.press("'", 'r', 'Enter')
  await page.keyboard.up('Alt')
  await expect(loft).toBeHidden()
  expect(await shelf.here()).toBe(id('Rota'))
})

test('windows are marked by Ctrl or Shift and a click, and by a band; a push on free room leaves the loft', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({
    One: { Red: 'document', Green: 'table', Blue: 'document', Grey: 'table' },
    Two: { Sand: 'document' },
  })
  await shelf.press('Alt+/')
  const standing = (name: string) => page.locator(`[data-standing="${id(name)}"]`)
  const marked = async () => {
    const names = ['Red', 'Green', 'Blue', 'Grey', 'Sand']
    const on = await Promise.all(names.map((name) => standing(name).getAttribute('aria-pressed')))
    return names.filter((_, at) => on[at] === 'true')
  }
  await standing('Sand').click({ modifiers: ['Control'] })
  expect(await marked()).toEqual(['Sand'])
  await standing('Sand').click({ modifiers: ['Control'] })
  const order = await page
    .locator('[data-standing]')
    .evaluateAll((all) => all.map((one) => (one as HTMLElement).dataset.standing))
  const [first = '', , third = ''] = order
  await page.locator(`[data-standing="${first}"]`).click({ modifiers: ['Control'] })
  await page.locator(`[data-standing="${third}"]`).click({ modifiers: ['Shift'] })
  expect(await marked()).toHaveLength(3)
  // All of them go together.
  await shelf.press(String((await shelf.state()).desktops[id('Two')]?.letter))
  await expect.poll(async () => (await shelf.state()).desktops[id('Two')]?.windows.length).toBe(4)
  expect(await marked()).toEqual([])

  // From below the last of a row to above the first, round all of it.
  const boxes = await page.locator('[data-standing]').evaluateAll((all) =>
    all.map((one) => {
      const { left, top, right, bottom } = one.getBoundingClientRect()
      return [left, top, right, bottom] as const
    }),
  )
  const [right, bottom] = [2, 3].map((side) => Math.max(...boxes.map((box) => box[side] ?? 0)))
  await page.mouse.move((right ?? 0) + 12, (bottom ?? 0) + 12)
  await page.mouse.down()
  await page.mouse.move(20, 60, { steps: 6 })
  await expect(page.locator('.band')).toBeVisible()
  await page.mouse.up()
  await expect(page.locator('.band')).toHaveCount(0)
  expect(await marked()).toHaveLength(5)
  // Given up, it marks nothing and the loft stays.
  await shelf.press('Escape')
  await shelf.press('Alt+/')
  await page.mouse.click((right ?? 0) + 12, (bottom ?? 0) + 12)
  await expect(page.locator('#loft')).toHaveCount(0)
})

test('empty desktops are chips below the others, walked by arrows, gone to and sent to', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({
    Alps: { Ridge: 'table' },
    Bare: {},
    Moor: {},
    Cirque: { Snow: 'table' },
  })
  await shelf.run('desktop.go', { to: id('Cirque') })
  await shelf.press('Alt+/')
  const row = (name: string) => page.locator(`[data-row="${id(name)}"]`)
  const box = async (name: string) => {
    const found = await row(name).boundingBox()
    if (!found) throw new Error(name)
    return found
  }
  const [alps, bare, moor, cirque] = [
    await box('Alps'),
    await box('Bare'),
    await box('Moor'),
    await box('Cirque'),
  ]
  expect(bare.y).toBe(moor.y)
  expect(moor.x).toBeGreaterThan(bare.x + bare.width - 1)
  expect(bare.y).toBeGreaterThanOrEqual(Math.max(alps.y + alps.height, cirque.y + cirque.height))
  // Down from the last row to the first chip, along them, and back up.
  await shelf.press('ArrowDown', 'ArrowRight')
  await expect(row('Moor')).toHaveClass(/shelf-chosen/)
  await shelf.press('ArrowLeft')
  await expect(row('Bare')).toHaveClass(/shelf-chosen/)
  await shelf.press('ArrowUp')
  await expect(row('Cirque')).toHaveClass(/shelf-chosen/)
  // By pointer a window goes there, and the chip is a row.
  await shelf.drag(page.locator(`[data-standing="${id('Snow')}"]`), {
    x: bare.x + 60,
    y: bare.y + 20,
  })
  expect((await shelf.state()).windows[id('Snow')]?.desktop).toBe(id('Bare'))
  await expect(page.locator(`[data-row="${id('Bare')}"] [data-standing]`)).toBeVisible()
  expect((await box('Cirque')).y).toBeGreaterThan((await box('Bare')).y)
})

test('the bench gives way on a small page, and is brought and put away by a key and a push', async ({
  shelf,
  page,
}) => {
  await shelf.furnish({ Alps: { Ridge: 'table' }, Bow: { Snow: 'table' } })
  await page.setViewportSize({ width: 1024, height: 640 })
  await shelf.press('Alt+/')
  const bench = page.getByRole('complementary', { name: 'Bench' })
  const area = page.locator('#windows')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeVisible()
  await expect(bench).toBeHidden()
  expect((await area.boundingBox())?.width).toBe(1024)
  await page.keyboard.press("'")
  await expect(bench).toBeVisible()
  expect((await area.boundingBox())?.width).toBe(1024 - 320)
  // So it stays when the loft is opened again.
  await shelf.press('Escape', 'Alt+/')
  await expect(bench).toBeVisible()
  await page.getByRole('button', { name: 'bench' }).click()
  await expect(bench).toBeHidden()
})
