import { expect, test } from './shelf'

test('a text that is read is searched, word by word, with capitals or without', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  const content = 'Snow on the ridge.\nMore snow in the gully: Snowfall.\n'
  await shelf.drop({ name: 'Log.txt', type: 'text/plain', content })
  const reader = page.locator('[data-app=reader]')
  await expect(reader.getByText('Snowfall')).toBeVisible()
  // From the line as by its own keys.
  await shelf.press('Alt+;')
  await page.keyboard.type('find in this window')
  await shelf.press('Enter')
  await expect(reader.getByRole('searchbox', { name: 'Find in this text' })).toBeFocused()
  await page.keyboard.type('snow')
  const count = reader.getByRole('search').getByRole('status')
  await expect(count).toHaveText('1/3')
  await shelf.press('Enter')
  await expect(count).toHaveText('2/3')
  const here = () =>
    page.evaluate(() => [...(CSS.highlights.get('found-here') ?? [])].map(String).join())
  expect(await here()).toBe('snow')
  await reader.getByRole('button', { name: 'Match case' }).click()
  await expect(count).toHaveText('1/1')
  await reader.getByRole('button', { name: 'Match case' }).click()
  await reader.getByRole('button', { name: 'Whole words only' }).click()
  await expect(count).toHaveText('1/2')
  await page.getByRole('searchbox', { name: 'Find in this text' }).fill('fog')
  await expect(count).toHaveText('no matches')
  await shelf.press('Escape')
  await expect(reader.getByRole('search')).toHaveCount(0)
  await expect(reader.getByRole('region', { name: 'Text' })).toBeFocused()
  expect(await page.evaluate(() => CSS.highlights.get('found')?.size)).toBe(0)
  // It is written on, read on, and goes out as the file it is.
  await shelf.press('F2')
  await expect(reader.getByRole('textbox', { name: 'Text' })).toBeFocused()
  await shelf.press('Control+End')
  await page.keyboard.type('Fog at noon.')
  await shelf.press('Escape')
  await expect(reader.getByRole('region', { name: 'Text' })).toBeFocused()
  await shelf.reload()
  await expect(reader.getByText('Fog at noon.')).toBeVisible()
  const given = page.waitForEvent('download')
  await shelf.run('window.export')
  expect((await given).suggestedFilename()).toBe('Log.txt')
  const stream = await (await given).createReadStream()
  let text = ''
  for await (const chunk of stream) text += chunk
  expect(text).toBe(`${content}Fog at noon.`)
})

test('a thread is begun, found in, marked unread and deleted', async ({ shelf, page }) => {
  await shelf.open()
  await shelf.run('desktop.go', { to: 'Public line' })
  const line = shelf.window('line')
  const threads = line.getByRole('navigation', { name: 'Threads' })
  await threads.getByRole('textbox', { name: 'Start a thread with' }).fill('Avalanche school')
  await shelf.press('Enter')
  const entry = threads.getByRole('button', { name: /Avalanche school/ })
  await expect(entry).toHaveAttribute('aria-current', 'true')
  const reply = line.getByRole('textbox', { name: 'Reply to Avalanche school' })
  await expect(reply).toBeFocused()
  await page.keyboard.type('Course on Friday?')
  await shelf.press('Enter')
  await expect(line.getByRole('log')).toContainText('Course on Friday?')
  await shelf.press('Control+f')
  await page.keyboard.type('friday')
  await expect(line.getByRole('search').getByRole('status')).toHaveText('1/1')
  await shelf.press('Escape')
  await expect(reply).toBeFocused()
  await line.getByRole('button', { name: 'Mark as unread' }).click()
  await expect(entry).toContainText('1 new')
  // It is read again when one comes back to it.
  await threads.getByRole('button').first().click()
  await entry.click()
  await expect(entry).not.toContainText('new')
  await shelf.reload()
  await expect(entry).toBeVisible()
  await line.getByRole('button', { name: 'Delete this thread' }).click()
  await shelf.press('Enter')
  await expect(entry).toHaveCount(0)
  await expect(line.getByRole('textbox', { name: /^Reply to/ })).toBeFocused()
})

