import type { Locator } from '@playwright/test'
import { Disk } from './disk'
import { expect, type ShelfPage, test } from './shelf'

const NOTES = 'Snow\n\nThe north side holds.\n\nFrom the west.\n'

/** Opens files by name, as a person chooses them. */
async function open(shelf: ShelfPage, disk: Disk, ...names: string[]): Promise<void> {
  await disk.choose(...names)
  await shelf.run('shelf.openFile')
}

/** A file of notes, opened in a window. */
async function slope(shelf: ShelfPage) {
  const disk = await Disk.of(shelf.page)
  await shelf.open('shelf')
  await disk.write('slope.md', NOTES)
  await open(shelf, disk, 'slope.md')
  const window = shelf.page.getByRole('region', { name: 'slope' })
  // From then on it is known which file it is.
  await expect(window.getByTitle('slope.md')).toBeVisible()
  return { disk, window, text: window.getByRole('textbox', { name: 'Text' }) }
}

/** Types at the end of its first line. */
async function typeInto(text: Locator, said: string): Promise<void> {
  await text.getByText('Snow').click()
  await text.page().keyboard.press('End')
  await text.page().keyboard.type(said)
}

test('a document is opened from a file, written back as it came, and there over a reload', async ({
  shelf,
  page,
}) => {
  const disk = await Disk.of(page)
  await shelf.open('shelf')
  const CAME = '\ufeffSnow\r\n\r\nThe north side holds.\r\n\r\n* one\r\n* two'
  await disk.write('slope.md', CAME)
  await open(shelf, disk, 'slope.md')
  const window = page.getByRole('region', { name: 'slope' })
  await expect(window.getByTitle('slope.md')).toBeVisible()
  const text = window.getByRole('textbox', { name: 'Text' })
  await text.getByText('The north side').click()
  await shelf.press('End')
  await page.keyboard.type(' Well.')
  await expect(window.getByText('not saved').first()).toBeVisible()
  await shelf.press('Control+s')
  await expect(shelf.said()).toHaveText(/Saved in “slope.md”/)
  await disk.says('slope.md', CAME.replace('holds.', 'holds. Well.'))
  await shelf.press('Control+s')
  await expect(shelf.said()).toHaveText(/“slope.md” is up to date/)
  await shelf.reload()
  await expect(window.getByTitle('slope.md')).toBeVisible()
  await text.getByText('The north side').click()
  await shelf.press('End')
  await page.keyboard.type(' Still.')
  await shelf.press('Control+s')
  await disk.says('slope.md', CAME.replace('holds.', 'holds. Well. Still.'))
  // Opened once more it is gone to.
  await open(shelf, disk, 'slope.md')
  expect(Object.keys((await shelf.state()).windows)).toHaveLength(1)
  // Saved while it is closed it is in the file too.
  await page.keyboard.type('x')
  await window.getByRole('button', { name: 'Close', exact: true }).click()
  await page.getByRole('button', { name: 'Save and close' }).click()
  await disk.says('slope.md', CAME.replace('holds.', 'holds. Well. Still.x'))
})

test('a table keeps its separator, its quotes and its line ends', async ({ shelf, page }) => {
  const disk = await Disk.of(page)
  await shelf.open('shelf')
  await disk.write('rota.csv', '"who";"days"\n"Ana";"3"\n"Bo";"1;5"\n')
  await open(shelf, disk, 'rota.csv')
  const cell = page.getByRole('gridcell', { name: '3', exact: true })
  await cell.click()
  await page.keyboard.type('4')
  await shelf.press('Enter', 'Control+s')
  await disk.says('rota.csv', '"who";"days"\n"Ana";"4"\n"Bo";"1;5"\n')
})

