import { expect, test } from './shelf'

const TEXT = ['The wind turned.', 'the WIND fell, windless by noon.', 'No wind at all.']

test('what is found in a text is counted, gone through and put otherwise, in one step of undo', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await shelf.run('window.open', { app: 'document' })
  const { focus } = await shelf.state()
  const window = shelf.window(focus ?? '')
  const text = window.getByRole('textbox', { name: 'Text' })
  await expect(text).toBeFocused()
  for (const line of TEXT) {
    await page.keyboard.type(line)
    await shelf.press('Enter')
  }
  await shelf.press('Control+Home', 'Control+f')
  const field = window.getByRole('searchbox', { name: 'Find in this text' })
  await expect(field).toBeFocused()
  await page.keyboard.type('wind')
  const count = window.getByRole('search').getByRole('status')
  await expect(count).toHaveText('1/4')
  await expect(window.locator('[class*=search-match]')).toHaveCount(4)
  expect(await shelf.violations()).toEqual([])
  // On, back, and round.
  await shelf.press('Enter', 'Enter')
  await expect(count).toHaveText('3/4')
  await shelf.press('Shift+Enter')
  await expect(count).toHaveText('2/4')
  await shelf.press('Enter', 'Enter', 'Enter')
  await expect(count).toHaveText('1/4')
  const tool = (name: string) => window.getByRole('button', { name })
  await tool('Whole words only').click()
  await expect(count).toHaveText('1/3')
  await tool('Match case').click()
  await expect(count).toHaveText('1/2')
  await tool('Match case').click()
  // Escape goes back to the text, where it was found.
  await shelf.press('Enter', 'Escape')
  await expect(window.getByRole('search')).toHaveCount(0)
  await expect(window.locator('[class*=search-match]')).toHaveCount(0)
  await page.keyboard.type('breeze')
  await expect(text).toContainText('the breeze fell, windless')
  // Put otherwise: one, then all.
  // No hand is as quick as to move the caret before the editor has taken in what was typed.
  await expect(async () => {
    await shelf.press('Control+Home')
    await page.waitForTimeout(60)
    const where = await page.evaluate(() => getSelection()?.anchorNode?.textContent)
    expect(where).toBe('The wind turned.')
  }).toPass()
  await shelf.press('Control+f')
  await page.keyboard.type('wind')
  await expect(count).toHaveText('1/3')
  await tool('Whole words only').click()
  await window.getByRole('textbox', { name: 'Replace with' }).fill('storm')
  await shelf.press('Enter')
  await expect(text).toContainText('The storm turned.')
  await expect(count).toHaveText('1/1')
  await window.getByRole('textbox', { name: 'Replace with' }).fill('gale')
  await tool('Whole words only').click()
  await expect(count).toHaveText(/\/2$/)
  await tool('Replace all matches').click()
  await expect(text).toContainText('galeless by noon.No gale at all.')
  await expect(count).toHaveText('no matches')
  // By pointer the keys stay in the field they were in.
  await expect(window.getByRole('textbox', { name: 'Replace with' })).toBeFocused()
  await shelf.press('Escape', 'Control+z')
  await expect(text).toContainText('windless by noon.No wind at all.')
  await shelf.reload()
  await expect(shelf.window(focus ?? '')).toContainText('The storm turned.')
})

test('what is chosen in the text is what is looked for first; elsewhere Ctrl+F is the browser’s', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+B')
  const window = shelf.window('bulletin')
  await expect(window.getByRole('textbox', { name: 'Text' })).toBeFocused()
  await shelf.press('Control+Home', 'Control+Shift+ArrowRight')
  const chosen = (await page.evaluate(() => String(getSelection()))).trim()
  await shelf.press('Control+f')
  await expect(window.getByRole('searchbox', { name: 'Find in this text' })).toHaveValue(
    new RegExp(`^${chosen}`),
  )
  // Where one goes on and comes back the field has the keys still.
  await shelf.press('Alt+M', 'Alt+B')
  await expect(window.getByRole('searchbox', { name: 'Find in this text' })).toBeFocused()
})
