import { Disk } from './disk'
import { expect, ShelfPage, test } from './shelf'

const FOLDER = 'shared'

/** Any program carries the folder from one machine to the other. */
async function carry(from: Disk, to: Disk): Promise<void> {
  for (const name of await from.names(FOLDER))
    await to.write(name, Buffer.from(await from.read(name, FOLDER), 'latin1'), FOLDER)
}

test('a shelf is gone on with on the next machine; what was changed on both is told and kept', async ({
  shelf: studio,
  page,
  browser,
  baseURL,
}) => {
  test.slow()
  const here = await Disk.of(page)
  const context = await browser.newContext({ baseURL, viewport: { width: 1280, height: 800 } })
  const laptop = new ShelfPage(await context.newPage())
  const there = await Disk.of(laptop.page)

  const id = await studio.furnish({ Bulletin: { Notes: 'document' }, Rota: {} })
  const text = (shelf: ShelfPage) =>
    shelf.window(id('Notes')).getByRole('textbox', { name: 'Text' })
  const writes = async (shelf: ShelfPage, said: string) => {
    await text(shelf).click()
    await shelf.press('Control+a')
    await shelf.page.keyboard.type(said)
    await shelf.press('Control+s')
  }
  const keep = async (shelf: ShelfPage, disk: Disk) => {
    await disk.choose(FOLDER)
    await shelf.run('shelf.keepFolder')
    await expect(shelf.said()).toContainText('kept in the folder')
  }
  /** A copy is written some time after a change; folder and all are looked at now. */
  const written = async (disk: Disk, said: string) =>
    expect
      .poll(
        async () => {
          const all = await Promise.all(
            (await disk.names(FOLDER)).map((name) => disk.read(name, FOLDER)),
          )
          return all.some((one) => one.includes(said))
        },
        { timeout: 60_000 },
      )
      .toBe(true)
  const goOn = async (shelf: ShelfPage, answer: string) => {
    await shelf.run('folder.open')
    const dialog = shelf.page.getByRole('dialog', { name: 'Machines that share the folder' })
    await dialog.getByRole('button', { name: answer }).click()
    await expect(dialog).toBeHidden()
  }

  await writes(studio, 'First said')
  await keep(studio, here)
  await written(here, 'First said')
  await laptop.open('shelf')
  await keep(laptop, there)
  await carry(here, there)
  await expect(laptop.page.getByRole('alert').filter({ hasText: 'wrote this shelf' })).toBeVisible({
    timeout: 40_000,
  })
  await goOn(laptop, 'Go on from it')
  await expect(laptop.said()).toContainText('Went on from')
  await expect(text(laptop)).toHaveText('First said')
  expect(await laptop.rowNames()).toEqual(['Bulletin', 'Rota'])

  // It is changed there, and gone on with here.
  await writes(laptop, 'Said on the laptop')
  await laptop.run('desktop.rename', { desktop: id('Rota'), name: 'Watch' })
  await written(there, 'Said on the laptop')
  await carry(there, here)
  await expect(page.getByRole('alert').filter({ hasText: 'You can go on from there' })).toBeVisible(
    { timeout: 40_000 },
  )
  await goOn(studio, 'Go on from it')
  await expect(text(studio)).toHaveText('Said on the laptop')
  expect(await studio.rowNames()).toEqual(['Bulletin', 'Watch'])
  await studio.reload()
  await studio.run('folder.open')
  await expect(page.getByText('You have everything from it.')).toBeVisible()
  await studio.press('Escape')

  // Both change the same, neither knowing of the other.
  await writes(studio, 'Said in the studio')
  await writes(laptop, 'Said once more')
  await written(here, 'Said in the studio')
  await written(there, 'Said once more')
  await carry(there, here)
  await studio.run('folder.open')
  await expect(page.getByText('Both have changed.')).toBeVisible()
  await expect(page.getByRole('list', { name: /^Changes of/ })).toContainText('changed on both')
  await page.getByRole('button', { name: 'Merge' }).click()
  await expect(studio.said()).toContainText('Merged with what')
  await expect(text(studio)).toHaveText('Said in the studio')
  const copy = Object.values((await studio.state()).documents).find(({ title }) =>
    title.includes(', as on '),
  )
  await studio.run('window.open', { app: 'document', document: copy?.id })
  await expect(page.getByRole('textbox', { name: 'Text' }).last()).toHaveText('Said once more')
  await context.close()
})
