import { expect, test } from './shelf'

test('the inspector follows the focused window, tells its history, and is there after a reload', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  const inspector = page.getByRole('region', { name: 'Inspector' })
  await shelf.press('Alt+Shift+;', 'I')
  await expect(inspector).toContainText('Station readings 06:00')
  await expect(inspector).toContainText('Its home put it there.')
  await expect(inspector).toContainText('640 × 350 at 24, 24')
  await shelf.run('window.focus', { window: 'pit' })
  await expect(inspector).toContainText('Snow pit, Tarn Ridge')
  await shelf.press('Alt+Shift+R')
  await expect(inspector).toContainText('Rota')
  await expect(inspector).toContainText('It was moved there by hand.')
  const today = inspector.getByRole('list', { name: 'Today' })
  await expect(today).toContainText('carried from Field to Rota, by key')
  await shelf.press('Alt+Z')
  await expect(today.getByRole('listitem').first()).toContainText('undone: on Field again, by key')
  expect(await shelf.violations()).toEqual([])
  await shelf.reload()
  await expect(inspector.getByRole('list', { name: 'Today' })).toContainText('undone: on Field')
  await inspector.getByRole('button', { name: /^why here/ }).click()
  await expect(page.getByRole('dialog')).toContainText('“Snow pit, Tarn Ridge” is on Field')
  await shelf.press('Escape')
  await inspector.getByRole('button', { name: 'Hide the inspector' }).click()
  await expect(inspector).toBeHidden()
})

test('it keeps clear of the focused window and tells the letters it was placed by', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.run('shelf.inspector')
  const inspector = page.getByRole('region', { name: 'Inspector' })
  const clear = async () => {
    const [one, other] = [
      await inspector.boundingBox(),
      await shelf.window('stations').boundingBox(),
    ]
    return !!one && !!other && (one.x >= other.x + other.width || other.x >= one.x + one.width)
  }
  for (const letter of ['C', 'Z']) {
    await shelf.run('window.focus', { window: 'stations' })
    await shelf.press('Alt+X', letter, 'Enter')
    await expect(inspector).toContainText(`placed${letter}`)
    await expect.poll(clear).toBe(true)
  }
})
