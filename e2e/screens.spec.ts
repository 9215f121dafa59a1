import { type Browser, chromium, type Page } from '@playwright/test'
import { expect, ShelfPage, test } from './shelf'

/** A browser on a machine with two screens side by side. */
async function twoScreens(browser: Browser, allowed: boolean): Promise<ShelfPage> {
  const context = await browser.newContext({
    viewport: null,
    baseURL: test.info().project.use.baseURL,
  })
  const page = await context.newPage()
  if (allowed) {
    const session = await context.newCDPSession(page)
    const { targetInfo } = await session.send('Target.getTargetInfo')
    const whole = await browser.newBrowserCDPSession()
    await whole.send('Browser.grantPermissions', {
      permissions: ['windowManagement'],
      browserContextId: targetInfo.browserContextId,
    })
  }
  const shelf = new ShelfPage(page)
  await page.goto('/demo')
  await expect(page.locator('#desktop')).toBeVisible()
  return shelf
}

const launch = () => {
  const options = test.info().project.use.launchOptions ?? {}
  const args = [...(options.args ?? []), '--screen-info={1280x800}{1600x900}']
  return chromium.launch({ ...options, args })
}

/** Opens the ridge camera in a browser window of its own. */
async function outside({ page }: ShelfPage): Promise<Page> {
  const [popup] = await Promise.all([
    page.waitForEvent('popup'),
    page
      .locator('[data-window="camera"]')
      .getByRole('button', { name: 'Show it in a browser window of its own' })
      .click(),
  ])
  await popup.waitForURL('**/pages/ridge-camera')
  return popup
}

const left = (popup: Page) => popup.evaluate(() => screenX)
const size = (popup: Page) => popup.evaluate(() => [outerWidth, outerHeight])

test('a browser window stands on the screen of its display: sent there, placed there, and back', async () => {
  const browser = await launch()
  try {
    const shelf = await twoScreens(browser, true)
    await shelf.run('window.focus', { window: 'camera' })
    const popup = await outside(shelf)
    expect(await left(popup)).toBeLessThan(1280)
    await shelf.run('window.toDisplay', { window: 'camera', to: 'tall' })
    await expect.poll(() => left(popup)).toBeGreaterThanOrEqual(1280)
    // The upper half of the other screen.
    await shelf.run('window.side', { window: 'camera', to: 'up' })
    await expect.poll(async () => (await size(popup))[1]).toBeLessThan(470)
    expect((await size(popup))[0]).toBeGreaterThan(1500)
    expect(await left(popup)).toBeLessThan(1280 + 40)
    await shelf.run('window.toDisplay', { window: 'camera', to: 'near' })
    await expect.poll(() => left(popup)).toBeLessThan(1280)
    // What another display is shown in comes to that screen too.
    const [view] = await Promise.all([
      shelf.page.waitForEvent('popup'),
      shelf.run('display.open', { display: 'tall' }),
    ])
    await expect.poll(() => left(view)).toBe(1280)
  } finally {
    await browser.close()
  }
})

test('where the browser does not tell its screens that is said, once, and windows open on this one', async () => {
  const browser = await launch()
  try {
    const shelf = await twoScreens(browser, false)
    await shelf.run('window.focus', { window: 'camera' })
    const popup = await outside(shelf)
    await shelf.run('window.toDisplay', { window: 'camera', to: 'tall' })
    await expect(shelf.said()).toContainText('won’t say which screens you have')
    expect(await left(popup)).toBeLessThan(1280)
    await shelf.run('desktop.rename', { name: 'Elsewhere' })
    await expect(shelf.said()).toContainText('Elsewhere')
    await shelf.run('window.move', { window: 'camera', x: 30, y: 30 })
    await shelf.page.waitForTimeout(500)
    await expect(shelf.said()).not.toContainText('which screens')
  } finally {
    await browser.close()
  }
})
