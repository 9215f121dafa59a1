import { readFile } from 'node:fs/promises'
import type { Locator } from '@playwright/test'
import { pdf } from '../testing/pdf.mjs'
import { expect, type ShelfPage, test } from './shelf'

async function begin(shelf: ShelfPage): Promise<Locator> {
  await shelf.open('shelf')
  await shelf.press('Alt+1')
  const text = shelf.page.locator('[data-app=document] [contenteditable=true]')
  await expect(text).toBeFocused()
  return text
}

const titles = async (shelf: ShelfPage): Promise<string[]> =>
  Object.values((await shelf.state()).documents).map(({ title }) => title)

const paste = (text: Locator, data: Record<string, string>) =>
  text.evaluate((element, given) => {
    const clipboardData = new DataTransfer()
    for (const [type, value] of Object.entries(given)) clipboardData.setData(type, value)
    element.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true }))
  }, data)

test('a document is named by its heading until it has a name; addresses and titles are links', async ({
  shelf,
  page,
}) => {
  const text = await begin(shelf)
  await page.keyboard.type('# Snow diary')
  await expect.poll(() => titles(shelf)).toEqual(['Snow diary'])
  await shelf.press('Enter')
  await page.keyboard.type('Read https://example.org/snow first, not north.md today')
  await expect(text.getByRole('link')).toHaveCount(1)
  await expect(text.getByRole('link')).toHaveAttribute('href', 'https://example.org/snow')
  // A link to another document by its title, on the word that is chosen.
  await shelf.press('Alt+2')
  await expect(page.locator('[data-app=table] [role=gridcell]').first()).toBeVisible()
  await shelf.press('Alt+1')
  await expect(text).toBeFocused()
  await shelf.press('Control+Shift+ArrowLeft', 'Control+k')
  const field = page
    .getByRole('textbox', { name: 'Address or title' })
    .or(page.getByRole('combobox', { name: 'Address or title' }))
  await expect(field).toBeFocused()
  await page.keyboard.type('javascript:alert(1)')
  await shelf.press('Enter')
  await expect(page.getByText('A link must lead to the web')).toBeVisible()
  await field.fill('new table')
  await shelf.press('Enter')
  await expect(text).toBeFocused()
  await expect(text.getByRole('link', { name: 'today' })).toHaveAttribute('href', /^kite:/)
  await text.getByRole('link', { name: 'today' }).click()
  await expect(page.locator('[data-app=table][data-focused]')).toBeVisible()
  // A name given by hand stays.
  await shelf.press('Alt+1')
  await expect(text).toBeFocused()
  await shelf.run('document.set', {
    document: Object.keys((await shelf.state()).documents)[0],
    title: 'Mine',
  })
  // At once: the editor would take that for a caret that was lost.
  await shelf.press('Control+Home')
  await page.keyboard.type('The ')
  await expect(text.locator('h1')).toHaveText('The Snow diary')
  await expect(page.locator('[data-app=document]').getByText(/^1\d words$/)).toBeVisible()
  expect(await titles(shelf)).toContain('Mine')
  await shelf.reload()
  await expect(text.getByRole('link')).toHaveCount(2)
})

test('Markdown and pictures from other programs are pasted as what they are; headings are gone to', async ({
  shelf,
  page,
}) => {
  const text = await begin(shelf)
  await paste(text, {
    'text/plain':
      '# Ridge\n\n- wax\n- pack\n\n## Valley\n\n| a | b |\n| --- | --- |\n| 1 | 2 |\n\nThe end',
  })
  await expect(text.locator('h1')).toHaveText('Ridge')
  await expect(text.locator('li')).toHaveCount(2)
  await expect(text.locator('td')).toHaveCount(2)
  await shelf.press('Control+z')
  await expect(text.locator('h1')).toHaveCount(0)
  await shelf.press('Control+Shift+z')
  await shelf.press('Control+Shift+g')
  await expect(page.getByRole('menuitem', { name: 'Ridge' })).toBeFocused()
  await shelf.press('ArrowDown')
  await expect(page.getByRole('menuitem', { name: 'Valley' })).toBeFocused()
  await shelf.press('Enter')
  await expect(text).toBeFocused()
  await page.keyboard.type('The ')
  await expect(text.locator('h2')).toHaveText('The Valley')
  // A picture from the clipboard is kept in the shelf.
  await text.evaluate(async (element) => {
    const canvas = new OffscreenCanvas(4, 4)
    canvas.getContext('2d')?.fillRect(0, 0, 4, 4)
    const file = new File([await canvas.convertToBlob()], 'pit.png', { type: 'image/png' })
    const clipboardData = new DataTransfer()
    clipboardData.items.add(file)
    element.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true }))
  })
  await expect(text.locator('img')).toHaveAttribute('src', /^data:image\/png/)
  await shelf.reload()
  await expect(text.locator('img')).toHaveAttribute('src', /^data:image\/png/)
})

