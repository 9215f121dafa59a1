import { expect, numbered, type ShelfPage, test } from './shelf'

const bow = (shelf: ShelfPage, id: string) => shelf.page.locator(`[data-bow="${id}"]`)

test('a bow dragged is its window: onto a row it goes there, onto the desktop it comes here', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  for (const app of ['table', 'job']) await shelf.run('window.open', { app })
  await shelf.run('desktop.create', { name: 'Kestrel', stay: true })
  const { windows, order } = await shelf.state()
  const [first = '', kestrel = ''] = order
  const ids = Object.keys(windows)
  const [table = ''] = ids
  const row = await shelf.row('Kestrel').boundingBox()
  if (!row) throw new Error('no row')
  await shelf.dropOnRow(bow(shelf, table), 'Kestrel')
  expect((await shelf.state()).windows[table]?.desktop).toBe(kestrel)
  expect((await shelf.state()).order).toEqual([first, kestrel])
  await expect(shelf.said()).toContainText('Sent')
  await shelf.drag(bow(shelf, table), { x: 700, y: 400 })
  expect((await shelf.state()).windows[table]?.desktop).toBe(first)
  expect((await shelf.state()).focus).toBe(table)
  // A click still goes there, and Escape puts it back.
  await shelf.grasp(bow(shelf, table), { x: row.x + 60, y: row.y + 12 })
  await page.keyboard.press('Escape')
  await page.mouse.up()
  expect((await shelf.state()).windows[table]?.desktop).toBe(first)
  await bow(shelf, ids[1] ?? '').click()
  expect((await shelf.state()).focus).toBe(ids[1])
})

test('a double click on a name renames: on the sign, in the line, in the rack', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  const places = {
    Kestrel: page.locator('#desktop-name'),
    Merlin: page.getByRole('region', { name: 'Line' }).getByTitle('Kestrel', { exact: true }),
    Hobby: page.locator('[data-row-name]'),
  }
  for (const [name, place] of Object.entries(places)) {
    await place.dblclick()
    await expect(page.getByRole('textbox', { name: 'Name of the desktop' })).toBeFocused()
    await page.keyboard.type(name)
    await page.keyboard.press('Enter')
    await expect.poll(() => shelf.rowNames()).toEqual([name])
  }
})

test('more windows than there is room for are told as a figure, with their names', async ({
  shelf,
}) => {
  await shelf.open('shelf')
  for (let at = 0; at < 7; at++) await shelf.run('window.open', { app: 'table', title: `T${at}` })
  const tail = shelf.page.locator('.row-current .tail')
  await expect(tail.locator('[data-bow]')).toHaveCount(4)
  await expect(tail.locator('.bow-more')).toContainText('+3')
  await expect(tail.locator('.bow-more')).toHaveAttribute('title', 'T4\nT5\nT6')
  expect(await shelf.violations()).toEqual([])
})

test('forty desktops fit: the current one in sight with its tail, the apps in their place', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  const inSight = (selector: string) =>
    expect(page.locator(selector).first()).toBeInViewport({ ratio: 0.9 })
  for (let count = 2; count <= 40; count++) {
    await shelf.run('desktop.create', { name: `No ${count}`, stay: true })
    if (count !== 9 && count !== 40) continue
    const { order } = await shelf.state()
    for (const size of [
      { width: 1280, height: 800 },
      { width: 1024, height: 640 },
      { width: 960, height: 700 },
    ]) {
      await page.setViewportSize(size)
      for (const to of [order[count - 1] ?? '', order[0] ?? '']) {
        await shelf.run('desktop.go', { to })
        await inSight('.row-current > button')
        await inSight('.app-row')
        if (size.width > 1000) await inSight('.row-current .tail')
      }
    }
    // Marks are walked and gone to like rows.
    const columns = await page.locator('.rack-pairs, .rack-marks').count()
    await shelf.press(
      'Alt+Shift+;',
      'K',
      'ArrowDown',
      columns ? 'ArrowRight' : 'ArrowDown',
      'Enter',
    )
    expect(await shelf.here()).toBe(order[2])
    await shelf.run('desktop.go', { to: order[0] })
  }
  expect(await shelf.violations()).toEqual([])
})

