import type { Locator, Page } from '@playwright/test'
import { expect, test } from './shelf'

/** Stands in for what the system does with an installed application. */
async function installed(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const system = { badge: null as number | null, launch: null as unknown }
    Object.assign(window, { system })
    const setConsumer = (told: unknown) => (system.launch = told)
    Object.defineProperty(window, 'launchQueue', { value: { setConsumer } })
    Object.assign(navigator, {
      setAppBadge: async (count: number) => {
        system.badge = count
      },
      clearAppBadge: async () => {
        system.badge = 0
      },
    })
  })
}

interface System {
  badge: number | null
  launch(launch: object): void
}

const badge = (page: Page) =>
  page.evaluate(() => (window as unknown as { system: System }).system.badge)

/** The system opens the application with an address, or with a file. */
const launch = (page: Page, path: string, file?: { name: string; text: string }) =>
  page.evaluate(
    async ([to, given]) => {
      const { system } = window as unknown as { system: System }
      const files: FileSystemFileHandle[] = []
      if (given) {
        const disk = await navigator.storage.getDirectory()
        const file = await disk.getFileHandle(given.name, { create: true })
        const writing = await file.createWritable()
        await writing.write(given.text)
        await writing.close()
        files.push(file)
      }
      system.launch({ targetURL: new URL(to, location.href).href, files })
    },
    [path, file] as const,
  )

test('the browser finds nothing that keeps it from being installed', async ({ shelf, page }) => {
  await shelf.open('shelf')
  const session = await page.context().newCDPSession(page)
  const { errors, url } = await session.send('Page.getAppManifest')
  expect(url).toContain('/manifest.webmanifest')
  expect(errors).toEqual([])
  const found = await session.send('Page.getInstallabilityErrors')
  expect(found.installabilityErrors.map(({ errorId }) => errorId)).toEqual([])
})

/** Stands in for the controls a system draws into the page: nothing else can give them room here. */
async function controlsAt(page: Page, side: 'left' | 'right'): Promise<void> {
  const room = { x: side === 'left' ? 80 : 0, y: 0, width: 1180, height: 33 }
  await page.route('**/*.css', async (route) => {
    const answer = await route.fetch()
    const body = Object.entries(room).reduce(
      (css, [name, size]) =>
        css.replaceAll(new RegExp(`env\\(titlebar-area-${name}[^)]*\\)`, 'g'), `${size}px`),
      await answer.text(),
    )
    await route.fulfill({ response: answer, body })
  })
}

for (const side of ['left', 'right'] as const)
  test(`the controls of its window at the ${side} cover nothing, and the rack reaches the top @first`, async ({
    shelf,
    page,
  }) => {
    await controlsAt(page, side)
    await shelf.open()
    const menu = page.getByRole('button', { name: 'Kite Shelf menu' })
    const box = async (of: Locator) => (await of.boundingBox()) ?? { x: 0, y: 0, height: 0 }
    expect((await box(page.locator('#desktop'))).y).toBe(33)
    expect((await box(page.locator('[data-rack]'))).y).toBe(0)
    const below = (await box(menu)).y >= 33
    expect(below).toBe(side === 'left')
    // It is pushed though the window is moved by what is around it.
    expect(await menu.evaluate((one) => getComputedStyle(one).getPropertyValue('app-region'))).toBe(
      'no-drag',
    )
    await menu.click()
    await page.keyboard.press('Escape')
    // What fills the page leaves the strip free, by which the window is moved.
    await shelf.press('Alt+Slash')
    const loft = page.getByRole('dialog', { name: 'Loft' })
    expect((await box(loft.getByText('Loft', { exact: true }).first())).y).toBeGreaterThan(33)
    const picture = page.getByRole('complementary', { name: 'Bench' }).locator('> *').first()
    expect((await box(picture)).y).toBeGreaterThan(33)
    // All rows are in sight, as where there is no strip.
    const fits = await page
      .locator('#windows')
      .evaluate((one) => one.scrollHeight - one.clientHeight)
    expect(fits).toBe(0)
    await shelf.press('Escape')
    await shelf.run('settings.open')
    expect((await box(page.getByRole('dialog', { name: 'Settings' }))).y).toBe(33)
    await shelf.press('Escape')
    await shelf.run('settings.set', { rackSide: 'right' })
    expect((await box(menu)).y >= 33).toBe(side === 'right')
    const line = await box(page.getByRole('region', { name: 'Line', exact: true }))
    expect(line.y + line.height).toBeLessThanOrEqual(800)
  })

test('what waits stands on its icon; what it is opened with becomes a window, once', async ({
  shelf,
  page,
}) => {
  await installed(page)
  const id = await shelf.furnish({ Here: { Notes: 'document' }, There: { Run: 'job' } })
  await expect.poll(() => badge(page)).toBe(0)
  const count = async () => Object.keys((await shelf.state()).windows).length
  // The first is of the address the page began with.
  await launch(page, '/shelf')
  await launch(page, '/shelf', { name: 'pass.txt', text: 'Closed from noon' })
  await expect.poll(count).toBe(3)
  await expect(page.locator('.win-focused')).toContainText('Closed from noon')
  await launch(page, '/shelf?text=https%3A%2F%2Fexample.org%2Fpass')
  await expect.poll(count).toBe(4)
  await launch(page, `/shelf#go=${id('There')}`)
  await expect.poll(() => shelf.here()).toBe(id('There'))
  expect(await count()).toBe(4)
  // In the demo something waits from the start, until it is seen.
  await shelf.open()
  await expect.poll(() => badge(page)).toBe(1)
  await shelf.press('Alt+P')
  await expect.poll(() => badge(page)).toBe(0)
})
