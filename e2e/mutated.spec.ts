import { readFile } from 'node:fs/promises'
import fc from 'fast-check'
import type { FlatState } from '../src/store/flat'
import { mutated, mutations } from '../torture/mutated'
import { expect, test } from './shelf'

/** How many files; `npm run torture` has more of them. */
const TIMES = Number(process.env.TORTURE_PAGES ?? 4)
const SEED = Number(process.env.TORTURE_SEED ?? 5)

/** What the file decides: services go on meanwhile and may ask for attention. */
const brought = ({ attention: _, ...state }: FlatState) => state

test('a mutated shelf file is refused in words, or goes in and is the same after a reload', async ({
  shelf,
  page,
}) => {
  test.setTimeout(60_000 + TIMES * 15_000)
  await shelf.open()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Kite Shelf menu' }).click()
  await shelf.chooseWithin('Keep and export', 'Export the shelf file')
  const sound = await readFile(await (await download).path(), 'utf8')
  await shelf.open('shelf')
  const preview = page.getByRole('dialog', { name: /^Import/ })
  const refused = page.locator('[data-said=refused]')
  let imported = 0
  for (const changes of fc.sample(mutations, { numRuns: TIMES, seed: SEED })) {
    const file = changes.reduce((now, [kind, at, stray]) => mutated(now, kind, at, stray), sound)
    const before = await shelf.state()
    const chooser = page.waitForEvent('filechooser')
    await page.evaluate(() => window.kiteShelf?.run('shelf.import'))
    await (await chooser).setFiles({
      name: 'mutated.kite.json',
      mimeType: 'application/json',
      buffer: Buffer.from(file),
    })
    await expect(preview.or(refused)).toBeVisible()
    if (await preview.isVisible()) {
      await page.keyboard.press('Enter')
      await expect(preview, JSON.stringify(changes)).toBeHidden()
      await expect(shelf.said()).toContainText('Imported')
      await expect(refused).toHaveCount(0)
      imported++
    } else expect(brought(await shelf.state()), JSON.stringify(changes)).toEqual(brought(before))
    const taken = await shelf.state()
    await shelf.reload()
    expect(brought(await shelf.state()), JSON.stringify(changes)).toEqual(brought(taken))
    // What stands there now is shown, one desktop after the other.
    const to = taken.order[imported % taken.order.length]
    await page.evaluate((id) => window.kiteShelf?.run('desktop.go', { to: id }), to)
    await shelf.drawn()
    await expect(page.getByText('This app stopped')).toHaveCount(0)
  }
  expect(imported).toBeGreaterThan(0)
})