test('names that are written from right to left keep their beginning', async ({ shelf, page }) => {
  await shelf.open('shelf')
  const name = 'تقرير الثلوج اليومي للمنحدرات الشمالية'
  await shelf.run('desktop.rename', { name })
  await shelf.run('window.open', { app: 'document', title: name })
  const direction = (selector: string) =>
    page
      .locator(selector)
      .first()
      .evaluate((element) => getComputedStyle(element).direction)
  for (const selector of ['[data-row-name]', '.hem b', '[aria-label=Line] b', 'h1'])
    expect(await direction(selector), selector).toBe('rtl')
  await shelf.press('Alt+/')
  for (const selector of ['[data-standing] [dir]', '[aria-label=Bench] h3', '[data-head] [dir]'])
    expect(await direction(selector), selector).toBe('rtl')
})

test('nothing moves under reduced motion, on either cloth, in any view', async ({
  shelf,
  page,
}) => {
  await shelf.open('demo')
  for (const cloth of ['night', 'day']) {
    await shelf.run('settings.set', { cloth })
    for (const keys of [['Alt+/'], ['Alt+='], ['Alt+X'], ['Alt+;'], ['Alt+Shift+/'], ['Alt+B']]) {
      await page.keyboard.press(keys[0] ?? '')
      const moving = await page.evaluate(() =>
        document
          .getAnimations()
          .filter((one) => Number(one.effect?.getComputedTiming().duration) > 1)
          .map((one) => (one as CSSAnimation).animationName ?? one.id),
      )
      expect(moving, `${cloth} ${keys}`).toEqual([])
      await shelf.press('Escape')
    }
  }
})

test('the demo fits the screen it is first opened on', async ({ shelf, page }) => {
  await page.setViewportSize({ width: 960, height: 640 })
  await shelf.open('demo')
  const { windows, displays } = await shelf.state()
  const near = displays.near
  for (const { frame } of Object.values(windows)) {
    expect(frame.x + frame.width).toBeLessThanOrEqual((near?.width ?? 0) + 1)
    expect(frame.y).toBeLessThan((near?.height ?? 0) - 60)
  }
})

test('a pair takes the whole screen when that is set, and Escape’s way back is said', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await shelf.run('settings.set', { fullScreen: true })
  await shelf.run('window.open', { app: 'document' })
  await expect(page.locator('.tiptap')).toBeFocused()
  await shelf.press('Alt+Enter')
  await expect(page.getByRole('navigation', { name: 'Desktops' })).toBeHidden()
  expect(await page.evaluate(() => document.fullscreenElement !== null)).toBe(true)
  await page.keyboard.type('still here')
  await expect(page.locator('.tiptap')).toHaveText('still here')
  // What needs rack or line brings them back for as long.
  const rack = page.getByRole('navigation', { name: 'Desktops' })
  await shelf.press('Alt+Shift+;')
  await expect(page.getByText('a key follows')).toBeVisible()
  await shelf.press('R')
  await page.keyboard.type('Morning')
  await shelf.press('Enter')
  await expect(rack).toBeHidden()
  expect((await shelf.state()).order).toHaveLength(2)
  await shelf.press('Alt+Shift+;', 'M')
  await expect(page.getByRole('menu')).toBeVisible()
  await shelf.press('Escape')
  await expect(rack).toBeHidden()
  await page.keyboard.type(' and here')
  await expect(page.locator('.tiptap')).toHaveText('still here and here')
  await shelf.press('Alt+Shift+;', 'K')
  await expect(rack.getByRole('button', { name: /^Morning/ })).toBeFocused()
  await shelf.press('Escape')
  await expect(page.getByRole('navigation', { name: 'Desktops' })).toBeVisible()
  await expect(shelf.said()).toContainText('Alt+Enter brings back')
  await shelf.press('Alt+Enter')
  expect((await shelf.state()).order).toHaveLength(1)
  await expect(page.locator('.tiptap')).toHaveText('still here and here')
})