test('countdowns are typed as one says them, several at once; a stopwatch counts up', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await shelf.press('Alt+4')
  const field = page.locator('[data-focused]').getByRole('textbox', { name: 'Time or duration' })
  await expect(field).toBeFocused()
  await page.keyboard.type('tea 5 min')
  await shelf.press('Enter')
  await expect(page.getByRole('timer')).toHaveText(/4:5\d|5:00/)
  await expect(page.locator('[data-app=countdown] p').getByText('tea')).toBeVisible()
  await page.keyboard.type('weekdays 9:00 rounds')
  await shelf.press('Control+Enter')
  await expect(page.locator('[data-app=countdown]')).toHaveCount(2)
  await expect(page.locator('[data-focused]').getByText('rounds').first()).toBeVisible()
  await expect(page.locator('[data-focused]').getByText('until 09:00, on weekdays')).toBeVisible()
  await field.fill('stopwatch')
  await shelf.press('Enter')
  const watch = page.locator('[data-focused]').getByRole('timer', { name: 'Time gone by' })
  await expect(watch).toHaveText('0:01')
  await page.locator('[data-focused]').getByRole('button', { name: 'Pause' }).click()
  const stood = await watch.textContent()
  await shelf.reload()
  await expect(watch).toHaveText(stood ?? '')
  await field.fill('2 s the soup')
  await shelf.press('Enter')
  await shelf.desktops('Elsewhere')
  await shelf.run('desktop.go', { to: 'Elsewhere' })
  await expect(page.getByText(/the soup, since \d\d:\d\d/).first()).toBeVisible()
})