test('what another program changed is told, and merged paragraph by paragraph', async ({
  shelf,
  page,
}) => {
  const { disk, window, text } = await slope(shelf)
  await typeInto(text, ' falls')
  await disk.write('slope.md', NOTES.replace('west', 'east').replace('holds', 'slides'))
  const told = page.getByRole('alert').filter({ hasText: '“slope.md” was changed' })
  await expect(told).toBeVisible()
  await expect(window.getByRole('button', { name: 'slope.md: changed outside' })).toBeVisible()
  // Put back as it was there is nothing to tell.
  await disk.write('slope.md', NOTES)
  await expect(told).toBeHidden()
  await expect(window.getByText('changed outside')).toBeHidden()
  await disk.write('slope.md', NOTES.replace('west', 'east').replace('holds', 'slides'))
  await expect(told).toBeVisible()
  // Saving does not write over it.
  await text.click()
  await shelf.press('Control+s')
  const dialog = page.getByRole('dialog', { name: 'Compare with “slope.md”' })
  await expect(dialog.getByText('The north side slides.')).toBeVisible()
  await dialog
    .getByRole('group', { name: 'What is taken of difference 3' })
    .getByRole('radio', { name: 'this' })
    .check()
  await dialog.getByRole('button', { name: 'Merge as chosen' }).click()
  await disk.says('slope.md', 'Snow falls\n\nThe north side slides.\n\nFrom the west.\n')
  await expect(text).toContainText('Snow falls')
  await expect(text).toContainText('slides')
  await expect(told).toBeHidden()
  await expect(window.getByText('changed outside')).toBeHidden()
})

test('the file is taken, and what was here and in no file stays in the drawer', async ({
  shelf,
  page,
}) => {
  const { disk, window, text } = await slope(shelf)
  await typeInto(text, ' is mine')
  await disk.write('slope.md', 'All is other.\n')
  await window.getByRole('button', { name: 'slope.md: changed outside' }).click()
  await page.getByRole('button', { name: 'Take the file' }).click()
  await expect(text).toHaveText('All is other.')
  await expect(shelf.said()).toContainText('as it was here')
  const kept = Object.values((await shelf.state()).documents).find(({ title }) =>
    title.endsWith('as it was here'),
  )
  expect(kept).toBeDefined()
  await shelf.run('window.open', { app: 'document', document: kept?.id })
  await expect(page.getByRole('textbox', { name: 'Text' }).last()).toContainText('Snow is mine')
})

test('a file that is gone loses nothing; the document is saved to another, and let go of', async ({
  shelf,
  page,
}) => {
  const { disk, window, text } = await slope(shelf)
  await disk.remove('slope.md')
  await expect(page.getByRole('alert').filter({ hasText: 'isn’t there any more' })).toBeVisible()
  await expect(window.getByText('file is gone')).toBeVisible()
  await typeInto(text, ' stays')
  await shelf.press('Control+s')
  await expect(shelf.said()).toContainText('It is saved in the shelf')
  await disk.choose('as suggested')
  await shelf.run('window.saveTo')
  await expect(shelf.said()).toContainText('which is its file from now on')
  await disk.says('slope.md', NOTES.replace('Snow', 'Snow stays'))
  await expect(window.getByText('file is gone')).toBeHidden()
  await shelf.run('window.leaveFile')
  await expect(window.getByTitle('slope.md')).toBeHidden()
  // A dialog that is left changes nothing.
  await disk.choose()
  await shelf.run('window.saveTo')
  await expect(shelf.said()).toContainText('No file was chosen')
})

test('what may not be read any more is asked for in words, and a file that takes nothing is told', async ({
  shelf,
  page,
}) => {
  await page.addInitScript(() => {
    const may = () => localStorage.getItem('may') ?? 'granted'
    Object.assign(FileSystemHandle.prototype, {
      queryPermission: async () => may(),
      requestPermission: async () => {
        localStorage.setItem('may', 'granted')
        return 'granted'
      },
    })
  })
  const { text } = await slope(shelf)
  await expect(page.getByTitle('slope.md', { exact: true })).toBeVisible()
  await page.evaluate(() => localStorage.setItem('may', 'prompt'))
  await shelf.reload()
  const asks = page.getByRole('alert').filter({ hasText: 'has to be allowed again' })
  await expect(asks).toContainText('“slope.md”')
  await asks.getByRole('button', { name: 'Allow' }).click()
  await expect(asks).toBeHidden()
  await expect(page.getByText('allow again')).toBeHidden()
  await page.evaluate(() => {
    FileSystemFileHandle.prototype.createWritable = async () => {
      throw new DOMException('read only', 'NoModificationAllowedError')
    }
  })
  await typeInto(text, ' anew')
  await shelf.press('Control+s')
  await expect(shelf.said()).toContainText('It can only be read')
  await expect(page.getByText('not in the file')).toBeVisible()
  // Allowed once more it is still behind what is saved here.
  await page.evaluate(() => localStorage.setItem('may', 'prompt'))
  await shelf.reload()
  await asks.getByRole('button', { name: 'Allow' }).click()
  await expect(page.getByText('not in the file')).toBeVisible()
})

