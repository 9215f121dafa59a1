import type { Page } from '@playwright/test'
import { expect, test } from './shelf'

/** What is written of how the shelf stood: that is done in a pause. */
const kept = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<string>((done) => {
        const asked = indexedDB.open('kite-shelf-own')
        asked.onsuccess = () => {
          const { result } = asked
          const all = result.transaction('sessions').objectStore('sessions').getAll()
          all.onsuccess = () => {
            result.close()
            done(JSON.stringify(all.result))
          }
        }
      }),
  )

test('a desktop that is gone, and a window that was sent, are brought back by keys, and that is undone', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({
    Field: { Notes: 'document', Readings: 'table' },
    Model: { Output: 'table' },
  })
  const stood = await shelf.state()
  await shelf.run('window.send', { window: id('Notes'), to: 'Model' })
  await shelf.run('window.close', { window: id('Readings') })
  await shelf.run('desktop.fold', { desktops: [id('Field')], into: id('Model') })
  const folded = await shelf.state()
  await shelf.press('Alt+J', 'Shift+B')
  const dialog = page.getByRole('dialog', { name: 'Wind back' })
  const moment = dialog.getByRole('slider', { name: 'Moment' })
  await expect(moment).toBeFocused()
  await expect(moment).toHaveAttribute('aria-valuetext', /, Folded Field/)
  // Before it was folded, before the table was closed, before the notes were sent.
  for (const says of [/Closed “Readings”/, /Sent “Notes” to Model/, /./]) {
    await shelf.press('ArrowLeft')
    await expect(moment).toHaveAttribute('aria-valuetext', says)
  }
  const rows = dialog.getByRole('list', { name: 'Desktops at this moment' }).getByRole('listitem')
  await expect(rows.filter({ hasText: 'Field' })).toContainText('gone since')
  expect(await shelf.violations()).toEqual([])
  await shelf.press('ArrowDown')
  await expect(dialog.getByRole('button', { name: 'Bring Field back' })).toBeFocused()
  await shelf.press('Enter')
  await expect(dialog.getByText('Field is back as it was')).toBeVisible()
  await expect(rows.filter({ hasText: 'Field' })).toContainText('unchanged')
  // What was pushed is gone; the keys go on with the moment.
  await expect(moment).toBeFocused()
  const { desktops, windows } = await shelf.state()
  expect(desktops[id('Field')]?.windows).toEqual(stood.desktops[id('Field')]?.windows)
  for (const name of ['Notes', 'Readings'])
    expect({ ...windows[id(name)], z: 0 }).toEqual({ ...stood.windows[id(name)], z: 0 })
  await shelf.press('Alt+Z')
  await expect(dialog.getByText(/^Undone/)).toBeVisible()
  await shelf.press('Escape')
  await expect(dialog).toBeHidden()
  const undone = await shelf.state()
  expect(undone.order).toEqual(folded.order)
  expect(undone.windows).toEqual(folded.windows)
})

test('by pointer, over a reload: the band is pushed, a window comes back alone, and is undone by a push', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({ Field: { Notes: 'document' }, Model: { Output: 'table' } })
  await shelf.run('window.move', { window: id('Notes'), x: 200, y: 160 })
  await shelf.run('window.send', { window: id('Notes'), to: 'Model' })
  await expect.poll(() => kept(page)).toContain('Sent “Notes” to Model')
  await shelf.reload()
  await page.getByRole('button', { name: 'Kite Shelf menu' }).click()
  await shelf.chooseWithin('The day', /^Wind back/)
  const dialog = page.getByRole('dialog', { name: 'Wind back' })
  const moment = dialog.getByRole('slider', { name: 'Moment' })
  const box = await moment.boundingBox()
  if (!box) throw new Error('There is no band')
  // All of it happened just now: at the left of the band it is as it began.
  await page.mouse.click(box.x + 2, box.y + 30)
  await expect(dialog.getByText('No windows')).toBeVisible()
  await moment.focus()
  await shelf.press('End', 'ArrowLeft')
  const notes = dialog.getByRole('button', { name: /^Bring “Notes” back to Field, now on Model$/ })
  await notes.click()
  await expect(dialog.getByText('“Notes” is back where it was')).toBeVisible()
  expect((await shelf.state()).windows[id('Notes')]).toMatchObject({
    desktop: id('Field'),
    frame: { x: 200, y: 160 },
  })
  await dialog.getByRole('button', { name: 'Undo' }).click()
  await expect(notes).toBeVisible()
  await dialog.getByRole('button', { name: 'Bring everything back' }).click()
  await expect(dialog.getByText('Brought back the earlier arrangement')).toBeVisible()
  await expect(notes).toBeHidden()
  expect((await shelf.state()).windows[id('Notes')]).toMatchObject({ desktop: id('Field') })
})

test('what a document said then is opened beside what it says now', async ({ shelf, page }) => {
  await shelf.furnish({ Field: { Notes: 'document' } })
  const text = page.locator('.win-focused [contenteditable=true]')
  await text.click()
  await page.keyboard.type('Two slides at noon')
  await shelf.run('window.maximise')
  await expect.poll(() => kept(page)).toContain('Maximised “Notes”')
  await shelf.reload()
  await text.click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type(', none since')
  await shelf.kept()
  await shelf.run('window.maximise')
  await shelf.press('Alt+J', 'Shift+B')
  const dialog = page.getByRole('dialog', { name: 'Wind back' })
  const said = dialog.getByRole('button', { name: 'Open what “Notes” said then' })
  await expect(dialog.getByRole('slider')).toBeFocused()
  // Now it says what it says.
  await expect(said).toBeHidden()
  await shelf.press('ArrowLeft', 'ArrowLeft')
  await expect(said).toBeVisible()
  await said.click()
  await expect(page.locator('.win-focused')).toHaveAttribute('aria-label', /^Notes, as it was/)
  await expect(text).toHaveText('Two slides at noon')
  await expect(page.getByText('Two slides at noon, none since')).toBeVisible()
})

test('the days of the demo are gone through; where nothing is kept that is told', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.run('past.open')
  const dialog = page.getByRole('dialog', { name: 'Wind back' })
  const rows = dialog.getByRole('listitem')
  // Over a weekend it is three days back.
  const closure = rows.filter({ hasText: 'Road closure' })
  for (let back = 0; back < 4; back++) {
    await shelf.press(',')
    await expect(dialog.getByText('Reading…')).toBeHidden()
    if (await dialog.getByRole('slider').isVisible()) break
  }
  await dialog.getByRole('slider').focus()
  await shelf.press('Home')
  for (let at = 0; at < 6; at++) await shelf.press('ArrowRight')
  await expect(closure).toContainText('gone since')
  await dialog.getByRole('button', { name: 'Bring Road closure back' }).click()
  await expect(closure).toContainText('unchanged')
  await shelf.press('Escape')
  await expect(shelf.row('Road closure')).toBeVisible()
  await shelf.run('settings.set', { past: 0 })
  await shelf.run('past.open')
  await expect(dialog).toContainText('You can turn this on in Settings')
})
