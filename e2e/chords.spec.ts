import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import type { Locator, Page } from '@playwright/test'
import { expect, type ShelfPage, test } from './shelf'

/** A page of another origin. */
async function elsewhere(body: string) {
  const server = createServer((_asked, answer) => {
    answer.writeHead(200, { 'content-type': 'text/html' })
    answer.end(`<!doctype html><title>Elsewhere</title>${body}`)
  })
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  const { port } = server.address() as AddressInfo
  return { host: `127.0.0.1:${port}`, stop: () => server.close() }
}

/** Pushes into a page as a hand does: it comes over it first. */
async function push(page: Page, what: Locator): Promise<void> {
  await expect(what).toBeVisible()
  const box = await what.boundingBox()
  if (!box) throw new Error('It is not drawn')
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x - 4, y)
  await page.mouse.move(x, y)
  await page.waitForTimeout(100)
  await page.mouse.click(x, y)
}

/** A window with that page on the first of two desktops. */
async function shown(shelf: ShelfPage, host: string) {
  const id = await shelf.furnish({ Here: { 'Web page': 'web' }, There: {} })
  const window = shelf.window(id('Web page'))
  await window.getByLabel('Address').fill(host)
  await shelf.press('Enter')
  return { id, window, frame: window.frameLocator('iframe') }
}

test('a page with the script passes chords on once it is allowed, and its links open windows', async ({
  shelf,
  page,
  baseURL,
}) => {
  const { host, stop } = await elsewhere(
    `<script src="${baseURL}/chords.js"></script><h1>Elsewhere</h1><button>push</button>
     <a href="https://example.org/map" target="_blank">map</a>`,
  )
  try {
    const { id, window, frame } = await shown(shelf, host)
    await expect(frame.getByRole('heading', { name: 'Elsewhere' })).toBeVisible()
    // Nothing before it is allowed.
    await push(page, frame.getByRole('button', { name: 'push' }))
    await page.keyboard.press('Alt+.')
    await page.waitForTimeout(300)
    expect(await shelf.here()).toBe(id('Here'))
    await window.getByRole('button', { name: 'Allow' }).click()
    await expect(window.getByRole('button', { name: 'Allow' })).toHaveCount(0)
    await push(page, frame.getByRole('button', { name: 'push' }))
    await page.keyboard.press('Alt+.')
    await expect.poll(() => shelf.here()).toBe(id('There'))
    await shelf.press('Alt+,')
    await push(page, frame.getByRole('link', { name: 'map' }))
    await expect
      .poll(async () => Object.values((await shelf.state()).documents).map(({ title }) => title))
      .toContain('example.org')
    // Kept with the window.
    await shelf.kept()
    await shelf.reload()
    await shelf.run('window.focus', { window: id('Web page') })
    await push(page, frame.getByRole('button', { name: 'push' }))
    await page.keyboard.press('Alt+.')
    await expect.poll(() => shelf.here()).toBe(id('There'))
  } finally {
    stop()
  }
})

test('what is followed in a page with the script is an address like any: back, forward, over a reload', async ({
  shelf,
  page,
  baseURL,
}) => {
  const { host, stop } = await elsewhere(
    `<script src="${baseURL}/chords.js"></script><h1 id="h"></h1>
     <a href="/second">onwards</a> <a href="#h">within</a>
     <script>h.textContent = location.pathname</script>`,
  )
  try {
    const { id, window, frame } = await shown(shelf, host)
    const at = frame.getByRole('heading')
    const address = window.getByLabel('Address')
    await window.getByRole('button', { name: 'Allow' }).click()
    await push(page, frame.getByRole('link', { name: 'within' }))
    await expect(address).toHaveValue(`http://${host}/`)
    await push(page, frame.getByRole('link', { name: 'onwards' }))
    await expect(at).toHaveText('/second')
    await expect(address).toHaveValue(`http://${host}/second`)
    // The next page has the keys as the one before had, and needs no new permission.
    await expect(window.getByRole('button', { name: 'keys go to the page' })).toBeVisible()
    await page.keyboard.press('Alt+.')
    await expect.poll(() => shelf.here()).toBe(id('There'))
    await shelf.press('Alt+,')
    await address.focus()
    await shelf.press('PageUp')
    await expect(at).toHaveText('/')
    await shelf.kept()
    await shelf.reload()
    await expect(at).toHaveText('/')
    await window.getByRole('button', { name: 'Forward, PageDown' }).click()
    await expect(at).toHaveText('/second')
    await expect(window.getByRole('button', { name: /^Forward/ })).toHaveCount(0)
  } finally {
    stop()
  }
})

test('a page that forges what it passes on gets nothing, before and after another was allowed', async ({
  shelf,
  page,
  baseURL,
}) => {
  const forged = `<script>
    const said = { type: 'keydown', key: '.', code: 'Period', altKey: true, shiftKey: false, ctrlKey: false, metaKey: false }
    setInterval(() => {
      for (const token of ['', 'page', 'undefined'])
        parent.postMessage({ kiteShelfKey: { token, ...said }, kiteShelfOpen: { token, address: 'https://example.org' } }, '*')
      parent.postMessage({ kiteShelfHello: true }, '*')
    }, 50)
    addEventListener('message', ({ data }) => { document.title = document.body.dataset.got = String(data.kiteShelf) })
  </script><h1>Forger</h1>`
  const bad = await elsewhere(forged)
  const good = await elsewhere(
    `<script src="${baseURL}/chords.js"></script><h1>Good</h1><a href="http://${bad.host}/">onwards</a>`,
  )
  try {
    const { id, window, frame } = await shown(shelf, good.host)
    await window.getByRole('button', { name: 'Allow' }).click()
    await push(page, frame.getByRole('link', { name: 'onwards' }))
    await expect(frame.getByRole('heading', { name: 'Forger' })).toBeVisible()
    await page.waitForTimeout(1000)
    expect(await shelf.here()).toBe(id('Here'))
    expect(Object.keys((await shelf.state()).windows)).toHaveLength(1)
    await expect(frame.locator('body[data-got]')).toHaveCount(0)
  } finally {
    bad.stop()
    good.stop()
  }
})

test('the keys come back when the pointer leaves a page, unless that is switched off', async ({
  shelf,
  page,
}) => {
  const { host, stop } = await elsewhere('<h1>Elsewhere</h1><input aria-label="Field">')
  try {
    const { window, frame } = await shown(shelf, host)
    const keys = window.getByRole('button', { name: 'keys go to the page' })
    await push(page, frame.getByLabel('Field'))
    await expect(keys).toBeVisible()
    await page.mouse.move(900, 700, { steps: 6 })
    await expect(keys).toHaveCount(0)
    await shelf.run('settings.set', { leavePage: false })
    await push(page, frame.getByLabel('Field'))
    await expect(keys).toBeVisible()
    await page.mouse.move(900, 700, { steps: 6 })
    await page.waitForTimeout(1200)
    await expect(keys).toBeVisible()
    await expect(window.locator('b')).toHaveText(host)
  } finally {
    stop()
  }
})