test('killed in the middle of saving again and again, the file is always a whole one @first', async ({
  shelf,
  page,
}) => {
  const disk = await Disk.of(page)
  await shelf.open('shelf')
  const rest = `\n\n${'A line that stays. '.repeat(200)}\n`
  await disk.write('long.md', `n${rest}`)
  await open(shelf, disk, 'long.md')
  const text = page.getByRole('textbox', { name: 'Text' })
  let before = 1
  for (let kill = 0; kill < 8; kill++) {
    await text.click()
    await shelf.press('Control+Home', 'End')
    let over = false
    const saving = (async () => {
      for (let n = 0; n < 25 && !over; n++)
        for (const key of [String(n % 10), 'Control+s']) await page.keyboard.press(key)
    })()
    await page.waitForTimeout(40 + kill * 90)
    over = true
    await page.reload()
    await saving
    await expect(page.locator('#desktop')).toBeVisible()
    const said = await disk.read('long.md')
    expect(said.endsWith(rest)).toBe(true)
    const first = said.slice(0, -rest.length)
    expect(first).toMatch(/^[n\d]+$/)
    expect(first.length).toBeGreaterThanOrEqual(before)
    before = first.length
  }
  expect(before).toBeGreaterThan(20)
})

test('a desktop has a folder: its files are found in the line, new ones made by name, new documents saved there', async ({
  shelf,
  page,
}) => {
  const disk = await Disk.of(page)
  await shelf.furnish({ Slopes: { Notes: 'document' }, Rota: {} })
  await disk.write('north.md', NOTES)
  await disk.write('picture.exe', 'none')
  await disk.choose('disk')
  await shelf.run('desktop.folder')
  await expect(shelf.said()).toContainText('Slopes has the folder “disk”')
  const find = async (typed: string) => {
    await shelf.run('line.open')
    await page.getByRole('combobox').fill(typed)
  }
  const files = page.getByRole('dialog', { name: 'Line' }).getByRole('group', { name: 'Files' })
  // From another desktop too: it opens where its folder is.
  await shelf.run('desktop.go', { to: 'Rota' })
  await find('north')
  await expect(files.getByRole('option')).toHaveText([/^north\.mddisk$/])
  await files.getByRole('option').click()
  const north = page.getByRole('region', { name: 'north' })
  await expect(north.getByTitle('north.md')).toBeVisible()
  await expect(shelf.row('Slopes').getByRole('button').first()).toHaveAttribute('aria-current')
  await find('plan.md')
  await files.getByRole('option', { name: /New file “plan.md”/ }).click()
  await expect(page.getByRole('region', { name: 'plan' }).getByTitle('plan.md')).toBeVisible()
  await page.keyboard.type('Begun')
  await shelf.press('Control+s')
  await disk.says('plan.md', 'Begun')
  // A document that has no file gets one there, and writes over none.
  await disk.write('Notes.md', 'Not ours')
  const notes = page.getByRole('region', { name: 'Notes', exact: true })
  await notes.getByRole('textbox', { name: 'Text' }).click()
  await page.keyboard.type('Mine')
  await shelf.press('Control+s')
  await expect(shelf.said()).toContainText('Saved in “Notes 2.md”')
  await disk.says('Notes 2.md', 'Mine')
  await disk.says('Notes.md', 'Not ours')
  await shelf.reload()
  await find('north')
  await expect(files.getByRole('option')).toHaveCount(1)
  await shelf.press('Escape')
  await shelf.run('desktop.leaveFolder')
  await find('north.md')
  await expect(files.getByRole('option')).toHaveCount(0)
})

