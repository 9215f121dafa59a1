import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import type { Page } from '@playwright/test'
import { expect, type ShelfPage, test } from './shelf'

/** The ridge camera in a browser window of its own. */
async function outside(shelf: ShelfPage, page: Page): Promise<Page> {
  await shelf.open()
  await shelf.run('window.focus', { window: 'camera' })
  const camera = shelf.window('camera')
  const [popup] = await Promise.all([
    page.waitForEvent('popup'),
    camera.getByRole('button', { name: 'Show it in a browser window of its own' }).click(),
  ])
  await popup.waitForURL('**/pages/ridge-camera')
  return popup
}

test('a page in a browser window of its own stays a member of its desktop', async ({
  shelf,
  page,
}) => {
  const popup = await outside(shelf, page)
  const sheet = shelf.window('camera').getByRole('region', { name: 'Outside window Ridge camera' })
  await expect(sheet.getByRole('status')).toContainText('Open in a browser window of its own')
  // The rack tells that it is open; what is shown there cannot lead this page elsewhere.
  await expect(
    page.getByRole('button', { name: /^Ridge camera, open in its own window/ }),
  ).toHaveCount(1)
  await popup.evaluate(() => {
    window.opener.location.href = 'about:blank'
  })
  expect(page.url()).toMatch(/\/demo/)
  // It is sent and carried like any other.
  await shelf.press('Alt+Shift+M')
  expect((await shelf.state()).windows.camera?.desktop).toBe('model')
  await expect(sheet.getByRole('status')).toContainText('Open in a browser window')
  // Picked from the line it is brought forward.
  await shelf.press('Alt+F')
  const forward = popup.evaluate(
    () =>
      new Promise<boolean>((done) => addEventListener('focus', () => done(true), { once: true })),
  )
  await shelf.run('window.focus', { window: 'camera' })
  await sheet.getByRole('button', { name: /Bring it forward/ }).click()
  await Promise.race([forward, page.waitForTimeout(1500)])
  // Closed here, it is closed there.
  await shelf.press('Alt+Backspace')
  await expect.poll(() => popup.isClosed()).toBe(true)
  expect((await shelf.state()).windows.camera).toBeUndefined()
  // Reopened it says that it is not open, and opens by one key.
  await shelf.press('Alt+Shift+Backspace')
  await expect(sheet.getByRole('button', { name: /Open in its own window/ })).toBeFocused()
  const [again] = await Promise.all([page.waitForEvent('popup'), shelf.press('Enter')])
  await again.waitForURL('**/pages/ridge-camera')
  await again.close()
})

test('closed there it is closed here; shown here again it is in its frame', async ({
  shelf,
  page,
}) => {
  const popup = await outside(shelf, page)
  // One that is gone at once was cut off by its site, not closed.
  await page.waitForTimeout(4200)
  await popup.close()
  await expect.poll(async () => (await shelf.state()).windows.camera).toBeUndefined()
  await shelf.press('Alt+Shift+Backspace')
  await shelf.window('camera').getByRole('button', { name: 'Show it here' }).click()
  await expect(shelf.window('camera').locator('iframe')).toBeVisible()
})

test('a window that the browser blocks is told, with what to do', async ({ shelf, page }) => {
  await shelf.open()
  await page.evaluate(() => {
    const blocked = { get: () => ({ open: () => null }) }
    Object.defineProperty(HTMLIFrameElement.prototype, 'contentWindow', blocked)
    window.open = () => null
  })
  await shelf.run('window.focus', { window: 'camera' })
  const camera = shelf.window('camera')
  await camera.getByRole('button', { name: 'Show it in a browser window of its own' }).click()
  await camera.getByRole('button', { name: /Open in its own window/ }).click()
  await expect(camera.getByRole('alert')).toContainText('Allow this page to open windows')
  await shelf.run('display.add')
  await shelf.run('display.open', { display: (await shelf.state()).displayOrder[1] })
  await expect(shelf.said()).toContainText('The browser did not open a window')
})

/** A page of another origin, with headers of its own. */
async function elsewhere(headers: Record<string, string>) {
  const server = createServer((_asked, answer) => {
    answer.writeHead(200, { 'content-type': 'text/html', ...headers })
    answer.end('<!doctype html><title>Elsewhere</title><h1>Elsewhere</h1>')
  })
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  const { port } = server.address() as AddressInfo
  return { address: `127.0.0.1:${port}`, stop: () => server.close() }
}

/** Opens an address in a web page window, and from there in a browser window of its own. */
async function openAlone(shelf: ShelfPage, page: Page, address: string): Promise<[string, Page]> {
  await shelf.open('shelf')
  await shelf.run('window.open', { app: 'web', title: 'Elsewhere' })
  const id = (await shelf.state()).focus ?? ''
  await shelf.window(id).getByLabel('Address').fill(address)
  await shelf.press('Enter')
  // A private address is not asked whether it may be framed: what can be done is offered.
  const offer = shelf.window(id).getByRole('button', { name: 'Open in its own window' })
  const [popup] = await Promise.all([page.waitForEvent('popup'), offer.click()])
  await popup.waitForURL(`http://${address}/`)
  return [id, popup]
}