test('folded apps make room: forty names in two columns, and beside a mark its whole name', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await shelf.desktops(...numbered('Number', 2, 40))
  const { order } = await shelf.state()
  const rack = page.getByRole('navigation', { name: 'Desktops' })
  await expect(page.locator('.rack-marks')).toBeVisible()
  // Of marks the one pointed at or walked to tells its name.
  await page.locator(`[data-desktop-row="${order[9]}"] > button`).hover()
  await expect(page.locator('.pointed')).toContainText('Number 32')
  await page.getByRole('button', { name: 'Fold the apps' }).click()
  await expect(page.locator('.rack-pairs')).toBeVisible()
  const last = rack.getByRole('button', { name: /^Number 2,/ })
  await expect(last).toBeInViewport({ ratio: 1 })
  expect((await last.boundingBox())?.width).toBeGreaterThan(40)
  await expect(page.getByRole('button', { name: 'Document, 0 windows' })).toBeInViewport()
  await shelf.reload()
  await expect(page.locator('.rack-pairs')).toBeVisible()
  await page.getByRole('button', { name: 'List the apps' }).click()
  await expect(page.getByRole('button', { name: 'Document, 0 windows' })).toContainText('Document')
  await shelf.press('Alt+Z')
  await expect(page.locator('.rack-pairs')).toBeVisible()
  expect(await shelf.violations()).toEqual([])
})

test('bows are walked along their tail, and those without room stand in a menu', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  for (let at = 0; at < 7; at++) await shelf.run('window.open', { app: 'table', title: `T${at}` })
  await shelf.press('Alt+Shift+;', 'K', 'ArrowRight', 'ArrowRight', 'Enter')
  const titled = async (title: string) => {
    const { windows, documents } = await shelf.state()
    return Object.values(windows).find(({ document }) => documents[document]?.title === title)?.id
  }
  expect((await shelf.state()).focus).toBe(await titled('T1'))
  await shelf.press('Alt+Shift+;', 'K', ...Array.from({ length: 5 }, () => 'ArrowRight'), 'Enter')
  await expect(page.getByRole('menu').getByRole('menuitem')).toHaveText(['T4', 'T5', 'T6'])
  await page.getByRole('menuitem', { name: 'T5' }).click()
  await expect.poll(async () => (await shelf.state()).focus).toBe(await titled('T5'))
})

test('with many desktops a row tells its windows as a figure', async ({ shelf, page }) => {
  await shelf.open('shelf')
  for (const app of ['table', 'job']) await shelf.run('window.open', { app })
  // As long as they have room all keep their bows.
  await shelf.desktops(...numbered('N', 2, 8))
  await expect(page.locator('.rack-snug')).toBeVisible()
  await expect(page.locator('[data-bow]')).toHaveCount(2)
  await shelf.desktops(...numbered('N', 9, 11))
  await shelf.run('desktop.go', { to: 'next' })
  await expect(page.locator('.rack-tight')).toBeVisible()
  const { desktops } = await shelf.state()
  const first = Object.values(desktops).find(({ windows }) => windows.length === 2)?.id
  await expect(page.locator(`[data-desktop-row="${first}"] .row-figure`)).toHaveText('2')
})

