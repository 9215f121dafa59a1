import { expect, test } from './shelf'

test.beforeEach(({ shelf }) => shelf.open())

test('keys are bound by pressing them, told what speaks against them, and work at once everywhere', async ({
  shelf,
  page,
}) => {
  await shelf.press('Alt+Shift+;', 'Shift+K')
  const panel = page.getByRole('dialog', { name: 'Bind keys' })
  await page.keyboard.type('sweep')
  await panel.getByRole('button', { name: /^Keys for Sweep/ }).click()
  const press = panel.locator('[data-own-escape]')
  // Taken, and told by what; nothing of it is done meanwhile.
  await page.keyboard.press('Alt+/')
  await expect(panel).toContainText('Already used for: Loft')
  await expect(panel.getByRole('button', { name: /^Available nearby/ })).toBeVisible()
  await page.keyboard.press('Backspace')
  await page.keyboard.press('b')
  await expect(panel).toContainText('is typed into windows')
  await expect(panel.getByRole('button', { name: /^Bind/ })).toBeDisabled()
  await page.keyboard.press('Enter')
  await expect(press).toBeVisible()
  await page.keyboard.press('Backspace')
  await expect(press).toHaveText(/^press keys/)
  await page.keyboard.press('Alt+F8')
  await page.keyboard.press('s')
  expect(await shelf.violations()).toEqual([])
  await page.keyboard.press('Enter')
  await expect(press).toBeHidden()
  await expect(panel.locator('[data-command="windows.sweep"]')).toContainText('own')
  await shelf.press('Escape')
  await expect(panel).toBeHidden()
  await shelf.reload()
  await shelf.press('Alt+F8', 's')
  await expect(shelf.said()).toContainText('Swept')
  // Menus, hints and the key card tell the new keys.
  await shelf.press('Alt+Shift+/')
  await page.getByRole('searchbox', { name: 'Find keys' }).fill('sweep')
  await expect(page.getByRole('dialog')).toContainText('F8')
})

test('verbs and places are a table: each can be given keys or have them taken away', async ({
  shelf,
  page,
}) => {
  await shelf.run('keys.open')
  const panel = page.getByRole('dialog', { name: 'Bind keys' })
  const table = panel.getByRole('table')
  const cell = (name: RegExp) => table.getByRole('button', { name })
  await expect(cell(/^Go to the next desktop: Alt\+\./)).toBeVisible()
  await page.keyboard.type('rota')
  await expect(table.getByRole('row')).toHaveCount(2)
  await cell(/^Send window to Rota: Alt\+\] R/).click()
  await page.keyboard.press('Alt+F7')
  expect(await shelf.violations()).toEqual([])
  await page.keyboard.press('Enter')
  await expect(cell(/^Send window to Rota: Alt\+\] R, Alt\+F7/)).toBeVisible()
  await cell(/^Go to Rota/).click()
  await panel.getByRole('button', { name: 'Take Alt+R away from Go to Rota' }).click()
  await expect(cell(/^Go to Rota: no keys/)).toBeVisible()
  await shelf.press('Escape', 'Escape')
  await expect(panel).toBeHidden()
  await shelf.reload()
  await shelf.press('Alt+R')
  expect(await shelf.here()).toBe('field')
  await shelf.press('Alt+F7')
  await expect(shelf.said()).toContainText('to Rota')
})

