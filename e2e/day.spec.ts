import { readFileSync } from 'node:fs'
import { expect, test } from './shelf'

test('a web address becomes an app with a key, a home and windows of its own', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await page.getByRole('button', { name: 'add app' }).click()
  const dialog = page.getByRole('dialog', { name: 'Add an app' })
  await dialog.getByLabel('Name').fill('Notice board')
  await dialog.getByLabel('Address').fill('ftp://old.example')
  await shelf.press('Enter')
  await expect(dialog.getByRole('alert')).toContainText('Only http and https')
  await dialog.getByLabel('Address').fill('/pages/notice')
  expect(await shelf.violations()).toEqual([])
  await shelf.press('Enter')
  const row = page.getByRole('button', { name: /^Notice board,/ })
  await row.click()
  const window = page.getByRole('region', { name: 'Notice board' })
  await expect(window.locator('iframe').contentFrame().getByRole('heading')).toContainText('Snow')
  await shelf.reload()
  await expect(window.locator('iframe')).toBeVisible()
  await row.click({ button: 'right' })
  await page.getByRole('menuitem', { name: 'Remove Notice board' }).click()
  await expect(shelf.said()).toContainText('has windows open')
  await shelf.run('window.close', {})
  await row.click({ button: 'right' })
  await page.getByRole('menuitem', { name: 'Remove Notice board' }).click()
  await expect(row).toHaveCount(0)
})

test('an app is added from a file that describes one; a bad file is told', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await shelf.run('app.askAdd')
  const dialog = page.getByRole('dialog', { name: 'Add an app' })
  const choose = async (name: string, content: string) => {
    const chooser = page.waitForEvent('filechooser')
    await dialog.getByRole('button', { name: 'From a file' }).click()
    await (await chooser).setFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(content) })
  }
  await choose('bad.desktop', '[Desktop Entry]\nName=Editor\nExec=editor %f')
  await expect(dialog.getByRole('alert')).toContainText('it is no link')
  await dialog.getByLabel('Name').fill('Usual')
  await dialog.getByLabel('Address').fill('file:///usual')
  await page.keyboard.press('Enter')
  await expect(dialog.getByLabel('Address')).toHaveAccessibleDescription(/http/)
  await expect(dialog.getByLabel('Address')).toBeFocused()
  // Left by mistake it is there again; left with Cancel it is not.
  await page.keyboard.press('Escape')
  await shelf.run('app.askAdd')
  await expect(dialog.getByLabel('Name')).toHaveValue('Usual')
  await dialog.getByRole('button', { name: 'Cancel' }).click()
  await shelf.run('app.askAdd')
  await expect(dialog.getByLabel('Name')).toHaveValue('')
  await choose('usual.webmanifest', '{"name":"Usual","start_url":"/app?from=home"}')
  await expect(dialog.getByRole('status')).toContainText('“/app?from=home” of its site')
  await dialog.getByLabel('Address').fill('usual.example')
  await dialog.getByRole('button', { name: /^Add/ }).click()
  await expect(dialog).toBeHidden()
  expect(Object.values((await shelf.state()).apps)).toMatchObject([
    { name: 'Usual', address: 'https://usual.example/app?from=home' },
  ])
  await expect(shelf.said()).toContainText('All nine number keys are taken')
  await shelf.press('Alt+Z')
  await shelf.run('app.askAdd')
  await choose(
    'ridge.webmanifest',
    '{"name":"Ridge","start_url":"https://ridge.example/","icons":[{"src":"data:image/svg+xml,%3Csvg xmlns=\'http://www.w3.org/2000/svg\'/%3E"}]}',
  )
  await expect(dialog.getByLabel('Address')).toHaveValue('https://ridge.example/')
  await expect(dialog.getByAltText('Its icon')).toBeVisible()
  await dialog.getByRole('button', { name: /^Add/ }).click()
  expect(Object.values((await shelf.state()).apps)).toMatchObject([{ name: 'Ridge' }])
})

test('number keys change by dragging an app onto another line', async ({ shelf, page }) => {
  await shelf.open('shelf')
  await page.locator('[data-app-slot="7"]').dragTo(page.locator('[data-app-slot="2"]'))
  const { slots } = await shelf.state()
  expect([slots[1], slots[6]]).toEqual(['player', 'table'])
})

test('an earlier session is kept when the shelf is opened again; windows are picked from it', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({
    Field: { Pit: 'job', Stations: 'table' },
    Rota: { Duty: 'table' },
  })
  await shelf.reload()
  await shelf.run('window.close', { window: id('Pit') })
  await shelf.run('window.close', { window: id('Duty') })
  await shelf.run('sessions.open')
  const dialog = page.getByRole('dialog', { name: 'Earlier sessions' })
  await expect(dialog.getByRole('list', { name: 'Sessions' }).getByRole('button')).toHaveCount(1)
  await dialog.getByLabel(/^Pit/).check()
  expect(await shelf.violations()).toEqual([])
  await dialog.getByRole('button', { name: 'Reopen selected' }).click()
  await expect(shelf.window(id('Pit'))).toBeVisible()
  expect((await shelf.state()).windows[id('Duty')]).toBeUndefined()
  await shelf.reload()
  await shelf.run('sessions.open')
  await expect(dialog.getByRole('list', { name: 'Sessions' }).getByRole('button')).toHaveCount(2)
  await dialog.getByRole('list', { name: 'Sessions' }).getByRole('button').nth(1).click()
  await dialog.getByRole('button', { name: 'Reopen whole session' }).click()
  expect((await shelf.state()).windows[id('Duty')]?.desktop).toBe(id('Rota'))
})

