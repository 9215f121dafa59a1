import { readFileSync } from 'node:fs'
import { pdf } from '../testing/pdf.mjs'
import { expect, ShelfPage, test } from './shelf'

test('the trail and the loft open with a window that fills its display', async ({
  shelf,
  page,
}) => {
  await shelf.furnish({ Field: { Pit: 'job', Stations: 'table' }, Rota: { Duty: 'table' } })
  await shelf.press("Alt+Shift+'")
  await page.keyboard.down('Alt')
  await shelf.press('Backquote')
  await expect(page.getByRole('dialog', { name: 'Trail' })).toBeVisible()
  await shelf.press('Escape')
  await page.keyboard.up('Alt')
  await shelf.press('Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeVisible()
  await expect(page.getByRole('complementary', { name: 'Bench' })).toContainText('maximised')
  await shelf.press('Escape', 'Alt+Enter', 'Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeVisible()
  await shelf.press('Escape')
  await expect(page.locator('#desktop')).toBeVisible()
})

test('a name that is typed is not heard by the window beneath', async ({ shelf, page }) => {
  await shelf.open()
  await shelf.press('Alt+P')
  const reply = page.getByRole('textbox', { name: /^Reply to/ })
  await reply.fill('Half a reply')
  const sent = page.getByRole('log').getByText('Half a reply')
  await shelf.press('Alt+Shift+;', 'R')
  await expect(page.getByRole('textbox', { name: 'Name of the desktop' })).toBeFocused()
  await page.keyboard.type('Hut line')
  await shelf.press('Enter')
  await expect(shelf.row('Hut line')).toBeVisible()
  await expect(reply).toHaveValue('Half a reply')
  await expect(sent).toHaveCount(0)
})

test('a menu within a menu stays on half a screen, with long names told whole', async ({
  shelf,
  page,
}) => {
  await page.setViewportSize({ width: 960, height: 700 })
  const name = 'Readings of the whole northern slope since November'
  const id = await shelf.furnish({
    Field: { Pit: { app: 'job', frame: { x: 200, y: 40, width: 340, height: 300 } } },
    [name]: {},
  })
  await shelf.window(id('Pit')).getByRole('button', { name: 'Menu of Pit' }).click()
  await page.getByRole('menuitem', { name: 'Carry to' }).click()
  const inner = page.getByRole('menu').nth(1)
  await expect(inner).toBeInViewport({ ratio: 1 })
  await expect(inner.getByText(name)).toHaveAttribute('title', name)
})

test('an app whose code does not come can be started again', { tag: '@first' }, async ({
  shelf,
  page,
}) => {
  shelf.expected = /Failed to load|ChunkLoadError|Failed to fetch|chunk/i
  // From the start, so that nothing is taken from what the browser has kept.
  let down = false
  await page.route('**/_next/static/chunks/**', (route) =>
    down ? route.abort() : route.continue(),
  )
  await shelf.open('shelf')
  down = true
  await shelf.press('Alt+4')
  const stopped = page.getByRole('alert').filter({ hasText: 'This app could not be loaded' })
  await expect(stopped).toBeVisible()
  // Its window can be dealt with as any other.
  await shelf.run('window.minimise')
  await shelf.run('window.focus', { window: Object.keys((await shelf.state()).windows)[0] })
  down = false
  // By itself, as the browser tells that it is connected again.
  await page.evaluate(() => dispatchEvent(new Event('online')))
  await expect(page.getByRole('textbox', { name: 'Time or duration' })).toBeVisible()
})

test('an app that throws shows why; the shelf lives on', async ({ shelf, page }) => {
  shelf.expected = /./
  await page.addInitScript(() => {
    const Real = ResizeObserver
    window.ResizeObserver = class extends Real {
      override observe(element: Element) {
        if (document.documentElement.dataset.broken) throw new Error('no room')
        super.observe(element)
      }
    }
  })
  await shelf.open('shelf')
  const broken = (is: boolean) =>
    page.evaluate((on) => {
      if (on) document.documentElement.dataset.broken = 'yes'
      else delete document.documentElement.dataset.broken
    }, is)
  await broken(true)
  await shelf.press('Alt+2')
  const stopped = page.getByRole('alert').filter({ hasText: 'This app stopped' })
  await expect(stopped).toContainText('no room')
  await broken(false)
  await stopped.getByRole('button', { name: 'Start again' }).click()
  await expect(page.getByRole('grid')).toBeVisible()
})

test('content that does not fit its app is named, kept as it was, and opens as text', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  const exporting = page.waitForEvent('download')
  await shelf.press('Alt+2')
  await expect(page.getByRole('grid')).toBeVisible()
  await shelf.run('shelf.export')
  const stream = await (await exporting).createReadStream()
  let text = ''
  for await (const chunk of stream) text += chunk
  const file = JSON.parse(text)
  const [id = ''] = Object.keys(file.documents)
  file.documents[id] = { saved: { columns: 5, rows: 'none' }, draft: null }
  const chooser = page.waitForEvent('filechooser')
  await shelf.run('shelf.import')
  await (await chooser).setFiles({
    name: 'odd.kite.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  })
  await expect(page.getByRole('dialog')).toContainText('“New table”: “')
  await page.getByLabel('Take what is in the file').check()
  await page.getByRole('button', { name: 'Import' }).click()
  const misfit = page.getByRole('alert').filter({ hasText: 'Some of this content doesn’t fit' })
  await expect(misfit).toContainText('must be a list')
  await shelf.reload()
  await expect(misfit).toBeVisible()
  await expect(page.getByRole('grid')).toBeVisible()
  expect(await shelf.violations()).toEqual([])
  await misfit.getByRole('button', { name: 'Open as text' }).click()
  await expect(page.getByText('"rows": "none"')).toBeVisible()
  await misfit.getByRole('button', { name: 'Discard it' }).click()
  await expect(misfit).toHaveCount(0)
})

/** What no app makes, by the app that is given it. */
const ODD: Record<string, unknown[]> = {
  document: [{ markdown: 7 }, 'text', [], { markdown: `x${'y'.repeat(300_000)}` }],
  table: [
    { columns: ['a'], rows: 'none' },
    { columns: ['a'], rows: [['1', '2']] },
    { columns: ['a'], rows: [], sort: { column: 'x' } },
    { columns: ['a', 'b'], rows: [['z'.repeat(300_000), '']] },
  ],
  reader: [
    { kind: 'film' },
    { kind: 'text', text: 5 },
    { kind: 'pdf', data: 'nothing' },
    { kind: 'text', text: 'w'.repeat(300_000) },
  ],
  countdown: [{ kind: 'running' }, { kind: 'running', until: 'noon', of: null }, 5],
  messages: [{ threads: {} }, { threads: [{ id: 1 }], received: 0 }, { received: -1 }],
  job: [{ jobs: 'all' }, { jobs: [{ id: 'a', name: 'b', steps: 0 }] }],
  player: [{ tune: -1, volume: 9, at: 0 }, { tune: 'first' }],
  web: [{ visited: 'there' }, { visited: [5] }],
}

test('whatever stands in a document, no app stops at it, and nothing of it is lost', {
  tag: '@first',
}, async ({ shelf, page }) => {
  await shelf.open('shelf')
  for (const app of Object.keys(ODD)) await shelf.run('window.open', { app })
  const { windows, documents } = await shelf.state()
  const exporting = page.waitForEvent('download')
  await shelf.run('shelf.export')
  const file = JSON.parse(readFileSync(await (await exporting).path(), 'utf8'))
  for (let round = 0; round < 4; round++) {
    const given: Record<string, unknown> = {}
    for (const { id, app } of Object.values(documents)) {
      const saved = ODD[app]?.[round]
      if (saved !== undefined) given[id] = { saved, draft: null }
    }
    const chooser = page.waitForEvent('filechooser')
    await shelf.run('shelf.import')
    await (await chooser).setFiles({
      name: 'odd.kite.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify({ ...file, documents: given })),
    })
    await page.getByLabel('Take what is in the file').check()
    await page.getByRole('button', { name: 'Import', exact: true }).click()
    for (const { id, document } of Object.values(windows)) {
      if (!given[document]) continue
      await shelf.run('window.focus', { window: id })
      const window = shelf.window(id)
      await expect(window.getByText('This app stopped')).toHaveCount(0)
      await expect(window.locator('[data-autofocus], [role=alert], section').first()).toBeVisible()
    }
    await shelf.reload()
    await expect(page.getByText('This app stopped')).toHaveCount(0)
  }
})

/** A page that takes the focus when it is loaded, or again and again. */
const taking = (again: boolean) => `<!doctype html><title>Takes</title><input><script>
  const take = () => document.querySelector('input').focus()
  setTimeout(take, 300)
  ${again ? 'setInterval(take, 50)' : ''}</script>`

test('a page that takes the keys once does not keep them; by key it gets them', async ({
  shelf,
  page,
}) => {
  await page.route('**/pages/notice*', (route) =>
    route.fulfill({ contentType: 'text/html', body: taking(false) }),
  )
  await shelf.open('shelf')
  await shelf.press('Alt+8')
  const address = page.getByLabel('Address')
  await address.fill('/pages/notice')
  await shelf.press('Enter')
  await expect(page.locator('iframe')).toBeVisible()
  await page.waitForTimeout(600)
  await expect(address).toBeFocused()
  await page.keyboard.type('still here')
  await expect(address).toHaveValue(/still here/)
  await shelf.press('ArrowDown')
  await expect(page.getByRole('button', { name: 'keys go to the page' })).toBeVisible()
})

test('a page that was given the keys does not take them back from the loft', async ({
  shelf,
  page,
}) => {
  const clinging = `<!doctype html><title>Clings</title><input><script>
    const field = document.querySelector('input')
    addEventListener('blur', () => setTimeout(() => field.focus(), 20))</script>`
  await page.route('**/pages/notice*', (route) =>
    route.fulfill({ contentType: 'text/html', body: clinging }),
  )
  await shelf.open('shelf')
  await shelf.press('Alt+8')
  await page.getByLabel('Address').fill('/pages/notice')
  await shelf.press('Enter')
  await expect(page.locator('iframe')).toBeVisible()
  await shelf.press('ArrowDown')
  await expect(page.getByRole('button', { name: 'keys go to the page' })).toBeVisible()
  // Nothing is made still by the way.
  await page.evaluate(() => {
    window.requestIdleCallback = () => 0
  })
  await page.getByRole('button', { name: 'loft' }).click()
  await page.waitForTimeout(300)
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeFocused()
  await shelf.press('Escape')
  await expect(page.locator('.win :focus')).toHaveCount(1)
})

test('a page that takes the keys again and again is stopped, with a choice', async ({
  shelf,
  page,
}) => {
  await page.route('**/pages/notice*', (route) =>
    route.fulfill({ contentType: 'text/html', body: taking(true) }),
  )
  await shelf.open('shelf')
  await shelf.press('Alt+8')
  await page.getByLabel('Address').fill('/pages/notice')
  await shelf.press('Enter')
  await expect(
    page.getByRole('alert').filter({ hasText: 'kept grabbing the keyboard' }),
  ).toBeVisible()
  await shelf.press('Alt+1')
  const text = page.getByRole('textbox', { name: 'Text' })
  await expect(text).toBeFocused()
  await page.keyboard.type('These words stay here', { delay: 40 })
  await expect(text).toHaveText('These words stay here')
  await page.getByRole('button', { name: 'Show it anyway' }).click()
  await expect(page.locator('iframe')).toBeVisible()
})

test('several files: a bad one is named, the others open; a name that is all extension is one', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  const png = Buffer.alloc(40)
  Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]).copy(png)
  png.writeUInt32BE(20_000, 16)
  png.writeUInt32BE(20_000, 20)
  await shelf.drop(
    { name: 'huge.png', type: 'image/png', content: png },
    { name: '.csv', type: 'text/csv', content: 'a,b\n1,2' },
    { name: 'bad.csv', type: 'text/csv', content: 'a\n"1' },
  )
  await expect(shelf.said()).toContainText('2 files were not opened')
  await expect(shelf.said()).toContainText('20000 × 20000 pixels')
  const { windows, documents } = await shelf.state()
  expect(Object.keys(windows)).toHaveLength(1)
  expect(Object.values(documents).map(({ title }) => title)).toEqual(['.csv'])
  await shelf.run('window.solo')
  await shelf.reload()
  expect(await shelf.rowNames()).toContain('.csv')
  await expect(page.getByRole('region', { name: 'Notices' })).toBeEmpty()
})