test('built-in keys are switched off and on again, and all are set back in one step', async ({
  shelf,
  page,
}) => {
  await shelf.run('keys.open', { find: 'loft' })
  const panel = page.getByRole('dialog', { name: 'Bind keys' })
  await panel.getByRole('button', { name: /^Take Alt\+\/ away/ }).click()
  await expect(panel.getByRole('region', { name: 'Switched off' })).toBeVisible()
  await shelf.press('Escape', 'Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeHidden()
  await shelf.run('keys.open', { find: 'loft' })
  await panel.getByRole('button', { name: /on again/ }).click()
  await shelf.press('Escape', 'Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeVisible()
  await shelf.press('Escape')
  await shelf.run('keys.bind', { keys: 'Alt+F9', command: 'loft.open' })
  await shelf.run('keys.reset')
  await shelf.press('Alt+Z')
  expect((await shelf.state()).bindings).toMatchObject([{ keys: 'Alt+F9' }])
})

test('in the leader language keys are told, pressed and undone as they are typed there', async ({
  shelf,
  page,
}) => {
  await shelf.run('settings.set', { keys: 'leader' })
  await shelf.run('keys.open', { find: 'sweep' })
  const panel = page.getByRole('dialog', { name: 'Bind keys' })
  const row = panel.locator('[data-command="windows.sweep"]')
  await expect(row.locator('.key').first()).toHaveText('Ctrl')
  await panel.getByRole('button', { name: /^Keys for Sweep/ }).click()
  await shelf.press('Control+.', 'F8', 'k', 'Enter')
  await expect
    .poll(async () => (await shelf.state()).bindings)
    .toMatchObject([{ keys: 'Alt+F8 K' }])
  // Undone beside the panel, as everywhere after the leader.
  await shelf.press('Control+.', 'z')
  await expect.poll(async () => (await shelf.state()).bindings).toEqual([])
  await shelf.press('Control+.', 'Shift+Z', 'Escape')
  await expect(panel).toBeHidden()
  await shelf.press('Control+.', 'F8', 'k')
  await expect(shelf.said()).toContainText('Swept')
})

test('a key of an app is changed, heard in its windows, told, and set back', async ({
  shelf,
  page,
}) => {
  test.setTimeout(120_000)
  await shelf.furnish({ Field: { Stations: 'table', Mix: 'player' } })
  const panel = page.getByRole('dialog', { name: 'Bind keys' })
  const table = page.locator('[data-app=table]')
  const finding = table.getByRole('searchbox', { name: 'Find in this table' })
  const find = async () => {
    await shelf.run('keys.open', { find: 'table find' })
    await panel.getByRole('button', { name: 'Keys for find and replace in Table' }).click()
  }
  await find()
  const hears = panel.getByRole('textbox', { name: 'Key for find and replace' })
  await expect(hears).toBeFocused()
  await shelf.press('Control+/')
  await expect(panel.getByText('Table has Ctrl+/ already: filter rows.')).toBeVisible()
  await shelf.press('j')
  await expect(panel.getByText('“J” is typed into the window. Add Ctrl.')).toBeVisible()
  await shelf.press('Control+h')
  await expect(hears).toHaveCount(0)
  const changes = panel.getByRole('button', { name: 'Keys for find and replace in Table' })
  await expect(changes).toBeFocused()
  await shelf.press('Enter')
  await expect(hears).toBeFocused()
  await shelf.press('Escape')
  await expect(changes).toBeFocused()
  expect(await shelf.violations()).toEqual([])
  await shelf.press('Escape')
  await shelf.reload()
  await table.getByRole('gridcell').nth(1).click()
  await shelf.press('Control+f')
  await page.waitForTimeout(200)
  await expect(finding).toHaveCount(0)
  await shelf.press('Control+h')
  await expect(finding).toBeFocused()
  await shelf.press('Escape')
  await expect(table.getByRole('button', { name: 'Find and replace, Ctrl+H' })).toBeVisible()
  await shelf.run('keys.ofApp', { app: 'table', key: 'Ctrl+Shift+F', keys: 'Ctrl+Shift+J' })
  await table.getByRole('gridcell').nth(1).click({ button: 'right' })
  await expect(page.getByRole('menuitem', { name: 'Fill down' })).toContainText('Ctrl+Shift+J')
  await shelf.press('Escape')
  // A plain key of an app that listens to such is another plain key; in a field it is typed.
  await shelf.run('keys.ofApp', { app: 'player', key: 'X', keys: 'M' })
  const player = page.locator('[data-app=player]')
  await shelf.run('window.focus', { window: (await player.getAttribute('data-window')) ?? '' })
  await expect(player.locator('[data-autofocus]')).toBeFocused()
  const shuffle = player.getByRole('button', { name: 'Shuffle' })
  await shelf.press('x')
  await expect(shuffle).toHaveAttribute('aria-pressed', 'false')
  await shelf.press('m')
  await expect(shuffle).toHaveAttribute('aria-pressed', 'true')
  await find()
  await panel.getByRole('button', { name: 'Back to Ctrl+F for find and replace' }).click()
  await shelf.press('Escape', 'Escape')
  await table.getByRole('gridcell').nth(1).click()
  await shelf.press('Control+f')
  await expect(finding).toBeFocused()
})
