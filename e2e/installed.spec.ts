import type { Page } from '@playwright/test'
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
