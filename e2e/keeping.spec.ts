import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type BrowserContext, chromium } from '@playwright/test'
import { expect, ShelfPage, test } from './shelf'

test('the demo never touches the own shelf', async ({ shelf, page }) => {
  await shelf.open('demo')
  await shelf.run('desktop.rename', { name: 'Tried' })
  await shelf.kept()
  await shelf.open('shelf')
  expect(await shelf.rowNames()).toEqual(['Delta'])
  await expect(page.getByRole('heading', { name: 'Nothing here yet' })).toBeVisible()
  await shelf.open('demo')
  expect((await shelf.rowNames())[0]).toBe('Tried')
})

test('a damaged slot is told, and the one before it is loaded', async ({ shelf, page }) => {
  await shelf.open()
  await shelf.run('desktop.rename', { name: 'Older' })
  await shelf.kept()
  await page.waitForTimeout(400)
  await shelf.run('desktop.rename', { name: 'Newer' })
  await shelf.kept()
  await page.waitForTimeout(400)
  await shelf.open('shelf')
  await page.evaluate(async () => {
    const open = indexedDB.open('kite-shelf-demo')
    const db = await new Promise<IDBDatabase>((resolve) => {
      open.onsuccess = () => resolve(open.result)
    })
    const store = db.transaction('slots', 'readwrite').objectStore('slots')
    const get = (key: string) =>
      new Promise<{ revision: number; json: string }>((resolve) => {
        const asked = store.get(key)
        asked.onsuccess = () => resolve(asked.result)
      })
    const [a, b] = [await get('slot-a'), await get('slot-b')]
    const [key, newest] = a.revision > b.revision ? ['slot-a', a] : ['slot-b', b]
    await new Promise((resolve) => {
      store.put({ ...(newest as object), json: 'torn' }, key as string).onsuccess = resolve
    })
    db.close()
  })
  await shelf.open()
  expect((await shelf.rowNames())[0]).toBe('Older')
  await expect(shelf.said()).toContainText('damaged')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'export it' }).click()
  const file = await (await download).createReadStream()
  let found = ''
  for await (const chunk of file) found += chunk
  expect(JSON.stringify(JSON.parse(found))).toContain('"json":"torn"')
  await shelf.open('shelf')
  await shelf.run('shelf.exportDamaged')
  await expect(shelf.said()).toContainText('nothing to export')
})

test('exported and imported: the same; the preview says what changes; undo takes it back', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Kite Shelf menu' }).click()
  await page.getByRole('menuitem', { name: 'Export the shelf file' }).click()
  const path = await (await download).path()
  const exported = await shelf.state()
  await shelf.open('shelf')
  const own = await shelf.state()
  const bring = async (file: string | { name: string; mimeType: string; buffer: Buffer }) => {
    const chooser = page.waitForEvent('filechooser')
    await page.getByRole('button', { name: 'Kite Shelf menu' }).click()
    await page.getByRole('menuitem', { name: 'Import a shelf file' }).click()
    await (await chooser).setFiles(file)
  }
  await bring({ name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from('{\n"a":') })
  await expect(shelf.said()).toContainText('Nothing was changed')
  expect(await shelf.state()).toEqual(own)
  await bring(path)
  const preview = page.getByRole('dialog', { name: /^Import/ })
  await expect(preview.getByRole('list', { name: 'Changes' })).toContainText(
    'desktops added: Field',
  )
  await page.keyboard.press('Enter')
  const imported = await shelf.state()
  expect(imported.windows).toEqual(exported.windows)
  expect(imported.order).toEqual([...exported.order, 'first'])
  await expect(shelf.window('stations').getByRole('gridcell', { name: 'HR-04' })).toBeVisible()
  await shelf.press('Alt+Z')
  expect((await shelf.state()).order).toEqual(['first'])
})

test('a second tab waits, and can take the shelf over', async ({ shelf, page, context }) => {
  await shelf.open()
  await shelf.run('desktop.rename', { name: 'Mine' })
  await shelf.kept()
  const other = new ShelfPage(await context.newPage())
  await other.page.goto('/demo')
  await expect(other.page.getByRole('heading', { name: 'open in another tab' })).toBeVisible()
  await other.page.getByRole('button', { name: 'Use it here' }).click()
  await expect(other.page.locator('#stage')).toBeVisible()
  expect((await other.rowNames())[0]).toBe('Mine')
  await expect(page.getByRole('heading', { name: 'open in another tab' })).toBeVisible()
})

test('a store that takes no more is told at once, with export at hand', async ({ shelf, page }) => {
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put
    IDBObjectStore.prototype.put = function (...args) {
      if ('full' in window) throw new DOMException('full', 'QuotaExceededError')
      return put.apply(this, args)
    }
  })
  await shelf.open()
  await shelf.kept()
  await page.evaluate(() => Object.assign(window, { full: true }))
  await shelf.run('desktop.rename', { name: 'Lost?' })
  await expect(page.getByRole('alert').filter({ hasText: 'storage is full' })).toBeVisible()
  await page.evaluate(() => delete (window as { full?: boolean }).full)
  await shelf.run('desktop.rename', { name: 'Kept' })
  await shelf.kept()
})

test('killed at any moment, at most the last 300 ms are lost and never the shelf', async ({
  baseURL,
}) => {
  test.setTimeout(90_000)
  const folder = mkdtempSync(join(tmpdir(), 'kite-'))
  const launch = (): Promise<BrowserContext> =>
    chromium.launchPersistentContext(folder, test.info().project.use.launchOptions ?? {})
  let written = 0
  try {
    for (let round = 0; round < 4; round++) {
      const context = await launch()
      const page = await context.newPage()
      await page.goto(`${baseURL}/demo`)
      await expect(page.locator('#stage')).toBeVisible()
      const shelf = new ShelfPage(page)
      // What was certainly written before the last kill is there.
      const found = Number((await shelf.state()).desktops.field?.name.replace(/\D/g, '') || 0)
      expect(found).toBeGreaterThanOrEqual(written)
      expect(Object.keys((await shelf.state()).windows)).toHaveLength(20)
      // Commands run without pause; the console tells how far they are, with the time.
      await page.evaluate((from) => {
        Object.assign(window, { log: [] })
        const log = (window as unknown as { log: [number, number][] }).log
        let n = from
        setInterval(() => {
          window.kiteShelf?.run('desktop.rename', { desktop: 'field', name: `Field ${++n}` })
          log.push([n, performance.now()])
        }, 15)
      }, found)
      await page.waitForTimeout(700 + round * 130)
      written = await page.evaluate(() => {
        const log = (window as unknown as { log: [number, number][] }).log
        const before = performance.now() - 300
        return log.filter(([, at]) => at < before).at(-1)?.[0] ?? 0
      })
      const killed = new Promise((resolve) => context.once('close', resolve))
      const session = await context.newCDPSession(page)
      await session.send('Browser.crash' as never).catch(() => {})
      await killed
    }
  } finally {
    try {
      rmSync(folder, { recursive: true, force: true, maxRetries: 9, retryDelay: 200 })
    } catch {
      // The killed browser is still writing its caches; the system clears its temporary folder.
    }
  }
})
