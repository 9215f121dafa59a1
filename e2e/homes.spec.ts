import { expect, ShelfPage, test } from './shelf'

/** Three windows on the desktop that is shown, some on another. */
const TWO = {
  Field: { Slides: 'job', Observers: 'table', Stations: 'table' },
  Rota: { Duty: 'table', Handover: 'document' },
}

test('a home is set from a window with one key and one confirmation that says what will happen', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(TWO)
  await shelf.press('Alt+R')
  await shelf.run('window.focus', { window: id('Handover') })
  await shelf.press('Alt+Shift+;', 'H')
  const dialog = page.getByRole('dialog', { name: 'A home for documents' })
  await expect(dialog.getByRole('status')).toHaveText('Documents open on Rota and take you there')
  expect(await shelf.violations()).toEqual([])
  await shelf.press('Enter')
  await expect(dialog).toBeHidden()
  await shelf.press('Alt+F', 'Alt+1', 'Alt+Shift+1')
  expect(await shelf.here()).toBe(id('Rota'))
  await shelf.reload()
  expect((await shelf.state()).homes.at(-1)).toMatchObject({ app: 'document', desktop: id('Rota') })
})

test('a second messages window opened on Field lands on Public line; told to stay, one stays', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+Shift+5')
  expect(await shelf.here()).toBe('public')
  await expect(shelf.said()).toContainText('at its home and went to Public line')
  await shelf.press('Alt+Shift+;', 'Y')
  const why = page.getByRole('dialog', { name: '“Messages” is on Public line' })
  await expect(why).toContainText('Its home put it there.')
  await expect(why).toContainText('Messages open on Public line.')
  await shelf.press('Escape')
  // In the list of homes, to stay.
  await shelf.press('Alt+F', 'Alt+Shift+;', 'Shift+H')
  const homes = page.getByRole('dialog', { name: 'Homes' })
  await homes.getByRole('button', { name: 'Change' }).first().click()
  await homes.getByRole('checkbox', { name: 'take me there' }).uncheck()
  await homes.getByRole('button', { name: 'Keep' }).click()
  await homes.getByRole('button', { name: 'Done' }).click()
  await shelf.press('Alt+Shift+5')
  expect(await shelf.here()).toBe('field')
  await expect(shelf.said()).toContainText('on Public line, its home')
})

test('a second home for the same windows says so, and takes the place of the first', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await shelf.run('window.open', { app: 'table' })
  await shelf.press('Alt+Shift+;', 'H', 'Enter')
  await expect.poll(async () => (await shelf.state()).homes).toHaveLength(1)
  const dialog = page.getByRole('dialog', { name: 'A home for tables' })
  await expect(dialog).toBeHidden()
  await shelf.press('Alt+Shift+;', 'H')
  await expect(dialog.getByRole('alert')).toContainText('“Tables open on Delta')
  // A desktop that is made for it can be gone to, or not.
  await dialog.getByLabel('Open on').selectOption('a desktop named…')
  await dialog.getByLabel('Name of the desktop to make').fill('Depot')
  await dialog.getByRole('checkbox', { name: 'take me there' }).uncheck()
  await shelf.press('Enter')
  await expect(dialog).toBeHidden()
  expect((await shelf.state()).homes).toMatchObject([
    { app: 'table', name: 'Depot', follow: false },
  ])
  await shelf.run('window.open', { app: 'table' })
  expect(await shelf.rowNames()).toEqual(['Delta', 'Depot'])
  expect(await shelf.here()).toBe('first')
  // One that another always comes before is told before it is set.
  await shelf.run('home.set', { app: 'table', desktop: 'first', title: 'Table*' })
  await shelf.press('Alt+Shift+;', 'H')
  await dialog.getByLabel('Pattern of the title').fill('Table of snow*')
  await expect(dialog.getByRole('alert')).toContainText('would have no effect')
  expect(await shelf.violations()).toEqual([])
})

test('what a home may depend on: a title that is offered, displays, days as one counts them', async ({
  browser,
  baseURL,
}) => {
  const there = await browser.newContext({ locale: 'de-DE', baseURL: baseURL ?? '' })
  const shelf = new ShelfPage(await there.newPage())
  await shelf.page.goto('/demo')
  await expect(shelf.page.locator('#desktop')).toBeVisible()
  await shelf.run('window.focus', { window: 'stations' })
  await shelf.run('home.ask')
  const dialog = shelf.page.getByRole('dialog', { name: 'A home for tables' })
  // The title is offered, and holds once it is chosen.
  await expect(dialog.getByRole('radio', { name: 'all tables' })).toBeChecked()
  await expect(dialog.getByLabel('Pattern of the title')).toHaveValue('')
  await dialog.getByRole('radio', { name: 'titled' }).check()
  await expect(dialog.getByLabel('Pattern of the title')).toHaveValue('Station*')
  await dialog.getByRole('checkbox', { name: 'Tall' }).check()
  for (const day of ['Su', 'Mo']) await dialog.getByRole('checkbox', { name: day }).check()
  await expect(dialog.getByRole('status')).toHaveText(
    'Tables titled “Station*” on Monday, Sunday while Tall is plugged in open on Field and take you there',
  )
  const days = await dialog
    .getByRole('checkbox')
    .evaluateAll((all) =>
      all.map((one) => one.parentElement?.textContent).filter((name) => name?.length === 2),
    )
  expect(days).toEqual(['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'])
  expect(await shelf.violations()).toEqual([])
  await shelf.press('Enter')
  expect((await shelf.state()).homes.at(-1)).toMatchObject({ displays: ['tall'], days: [0, 1] })
  await there.close()
})

