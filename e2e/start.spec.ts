import { expect, test } from './shelf'

test('an empty shelf begins with the contexts of a day: desktops with letters and looks, apps with homes, in one step', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  const start = page.getByRole('region', { name: 'Where to begin' })
  await start.getByRole('textbox').click()
  await page.keyboard.type('Clients\nMusic\nBudget\nClients\n')
  await start.getByText('Where apps live').click()
  await start.getByRole('combobox', { name: 'Player' }).selectOption('Music')
  expect(await shelf.violations()).toEqual([])
  await start.getByRole('button', { name: 'Make 3 desktops' }).click()
  expect(await shelf.rowNames()).toEqual(['Clients', 'Music', 'Budget'])
  const { desktops, order, homes } = await shelf.state()
  const made = order.map((id) => desktops[id])
  expect(made.map((one) => one?.letter)).toEqual(['C', 'M', 'B'])
  expect(made.map((one) => one?.emblem).slice(1)).toEqual(['music', 'coins'])
  expect(new Set(made.map((one) => one?.hue)).size).toBe(3)
  expect(homes).toMatchObject([{ app: 'player', desktop: order[1] }])
  await expect(start).toBeHidden()
  await shelf.press('Alt+Z')
  expect(await shelf.rowNames()).toEqual(['Delta'])
  // Without leaving the field.
  await start.getByRole('textbox').click()
  await page.keyboard.type('Clients\nMusic')
  await shelf.press('Control+Enter')
  expect(await shelf.rowNames()).toEqual(['Clients', 'Music'])
})

test('the first five minutes are ticked by what is done, left and taken up again, and survive a reload', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await page.getByRole('button', { name: 'Five minutes by keyboard' }).click()
  const guide = page.getByRole('region', { name: 'First five minutes' })
  const at = (step: number) => expect(guide.getByText(`${step} of 15`)).toBeVisible()
  await at(1)
  await expect(guide).toContainText('or push Document in the rack')
  await shelf.press('Alt+1')
  await at(2)
  await shelf.press('Alt+/')
  await shelf.press('Enter')
  await at(3)
  await shelf.press('Alt+N')
  await page.keyboard.type('Second')
  await shelf.press('Enter')
  await at(4)
  await shelf.reload()
  await at(4)
  await shelf.run('desktop.askLook')
  await shelf.press('Escape')
  await at(5)
  await shelf.press('Alt+\\')
  await at(6)
  // Something else that is done ticks nothing.
  await shelf.press("Alt+'", 'Alt+Z')
  await at(6)
  await guide.getByRole('button', { name: 'Leave' }).click()
  await expect(guide).toBeHidden()
  await shelf.press('Alt+;')
  await page.keyboard.type('first five minutes')
  await shelf.press('Enter')
  await at(1)
  await guide.getByRole('button', { name: /Take the window along/ }).click()
  await at(6)
  const press = async (steps: [next: number, ...keys: string[]][]) => {
    for (const [next, ...keys] of steps) {
      await shelf.press(...keys)
      await at(next)
    }
  }
  await press([
    [7, 'Alt+Shift+.'],
    [8, 'Alt+]', ','],
    [9, 'Alt+Z'],
    [10, 'Alt+X', 'q', 'a', 'Enter'],
  ])
  // It never covers what is worked with, where there is room beside it.
  const [sheet, window] = [
    await guide.boundingBox(),
    await page.locator('.win-focused').boundingBox(),
  ]
  expect((sheet?.x ?? 0) >= (window?.x ?? 0) + (window?.width ?? 0)).toBe(true)
  await press([
    [11, 'Alt+Enter', 'Alt+Enter'],
    [12, 'Alt+J', 'H', 'Enter'],
    [13, 'Alt+J', 'Shift+W', 'Escape'],
    [14, 'Alt+J', 'F', 'Escape'],
    [15, 'Alt+;', 'Escape'],
  ])
  expect(await shelf.violations()).toEqual([])
  await shelf.press('Alt+Shift+/')
  await shelf.press('Escape')
  await expect(guide).toBeHidden()
  expect((await shelf.state()).guide).toBe(0)
})

test('an empty start on one’s own is remembered', async ({ shelf, page }) => {
  await shelf.open('shelf')
  const start = page.getByRole('region', { name: 'Where to begin' })
  await expect(start.getByRole('link', { name: 'See the demo' })).toBeVisible()
  await start.getByRole('button', { name: 'Start empty' }).click()
  await expect(start).toBeHidden()
  await shelf.reload()
  await expect(page.getByRole('region', { name: 'Getting started here' })).toBeVisible()
  await expect(start).toBeHidden()
})
