import { type ChildProcess, spawn } from 'node:child_process'
import { expect, ShelfPage, test } from './shelf'

/** A server of its own, to be stopped. */
const PORT = 4198
const address = `http://localhost:${PORT}`

async function serve(): Promise<ChildProcess> {
  const server = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '--hostname', '127.0.0.1', '--port', `${PORT}`],
    { env: { ...process.env, KITE_SHELF_START: 'demo' }, stdio: 'ignore' },
  )
  await expect
    .poll(() =>
      fetch(address).then(
        ({ ok }) => ok,
        () => false,
      ),
    )
    .toBe(true)
  return server
}

test('without a connection the shelf opens all the same, with all its apps', async ({
  browser,
}) => {
  const server = await serve()
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
    server.kill()
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
    server.kill()
    await context.close()
  }
})