test('files opened together are one step, and said as many', async ({ shelf }) => {
  await shelf.open('shelf')
  const names = ['North', 'South', 'West']
  await shelf.drop(
    ...names.map((name) => ({ name: `${name}.md`, type: 'text/markdown', content: `# ${name}` })),
  )
  await expect(shelf.said()).toContainText('Opened 3 windows: North, South, West')
  await expect(shelf.page.locator('[data-focused]').getByText('West').first()).toBeVisible()
  await shelf.press('Alt+Z')
  expect(Object.keys((await shelf.state()).windows)).toEqual([])
  await shelf.press('Alt+Shift+Z')
  await expect(shelf.page.locator('[data-focused] h1')).toHaveText('West')
})

test('a table that a spreadsheet would run asks how it is exported', async ({ shelf, page }) => {
  await shelf.open('shelf')
  await shelf.drop({ name: 'risky.csv', type: 'text/csv', content: 'a,b\n=1+1,-8.0\n' })
  await expect(page.getByRole('gridcell', { name: '2', exact: true })).toBeVisible()
  const given = page.waitForEvent('download')
  await shelf.run('window.export')
  await expect(page.getByRole('dialog', { name: 'Export “risky”' })).toContainText('1 cell begins')
  await shelf.press('Enter')
  const stream = await (await given).createReadStream()
  let text = ''
  for await (const chunk of stream) text += chunk
  // Its lines end as they did.
  expect(text).toBe("a,b\n'=1+1,-8.0\n")
})

