import { readFile } from 'node:fs/promises'
import { expect, test } from './shelf'

test.beforeEach(({ shelf }) => shelf.open())

test('a setting is found by typing, set by keyboard, holds after a reload, and is undone', async ({
  shelf,
  page,
}) => {
  await shelf.press('Alt+Shift+;', 'Shift+S')
  const panel = page.getByRole('dialog', { name: 'Settings' })
  await page.keyboard.type('dark theme')
  await expect(panel.locator('[data-setting]')).toHaveCount(1)
  await page.keyboard.press('Tab')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect.poll(async () => (await shelf.state()).settings.cloth).toBe('night')
  await expect(panel.getByText('Theme: dark, by night')).toBeVisible()
  // The chord that undoes works here; one that would act behind the panel does not.
  await page.keyboard.press('Alt+Z')
  await expect.poll(async () => (await shelf.state()).settings.cloth).toBe('day')
  const here = await shelf.here()
  await page.keyboard.press('Alt+M')
  expect(await shelf.here()).toBe(here)
  await panel.getByRole('button', { name: 'Back to “as the system”' }).click()
  await expect.poll(async () => (await shelf.state()).settings.cloth).toBe('system')
  // An amount is typed; what is out of bounds is told and not taken.
  await panel.getByRole('searchbox').fill('gap')
  const gap = panel.getByRole('textbox', { name: 'Gap between placed windows' })
  await gap.fill('90')
  await gap.press('Enter')
  await expect(panel.getByRole('alert')).toHaveText(/from 0 to 32.*still 8 pixels/)
  await gap.fill('24')
  await gap.press('Enter')
  await expect.poll(async () => (await shelf.state()).settings.gap).toBe(24)
  await expect(gap).toBeFocused()
  await panel.getByRole('searchbox').fill('wrap')
  await panel.getByRole('switch', { name: 'Wrap around at the ends' }).click()
  await page.keyboard.press('Escape')
  await expect(panel).toBeHidden()
  await shelf.reload()
  expect((await shelf.state()).settings).toMatchObject({ gap: 24, wrap: false, cloth: 'system' })
})

test('settings go to a file and come back in one step; a broken file changes nothing and says where', async ({
  shelf,
  page,
}) => {
  await shelf.run('settings.set', { gap: 16, cloth: 'night' })
  await shelf.run('settings.open')
  const panel = page.getByRole('dialog', { name: 'Settings' })
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    panel.getByRole('button', { name: 'Export' }).click(),
  ])
  expect(file.suggestedFilename()).toMatch(/^settings-.*\.kite-settings\.json$/)
  const content = await readFile(await file.path())
  // One goes on in the panel, which says what was done.
  await expect(panel).toContainText('Exported settings')
  await shelf.run('settings.reset')
  const bring = async (buffer: Buffer) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      shelf.run('settings.import'),
    ])
    await chooser.setFiles({ name: 'mine.json', mimeType: 'application/json', buffer })
  }
  const broken = content.toString().replace('"gap": 16', '"gap": 160')
  await bring(Buffer.from(broken))
  await expect(shelf.said()).toContainText('settings.gap must be at most 32')
  expect((await shelf.state()).settings.gap).toBe(8)
  await bring(content)
  await expect.poll(async () => (await shelf.state()).settings.gap).toBe(16)
  await shelf.press('Alt+Z')
  await expect.poll(async () => (await shelf.state()).settings.cloth).toBe('system')
})