test('put right lists the three, does what is ticked, one undo restores', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const before = await shelf.state()
  await shelf.press('Alt+Shift+;', 'P')
  const list = page.getByRole('list', { name: 'Windows away from home' })
  await expect(list.getByRole('listitem')).toHaveText([
    /Bulletin, north side.*Bulletin$/,
    /Ridge radio.*Breather$/,
    /Station readings, Sunday.*Field$/,
  ])
  expect(await shelf.violations()).toEqual([])
  // The arrows walk the list, from the answer too, which has the keys first.
  await shelf.press('ArrowDown', 'ArrowDown', ' ')
  await expect(list.getByRole('checkbox').nth(1)).not.toBeChecked()
  await shelf.press('Enter')
  const { windows } = await shelf.state()
  expect([windows.north, windows.radio, windows.sunday].map((one) => one?.desktop)).toEqual([
    'bulletin',
    'model',
    'field',
  ])
  expect(windows.north?.placed).toEqual({ top: 0, left: 0, bottom: 2, right: 0.5 })
  await shelf.press('Alt+Z')
  expect((await shelf.state()).windows).toEqual(before.windows)
  await shelf.press('Alt+Shift+;', 'P', 'Enter', 'Alt+Shift+;', 'P')
  await expect(shelf.said()).toContainText('Every window is at home')
})

test('homes are tried out, ordered, switched off and removed; those that never win are told', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.run('home.set', { app: 'table', desktop: 'rota', title: 'Station r*' })
  await shelf.press('Alt+Shift+;', 'Shift+H')
  const homes = page.getByRole('dialog', { name: 'Homes' })
  const items = homes.getByRole('list', { name: 'Homes in order' }).getByRole('listitem')
  await expect(items.last()).toContainText('Never applies: home 4 always wins')
  const trial = homes.getByRole('region', { name: 'Try out' })
  await trial.getByLabel('App').selectOption('table')
  await trial.getByLabel('Title').fill('Station readings')
  await expect(trial.getByRole('status')).toContainText('open on Field')
  await expect(trial.getByRole('status')).toContainText('the other stands before it')
  expect(await shelf.violations()).toEqual([])
  await items.last().getByRole('button', { name: 'Move up' }).click()
  await expect(trial.getByRole('status')).toContainText('open on Rota')
  await items.nth(3).getByRole('checkbox').uncheck()
  await expect(trial.getByRole('status')).toContainText('it is switched off')
  await items.nth(3).getByRole('button', { name: 'Remove' }).click()
  await expect(items).toHaveCount(5)
})

test('a window away from home wears a mark that says why and sends it home', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.run('window.focus', { window: 'north' })
  await shelf.window('north').getByRole('button', { name: 'Away from home: why here?' }).click()
  await page.getByRole('button', { name: 'Send it home, on Bulletin' }).click()
  expect((await shelf.state()).windows.north?.desktop).toBe('bulletin')
})

test('solo and back: the window fills a desktop of its own, over a reload, and returns exactly', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(TWO)
  const before = await shelf.state()
  await shelf.press('Alt+Enter')
  await expect(shelf.row('Stations')).toContainText('solo')
  const desktop = await page.locator('#desktop').boundingBox()
  await expect
    .poll(async () => (await shelf.window(id('Stations')).boundingBox())?.width)
    .toBe(desktop?.width)
  await expect(shelf.window(id('Slides'))).toBeHidden()
  expect(await shelf.violations()).toEqual([])
  await shelf.reload()
  await shelf.press('Alt+Enter')
  const after = await shelf.state()
  expect([after.windows, after.order, after.focus]).toEqual([
    before.windows,
    before.order,
    before.focus,
  ])
})

