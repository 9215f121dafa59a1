import { expect, test } from './shelf'

for (const colorScheme of ['light', 'dark'] as const)
  test.describe(colorScheme, () => {
    test.use({ colorScheme })
    test('axe finds nothing on any view', async ({ shelf, page }) => {
      test.setTimeout(90_000)
      // Only colours differ on night cloth.
      const rules = colorScheme === 'dark' ? ['color-contrast'] : []
      await shelf.open()
      await expect(shelf.window('stations').getByRole('gridcell', { name: 'HR-04' })).toBeVisible()
      await page.waitForTimeout(450)
      expect(await shelf.violations(...rules)).toEqual([])
      for (const keys of [
        ['Alt+B'],
        ['Alt+Shift+/'],
        ['Alt+Shift+;', 'F'],
        ['Alt+Shift+;', 'V'],
        ['Alt+Shift+;', 'L'],
        ['Alt+X'],
        ['Alt+,'],
        ['Alt+E'],
        ['Alt+='],
      ]) {
        await shelf.press(...keys)
        await page.waitForTimeout(450)
        expect(await shelf.violations(...rules)).toEqual([])
        await shelf.press('Escape')
      }
    })
  })

test('what happens is announced, and hidden desktops are not in the way', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const told = (text: string) =>
    page.locator('[aria-live="polite"]').getByText(text, { exact: true })
  await shelf.press('Alt+B')
  await expect(told('Bulletin, 3 windows')).toBeAttached()
  await expect(page.getByRole('region', { name: 'Station readings 06:00' })).toHaveCount(0)
  await shelf.press('Alt+,', 'P')
  await expect(told('Sent “Bulletin for tomorrow” to Public line')).toBeAttached()
  await expect(page.getByRole('navigation', { name: 'Desktops' })).toBeVisible()
  await expect(page.getByRole('main', { name: 'Bulletin' })).toBeVisible()
})

test('the page is served with a strict policy and no script without its nonce', async ({
  request,
}) => {
  const answer = await request.get('/demo')
  const policy = answer.headers()['content-security-policy'] ?? ''
  const nonce = /script-src [^;]*'nonce-([^']+)'/.exec(policy)?.[1] ?? 'none'
  expect(policy).not.toMatch(/script-src[^;]*unsafe/)
  expect(policy).toContain("object-src 'none'")
  const scripts = (await answer.text()).match(/<script\b[^>]*>/g) ?? []
  expect(scripts.length).toBeGreaterThan(0)
  for (const script of scripts) expect(script).toContain(`nonce="${nonce}"`)
  expect(answer.headers()['x-content-type-options']).toBe('nosniff')
  expect(answer.headers()['x-powered-by']).toBeUndefined()
  const again = (await request.get('/demo')).headers()['content-security-policy']
  expect(again).not.toBe(policy)
})