test('the rack is as wide as its edge is dragged, by key too; a double click fits the names', async ({
  shelf,
  page,
}) => {
  await shelf.furnish({ Field: { Notes: 'document' }, 'A name that takes its room': {} })
  const edge = page.getByRole('separator', { name: 'Width of the rack' })
  const width = async () => (await page.locator('[data-rack]').boundingBox())?.width
  const drag = async (by: number) => {
    const { x = 0, y = 0 } = (await edge.boundingBox()) ?? {}
    await page.mouse.move(x + 3, y + 300)
    await page.mouse.down()
    await page.mouse.move(x + 3 + by, y + 320, { steps: 3 })
    await page.mouse.up()
  }
  await drag(80)
  await expect.poll(width).toBe(288)
  await expect(edge).toHaveAttribute('aria-valuenow', '288')
  // Escape gives it up.
  await edge.hover({ position: { x: 3, y: 300 } })
  await page.mouse.down()
  await page.mouse.move(200, 320, { steps: 3 })
  await expect.poll(width).toBeLessThan(210)
  await page.keyboard.press('Escape')
  await expect.poll(width).toBe(288)
  await page.mouse.up()
  await expect(edge).toHaveAttribute('aria-valuenow', '288')
  await drag(500)
  await expect.poll(width).toBe(360)
  // The windows begin beside it, and what is dragged finds its place.
  const { x: left } = (await page.locator('#desktop').boundingBox()) ?? {}
  expect(left).toBe(360)
  await shelf.kept()
  await shelf.reload()
  await expect.poll(width).toBe(360)
  await edge.focus()
  await shelf.press('Home')
  await expect.poll(width).toBe(180)
  const name = shelf.row('A name that takes its room').locator('[data-row-name]')
  const cut = () => name.evaluate((one) => one.scrollWidth > one.clientWidth)
  expect(await cut()).toBe(true)
  await edge.dblclick({ position: { x: 3, y: 300 } })
  await expect.poll(cut).toBe(false)
  expect(await width()).toBeLessThan(300)
  // In two columns each name has half of it.
  for (let n = 0; n < 22; n++)
    await shelf.run('desktop.create', { name: `On the way ${n}`, stay: true })
  await expect(page.locator('.rack-pairs')).toBeVisible()
  await edge.focus()
  await shelf.press('Home')
  const last = shelf.row('On the way 21').locator('[data-row-name]')
  expect(await last.evaluate((one) => one.scrollWidth > one.clientWidth)).toBe(true)
  await edge.dblclick({ position: { x: 3, y: 300 } })
  await expect.poll(() => last.evaluate((one) => one.scrollWidth > one.clientWidth)).toBe(false)
  // Narrow pages keep to their strip.
  await page.setViewportSize({ width: 960, height: 700 })
  await expect.poll(width).toBe(60)
})

test('a push on the loose thread below the rows makes a desktop; a window dropped there makes one that holds it', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({ Field: { Notes: 'document', Stations: 'table' } })
  const thread = page.getByRole('button', { name: 'New desktop' })
  await thread.click()
  await page.keyboard.type('Made')
  await page.keyboard.press('Enter')
  await expect(shelf.row('Made')).toBeVisible()
  await shelf.run('desktop.go', { to: 'first' })
  await shelf.window(id('Stations')).locator('.hem b').dragTo(thread)
  await page.keyboard.type('Readings')
  await page.keyboard.press('Enter')
  await shelf
    .row('Field')
    .locator(`[data-bow="${id('Notes')}"]`)
    .dragTo(thread)
  await page.keyboard.type('Texts')
  await page.keyboard.press('Enter')
  const { windows, desktops } = await shelf.state()
  expect(desktops[windows[id('Stations')]?.desktop ?? '']?.name).toBe('Readings')
  expect(desktops[windows[id('Notes')]?.desktop ?? '']?.name).toBe('Texts')
})