test('a pair is made from a short list, divided by pointer and key, swapped, and taken apart', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(TWO)
  const before = await shelf.state()
  await shelf.press('Alt+Shift+Enter')
  const dialog = page.getByRole('dialog', { name: /^Pair/ })
  await expect(dialog.getByRole('option')).toHaveCount(4)
  // Words in any order, of title, app and desktop.
  await page.keyboard.type('field obs')
  await expect(dialog.getByRole('option')).toHaveText(['ObserversF'])
  await shelf.press('Enter')
  await expect(shelf.window(id('Observers'))).toBeVisible()
  const divider = page.getByRole('separator', { name: 'Divider of the pair' })
  await expect(divider).toHaveAttribute('aria-valuenow', '50')
  await shelf.drag(divider, { x: 208 + 300, y: 300 })
  await expect(divider).toHaveAttribute('aria-valuenow', '28')
  // Gone to by key: what is pushed gives the keys back.
  await shelf.press('Shift')
  await divider.focus()
  await shelf.press('ArrowRight')
  await expect(divider).toHaveAttribute('aria-valuenow', '33')
  expect(await shelf.violations()).toEqual([])
  await shelf.press('Alt+Shift+;', 'S')
  expect((await shelf.window(id('Observers')).boundingBox())?.x).toBe(208)
  // Another window is refused, with what would work instead.
  await shelf.press('Alt+R')
  const pair = (await shelf.state()).order[1]
  await shelf.press('Alt+]', (await shelf.state()).desktops[pair ?? '']?.letter ?? '')
  const full = page.getByRole('dialog', { name: /has no room/ })
  await full.getByRole('button', { name: /^Send it to Field/ }).click()
  expect(await shelf.here()).toBe(id('Rota'))
  await shelf.press('Alt+Z')
  // Who wanted to go along goes along.
  await shelf.press(`Alt+Shift+${(await shelf.state()).desktops[pair ?? '']?.letter}`)
  await full.getByRole('button', { name: /^Carry it to Field/ }).click()
  expect(await shelf.here()).toBe(id('Field'))
  await shelf.press('Alt+Z')
  expect(await shelf.here()).toBe(id('Rota'))
  await shelf.run('desktop.go', { to: pair })
  await shelf.press('Alt+Shift+Enter')
  const { windows } = await shelf.state()
  for (const one of [id('Stations'), id('Observers')])
    expect(windows[one]).toEqual(before.windows[one])
})

test('sweep and isolate put windows aside and bring exactly them back', async ({ shelf, page }) => {
  const id = await shelf.furnish(TWO)
  const before = await shelf.state()
  await shelf.press('Alt+0')
  await expect(shelf.window(id('Slides'))).toBeHidden()
  await shelf.reload()
  await shelf.press('Alt+0')
  expect((await shelf.state()).windows).toEqual(before.windows)
  await shelf.press('Alt+Shift+0')
  await expect(shelf.window(id('Slides'))).toBeHidden()
  await expect(shelf.window(id('Observers'))).toBeVisible()
  // A second time only the focused window stays.
  await shelf.press('Alt+Shift+0')
  await expect(shelf.window(id('Observers'))).toBeHidden()
  await expect(page.locator('[data-window]:visible')).toHaveCount(1)
  await shelf.press('Alt+Shift+0')
  expect((await shelf.state()).windows).toEqual(before.windows)
})

test('an app that has no window is given a home: from its menu, in the list of homes, and by dragging it onto a row', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await shelf.desktops('Reading', 'Music')
  const { desktops } = await shelf.state()
  const id = (name: string) => Object.values(desktops).find((one) => one.name === name)?.id
  const homes = async () => (await shelf.state()).homes.map(({ app, desktop }) => [app, desktop])
  const apps = page.getByRole('region', { name: 'Apps' })
  await apps.getByRole('button', { name: /^Reader,/ }).click({ button: 'right' })
  await page.getByRole('menuitem', { name: 'Home…' }).click()
  const dialog = page.getByRole('dialog', { name: /^A home for/ })
  await dialog.getByRole('combobox', { name: 'Open on' }).selectOption({ label: 'Reading' })
  await dialog.getByRole('button', { name: 'Set home' }).click()
  await expect(dialog).toHaveCount(0)
  expect(await homes()).toEqual([['reader', id('Reading')]])

  await shelf.run('home.list')
  const list = page.getByRole('dialog', { name: 'Homes' })
  await list.getByRole('combobox', { name: 'Add a home for' }).selectOption({ label: 'Table' })
  expect(await shelf.violations()).toEqual([])
  await list.getByRole('combobox', { name: 'Open on' }).selectOption({ label: 'Music' })
  await list.getByRole('button', { name: 'Keep' }).click()
  expect((await homes())[1]).toEqual(['table', id('Music')])
  await list.getByRole('button', { name: 'Done' }).click()

  await apps.getByRole('button', { name: /^Player,/ }).dragTo(shelf.row('Music'))
  await expect(shelf.said()).toContainText('open on Music')
  expect((await homes())[2]).toEqual(['player', id('Music')])
  // Onto another row it is moved there; there already, it says so.
  await apps.getByRole('button', { name: /^Player,/ }).dragTo(shelf.row('Reading'))
  expect((await homes())[2]).toEqual(['player', id('Reading')])
  await apps.getByRole('button', { name: /^Player,/ }).dragTo(shelf.row('Reading'))
  await expect(shelf.said()).toContainText('already')
  await shelf.press('Alt+7')
  expect(await shelf.here()).toBe(id('Reading'))
})
