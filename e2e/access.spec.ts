import { ASKED, expect, type ShelfPage, test } from './shelf'

/**
 * What axe finds by day, and on night cloth, where only colours differ.
 * @param seen what was looked at before
 * @param known what need not be looked at by night either: its like was
 */
async function violations(
  shelf: ShelfPage,
  within?: string,
  seen: string[] = [],
  known: string[] = [],
): Promise<string[]> {
  await shelf.drawn()
  const byDay = await shelf.violations('all', within, seen)
  await shelf.page.emulateMedia({ colorScheme: 'dark' })
  await shelf.drawn()
  const byNight = await shelf.violations('colours', within, [...seen, ...known])
  await shelf.page.emulateMedia({ colorScheme: 'light' })
  return [...byDay, ...byNight.map((one) => `by night, ${one}`)]
}

test('axe finds nothing on any desktop, nor on all of them at once', async ({ shelf }) => {
  test.setTimeout(90_000)
  await shelf.open()
  await expect(shelf.window('stations').getByRole('gridcell', { name: 'HR-04' })).toBeVisible()
  const { order, desktops, windows } = await shelf.state()
  const apps = new Set<string>()
  for (const to of order) {
    const from = await shelf.here()
    if (from !== to) {
      await shelf.run('desktop.go', { to })
      // What is not drawn any more need not be gone through.
      await shelf.page.evaluate(
        (desktop) => window.kiteShelf?.run('desktop.rest', { desktop }),
        from,
      )
    }
    // Rack and line were looked at on the first.
    const own = (desktops[to]?.windows ?? []).map((id) => ({ id, app: windows[id]?.app ?? '' }))
    const known = own.filter(({ app }) => apps.has(app)).map(({ id }) => `#window-${id}`)
    for (const { app } of own) apps.add(app)
    const where = from === to ? undefined : '#desktop'
    expect(await violations(shelf, where, [], known), to).toEqual([])
  }
  // Beside what is asked, which is looked at by itself.
  for (const keys of [['Alt+]'], ['Alt+Shift+;', 'V']]) {
    await shelf.press(...keys)
    expect(await violations(shelf, 'body', ['.win'])).toEqual([])
    await shelf.press('Escape')
  }
})

test('axe finds nothing on anything that is asked', async ({ shelf, page }) => {
  test.setTimeout(90_000)
  await shelf.open('shelf')
  await shelf.run('desktop.create', { name: 'Other', stay: true })
  for (const app of ['document', 'job']) await shelf.run('window.open', { app })
  for (const command of [
    ...['line.open', 'trail.open', 'unstack.open', 'loft.open', 'shelf.keys', 'shelf.menu'],
    ...['settings.open', 'keys.open', 'keys.practise', 'sequences.open', 'displays.arrange'],
    ...['app.askAdd', 'home.list', 'window.why', 'home.ask', 'window.askTitle'],
    ...['desktop.previewFold', 'desktop.askLook', 'desktop.askLetter', 'patterns.open'],
    ...[
      'plan.open',
      'runs.open',
      'attention.list',
      'sessions.open',
      'documents.clearUp',
      'shelf.health',
    ],
    ...['window.pad', 'window.pair'],
  ]) {
    await page.evaluate((id) => window.kiteShelf?.run(id), command)
    await expect(page.locator(ASKED).last(), command).toBeVisible()
    await shelf.drawn()
    // Of a hundred entries that look the same a few are enough.
    const search = page.locator(ASKED).last().getByRole('searchbox')
    if (await search.count()) await search.fill('desktop')
    // These have marks of their own: by night as well.
    const both = ['shelf.keys', 'window.pad'].includes(command)
    const found = both ? violations(shelf, ASKED) : shelf.violations('all', ASKED)
    expect(await found, command).toEqual([])
    await shelf.press('Escape')
    await expect(page.locator(ASKED), command).toHaveCount(0)
  }
})

test('a menu and a picture have names and places', async ({ shelf, page }) => {
  await shelf.open()
  await shelf.run('window.focus', { window: 'pit' })
  const picture = shelf.window('pit').getByRole('region', { name: /^Picture/ })
  await expect(picture).toBeFocused()
  await shelf.window('pit').locator('.hem b').click({ button: 'right' })
  await expect(page.getByRole('menu')).toBeVisible()
  expect(await shelf.violations('all but colours', 'body', ['.win', 'main', 'nav'])).toEqual([])
})

test('with the system’s own colours windows have edges, the focused one its own, meters a length', async ({
  shelf,
  page,
}) => {
  await page.emulateMedia({ forcedColors: 'active' })
  await shelf.open()
  const edge = (id: string) =>
    shelf
      .window(id)
      .locator('> .win-edge')
      .evaluate((element) => {
        const { borderTopWidth, borderTopColor, clipPath } = getComputedStyle(element)
        return [borderTopWidth, borderTopColor, clipPath]
      })
  const [focused, other] = [await edge('stations'), await edge('observers')]
  expect([focused[0], other[0]]).toEqual(['3px', '1px'])
  expect(focused[1]).not.toBe(other[1])
  const colour = (selector: string, name: 'backgroundColor' | 'borderLeftColor', part?: string) =>
    page
      .locator(selector)
      .first()
      .evaluate((element, [of, at]) => getComputedStyle(element, at)[of], [name, part] as const)
  const hem = '[data-focused] .hem'
  expect(await colour(hem, 'backgroundColor')).not.toBe(
    await colour('.win:not([data-focused]) .hem', 'backgroundColor'),
  )
  expect(await colour('.meter', 'backgroundColor')).toBe(await colour(hem, 'backgroundColor'))
  // A bow is a bow, not a bar: what is between its wings shows through.
  expect(await colour('.bow', 'borderLeftColor', '::after')).toBe('rgba(0, 0, 0, 0)')
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
  await shelf.press('Alt+]', 'P')
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

test('an address that leads nowhere is told with ways on, by itself and in a window', async ({
  shelf,
  page,
}) => {
  shelf.expected = /404/
  await page.goto('/nowhere')
  await expect(page.getByRole('heading')).toHaveText('There is no page at this address')
  expect(await shelf.violations('all')).toEqual([])
  await page.getByRole('link', { name: 'Your shelf' }).click()
  await expect(page.locator('#desktop')).toBeVisible()
  await shelf.run('window.open', { app: 'web' })
  await page.getByLabel('Address').fill('/pages/nowhere')
  await shelf.press('Enter')
  const shown = page.frameLocator('iframe')
  await expect(shown.getByRole('heading')).toHaveText('There is no page at this address')
  await expect(shown.getByRole('link', { name: 'ridge camera' })).toHaveAttribute(
    'href',
    /^\/pages\/ridge-camera\?kite=/,
  )
})