test('documents are cleared up in one step, which is taken back', async ({ shelf, page }) => {
  await shelf.open('shelf')
  await shelf.press('Alt+1', 'Alt+Backspace')
  const old = { app: 'document', unsaved: false, openedAt: 5 }
  await shelf.run('documents.bring', { documents: [{ ...old, id: 'old', title: 'Last winter' }] })
  const before = (await shelf.state()).documents
  await shelf.run('documents.clearUp')
  const list = page.getByRole('list', { name: 'Documents that may go' })
  await expect(list.getByRole('checkbox')).toHaveCount(2)
  await expect(list).toContainText('Last winter')
  await page.getByRole('button', { name: 'Delete 2 documents' }).click()
  await expect(shelf.said()).toContainText('Deleted 2 documents')
  await shelf.press('Alt+Z')
  expect((await shelf.state()).documents).toEqual(before)
})

test('menus and dialogs stay on the screen', async ({ shelf, page }) => {
  await page.setViewportSize({ width: 960, height: 640 })
  await shelf.open()
  const within = async (box: { x: number; y: number; width: number; height: number } | null) => {
    expect(box?.x).toBeGreaterThanOrEqual(0)
    expect(box?.y).toBeGreaterThanOrEqual(0)
    expect((box?.x ?? 0) + (box?.width ?? 0)).toBeLessThanOrEqual(960)
    expect((box?.y ?? 0) + (box?.height ?? 0)).toBeLessThanOrEqual(640)
  }
  await page.getByRole('button', { name: 'Kite Shelf menu' }).click()
  await within(await page.getByRole('menu').boundingBox())
  await shelf.press('Escape')
  await shelf.window('stations').locator('.hem').click({ button: 'right' })
  await within(await page.getByRole('menu').boundingBox())
  await shelf.press('Escape', 'Alt+Shift+/')
  await within(await page.getByRole('dialog', { name: 'Keys' }).boundingBox())
})

