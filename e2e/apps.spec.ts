import type { Locator } from '@playwright/test'
import { pdf } from '../testing/pdf.mjs'
import { expect, test } from './shelf'

async function middle(place: Locator): Promise<{ x: number; y: number }> {
  const box = await place.boundingBox()
  if (!box) throw new Error('It is not drawn')
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 }
}

const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAIAAAACCAIAAAD91JpzAAAAFElEQVR4nGP8z8Dwn4GBgYGJAQoAHxcCAk+Uzr4AAAAASUVORK5CYII=',
  'base64',
)

/** A second of a quiet tone. */
function wav(): Buffer {
  const rate = 8000
  const sound = Buffer.from(
    Uint8Array.from({ length: rate }, (_, at) => 128 + 20 * Math.sin(at / 3)),
  )
  const head = Buffer.alloc(44)
  head.write('RIFF')
  head.writeUInt32LE(36 + rate, 4)
  head.write('WAVEfmt ', 8)
  head.writeUInt32LE(16, 16)
  head.writeUInt16LE(1, 20)
  head.writeUInt16LE(1, 22)
  head.writeUInt32LE(rate, 24)
  head.writeUInt32LE(rate, 28)
  head.writeUInt16LE(1, 32)
  head.writeUInt16LE(8, 34)
  head.write('data', 36)
  head.writeUInt32LE(rate, 40)
  return Buffer.concat([head, sound])
}

test('files dropped on the desktop open in the right app and survive a reload', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await shelf.drop(
    {
      name: 'Depths.csv',
      type: 'text/csv',
      content: 'place,cm\nAlder Flats,14\n"Low Saddle, top",9\n',
    },
    { name: 'Plan.md', type: 'text/markdown', content: '# Plan\n\nDig at **Tarn Ridge**.' },
    { name: 'Slope.png', type: 'image/png', content: PNG },
  )
  const look = async () => {
    const window = (name: string) => page.getByRole('region', { name, exact: true })
    await expect(window('Depths').getByRole('gridcell', { name: 'Low Saddle, top' })).toBeVisible()
    await expect(window('Plan').getByRole('heading', { name: 'Plan' })).toBeVisible()
    await expect(window('Slope').locator('img')).toBeVisible()
  }
  await look()
  await shelf.reload()
  await look()
})

test('a file of this computer opens by key; a PDF shows its page', async ({ shelf, page }) => {
  await shelf.open('shelf')
  const chooser = page.waitForEvent('filechooser')
  await shelf.press('Alt+Shift+;', 'O')
  await (await chooser).setFiles([
    { name: 'Route.pdf', mimeType: 'application/pdf', buffer: Buffer.from(pdf(['Couloir'])) },
    { name: 'Words.txt', mimeType: 'text/plain', buffer: Buffer.from('plain words') },
  ])
  await expect(page.getByText('Couloir')).toBeVisible()
  await expect(page.getByText('page 1 of 1')).toBeVisible()
  await expect(page.getByText('plain words')).toBeVisible()
})