test('a page of another origin is known to be open, is brought forward, and closes with its window', async ({
  shelf,
  page,
}) => {
  const { address, stop } = await elsewhere({ 'x-frame-options': 'DENY' })
  shelf.expected = /X-Frame-Options|Refused to display|Unsafe attempt/
  try {
    const [id, popup] = await openAlone(shelf, page, address)
    const status = shelf.window(id).getByRole('status')
    await page.waitForTimeout(2500)
    await expect(status).toContainText('Open in a browser window of its own')
    // What is shown there cannot lead this page elsewhere.
    await popup.evaluate(() => {
      try {
        window.opener.top.location.href = 'about:blank'
      } catch {
        // It is not even allowed to say so.
      }
    })
    await page.waitForTimeout(300)
    expect(page.url()).toMatch(/\/shelf$/)
    await shelf.press('Alt+Backspace')
    await expect.poll(() => popup.isClosed()).toBe(true)
  } finally {
    stop()
  }
})

test('a page that cuts itself off from who opened it is told so, and is not taken for closed', async ({
  shelf,
  page,
}) => {
  const { address, stop } = await elsewhere({ 'cross-origin-opener-policy': 'same-origin' })
  // The browser takes that header only from pages that are served securely; this machine is one.
  shelf.expected = /Cross-Origin-Opener-Policy/
  try {
    const [id, popup] = await openAlone(shelf, page, address)
    const status = shelf.window(id).getByRole('status')
    await expect(status).toContainText('This site hides whether its window is open')
    expect(popup.isClosed()).toBe(false)
    expect(Object.keys((await shelf.state()).windows)).toEqual([id])
    await popup.close()
  } finally {
    stop()
  }
})

/** Where a browser window stands on the screen. */
const standing = (popup: Page) =>
  popup.evaluate(() => ({ x: screenX, y: screenY, width: outerWidth, height: outerHeight }))

test('a browser window stands on the screen as its window does on the display', async ({
  shelf,
  page,
}) => {
  // The browser of the tests has a screen of that size, whatever its pages are told.
  const screen = { width: 800, height: 600 }
  await page.addInitScript(({ width, height }) => {
    Object.defineProperties(window.screen, {
      availWidth: { value: width },
      availHeight: { value: height },
    })
  }, screen)
  const popup = await outside(shelf, page)
  await shelf.run('window.side', { window: 'camera', to: 'right' })
  await expect.poll(async () => (await standing(popup)).x).toBeGreaterThan(screen.width * 0.45)
  const right = await standing(popup)
  expect(right.x + right.width).toBeLessThanOrEqual(screen.width)
  expect(right.width).toBeGreaterThan(screen.width * 0.4)
  await shelf.run('window.side', { window: 'camera', to: 'left' })
  await expect.poll(async () => (await standing(popup)).x).toBeLessThan(screen.width * 0.1)
  await shelf.press('Alt+Z')
  await expect.poll(() => standing(popup)).toEqual(right)
  await popup.close()
})

test('minimised, or left on a desktop that furls, it is closed; it opens again where one comes back', async ({
  shelf,
  page,
}) => {
  const popup = await outside(shelf, page)
  const status = shelf.window('camera').getByRole('status')
  await shelf.press("Alt+'")
  await expect.poll(() => popup.isClosed()).toBe(true)
  const [second] = await Promise.all([
    page.waitForEvent('popup'),
    page
      .getByRole('button', { name: /^Ridge camera/ })
      .first()
      .click(),
  ])
  await second.waitForURL('**/pages/ridge-camera')
  await expect(status).toContainText('Open in a browser window of its own')
  // Left on a desktop that keeps them, it stays open.
  await shelf.press('Alt+.')
  await page.waitForTimeout(300)
  expect(second.isClosed()).toBe(false)
  await shelf.press('Alt+\\')
  await shelf.run('desktop.furl')
  await expect(shelf.said()).toContainText('close when you leave')
  // One window may do otherwise than its desktop says.
  await shelf.run('window.furl', { window: 'camera' })
  await expect(shelf.said()).toContainText('stays open when you leave')
  await shelf.press('Alt+.')
  await page.waitForTimeout(300)
  expect(second.isClosed()).toBe(false)
  await shelf.press('Alt+\\')
  await shelf.window('camera').getByRole('button', { name: 'Menu of Ridge camera' }).click()
  await page.getByRole('menuitem', { name: 'Keep in sight' }).click()
  await page
    .getByRole('menuitemcheckbox', { name: /^Browser window closes on leaving/ })
    .press('Enter')
  await shelf.press('Alt+.')
  await expect.poll(() => second.isClosed()).toBe(true)
  expect((await shelf.state()).windows.camera).toBeDefined()
  const [third] = await Promise.all([page.waitForEvent('popup'), shelf.press('Alt+\\')])
  await third.waitForURL('**/pages/ridge-camera')
  // What the browser does not let open is told, and opens when it is picked.
  await shelf.press('Alt+.')
  await expect.poll(() => third.isClosed()).toBe(true)
  await page.evaluate(() => {
    const blocked = { get: () => ({ open: () => null }), configurable: true }
    Object.defineProperty(HTMLIFrameElement.prototype, 'contentWindow', blocked)
  })
  await shelf.press('Alt+\\')
  await expect(shelf.said()).toContainText('The browser opened no window')
  await expect(status).toContainText('Pick this window to open it again')
})