test('a desktop at rest is not drawn, and wakes where it was scrolled to', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+B')
  const text = shelf.window('hazard').getByRole('region', { name: 'Text' })
  await shelf.run('window.resize', { window: 'hazard', width: 400, height: 220 })
  // Only once the window has its new size can it be scrolled that far.
  const scrolled = () =>
    text.evaluate((element) => {
      element.scrollTo(0, 90)
      return element.scrollTop
    })
  await expect.poll(scrolled).toBe(90)
  await shelf.press('Alt+F')
  // By itself after the set time; by hand at once.
  await shelf.run('desktop.rest', { desktop: 'bulletin' })
  await expect(shelf.said()).toContainText('Bulletin is at rest')
  await expect(shelf.window('hazard')).toHaveCount(0)
  await shelf.press('Alt+/')
  await expect(page.locator('[data-row="bulletin"]')).toContainText('at rest')
  await shelf.press('Escape', 'Alt+B')
  await expect.poll(() => text.evaluate((element) => element.scrollTop)).toBe(90)
  // One with a job at work or text that is not saved stays awake.
  expect(
    await page.evaluate(() => window.kiteShelf?.run('desktop.rest', { desktop: 'model' })),
  ).toEqual({
    ok: false,
    reason: 'Model stays awake: “Snowpack run, 24 h” is at work.',
  })
  await expect(shelf.said()).toContainText('Model stays awake: “Snowpack run, 24 h” is at work')
})

test('desktops that are not looked at for long go to rest by themselves', {
  tag: '@apart',
}, async ({ shelf, page }) => {
  // Not over midnight, whenever this runs.
  await page.clock.install({ time: new Date('2026-11-24T10:00') })
  await shelf.open()
  await page.clock.runFor(3000)
  await expect(shelf.window('atlas')).toBeAttached()
  await page.clock.fastForward('31:00')
  await page.clock.runFor(61_000)
  await expect(shelf.window('atlas')).toHaveCount(0)
  await expect(shelf.window('run')).toBeAttached()
  await expect(shelf.window('stations')).toBeVisible()
})

test('a file of the drawer is dragged over a row, its desktop opens, and it is dropped there', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+9')
  const drawer = page.locator('[data-app="drawer"]')
  await drawer.getByLabel('Filter the drawer').fill('Duty')
  const from = await drawer.getByRole('listitem').getByRole('button').boundingBox()
  const row = await shelf.row('Rota').boundingBox()
  if (!from || !row) throw new Error('not drawn')
  await page.mouse.move(from.x + 30, from.y + 10)
  await page.mouse.down()
  await page.mouse.move(from.x + 60, from.y + 14, { steps: 4 })
  await page.mouse.move(row.x + 80, row.y + 20, { steps: 8 })
  await page.waitForTimeout(300)
  await page.mouse.move(row.x + 82, row.y + 21)
  await expect.poll(() => shelf.here()).toBe('rota')
  const cell = shelf.window('rota').locator('[aria-rowindex="8"] > [aria-colindex="2"]')
  const box = await cell.boundingBox()
  await page.mouse.move(box?.x ?? 0, box?.y ?? 0, { steps: 4 })
  await page.mouse.move((box?.x ?? 0) + 20, (box?.y ?? 0) + 8, { steps: 4 })
  await page.mouse.up()
  await expect(cell).toHaveText('[Duty rota](kite:rota)')
})

test('by keyboard a reference is copied in one window and pasted in another', async ({
  shelf,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await shelf.open()
  await shelf.press('Alt+Shift+;', 'C')
  await expect(shelf.said()).toContainText('Copied a reference to “Station readings 06:00”')
  await shelf.press('Alt+R')
  await shelf.run('window.focus', { window: 'handover' })
  await shelf.window('handover').getByRole('textbox', { name: 'Text' }).focus()
  await shelf.press('Control+End', 'Control+v')
  await expect(shelf.window('handover')).toContainText('Station readings 06:00')
})

test('messages are exported as text', async ({ shelf, page }) => {
  await shelf.open()
  const download = page.waitForEvent('download')
  await shelf.run('window.export', { window: 'line' })
  const text = readFileSync(await (await download).path(), 'utf8')
  expect(text).toContain('hut warden: Forecaster: 34 cm now.')
  await shelf.run('window.export', { window: 'radio' })
  await expect(shelf.said()).toContainText('There is nothing to export in it')
})