test('a PDF is zoomed, searched, selected from, and found in the line; its page is kept', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  const content = pdf(['Gully', 'Ridge', 'Cornice', 'Saddle'])
  await shelf.drop({ name: 'Route.pdf', type: 'application/pdf', content })
  const reader = page.locator('[data-app="reader"]')
  const status = reader.getByRole('status').filter({ hasText: 'page' })
  await expect(status).toHaveText('page 1 of 4')
  // In the moment it appears the viewer may still put itself at its first page.
  await expect(reader.getByText('Gully')).toBeVisible()
  // Pages by key, and as many of them in sight as there is room for.
  await shelf.press('ArrowRight', 'ArrowRight')
  await expect(status).toHaveText('page 3 of 4')
  const width = async () => (await reader.locator('.page').first().boundingBox())?.width ?? 0
  const before = await width()
  await shelf.press('+')
  await expect.poll(width).toBeGreaterThan(before * 1.1)
  await shelf.press('0')
  await expect.poll(width).toBeLessThan(before + 2)
  // What is looked for is marked, in whatever page it stands.
  await shelf.press('/')
  await page.keyboard.type('saddle')
  await expect(reader.getByRole('search').getByRole('status')).toHaveText('1/1')
  await expect(status).toHaveText('page 4 of 4')
  await expect(reader.locator('.highlight.selected')).toHaveText('Saddle')
  await shelf.press('Escape')
  await expect(reader.getByRole('search')).toHaveCount(0)
  // A page by its number, and turned.
  await reader.getByRole('textbox', { name: 'Page' }).fill('2')
  await shelf.press('Enter')
  await expect(status).toHaveText('page 2 of 4')
  const tall = async () => {
    const box = await reader.locator('.page').first().boundingBox()
    return (box?.height ?? 0) > (box?.width ?? 0)
  }
  expect(await tall()).toBe(false)
  await reader.getByRole('button', { name: 'Rotate' }).click()
  await expect.poll(tall).toBe(true)
  for (let turn = 0; turn < 3; turn++) await reader.getByRole('button', { name: 'Rotate' }).click()
  await expect.poll(tall).toBe(false)
  await reader.getByRole('textbox', { name: 'Page' }).fill('9')
  await shelf.press('Enter')
  await expect(status).toHaveText('page 4 of 4')
  await reader.getByText('Saddle').dblclick()
  expect(await page.evaluate(() => String(getSelection()))).toBe('Saddle')
  await page.waitForTimeout(1700)
  await shelf.reload()
  await expect(status).toHaveText('page 4 of 4')
  expect(Object.values((await shelf.state()).documents).map(({ unsaved }) => unsaved)).toEqual([
    false,
  ])
  await shelf.press('Alt+;')
  await page.keyboard.type('corn')
  const line = page.getByRole('dialog', { name: 'Line' })
  await expect(line.getByRole('option', { name: /Route/ })).toContainText('Ridge Cornice')
  await shelf.press('Enter')
  await expect(reader.locator('.highlight.selected')).toHaveText('Corn')
  await expect(reader.locator('.highlight.selected')).toBeInViewport()
  expect(await shelf.violations()).toEqual([])
})

test('own sound files are played, sought in and kept; Space plays and pauses', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await shelf.drop({ name: 'Hut bell.wav', type: 'audio/wav', content: wav() })
  const player = page.locator('[data-app="player"]')
  await expect(player.getByRole('status')).toHaveText('Hut bell')
  await expect(player.getByText('0:00 / 0:01')).toBeVisible()
  await shelf.press('Space')
  // It ends, and what comes next is played.
  await expect(player.getByRole('status')).toHaveText('Wind over Tarn Ridge')
  await expect(player.getByRole('button', { name: 'Pause' })).toBeVisible()
  await shelf.press('ArrowRight', 'ArrowRight', 'Space')
  await expect(player.getByRole('button', { name: 'Play' })).toBeVisible()
  await player.getByRole('slider', { name: 'Position' }).fill('30')
  await expect(player.getByText('0:30 / 1:07')).toBeVisible()
  await shelf.reload()
  await expect(player.getByText('0:30 / 1:07')).toBeVisible()
  await expect(player.getByRole('button', { name: /^Hut bell/ })).toBeVisible()
  await player.getByRole('button', { name: 'Remove Hut bell' }).click()
  await expect(player.getByRole('button', { name: /^Hut bell/ })).toBeHidden()
  await shelf.drop({ name: 'Broken.mp3', type: 'audio/mpeg', content: 'no sound' })
  await expect(shelf.said()).toContainText('this browser can’t play it')
})