test('a document is printed alone', async ({ shelf, page }) => {
  await begin(shelf)
  await page.keyboard.type('# On paper')
  await expect.poll(() => titles(shelf)).toEqual(['On paper'])
  await page.evaluate(() => {
    window.print = () => document.body.setAttribute('data-asked-to-print', document.title)
  })
  await shelf.press('Control+p')
  await expect(page.locator('body')).toHaveAttribute('data-asked-to-print', 'On paper')
  await page.emulateMedia({ media: 'print' })
  await expect(page.locator('#printed h1')).toBeVisible()
  await expect(page.locator('#desktop')).toBeHidden()
  await page.evaluate(() => dispatchEvent(new Event('afterprint')))
  await page.emulateMedia({ media: null })
  await expect(page.locator('#printed')).toHaveCount(0)
  await expect(page.locator('#desktop')).toBeVisible()
})

test('a document goes out with its pictures, and comes in again with them', async ({
  shelf,
  page,
}) => {
  await begin(shelf)
  await page.keyboard.type('# North')
  await expect.poll(() => titles(shelf)).toEqual(['North'])
  await shelf.press('Enter')
  const png = await page.evaluate(() => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 4, height: 3 })
    canvas.getContext('2d')?.fillRect(0, 0, 4, 3)
    return canvas.toDataURL('image/png').split(',')[1] ?? ''
  })
  // A picture from the clipboard is kept in the shelf.
  await page.evaluate((base64) => {
    const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0))
    const data = new DataTransfer()
    data.items.add(new File([bytes], 'Pit (1).png', { type: 'image/png' }))
    document.activeElement?.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    )
  }, png)
  const shown = page.locator(
    '[data-app=document] [contenteditable] img:not(.ProseMirror-separator)',
  )
  await expect(shown.last()).toBeVisible()
  const download = page.waitForEvent('download')
  await shelf.run('window.export')
  const file = await download
  expect(file.suggestedFilename()).toBe('North.zip')
  const content = await readFile(await file.path())
  await shelf.press('Alt+N', 'Enter')
  await shelf.drop({ name: 'North.zip', type: 'application/zip', content })
  await expect(page.getByRole('heading', { name: 'North' }).last()).toBeVisible()
  await expect
    .poll(() => shown.last().evaluate((image) => (image as HTMLImageElement).naturalWidth))
    .toBe(4)
  const pictures = Object.values((await shelf.state()).documents).filter(
    ({ title }) => title === 'Pit (1)',
  )
  expect(pictures).toHaveLength(2)
  await shelf.drop({ name: 'Broken.zip', type: 'application/zip', content: 'nothing' })
  await expect(page.locator('[data-said]')).toContainText('it is no ZIP, or it is damaged')
})

test('a table, a picture and the pages of a PDF are printed alone', async ({ shelf, page }) => {
  await shelf.open('shelf')
  await page.evaluate(() => {
    window.print = () => document.body.setAttribute('data-asked-to-print', document.title)
  })
  const printed = async (title: string) => {
    await expect(page.locator('body')).toHaveAttribute('data-asked-to-print', title)
    await page.emulateMedia({ media: 'print' })
    await expect(page.locator('#desktop')).toBeHidden()
  }
  const done = async () => {
    await page.evaluate(() => dispatchEvent(new Event('afterprint')))
    await page.emulateMedia({ media: null })
    await expect(page.locator('#printed')).toHaveCount(0)
  }
  await shelf.drop({
    name: 'Depths.csv',
    type: 'text/csv',
    content: 'place,cm\nTarn,=10+12\nWren,9\n',
  })
  await page.getByRole('gridcell', { name: 'Tarn' }).click()
  await shelf.press('Control+p')
  await printed('Depths')
  await expect(page.locator('#printed tr')).toHaveText(['placecm', 'Tarn22', 'Wren9'])
  await done()
  await shelf.drop({
    name: 'Pit.svg',
    type: 'image/svg+xml',
    content:
      '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="30"><rect width="40" height="30"/></svg>',
  })
  await page.getByLabel(/^Picture: arrows/).click()
  await shelf.press('Control+p')
  await printed('Pit')
  await expect(page.locator('#printed img')).toBeVisible()
  await done()
  await shelf.drop({ name: 'Pages.pdf', type: 'application/pdf', content: pdf(['One', 'Two']) })
  const pages = page.locator('[data-app=reader]').last()
  await expect(pages.locator('.page').first()).toBeVisible()
  await pages.locator('[data-autofocus]').focus()
  await shelf.press('8')
  await expect(pages.locator('.spread')).toHaveCount(1)
  await shelf.press('9')
  await expect(pages.getByRole('button', { name: 'Whole page' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await shelf.press('Control+p')
  await printed('Pages')
  await expect(page.locator('#printed img')).toHaveCount(2)
  await done()
  await page.waitForTimeout(1700)
  await shelf.reload()
  await expect(pages.locator('.spread')).toHaveCount(1)
})