test('a player is led by keys: its list, back and on, mixed, and by the keys for media', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  await shelf.run('window.open', { app: 'player' })
  const player = page.locator('[data-app=player]')
  await expect(player.locator('[data-autofocus]')).toBeFocused()
  await shelf.press('ArrowDown', 'ArrowDown', 'Enter')
  const name = player.getByRole('status')
  await expect(name).toHaveText('Low Saddle, evening')
  await shelf.press('PageDown')
  await expect(name).toHaveText('Hut lights')
  await shelf.press('PageUp')
  await expect(name).toHaveText('Low Saddle, evening')
  expect(await page.evaluate(() => navigator.mediaSession.metadata?.title)).toBe(
    'Low Saddle, evening',
  )
  await shelf.press('x')
  await expect(player.getByRole('button', { name: 'Shuffle' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await shelf.reload()
  await expect(player.getByRole('button', { name: 'Shuffle' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
})

test('files of a player are put in order, and a file’s chapters are gone to', async ({
  shelf,
  page,
}) => {
  await shelf.furnish({
    Field: { Radio: { app: 'player', frame: { x: 40, y: 40, width: 360, height: 560 } } },
  })
  const player = page.locator('[data-app=player]')
  const file = (name: string) => ({ name, mimeType: 'audio/wav', buffer: silence(8) })
  await player.locator('input[type=file]').setInputFiles(['A.wav', 'B.wav', 'C.wav'].map(file))
  const names = () =>
    player
      .locator('[data-tune] span:first-child')
      .allTextContents()
      .then((all) => all.slice(-3))
  await expect.poll(names).toEqual(['A', 'B', 'C'])
  const tune = (name: string) => player.getByRole('button', { name: new RegExp(`^${name} ?\\d`) })
  await tune('C').focus()
  await shelf.press('Shift+ArrowUp', 'Shift+ArrowUp', 'Shift+ArrowUp')
  await expect.poll(names).toEqual(['C', 'A', 'B'])
  await expect(tune('C')).toBeFocused()
  const [from, to] = [await tune('C').boundingBox(), await tune('B').boundingBox()]
  await page.mouse.move((from?.x ?? 0) + 60, (from?.y ?? 0) + 10)
  await page.mouse.down()
  await page.mouse.move((to?.x ?? 0) + 60, (to?.y ?? 0) + 16, { steps: 8 })
  await page.mouse.up()
  await expect.poll(names).toEqual(['A', 'B', 'C'])
  await tune('B').click()
  await expect(player.getByRole('status')).toHaveText('B')
  const chapters = player.getByRole('list', { name: 'Chapters' })
  await expect(chapters.getByRole('button')).toHaveText(['Ridge0:00', 'Saddle0:03', 'Hut0:05'])
  await chapters.getByRole('button', { name: 'Hut' }).click()
  await expect(player.getByText(/^0:0[567] \/ 0:08$/)).toBeVisible()
  await shelf.reload()
  await expect(chapters.getByRole('button')).toHaveCount(3)
  expect(await shelf.violations()).toEqual([])
})

/** So many seconds of silence as a WAV file, with three chapters (ID3 2.3, frames CHAP). */
function silence(seconds: number): Buffer {
  const chunk = (id: string, body: Buffer) => {
    const head = Buffer.alloc(8)
    head.write(id)
    head.writeUInt32LE(body.length, 4)
    return Buffer.concat([head, body])
  }
  const frame = (id: string, body: Buffer) => {
    const head = Buffer.alloc(10)
    head.write(id)
    head.writeUInt32BE(body.length, 4)
    return Buffer.concat([head, body])
  }
  const chapter = (title: string, from: number, to: number) => {
    const times = Buffer.alloc(16, 0xff)
    times.writeUInt32BE(from * 1000, 0)
    times.writeUInt32BE(to * 1000, 4)
    const named = frame('TIT2', Buffer.from(`\0${title}`))
    return frame('CHAP', Buffer.concat([Buffer.from(`${title}\0`), times, named]))
  }
  const frames = Buffer.concat([
    chapter('Ridge', 0, 3),
    chapter('Saddle', 3, 5),
    chapter('Hut', 5, 8),
  ])
  const tag = Buffer.alloc(10)
  tag.write('ID3')
  tag[3] = 3
  for (const at of [0, 1, 2, 3]) tag[6 + at] = (frames.length >> (7 * (3 - at))) & 127
  const rate = 8000
  const format = Buffer.alloc(16)
  format.writeUInt16LE(1, 0)
  format.writeUInt16LE(1, 2)
  format.writeUInt32LE(rate, 4)
  format.writeUInt32LE(rate, 8)
  format.writeUInt16LE(1, 12)
  format.writeUInt16LE(8, 14)
  const body = Buffer.concat([
    Buffer.from('WAVE'),
    chunk('fmt ', format),
    chunk('data', Buffer.alloc(rate * seconds, 128)),
    chunk('id3 ', Buffer.concat([tag, frames])),
  ])
  return chunk('RIFF', body)
}

test('sums are worked out line by line as they are typed, and copied', async ({ shelf, page }) => {
  await shelf.open('shelf')
  await shelf.press('Alt+;')
  await page.keyboard.type('calculator')
  await shelf.press('Enter')
  const sums = page.locator('[data-app=sums]')
  await expect(sums.getByRole('textbox', { name: 'Sums' })).toBeFocused()
  await page.keyboard.type('snow = 12 + 4\nsnow * 2\n+ 8\n\n1/0')
  const results = sums.getByRole('list', { name: 'Results' }).getByRole('listitem')
  await expect(results).toHaveText(['16', '32', '40', '', '…'])
  await expect(sums.getByRole('status')).toContainText('it divides by 0')
  await shelf.press('ArrowUp', 'ArrowUp')
  await expect(sums.getByRole('status')).toContainText('= 40')
  await page.evaluate(() => {
    navigator.clipboard.writeText = async (text) => {
      document.body.dataset.copied = text
    }
  })
  await shelf.press('Control+Enter')
  await expect(page.locator('body')).toHaveAttribute('data-copied', '40')
  // A sum typed into the line is worked out there.
  await shelf.press('Alt+;')
  await page.keyboard.type('(12 + 4) * 3')
  await expect(page.getByRole('dialog', { name: 'Line' }).locator('output')).toHaveText('= 48')
  await shelf.press('Enter')
  await expect(shelf.said()).toContainText('Copied 48')
  await expect(page.locator('body')).toHaveAttribute('data-copied', '48')
  await shelf.reload()
  await expect(results).toHaveText(['16', '32', '40', '', /it divides by 0|…/])
})

test('each desktop has a sheet of notes, always the same, by one key', async ({ shelf, page }) => {
  await shelf.open('shelf')
  await shelf.press('Alt+j', 'Shift+T')
  const text = page.locator('[data-focused] [contenteditable=true]')
  await expect(text).toBeFocused()
  await page.keyboard.type('wax the skis')
  await shelf.desktops('Elsewhere')
  await shelf.run('desktop.go', { to: 'Elsewhere' })
  await shelf.press('Alt+j', 'Shift+T')
  await expect(page.locator('[data-focused]').getByText('Notes, Elsewhere').first()).toBeVisible()
  await expect(text).toHaveText('')
  await shelf.run('desktop.go', { to: 'first' })
  await shelf.press('Control+s', 'Alt+Backspace')
  await expect(page.locator('[data-focused]')).toHaveCount(0)
  await shelf.reload()
  await shelf.press('Alt+j', 'Shift+T')
  await expect(text).toHaveText('wax the skis')
})

test('the drawer finds what is written, shows where it is open, and takes several at once', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.run('desktop.go', { to: 'Rota' })
  await shelf.press('Alt+9')
  const drawer = page.locator('[data-app=drawer]')
  const filter = drawer.getByRole('textbox', { name: 'Filter the drawer' })
  await filter.fill('evening forecaster')
  const items = drawer.getByRole('list', { name: 'Files' }).getByRole('listitem')
  await expect(items).toHaveCount(1)
  await expect(items).toContainText('Handover')
  await expect(items.locator('mark')).toHaveText('evening forecaster')
  await expect(items).toContainText('on Rota')
  // As it will look.
  await expect(drawer.getByRole('region')).toContainText('To the evening forecaster')
  await shelf.press('Enter')
  await expect.poll(async () => (await shelf.state()).focus).toBe('handover')
  // Two made and closed, found, marked by key, and deleted in one step.
  for (const title of ['Quillwort one', 'Quillwort two']) {
    await shelf.run('window.open', { app: 'table', title })
    await shelf.press('Alt+Backspace')
  }
  await shelf.press('Alt+9')
  await filter.fill('quillwort')
  await expect(items).toHaveCount(2)
  await shelf.press('Control+Enter')
  await drawer.getByRole('button', { name: 'Mark, to do something with several' }).click()
  await expect(drawer.getByText('2 marked')).toBeVisible()
  await drawer.getByRole('button', { name: 'Delete' }).click()
  await expect(shelf.said()).toContainText('Deleted 2 documents')
  await shelf.press('Alt+Z')
  await expect(items.locator('.line-through')).toHaveCount(0)
  await drawer.getByRole('combobox', { name: 'Order' }).selectOption('last opened first')
  await filter.fill('')
  await expect(items.first()).toContainText('Quillwort two')
  await shelf.reload()
  await expect(drawer.getByRole('combobox', { name: 'Order' })).toHaveValue('opened')
})

test('a job of one’s own replaces words, joins and sums tables, and makes pictures smaller', async ({
  shelf,
  page,
}) => {
  // Four works, one after the other.
  test.setTimeout(120_000)
  await shelf.furnish({
    Field: {
      Note: { app: 'document', frame: { x: 20, y: 20, width: 380, height: 260 } },
      Jobs: { app: 'job', frame: { x: 420, y: 20, width: 460, height: 420 } },
    },
  })
  await shelf.drop({
    name: 'Depths.csv',
    type: 'text/csv',
    content: 'place,cm\nTarn,20\nWren,31\nTarn,22\n',
  })
  await shelf.drop({ name: 'Huts.csv', type: 'text/csv', content: 'place,hut\nTarn,yes\n' })
  await page.locator('[data-app=document] [contenteditable=true]').click()
  await page.keyboard.type('Snow on snow')
  await shelf.press('Control+s')
  const jobs = page.locator('[data-app=job]')
  const kind = jobs.getByLabel('Kind of job')
  await kind.selectOption('replace')
  await jobs.getByLabel('Replace', { exact: true }).fill('snow')
  await page.keyboard.press('Tab')
  await page.keyboard.type('ice')
  await jobs.getByLabel('In files named').fill('note')
  await expect(jobs.getByText('1 file', { exact: true })).toBeVisible()
  await shelf.press('Enter')
  await expect(jobs.getByRole('log')).toContainText('Note: 2 matches')
  await expect(page.locator('[data-app=document]').getByText('ice on ice')).toBeVisible()
  // What was replaced waits over a reload, and goes back as a whole.
  await expect(jobs.getByText('1 file not saved')).toBeVisible()
  await shelf.reload()
  await expect(page.locator('[data-app=document]').getByText('ice on ice')).toBeVisible()
  await jobs.getByRole('button', { name: 'Discard all' }).click()
  await expect(page.locator('[data-app=document]').getByText('Snow on snow')).toBeVisible()
  await kind.selectOption('sum')
  await jobs.getByRole('button', { name: 'Queue' }).click()
  await expect(jobs.getByRole('alert')).toHaveText('Choose a table.')
  await jobs.getByLabel('Table', { exact: true }).selectOption({ label: 'Depths' })
  await jobs.getByLabel('Column to sum').selectOption('cm')
  await jobs.getByLabel('Group by column').selectOption('place')
  await jobs.getByRole('button', { name: 'Queue' }).click()
  const summed = jobs.getByRole('listitem').filter({ hasText: 'Sum of cm by place, Depths' })
  await summed.getByRole('button', { name: 'Open result' }).click()
  const result = page.locator('[data-app=table]').filter({ hasText: 'Sum of cm by place' })
  await expect(result.getByRole('row').nth(1)).toContainText(/Tarn\s*2\s*42\s*21/)
  await kind.selectOption('join')
  await jobs.getByLabel('First table', { exact: true }).selectOption({ label: 'Depths' })
  await jobs.getByLabel('Second table', { exact: true }).selectOption({ label: 'Huts' })
  await jobs.getByLabel('Column in first table').selectOption('place')
  await jobs.getByLabel('Column in second table').selectOption('place')
  await jobs.getByRole('button', { name: 'Queue' }).click()
  await expect(jobs.getByRole('log')).toContainText('3 rows: 1 without a match in Huts')
  // A picture of 40 × 20, made smaller beside the one it was made of.
  const data = await page.evaluate(() => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 40, height: 20 })
    canvas.getContext('2d')?.fillRect(0, 0, 40, 20)
    return canvas.toDataURL('image/png').split(',')[1] ?? ''
  })
  await shelf.drop({ name: 'Ridge.png', type: 'image/png', content: Buffer.from(data, 'base64') })
  await kind.selectOption('resize')
  await jobs.getByLabel('In files named').fill('ridge')
  await jobs.getByLabel('Longest side, pixels').fill('huge')
  await shelf.press('Enter')
  await expect(jobs.getByRole('alert')).toHaveText('Type a number of pixels from 16 to 8000.')
  await jobs.getByLabel('Longest side, pixels').fill('20')
  await shelf.press('Enter')
  await expect(jobs.getByRole('log')).toContainText('Ridge: 40 × 20 → 20 × 10')
  await expect
    .poll(async () => Object.values((await shelf.state()).documents).map(({ title }) => title))
    .toContain('Ridge, 20 × 10')
  expect(await shelf.violations()).toEqual([])
})