test('a document is dragged out of its window as a file', async ({ shelf, page }) => {
  const id = await shelf.furnish({ Here: { Notes: 'document', Player: 'countdown' } })
  await shelf.window(id('Notes')).getByRole('textbox', { name: 'Text' }).click()
  await page.keyboard.type('Dragged along')
  const dragged = (name: string) =>
    shelf
      .window(id(name))
      .getByRole('button', { name: `Menu of ${name}` })
      .evaluate(async (button) => {
        const dataTransfer = new DataTransfer()
        const files = new Map<string, Blob>()
        const { createObjectURL } = URL
        // A page may not fetch what only the system does.
        URL.createObjectURL = (blob: Blob) => {
          const address = createObjectURL(blob)
          files.set(address, blob)
          return address
        }
        const begun = new DragEvent('dragstart', { dataTransfer, bubbles: true, cancelable: true })
        if (!button.dispatchEvent(begun)) return null
        const [, type, file, address] =
          /^([^:]+):([^:]+):(.+)$/.exec(dataTransfer.getData('DownloadURL')) ?? []
        return { type, file, says: await files.get(address ?? '')?.text() }
      })
  expect(await dragged('Notes')).toEqual({
    type: 'text/markdown',
    file: 'Notes.md',
    says: 'Dragged along',
  })
  // One that has nothing to write is not dragged.
  expect(await dragged('Player')).toBeNull()
})

test('a disk that is full or gone in the middle leaves the file as it was, and names are made fit', async ({
  shelf,
  page,
}) => {
  const { disk, window, text } = await slope(shelf)
  const save = async (typed: string, fails: string) => {
    // Half of it is written, then it fails.
    await page.evaluate((name) => {
      const { write } = FileSystemWritableFileStream.prototype
      FileSystemWritableFileStream.prototype.write = async function (bytes) {
        FileSystemWritableFileStream.prototype.write = write
        await write.call(this, (bytes as Blob).slice(0, 5))
        throw new DOMException('in the middle', name)
      }
    }, fails)
    await text.click()
    await page.keyboard.press('Control+Home')
    await page.keyboard.type(typed)
    await shelf.press('Control+s')
  }
  await save('One ', 'QuotaExceededError')
  await expect(shelf.said()).toContainText('The disk is full. It is saved in the shelf.')
  await disk.says('slope.md', NOTES)
  await expect(window.getByText('not in the file')).toBeVisible()
  await save('Two ', 'NotFoundError')
  await expect(shelf.said()).toContainText('It isn’t there any more')
  await disk.says('slope.md', NOTES)
  // It is there again, and takes it.
  await expect(window.getByText('not in the file')).toBeVisible()
  await shelf.press('Control+s')
  await disk.says('slope.md', `Two One ${NOTES}`)
  expect(await disk.names()).toEqual(['slope.md'])

  const { documents } = await shelf.state()
  const title = `../a/b\\c:d ${'long '.repeat(35)}`
  await shelf.run('document.set', { document: Object.keys(documents)[0], title })
  await disk.choose('as suggested')
  await shelf.run('window.saveTo')
  await expect(shelf.said()).toContainText('which is its file from now on')
  const [made = ''] = (await disk.names()).filter((name) => name !== 'slope.md')
  expect(made).toMatch(/^-a-b-c-d long .*\.md$/)
  expect(made.length).toBeLessThan(100)
})

test('two pages with one file: the second to save is asked, and neither writes over the other', async ({
  shelf,
  page,
  context,
}) => {
  const { disk } = await slope(shelf)
  const other = await context.newPage()
  await Disk.of(other)
  await other.goto('/demo?displays=one')
  await expect(other.locator('#desktop')).toBeVisible()
  await other.evaluate(() => sessionStorage.setItem('chosen', 'slope.md'))
  await other.evaluate(() => window.kiteShelf?.run('shelf.openFile'))
  const type = async (on: typeof page, said: string) => {
    await on.bringToFront()
    const window = on.getByRole('region', { name: 'slope' })
    await typeInto(window.getByRole('textbox', { name: 'Text' }), said)
    await on.keyboard.press('Control+s')
  }
  await type(page, ' here')
  await disk.says('slope.md', NOTES.replace('Snow', 'Snow here'))
  await type(other, ' there')
  const dialog = other.getByRole('dialog', { name: 'Compare with “slope.md”' })
  await expect(dialog.getByText('changed on both sides')).toBeVisible()
  await disk.says('slope.md', NOTES.replace('Snow', 'Snow here'))
  await dialog.getByRole('button', { name: 'Merge as chosen' }).click()
  await disk.says('slope.md', NOTES.replace('Snow', 'Snow there\n\nSnow here'))
  await page.bringToFront()
  await expect(page.getByRole('button', { name: 'slope.md: changed outside' })).toBeVisible()
  await other.close()
})