test('what is half-typed stays: over another thread, a rest and a reload', async ({
  shelf,
  page,
}) => {
  await shelf.open('demo')
  await shelf.run('window.focus', { window: 'line' })
  const messages = shelf.window('line')
  const reply = messages.getByLabel(/^Reply to/)
  await expect(reply).toBeFocused()
  const first = await reply.getAttribute('aria-label')
  await page.keyboard.type('Hold them at')
  await shelf.press('Shift+Enter')
  await page.keyboard.type('the hut')
  await shelf.press('PageDown')
  await expect(reply).not.toHaveAttribute('aria-label', first ?? '')
  await expect(reply).toHaveValue('')
  await page.keyboard.type('Not yet')
  await shelf.press('PageUp')
  await expect(reply).toHaveValue('Hold them at\nthe hut')
  await shelf.press('PageDown')
  await shelf.press('Alt+M')
  const { focus } = await shelf.state()
  await shelf.run('window.focus', { window: 'run' })
  const job = shelf.window('run').getByLabel('Name of a new job')
  await job.fill('Snowpack run, 24 h')
  await shelf.reload()
  await expect(job).toHaveValue('Snowpack run, 24 h')
  await shelf.run('window.focus', { window: 'line' })
  await expect(reply).toHaveValue('Not yet')
  expect(focus).not.toBe('line')
  await shelf.press('PageUp', 'Enter')
  await expect(messages.getByRole('log')).toContainText('Hold them at\nthe hut')
  await expect(reply).toHaveValue('')
  // In the smallest window the thread that is walked to comes into sight.
  await shelf.run('window.resize', { window: 'line', x: 40, y: 40, width: 200, height: 100 })
  const threads = await messages.locator('nav button').count()
  for (let at = 0; at < threads; at++) {
    await shelf.press('PageDown')
    await expect(messages.locator('nav [aria-current]')).toBeInViewport({ ratio: 0.9 })
  }
})

test('unknown and broken files are named, and nothing changes', async ({ shelf }) => {
  await shelf.open('shelf')
  const before = await shelf.state()
  for (const [name, content, why] of [
    ['Song.xyz', 'la', 'no app opens such files'],
    ['Broken.png', 'not a picture', 'not a picture'],
    ['Broken.pdf', 'not a page', 'not a PDF'],
    ['Broken.csv', 'a,b\n"1,2', 'line 2'],
    ['Broken.md', 'a\0b', 'not text'],
  ] as const) {
    await shelf.drop({ name, type: '', content })
    await expect(shelf.said()).toContainText(name)
    await expect(shelf.said()).toContainText(why)
    await expect(shelf.said()).toContainText('Nothing was changed')
  }
  expect(await shelf.state()).toEqual(before)
})

test('SVG and Markdown cannot bring scripts along', async ({ shelf, page }) => {
  // The policy says of each handler that it is not run, even where text is only parsed.
  shelf.expected = /^Executing inline event handler violates/
  await shelf.open('shelf')
  await shelf.drop(
    {
      name: 'Sly.svg',
      type: 'image/svg+xml',
      content:
        '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9" onload="window.caught=1"><script>window.caught=1</script><rect width="9" height="9"/></svg>',
    },
    {
      name: 'Sly.md',
      type: '',
      content: 'Hello <img src=x onerror="window.caught=1"> [go](javascript:window.caught=1)',
    },
  )
  const picture = page.locator('img[src^="data:image/svg"]')
  await expect(picture).toBeVisible()
  const source = Buffer.from(
    (await picture.getAttribute('src'))?.split(',')[1] ?? '',
    'base64',
  ).toString()
  expect(source).toContain('<rect')
  expect(source).not.toMatch(/script|onload/)
  await expect(page.getByText('Hello')).toBeVisible()
  await expect(page.locator('[href^="javascript"]')).toHaveCount(0)
  expect(await page.evaluate(() => 'caught' in window)).toBe(false)
})

test('a document is typed, saved, and asks before its changes are lost', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const bulletin = shelf.window('bulletin')
  await shelf.press('Alt+B')
  await expect(bulletin.getByRole('textbox', { name: 'Text' })).toBeFocused()
  await shelf.press('Control+End')
  await page.keyboard.type(' One.')
  await expect(bulletin.getByText('not saved')).toBeVisible()
  await shelf.press('Control+S')
  await expect(bulletin.getByText('not saved')).toBeHidden()
  await page.keyboard.type(' Two.')
  await shelf.press('Alt+Backspace')
  const question = page.getByRole('dialog', { name: 'Close “Bulletin for tomorrow”?' })
  await shelf.press('Escape')
  await expect(question).toBeHidden()
  await expect(bulletin).toBeVisible()
  await shelf.press('Alt+Backspace')
  await page.waitForTimeout(700)
  await shelf.press('Control+Backspace')
  await expect(bulletin).toHaveCount(0)
  await shelf.press('Alt+Shift+Backspace')
  await expect(bulletin).toContainText('One.')
  await expect(bulletin).not.toContainText('Two.')
})