test('the rack stands at the other side, and is furled to marks that come out under the pointer and by key', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const rack = page.locator('[data-rack]')
  const boxes = async () => {
    const [list, desk] = await Promise.all([
      rack.boundingBox(),
      page.locator('#desktop').boundingBox(),
    ])
    if (!list || !desk) throw new Error('There is no rack')
    return { list, desk }
  }
  await shelf.run('settings.set', { rackSide: 'right' })
  const right = await boxes()
  expect([right.desk.x, right.list.x]).toEqual([0, 1280 - 208])
  // Its edge is dragged the other way; what is dropped on it goes there.
  await shelf.drag(page.getByRole('separator', { name: 'Width of the rack' }), {
    x: 1280 - 260,
    y: 300,
  })
  const wide = (await boxes()).list.width
  expect(wide).toBeGreaterThan(250)
  await shelf.dropOnRow(shelf.window('stations').locator('.hem b'), 'Model')
  expect((await shelf.state()).windows.stations?.desktop).toBe('model')
  await shelf.press('Alt+Z')

  await shelf.press('Alt+Shift+;', 'Shift+N')
  const furled = await boxes()
  expect([furled.list.width, furled.desk.width]).toEqual([60, 1220])
  await expect(page.locator('[data-desktop-row=public] .row-waiting')).toBeVisible()
  await page.mouse.move(1250, 200)
  await expect.poll(async () => (await boxes()).list.width).toBe(wide)
  // Over the desktop, which stays as wide as it is.
  expect((await boxes()).desk.width).toBe(1220)
  expect(await shelf.violations('all', '[data-rack]')).toEqual([])
  await page.getByRole('button', { name: /^Model,/ }).click()
  expect(await shelf.here()).toBe('model')
  await page.mouse.move(400, 300)
  await expect.poll(async () => (await boxes()).list.width).toBe(60)
  await shelf.press('Alt+Shift+;', 'K')
  await expect.poll(async () => (await boxes()).list.width).toBe(wide)
  await shelf.press('Escape')
  await expect.poll(async () => (await boxes()).list.width).toBe(60)
  await shelf.reload()
  expect((await boxes()).list).toMatchObject({ x: 1220, width: 60 })
})

test('an app with several windows lists them when it is pushed; its number counts as chosen', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const apps = page.getByRole('region', { name: 'Apps' })
  const table = apps.getByRole('button', { name: /^Table,/ })
  await table.click()
  await page
    .getByRole('menuitem', { name: /· Rota/ })
    .first()
    .click()
  await expect(page.locator('[data-focused][data-app=table]')).toBeVisible()
  const count = table.locator('.app-count')
  const all = Number(await count.textContent())
  await shelf.run('settings.set', { appFigures: 'both' })
  await expect(count).toHaveText(new RegExp(`^\\d of ${all}$`))
  await shelf.run('settings.set', { appFigures: 'here' })
  const { windows, desktops } = await shelf.state()
  const here = desktops[(await shelf.here()) ?? '']?.windows ?? []
  await expect(count).toHaveText(String(here.filter((id) => windows[id]?.app === 'table').length))
})

test('a file or a text dropped on the thread gets a desktop that is named after it', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  const drop = (of: { file?: [string, string]; text?: string }) =>
    page.evaluate(({ file, text }) => {
      const dataTransfer = new DataTransfer()
      if (file) dataTransfer.items.add(new File([file[1]], file[0]))
      if (text) dataTransfer.setData('text/plain', text)
      const thread = document.querySelector('[data-thread]')
      for (const type of ['dragover', 'drop'])
        thread?.dispatchEvent(
          new DragEvent(type, { dataTransfer, bubbles: true, cancelable: true }),
        )
    }, of)
  await drop({ file: ['Storm log.md', '# Storm\n\nWind from the west'] })
  await expect(page.getByText('Wind from the west')).toBeVisible()
  expect(await shelf.rowNames()).toContain('Storm log')
  await drop({ text: 'Call the hut\nat noon' })
  await expect(page.getByText('at noon')).toBeVisible()
  expect(await shelf.rowNames()).toContain('Call the hut')
  const { desktops } = await shelf.state()
  const made = Object.values(desktops).find(({ name }) => name === 'Call the hut')
  expect([made?.id, made?.windows.length]).toEqual([await shelf.here(), 1])
})