test('a shelf that could not be written is not emptied by the tab that lost it', async ({
  shelf,
  page,
  context,
}) => {
  await page.addInitScript(() => {
    if (self !== top) return
    const put = IDBObjectStore.prototype.put
    IDBObjectStore.prototype.put = function (...args) {
      if ('full' in window) throw new DOMException('full', 'QuotaExceededError')
      return put.apply(this, args)
    }
  })
  await shelf.open('shelf')
  await shelf.run('desktop.create', { name: 'Ridge', stay: true })
  await shelf.kept()
  await page.evaluate(() => Object.assign(window, { full: true }))
  await shelf.run('desktop.rename', { name: 'Cannot be kept there' })
  await expect(page.getByRole('alert').filter({ hasText: 'storage is full' })).toBeVisible()
  const other = new ShelfPage(await context.newPage())
  await other.page.goto('/shelf')
  await other.page.getByRole('button', { name: 'Use it here' }).click()
  await expect(other.page.locator('#desktop')).toBeVisible()
  // The log of changes had it; and what failed is not tried again from a page that has nothing left.
  await page.evaluate(() => delete (window as { full?: boolean }).full)
  await page.waitForTimeout(6500)
  await other.reload()
  expect(await other.rowNames()).toEqual(['Cannot be kept there', 'Ridge'])
})

