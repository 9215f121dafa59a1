import { expect, type ShelfPage, test } from './shelf'

/** A watched window beside which there is another desktop, with the simulated program in it. */
async function watched(shelf: ShelfPage) {
  const id = await shelf.furnish({
    Here: { Build: { app: 'watch', frame: { x: 20, y: 20, width: 520, height: 420 } } },
    There: { Note: 'document' },
  })
  const window = shelf.window(id('Build'))
  await window.getByRole('button', { name: 'Try it with a simulated program' }).click()
  await expect(window.locator('video')).toBeVisible()
  return { id, window, status: window.getByRole('status') }
}

test('a watched window is live; that it falls still and changes again is told once each, until it is seen', async ({
  shelf,
  page,
}) => {
  test.slow()
  await page.addInitScript(() => history.replaceState(null, '', `${location.pathname}?speed=3`))
  const { id, window, status } = await watched(shelf)
  await expect(status).toContainText('Changing')
  await expect(status).toContainText('nothing is stored or sent')
  await window.getByLabel('Tell me when it stops changing for').selectOption('3')
  // In the line of any other desktop.
  await shelf.run('desktop.go', { to: id('There') })
  await expect(page.getByRole('list', { name: 'Tethers' })).toContainText('changing')
  const asks = async () => {
    const { attention, windows } = await shelf.state()
    return attention[windows[id('Build')]?.document ?? '']?.says
  }
  await expect.poll(asks, { timeout: 30_000 }).toBe('It stopped changing')
  await expect.poll(asks, { timeout: 30_000 }).toBe('It changed')
  await shelf.run('attention.next')
  await expect.poll(asks).toBeUndefined()
  // Nothing of the picture is kept, and what is to be told is.
  await window.getByLabel('tell me when it changes').uncheck()
  await shelf.kept()
  await shelf.reload()
  await expect(window.getByRole('button', { name: 'Choose a window…' })).toBeVisible()
  await window.getByRole('button', { name: 'Try it with a simulated program' }).click()
  await expect(window.getByLabel('tell me when it changes')).not.toBeChecked()
  await expect(window.getByLabel('Tell me when it stops changing for')).toHaveValue('3')
})

test('a part is drawn by pointer or put by keys; what the browser refuses is told', async ({
  shelf,
  page,
}) => {
  const { window, status } = await watched(shelf)
  const part = window.getByRole('button', { name: 'Watched area' })
  const box = await part.boundingBox()
  const told = await status.boundingBox()
  if (!box || !told) throw new Error('It is not drawn')
  // Whatever the window's shape, the picture leaves room for what is told of it.
  expect(box.y + box.height).toBeLessThanOrEqual(told.y + 1)
  await page.mouse.move(box.x + box.width * 0.2, box.y + box.height * 0.2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width * 0.6, box.y + box.height * 0.7, { steps: 4 })
  await page.mouse.up()
  await expect(status).toContainText('Watching part of it')
  await part.press('Backspace')
  await expect(status).toContainText('Watching all of it')
  await part.press('ArrowRight')
  await expect(status).toContainText('Watching part of it')
  expect(await shelf.violations('all but colours', '[data-app=watch]')).toEqual([])
  await window.getByRole('button', { name: 'Stop showing it' }).click()
  await page.evaluate(() => {
    navigator.mediaDevices.getDisplayMedia = () => Promise.reject(new DOMException('no'))
  })
  await window.getByRole('button', { name: 'Choose a window…' }).click()
  await expect(window.getByRole('alert')).toContainText('You chose nothing')
})
