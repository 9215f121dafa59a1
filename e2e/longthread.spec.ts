import { readFile } from 'node:fs/promises'
import type { ShelfFile } from '../src/core/formats/shelfFile'
import { expect, test } from './shelf'

test('of a long thread the latest is drawn, the earlier when one goes there, and what is found anywhere', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({ Here: { Talk: 'messages' } })
  const { document } = (await shelf.state()).windows[id('Talk')] ?? {}
  const exported = page.waitForEvent('download')
  await shelf.run('shelf.export')
  const file: ShelfFile = JSON.parse(await readFile(await (await exported).path(), 'utf8'))
  const messages = Array.from({ length: 260 }, (_, n) => ({
    by: 'them',
    text: n === 30 ? 'The cornice above the hut' : `Word ${n}`,
    at: 1_760_000_000_000 + n * 60_000,
  }))
  file.documents[document ?? ''] = {
    saved: { threads: [{ id: 'hut', who: 'hut warden', messages, read: 260 }], received: 0 },
    draft: null,
  }
  const chooser = page.waitForEvent('filechooser')
  await shelf.run('shelf.import')
  await (await chooser).setFiles({
    name: 'long.kite.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  })
  await page.getByRole('radio', { name: 'Take what is in the file' }).check()
  await page.getByRole('button', { name: 'Import', exact: true }).click()
  const log = page.getByRole('log', { name: 'Messages with hut warden' })
  await expect(log.getByText('Word 259')).toBeVisible()
  await expect(log.getByText('Word 160', { exact: true })).toBeAttached()
  await expect(log.getByText('Word 159', { exact: true })).toHaveCount(0)
  // What is read stays where it is.
  await log.evaluate((element) => element.scrollTo(0, 0))
  await log.getByRole('button', { name: '160 earlier messages' }).click()
  await expect(log.getByText('Word 160', { exact: true })).toBeInViewport()
  await expect(log.getByText('Word 60', { exact: true })).toBeAttached()
  await expect(log.getByRole('button', { name: '60 earlier messages' })).toBeAttached()
  // By finding in it, and from the line, the rest is there too.
  await shelf.window(id('Talk')).getByRole('button', { name: 'Find in this thread' }).click()
  await page.keyboard.type('cornice')
  await expect(log.getByText('The cornice above the hut')).toBeInViewport()
  await shelf.press('Escape')
  await expect(log.getByText('The cornice above the hut')).toHaveCount(0)
  await shelf.run('line.open')
  await page.getByRole('dialog', { name: 'Line' }).getByRole('combobox').fill('cornice above')
  await expect(
    page.getByRole('dialog', { name: 'Line' }).getByRole('option').first(),
  ).toContainText('cornice above')
  await shelf.press('Enter')
  await expect(log.getByText('The cornice above the hut')).toBeInViewport()
})