test('where what shows PDFs did not come it is asked for again', { tag: '@first' }, async ({
  shelf,
  page,
}) => {
  // What shows it, or what reads it off the page: whichever is asked for first.
  shelf.expected = /Failed to load|ChunkLoadError|what reads it could not be loaded/
  let down = false
  let offPage = false
  // What is there before there is a PDF; what only PDFs need is kept away.
  const known = new Set<string>()
  await page.route('**/_next/static/**', (route) => {
    const url = route.request().url()
    const worker = url.includes('worker') || route.request().resourceType() === 'other'
    if (down && !known.has(url) && (worker || !offPage)) return route.abort()
    known.add(url)
    return route.continue()
  })
  await shelf.open('shelf')
  await shelf.drop({ name: 'Words.txt', type: 'text/plain', content: 'plain words' })
  await expect(page.getByText('plain words')).toBeVisible()
  down = true
  const file = { name: 'Route.pdf', type: 'application/pdf', content: pdf(['Couloir']) }
  await shelf.drop(file)
  const unloaded = (name: string) =>
    expect(shelf.said()).toContainText(`“${name}”: what reads it could not be loaded`)
  await unloaded('Route.pdf')
  // All of it is there but what works off the page.
  offPage = true
  await shelf.drop({ ...file, name: 'Pages.pdf' })
  await unloaded('Pages.pdf')
  await shelf.drop({ name: 'Rows.csv', type: 'text/csv', content: 'a,b\n'.repeat(60_000) })
  // What the page can read itself it does.
  await expect(shelf.said()).toContainText('Opened “Rows”')
  await expect(page.getByRole('gridcell').first()).toBeVisible()
  offPage = false
  const before = new Set(known)
  down = false
  await shelf.drop(file)
  await expect(page.getByText('page 1 of 1')).toBeVisible()
  known.clear()
  for (const url of before) known.add(url)
  down = true
  await shelf.reload()
  const stopped = page.getByRole('alert').filter({ hasText: 'This app could not be loaded' })
  await expect(stopped).toBeVisible()
  down = false
  await stopped.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByText('page 1 of 1')).toBeVisible()
})
