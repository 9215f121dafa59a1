import { expect, test } from './shelf'

const THREE = {
  Field: { Pit: 'job' },
  Rota: { Duty: 'table', Handover: 'document' },
  Breather: { Atlas: 'table' },
}

test('a desktop is stowed with all on it, found by what is in it, and brought back as it was', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+R')
  const before = await shelf.state()
  await shelf.press('Alt+J', 'Backspace')
  await expect(shelf.said()).toContainText('Stowed Rota with 3 windows')
  await expect(shelf.row('Rota')).toHaveCount(0)
  await expect(shelf.window('handover')).toHaveCount(0)
  await shelf.reload()
  await expect(shelf.row('Rota')).toHaveCount(0)
  // By the text in a document on it.
  await shelf.press('Alt+;')
  await page.keyboard.type('gap on Sunday')
  const found = page.getByRole('option', { name: /Handover/ })
  await expect(found).toBeVisible()
  await shelf.press('Enter')
  await expect.poll(() => shelf.here()).toBe('rota')
  await expect(shelf.window('handover')).toBeVisible()
  const after = await shelf.state()
  expect(after.order).toEqual(before.order)
  expect(after.desktops.rota).toMatchObject({ letter: 'R', windows: before.desktops.rota?.windows })
  for (const id of before.desktops.rota?.windows ?? [])
    expect(after.windows[id]?.frame).toEqual(before.windows[id]?.frame)
  await expect(shelf.window('handover')).toContainText('To the evening forecaster')
  // Where something is at work it stays; after a reload that is known as soon as it reports.
  await expect(page.getByRole('region', { name: 'Line' })).toContainText('%')
  await shelf.press('Alt+M', 'Alt+J', 'Backspace')
  await expect(shelf.said()).toContainText('is at work')
})

test('stowed desktops stand last in the loft and come back from there, by key and by pointer', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(THREE)
  await page.getByRole('button', { name: /^Breather,/ }).click({ button: 'right' })
  await shelf.chooseWithin('Keep or put away', /^Stow/)
  await shelf.press('Alt+/')
  const row = page.locator(`[data-row="${id('Breather')}"]`)
  await expect(row).toContainText('stowed')
  for (let at = 0; at < 3; at++) await page.keyboard.press('ArrowDown')
  await shelf.drawn()
  const bench = page.getByRole('complementary', { name: 'Bench' })
  await expect(bench).toContainText('stowed · Atlas')
  await expect(bench).toContainText('bring it back')
  expect(await shelf.violations()).toEqual([])
  await shelf.press('Enter')
  expect(await shelf.here()).toBe(id('Breather'))
  await shelf.press('Alt+Z')
  expect((await shelf.state()).order).not.toContain(id('Breather'))
  await shelf.press('Alt+/')
  await row.getByRole('button', { name: 'Breather' }).click()
  expect(await shelf.here()).toBe(id('Breather'))
})

test('a desktop is kept as a pattern, and others are made from it by name', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(THREE)
  await shelf.press('Alt+R')
  const document = (await shelf.state()).windows[id('Handover')]?.document
  await shelf.run('document.set', { document, title: 'Handover of Rota' })
  await shelf.run('patterns.open')
  const dialog = page.getByRole('dialog', { name: 'New from a pattern' })
  await dialog.getByRole('button', { name: 'Keep Rota as one' }).click()
  await expect(dialog.getByRole('list', { name: 'Patterns' })).toContainText('Handover of …')
  await shelf.press('Escape', 'Alt+;')
  await page.keyboard.type('new rota')
  await page.getByRole('option', { name: /^New Rota/ }).click()
  await expect(dialog.getByRole('textbox', { name: 'name' })).toBeFocused()
  expect(await shelf.violations()).toEqual([])
  await page.keyboard.type('Night watch')
  await shelf.press('Enter')
  const { desktops, visited, windows, documents } = await shelf.state()
  const made = desktops[visited[0] ?? '']
  expect(made).toMatchObject({ name: 'Night watch', hue: desktops[id('Rota')]?.hue })
  const titles = made?.windows.map((id) => documents[windows[id]?.document ?? '']?.title)
  expect(titles).toContain('Handover of Night watch')
  await shelf.reload()
  await expect(shelf.row('Night watch')).toBeVisible()
  await shelf.press('Alt+Z')
  await expect(shelf.row('Night watch')).toHaveCount(0)
})

test('a desktop is exported as a file and brought in elsewhere, with what is in its documents; here a copy comes beside it', async ({
  shelf,
  page,
}) => {
  await shelf.open('demo')
  await shelf.press('Alt+/')
  const loft = page.getByRole('dialog', { name: 'Loft' })
  for (let rows = 0; rows < 24; rows++) await shelf.press('ArrowDown')
  await expect(loft.locator('.shelf-chosen')).toContainText('stowed')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'export it as a file' }).click()
  const exported = await download
  expect(exported.suggestedFilename()).toBe('Avalanche course.kite.json')
  const file = await exported.path()
  const stowed = (await shelf.state()).stowed[0]
  const bring = async () => {
    const chooser = page.waitForEvent('filechooser')
    await shelf.run('shelf.import')
    await (await chooser).setFiles(file)
    return page.getByRole('dialog', { name: 'Bring in “Avalanche course”' })
  }
  await shelf.press('Escape')
  await expect(await bring()).toContainText('It is here already')
  expect(await shelf.violations()).toEqual([])
  await shelf.press('Enter')
  await expect(shelf.said()).toContainText('Brought Avalanche course in')
  expect((await shelf.state()).stowed).toHaveLength(1)
  expect(await shelf.here()).not.toBe(stowed?.id)
  // Elsewhere: exactly that one, with what its documents say.
  await shelf.open('shelf')
  await expect(await bring()).toContainText('It comes with its windows')
  await shelf.press('Enter')
  await expect(shelf.said()).toContainText('Brought Avalanche course in')
  expect(await shelf.here()).toBe(stowed?.id)
  const state = await shelf.state()
  expect(Object.keys(state.windows).sort()).toEqual(
    expect.arrayContaining(Object.keys(stowed?.windows ?? {}).sort()),
  )
  await shelf.reload()
  expect(await shelf.here()).toBe(stowed?.id)
  await expect(page.locator('[data-window]:visible').first()).toContainText(/\w{4}/)
})