test('a document is styled and exported as Markdown', async ({ shelf, page }) => {
  await shelf.open('shelf')
  await shelf.press('Alt+1')
  const editor = page.getByRole('textbox', { name: 'Text' })
  await expect(editor).toBeFocused()
  await page.getByRole('button', { name: 'Bold' }).click()
  await page.keyboard.type('Mind')
  await page.getByRole('button', { name: 'Bold' }).click()
  await page.keyboard.type(' the step')
  const download = page.waitForEvent('download')
  await shelf.press('Alt+Shift+;', 'D')
  const file = await download
  expect(file.suggestedFilename()).toBe('New document.md')
  const stream = await file.createReadStream()
  let text = ''
  for await (const chunk of stream) text += chunk
  expect(text.trim()).toBe('**Mind** the step')
})

test('a task stands beside its box, and a picture typed as Markdown leaves nothing behind', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await shelf.press('Alt+1')
  const text = page.getByRole('textbox', { name: 'Text' })
  await expect(text).toBeFocused()
  await page.keyboard.type('[ ] wax the skis')
  const box = await text.getByRole('checkbox').boundingBox()
  const words = await text.locator('li p').boundingBox()
  if (!box || !words) throw new Error('no task')
  expect(Math.abs(box.y + box.height / 2 - (words.y + words.height / 2))).toBeLessThan(8)
  expect(words.x).toBeGreaterThan(box.x + box.width)
  await page.keyboard.press('Enter')
  await page.keyboard.press('Enter')
  await page.keyboard.type('see ![a ridge](ridge.png) there')
  await expect(text.getByText('picture: a ridge')).toBeVisible()
  await expect(text.getByText('see', { exact: false }).last()).toHaveText(
    'see picture: a ridge there',
  )
})

test('a table is edited, sorted, filtered and grown by keyboard and pointer', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const table = shelf.window('stations')
  await table.getByRole('gridcell', { name: '18', exact: true }).click()
  await page.keyboard.type('19')
  await shelf.press('Enter')
  await expect(table.getByRole('gridcell', { name: '19', exact: true })).toBeVisible()
  await expect(table.getByRole('gridcell', { name: '22', exact: true })).toBeFocused()
  await shelf.press('Control+z')
  await expect(table.getByRole('gridcell', { name: '18', exact: true })).toBeVisible()
  // All of it, from the first cell on, wherever one is.
  await shelf.press('Control+a')
  await expect(table.getByRole('gridcell', { name: 'HR-01' })).toHaveClass(/in-range/)
  await shelf.press('Control+Home')
  await table.getByRole('columnheader', { name: 'new cm' }).click()
  await expect(table.getByRole('row').nth(1)).toContainText('HR-08')
  await table.getByRole('textbox', { name: 'Filter rows' }).fill('kestrel')
  await expect(table.getByRole('row')).toHaveCount(3)
  await table.getByRole('textbox', { name: 'Filter rows' }).fill('')
  await table.getByRole('button', { name: 'Add a row below' }).click()
  await expect(table.getByRole('row')).toHaveCount(10)
  await table.getByRole('button', { name: 'Add a column' }).click()
  await expect(table.getByRole('columnheader')).toHaveCount(8)
  await shelf.reload()
  await expect(table.getByRole('columnheader')).toHaveCount(8)
  await expect(table.getByRole('row')).toHaveCount(10)
})

