import { expect, test } from './shelf'

test('a restore point is kept by name, looked at, and gone back to with what documents said', async ({
  shelf,
  page,
}) => {
  await shelf.furnish({ Bulletin: { Notes: 'document' }, Rota: { Days: 'table' } })
  const text = page.getByRole('region', { name: 'Notes' }).getByRole('textbox', { name: 'Text' })
  await text.click()
  await page.keyboard.type('As it was')
  await shelf.press('Control+s')
  await shelf.run('restore.open')
  const dialog = page.getByRole('dialog', { name: 'Restore points' })
  await page.keyboard.type('Before the move')
  await shelf.press('Enter')
  const list = dialog.getByRole('list', { name: 'Restore points' })
  await expect(list.getByRole('button')).toHaveText([/Before the move/])
  await shelf.press('Escape')
  await text.click()
  await shelf.press('Control+a')
  await page.keyboard.type('Another')
  await shelf.press('Control+s')
  await shelf.run('desktop.rename', { name: 'Renamed' })
  await shelf.run('desktop.create', { name: 'Since', stay: true })
  await shelf.reload()
  await shelf.run('restore.open')
  const stood = dialog.getByRole('list', { name: 'Desktops at this moment' })
  await expect(stood.getByText('Bulletin')).toBeVisible()
  await expect(stood.getByText('Since', { exact: true })).toHaveCount(0)
  await dialog.getByRole('button', { name: 'Go back to it' }).click()
  await expect(shelf.said()).toContainText('Went back to “Before the move”')
  await expect(text).toHaveText('As it was')
  expect(await shelf.rowNames()).toEqual(['Bulletin', 'Rota', 'Since'])
  // In one step, with what it said; and there is one of before that.
  await shelf.run('history.undo')
  await expect(text).toHaveText('Another')
  expect(await shelf.rowNames()).toEqual(['Renamed', 'Since', 'Rota'])
  await shelf.run('restore.open')
  await expect(list.getByRole('button')).toHaveText([
    /Before going back to “Before the move”.*by itself/,
    /Before the move/,
  ])
  await list.getByRole('button', { name: /^Before the move/ }).click()
  await dialog.getByRole('button', { name: 'Delete' }).click()
  await expect(list.getByRole('button')).toHaveCount(1)
})

test('a newer Kite Shelf is offered and loaded when it suits, with a restore point before', async ({
  shelf,
  page,
}) => {
  let newer = true
  await page.route('/offline.js', (route) =>
    newer
      ? route.fulfill({ contentType: 'text/javascript', body: '// made of other scripts' })
      : route.fallback(),
  )
  await shelf.furnish({ Bulletin: { Notes: 'document' } })
  const offer = page.getByRole('alert').filter({ hasText: 'A newer Kite Shelf is ready' })
  await expect(offer).toBeVisible()
  page.once('framenavigated', () => {
    newer = false
  })
  await page.getByRole('textbox', { name: 'Text' }).click()
  await page.keyboard.type('typed just before')
  const loaded = page.waitForEvent('load')
  await offer.getByRole('button', { name: 'Load it' }).click()
  await loaded
  await expect(page.getByRole('textbox', { name: 'Text' })).toHaveText('typed just before')
  await expect(offer).toBeHidden()
  // Where there is none, nothing is loaded anew.
  await shelf.run('shelf.update')
  await expect(shelf.said()).toHaveText('This is the newest Kite Shelf')
  await shelf.run('restore.open')
  await expect(page.getByRole('button', { name: /^Before the newer Kite Shelf/ })).toBeVisible()
})
