import { expect, numbered, type ShelfPage, test } from './shelf'

const SIZES = [
  { width: 1024, height: 640 },
  { width: 1280, height: 800 },
  { width: 1920, height: 1080 },
  { width: 3840, height: 2160 },
]

const NAMES = [
  'تقرير الثلوج اليومي للمنحدرات الشمالية والجنوبية',
  'A very long name of a desktop that says all that is on it',
  '🏔️ Ridge and its observers 🛰️',
  '雪崩予報の作業場所と観測地点の一覧',
  'Équipe de nuit, secteur Nord-Est du massif',
]

async function forty(shelf: ShelfPage): Promise<string[]> {
  await shelf.open('shelf')
  for (const app of ['table', 'job', 'player']) await shelf.run('window.open', { app })
  await shelf.desktops(...NAMES, ...numbered('Number', NAMES.length + 2, 40))
  return (await shelf.state()).order
}

/** What of the page leaves the screen, or is cut without a full form to see. */
const faults = (shelf: ShelfPage, within: string) =>
  shelf.page.evaluate((selector) => {
    const found: string[] = []
    for (const place of document.querySelectorAll<HTMLElement>(selector)) {
      const box = place.getBoundingClientRect()
      if (box.left < 0 || box.top < 0 || box.right > innerWidth || box.bottom > innerHeight)
        found.push(`leaves the screen: ${place.className} ${Math.round(box.right)}`)
      for (const part of place.querySelectorAll<HTMLElement>('*')) {
        const cut = part.scrollWidth > part.clientWidth + 1 && part.clientWidth > 1
        if (getComputedStyle(part).textOverflow !== 'ellipsis' || !cut) continue
        if (!part.closest('[title], [aria-label]')) found.push(`cut: ${part.textContent}`)
      }
    }
    return found
  }, within)

for (const columns of [1, 9])
  test(`forty desktops in ${columns} columns: every view fits every size, the current one in sight`, async ({
    shelf,
    page,
  }) => {
    const order = await forty(shelf)
    if (columns > 1) await shelf.run('grid.columns', { columns })
    for (const size of SIZES) {
      await page.setViewportSize(size)
      for (const to of [order[39], order[17]]) {
        await shelf.run('desktop.go', { to })
        await expect(page.locator('.row-current > button')).toBeInViewport({ ratio: 0.9 })
      }
      expect(await faults(shelf, 'main, section:not(.win), nav, aside')).toEqual([])
      await shelf.press('Alt+]')
      await expect(page.getByRole('status').filter({ hasText: 'Send to' })).toBeVisible()
      expect(await faults(shelf, '[role=status] .rise')).toEqual([])
      await shelf.press('Escape', 'Alt+Shift+;')
      expect(await faults(shelf, '[role=status] .rise')).toEqual([])
      await shelf.press('Escape', 'Alt+Shift+/')
      await expect(page.getByRole('dialog')).toBeVisible()
      expect(await faults(shelf, '[role=dialog]')).toEqual([])
      await shelf.press('Escape')
      await page.keyboard.down('Alt')
      await page.keyboard.press('.')
      await expect(page.getByRole('region', { name: 'Map of desktops' })).toBeVisible()
      expect(await faults(shelf, '[aria-label="Map of desktops"]')).toEqual([])
      await page.keyboard.up('Alt')
      await shelf.press('Alt+/')
      const loft = page.getByRole('dialog', { name: 'Loft' })
      await expect(loft.locator('.shelf-chosen')).toBeInViewport({ ratio: 0.9 })
      expect(await faults(shelf, 'aside, #loft > header')).toEqual([])
      await shelf.press('Escape')
    }
  })

test('on half a screen, with all it can tell at once, the line keeps the time and all that is pushed', {
  tag: '@apart',
}, async ({ shelf, page }) => {
  await page.clock.install({ time: new Date('2026-11-24T10:00') })
  await shelf.open('demo')
  await page.setViewportSize({ width: 960, height: 700 })
  await shelf.run('desktop.create', { name: 'Überprüfung der Messstation am Grat', stay: true })
  await shelf.run('plan.add', { text: '10-11 Überprüfung der Messstation am Grat' })
  await page.clock.runFor(30_000)
  const line = page.getByRole('region', { name: 'Line' })
  await expect(line.getByRole('button', { name: 'undo' })).toBeVisible()
  await expect(line.getByRole('list', { name: 'Tethers' }).getByRole('listitem')).not.toHaveCount(0)
  const parts = line.locator('time, [data-saving], button:not(.flex-wrap *)')
  for (const part of await parts.all()) await expect(part).toBeInViewport({ ratio: 1 })
  // What has no room is not there, rather than cut.
  const cut = await line.locator('.flex-wrap button').evaluateAll((buttons) =>
    buttons.map((button) => {
      const [own, room] = [button, button.closest('.flex-wrap') ?? button].map((one) =>
        one.getBoundingClientRect(),
      ) as [DOMRect, DOMRect]
      return own.top < room.bottom && own.right > room.right + 1
    }),
  )
  expect(cut).toEqual([false])
})

test('in rows and columns on a small screen the map leaves room for the names', async ({
  shelf,
  page,
}) => {
  await page.setViewportSize({ width: 1024, height: 640 })
  const order = await forty(shelf)
  await shelf.run('grid.columns', { columns: 2 })
  const rack = page.locator('[data-rack]')
  for (const to of [order[39], order[0]]) {
    await shelf.run('desktop.go', { to })
    await expect(rack.locator('[data-map] [aria-current]')).toBeInViewport({ ratio: 0.9 })
    await expect(rack.locator('.row-current')).toBeInViewport({ ratio: 0.9 })
  }
  await expect(rack.getByRole('button', { name: 'Kite Shelf menu' })).toBeInViewport({ ratio: 1 })
  // Nothing lies outside, to where it could be scrolled.
  expect(
    await rack.evaluate((one) => [one.scrollHeight - one.clientHeight, one.scrollTop]),
  ).toEqual([0, 0])
})

test('where there is room the map is whole', async ({ shelf, page }) => {
  await page.setViewportSize({ width: 1920, height: 1080 })
  await forty(shelf)
  await shelf.run('grid.columns', { columns: 4 })
  const map = page.locator('[data-map]')
  await expect(map.locator('button')).toHaveCount(40)
  expect(await map.evaluate((one) => one.scrollHeight - one.clientHeight)).toBe(0)
})

test('a menu that is open stays on the screen when the page becomes smaller', async ({
  shelf,
  page,
}) => {
  await page.setViewportSize({ width: 1920, height: 1080 })
  await forty(shelf)
  const row = page.locator('.app-row').last()
  expect((await row.boundingBox())?.y).toBeGreaterThan(640)
  await row.click({ button: 'right' })
  await expect(page.getByRole('menu')).toBeVisible()
  await page.setViewportSize({ width: 1024, height: 640 })
  await expect(page.getByRole('menu')).toBeInViewport({ ratio: 1 })
})