test('the end of a document is after its table; what is pasted is a step of its own', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  const content = 'first\n\n| a | b |\n| --- | --- |\n| 1 | 2 |\n'
  await shelf.drop({ name: 'Ends.md', type: 'text/markdown', content })
  const text = page.locator('[data-app=document] [contenteditable=true]')
  await expect(text).toBeFocused()
  await shelf.press('Control+End')
  await page.keyboard.type('after')
  await expect(text.locator(':scope > p').last()).toHaveText('after')
  await text.evaluate((element) => {
    const clipboardData = new DataTransfer()
    clipboardData.setData('text/plain', ' pasted')
    element.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true }))
  })
  await page.keyboard.type(' typed')
  const last = text.locator(':scope > p').last()
  await expect(last).toHaveText('after pasted typed')
  await shelf.press('Control+Z')
  await expect(last).toHaveText('after pasted')
  await shelf.press('Control+Z')
  await expect(last).toHaveText('after')
})

test('a range is drawn in its own table only; what is drawn in another window goes on over it', async ({
  shelf,
}) => {
  const id = await shelf.furnish({
    Field: {
      Stations: { app: 'table', frame: { x: 500, y: 24, width: 500, height: 350 } },
      Text: { app: 'document', frame: { x: 20, y: 24, width: 460, height: 350 } },
    },
  })
  const text = shelf.window(id('Text')).locator('.tiptap')
  await text.fill('Kestrel Bowl')
  const cells = shelf.window(id('Stations')).getByRole('gridcell')
  await shelf.drag(text, await middle(cells.nth(1)), { x: 40, y: 30 })
  await expect(text).toBeFocused()
  expect((await shelf.state()).focus).toBe(id('Text'))
  await shelf.drag(cells.nth(0), await middle(cells.nth(4)))
  await expect(cells.nth(4)).toBeFocused()
  await expect(shelf.window(id('Stations')).locator('.in-range')).not.toHaveCount(0)
})

test('a countdown runs, pauses over a reload, and is done', async ({ shelf, page }) => {
  await shelf.open('shelf')
  await shelf.press('Alt+4')
  await expect(page.getByRole('textbox', { name: 'Time or duration' })).toBeFocused()
  await page.keyboard.type('tomorrow')
  await shelf.press('Enter')
  await expect(page.getByText('Type 16:00, 4pm, tea 25 min')).toBeVisible()
  await page.getByRole('textbox', { name: 'Time or duration' }).fill('10 min')
  await shelf.press('Enter')
  await expect(page.getByRole('timer')).toHaveText(/9:5\d|10:00/)
  await page.getByRole('button', { name: 'Pause' }).click()
  await shelf.reload()
  await expect(page.getByText('Paused')).toBeVisible()
  await expect(page.getByRole('timer')).toHaveText(/9:\d\d|10:00/)
  await page.getByRole('textbox', { name: 'Time or duration' }).fill('1 s')
  await shelf.press('Enter')
  await expect(page.getByRole('timer')).toHaveText('Done')
})

test('a picture zooms by key and wheel, and is moved by dragging', async ({ shelf, page }) => {
  await shelf.open()
  const pit = shelf.window('pit')
  await pit.locator('img').click()
  await shelf.press('+', '+')
  await expect(pit.getByText('156 %')).toBeVisible()
  await pit.locator('img').hover()
  await page.mouse.wheel(0, -100)
  await expect(pit.getByText('195 %')).toBeVisible()
  // The text comes a moment before what is drawn beside it.
  await shelf.drawn()
  const left = () => pit.locator('img').evaluate((image) => image.getBoundingClientRect().x)
  const before = await left()
  await expect(pit.locator('[data-autofocus]')).toBeFocused()
  await shelf.press('ArrowLeft')
  await expect.poll(left).toBeCloseTo(before + 40)
  await shelf.press('0')
  await expect(pit.getByText('fit', { exact: true })).toBeVisible()
})

test('a PDF with fonts of its own adds none to the page, so that no text elsewhere is laid out anew', async ({
  shelf,
  page,
  context,
}) => {
  const paper = await context.newPage()
  await paper.goto('/pages/notice')
  const content = await paper.pdf()
  await paper.close()
  await shelf.open('shelf')
  await page.evaluate(() => document.fonts.ready)
  const fonts = () => page.evaluate(() => document.fonts.size)
  const before = await fonts()
  await shelf.drop({ name: 'Notice.pdf', type: 'application/pdf', content })
  await expect(page.locator('.page[data-loaded] .textLayer')).toContainText('Snow')
  expect(await fonts()).toBe(before)
})
