import { serve } from '../scripts/serve.mjs'
import { expect, ShelfPage, test } from './shelf'

test('without a connection the shelf opens all the same, with all its apps', async ({
  browser,
}) => {
  const { address, stop } = await serve({ demo: true, quiet: true })
  const context = await browser.newContext({ serviceWorkers: 'allow', baseURL: address })
  try {
    const page = await context.newPage()
    const shelf = new ShelfPage(page)
    await page.clock.install()
    await page.goto('/')
    await expect(page.locator('#desktop')).toBeVisible()
    await shelf.run('desktop.create', { name: 'Night shift' })
    await page.clock.fastForward(10_000)
    await page.evaluate(() => navigator.serviceWorker.ready)
    await shelf.kept()
    stop()
    await expect.poll(() => fetch(address).catch(() => 'gone')).toBe('gone')
    await page.goto('/')
    await expect(page).toHaveURL(/\/demo$/)
    await expect(page.locator('#desktop')).toBeVisible()
    expect(await shelf.rowNames()).toContain('Night shift')
    // Nothing of these was opened before.
    const shows = { table: 'Cells', keycard: 'Find keys', player: 'Tunes' }
    for (const [app, name] of Object.entries(shows)) {
      await shelf.run('window.open', { app })
      const { focus } = await shelf.state()
      await expect(
        shelf
          .window(focus ?? '')
          .getByLabel(name)
          .first(),
      ).toBeVisible()
    }
  } finally {
    stop()
    await context.close()
  }
})
