import type { Page } from '@playwright/test'
import { expect, type ShelfPage, test } from './shelf'

/** A document that is typed into, beside another window. */
async function typing(shelf: ShelfPage, page: Page) {
  const id = await shelf.furnish({ Field: { Stations: 'table', Notes: 'document' } })
  const text = shelf.window(id('Notes')).getByRole('textbox', { name: 'Text' })
  await expect(text).toBeFocused()
  await page.keyboard.type('One')
  return { id, text }
}

test('the pad takes all that is typed until it is kept: nothing of it comes into the text', async ({
  shelf,
  page,
}) => {
  const { id, text } = await typing(shelf, page)
  await shelf.press('Alt+X', 'Q', 'D', 'Enter')
  await expect(page.getByRole('dialog', { name: 'Pad' })).toHaveCount(0)
  expect((await shelf.state()).windows[id('Notes')]?.placed).toEqual({
    top: 0,
    left: 0,
    bottom: 1,
    right: 2,
  })
  await page.keyboard.type(' two')
  await expect(text).toHaveText('One two')
  // Another cell after the second one begins anew; a pause keeps, Escape leaves.
  await shelf.press('Alt+X', 'Q', 'D', 'A')
  await expect(page.getByRole('dialog', { name: 'Pad' })).toContainText('To which cell?')
  await shelf.press('Escape')
  expect((await shelf.state()).windows[id('Notes')]?.placed?.right).toBe(2)
  await shelf.press('Alt+X', 'E', 'C')
  await expect(page.getByRole('dialog', { name: 'Pad' })).toHaveCount(0)
  expect((await shelf.state()).windows[id('Notes')]?.placed?.left).toBe(2)
  await expect(text).toHaveText('One two')
})

test('Tab in a document stays there; Escape, then Tab, leaves, and not to what takes it back', async ({
  shelf,
  page,
}) => {
  const { text } = await typing(shelf, page)
  await shelf.press('Tab', 'Space')
  await page.keyboard.type('two')
  await expect(text).toHaveText('One two')
  await page.keyboard.press('Enter')
  await page.keyboard.type('- item')
  await page.keyboard.press('Enter')
  await shelf.press('Tab')
  await page.keyboard.type('within')
  await expect(text.locator('ul ul')).toHaveText('within')
  await shelf.press('Shift+Tab', 'Shift+Tab', 'Shift+Tab')
  await expect(text).toBeFocused()
  await shelf.press('Escape', 'Tab')
  await expect(text).not.toBeFocused()
  for (let n = 0; n < 12; n++) {
    await expect(page.locator(':focus')).not.toHaveText('undo')
    await page.keyboard.press('Tab')
  }
  await expect(text).toContainText('within')
})

test('letters typed on into the question whether to save do nothing; what is discarded is in the drawer', async ({
  shelf,
  page,
}) => {
  const { id } = await typing(shelf, page)
  await page.keyboard.press('Alt+Backspace')
  const dialog = page.getByRole('dialog', { name: 'Close “Notes”?' })
  // On and on, without a pause in which a key would answer.
  await shelf.quickly(...'and s d and s d ')
  await expect(dialog).toBeVisible()
  await page.waitForTimeout(700)
  await page.keyboard.type('dD')
  await expect(dialog).toBeVisible()
  expect((await shelf.state()).windows[id('Notes')]).toBeDefined()
  await shelf.press('Control+Backspace')
  await expect(dialog).toHaveCount(0)
  expect((await shelf.state()).windows[id('Notes')]).toBeUndefined()
  const kept = Object.values((await shelf.state()).documents).find(
    ({ title }) => title === 'Notes (discarded)',
  )
  expect(kept?.discarded).toBe(true)
  await shelf.reload()
  await shelf.run('document.discard', { document: kept?.id })
  await shelf.run('window.open', { app: 'document', document: kept?.id })
  await expect(page.getByRole('textbox', { name: 'Text' })).toHaveText('One')
})

test('what is typed the moment a document has the keys is a change that is kept', async ({
  shelf,
  page,
}) => {
  await shelf.furnish({ Field: { Stations: 'table' } })
  // As where the machine is busy: what waits for a free moment waits long.
  await page.evaluate(() => {
    const soon = window.setTimeout
    window.setTimeout = ((run: () => void, wait = 0, ...given: unknown[]) =>
      soon(run, wait || 3000, ...given)) as typeof window.setTimeout
    window.kiteShelf?.run('window.open', { app: 'document' })
  })
  const text = page.getByRole('textbox', { name: 'Text' })
  await text.click()
  await page.keyboard.type('One')
  await expect(page.getByText('not saved')).toBeVisible({ timeout: 1000 })
  await shelf.kept()
  await shelf.reload()
  await expect(text).toHaveText('One')
})

test('a menu that is open is shut by every chord, which means what it says', async ({
  shelf,
  page,
}) => {
  const { id, text } = await typing(shelf, page)
  await shelf.window(id('Stations')).getByRole('button', { name: 'Menu of Stations' }).click()
  await expect(page.getByRole('menu')).toBeVisible()
  await shelf.press('Alt+Shift+1')
  await expect(page.getByRole('menu')).toHaveCount(0)
  await page.keyboard.type('fresh')
  const fresh = (await shelf.state()).focus ?? ''
  await expect(shelf.window(fresh).getByRole('textbox', { name: 'Text' })).toHaveText('fresh')
  await page.getByRole('button', { name: 'Kite Shelf menu' }).click()
  await expect(page.getByRole('menu')).toBeVisible()
  await shelf.run('window.focus', { window: id('Notes') })
  await page.keyboard.press('Alt+Home')
  await expect(page.getByRole('menu')).toHaveCount(0)
  await expect(text).toBeFocused()
})

test('in the loft one letter sends; letters typed in quick succession search, and nothing is sent', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({
    Field: { Stations: 'table', Notes: 'document' },
    Model: { Output: 'table' },
    Bulletin: {},
  })
  const lives = async (name: string) => (await shelf.state()).windows[id(name)]?.desktop
  await shelf.press('Alt+/')
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeVisible()
  const before = (await shelf.state()).windows
  await shelf.quickly(...'mod')
  const filter = page.getByRole('textbox', { name: 'Filter', exact: true })
  await expect(filter).toHaveValue('mod')
  await expect(filter).toBeFocused()
  expect((await shelf.state()).windows).toEqual(before)
  await expect(shelf.said()).toContainText('Searching for “mo”. Nothing was sent')
  await shelf.press('Escape')
  await page.waitForTimeout(600)
  await page.keyboard.press('m')
  await expect.poll(() => lives('Notes')).toBe(id('Model'))
  await page.waitForTimeout(600)
  await page.keyboard.press('b')
  await expect.poll(() => lives('Stations')).toBe(id('Bulletin'))
})

test('a double click in the loft or in unstack does not fall on what is beneath', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({
    Field: { Stations: 'table', Notes: 'document' },
    Model: { Output: 'table', Run: 'document' },
  })
  await shelf.press('Alt+/')
  const loft = page.getByRole('dialog', { name: 'Loft' })
  await loft.locator(`[data-choice="${id('Output')}"]`).dblclick()
  await expect(loft).toHaveCount(0)
  expect(await shelf.here()).toBe(id('Model'))
  const { focus, windows } = await shelf.state()
  expect(focus).toBe(id('Output'))
  expect(Object.values(windows).some(({ maximised }) => maximised)).toBe(false)
  await page.waitForTimeout(500)
  await shelf.press('Alt+/')
  await loft
    .locator(`[data-choice="${id('Field')}"] button`)
    .first()
    .dblclick()
  await expect(loft).toHaveCount(0)
  expect(await shelf.here()).toBe(id('Field'))
})

test('on an empty desktop a number key opens there; what nothing takes is told', async ({
  shelf,
  page,
}) => {
  const { id, text } = await typing(shelf, page)
  await shelf.run('desktop.create', { name: 'Bare' })
  await page.keyboard.type('lost')
  await expect(shelf.said()).toContainText('No window takes what you type. Alt+1 opens one.')
  await shelf.press('Alt+1')
  await page.keyboard.type('here')
  const { focus, windows, desktops } = await shelf.state()
  expect(desktops[windows[focus ?? '']?.desktop ?? '']?.name).toBe('Bare')
  await expect(shelf.window(focus ?? '').getByRole('textbox', { name: 'Text' })).toHaveText('here')
  await shelf.run('window.focus', { window: id('Notes') })
  await expect(text).toHaveText('One')
})

test('a picture dropped into a text leaves nothing over the desktop', async ({ shelf, page }) => {
  const { text } = await typing(shelf, page)
  const box = await text.boundingBox()
  const at = { clientX: (box?.x ?? 0) + 40, clientY: (box?.y ?? 0) + 20 }
  const data = await page.evaluateHandle(() => {
    const svg = '<svg xmlns="http://www.w3.org/2000/svg" width="4" height="4"/>'
    const transfer = new DataTransfer()
    transfer.items.add(new File([svg], 'Dot.svg', { type: 'image/svg+xml' }))
    return transfer
  })
  await page.dispatchEvent('#desktop', 'dragover', { dataTransfer: data, ...at })
  await expect(page.getByText('Drop to open on')).toBeVisible()
  await text.dispatchEvent('drop', { dataTransfer: data, ...at })
  await expect(page.getByText('Drop to open on')).toHaveCount(0)
  await expect(text.locator('img')).toHaveCount(1)
})

test('where everything is minimised it says so, and each window is brought back from there', async ({
  shelf,
  page,
}) => {
  const { id, text } = await typing(shelf, page)
  await shelf.run('window.minimise', { window: id('Notes') })
  await shelf.run('window.minimise', { window: id('Stations') })
  const list = page.getByRole('region', { name: 'Minimised windows' })
  await expect(list).toContainText('All windows here are minimised')
  expect(await shelf.violations()).toEqual([])
  await list.getByRole('button', { name: 'Notes' }).click()
  await expect(list).toHaveCount(0)
  await expect(text).toBeFocused()
})

interface Key {
  key: string
  code: string
  /** As the system numbers it. */
  number: number
  /** What it types. */
  text?: string
  alt?: boolean
}

const letter = (key: string): Key => ({
  key,
  code: `Key${key.toUpperCase()}`,
  number: key.toUpperCase().charCodeAt(0),
  text: key,
})

/** Presses keys one after the other without waiting for any: on a busy page all are there before it acts. */
async function pressedAtOnce(page: Page, ...keys: Key[]): Promise<void> {
  const devtools = await page.context().newCDPSession(page)
  // At work for so long that they are all there.
  await page.evaluate(() => {
    setTimeout(() => {
      const until = performance.now() + 300
      while (performance.now() < until);
    })
  })
  await Promise.all(
    keys.flatMap(({ key, code, number, text, alt }) => {
      const pressed = { key, code, windowsVirtualKeyCode: number, modifiers: alt ? 1 : 0 }
      return [
        devtools.send('Input.dispatchKeyEvent', {
          type: text ? 'keyDown' : 'rawKeyDown',
          ...pressed,
          ...(text && { text }),
        }),
        devtools.send('Input.dispatchKeyEvent', { type: 'keyUp', ...pressed }),
      ]
    }),
  )
  await devtools.detach()
}

test('what waits for a window that has lost the keys is not typed where they are now, and comes when it has them again', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({ Field: { Stations: 'table' } })
  await page.evaluate((other) => {
    // The moment the first letter is pressed for the document the keys go elsewhere.
    const away = (event: KeyboardEvent) => {
      if (event.isTrusted || event.key !== 'i') return
      removeEventListener('keydown', away, { capture: true })
      window.kiteShelf?.run('window.focus', { window: other })
      document.querySelector<HTMLElement>(`[data-window="${other}"] .win-body`)?.focus()
    }
    addEventListener('keydown', away, { capture: true })
  }, id('Stations'))
  // The letters come before the editor is there.
  const open: Key = { key: '1', code: 'Digit1', number: 49, alt: true }
  await pressedAtOnce(page, open, letter('i'), letter('c'), letter('e'))
  await expect(shelf.window(id('Stations'))).toHaveAttribute('data-focused', '')
  await shelf.drawn()
  const text = page.getByRole('textbox', { name: 'Text' })
  await expect(text).toHaveText('')
  await expect(shelf.window(id('Stations')).locator(':focus')).toHaveCount(1)
  await text.click()
  await expect(text).toHaveText('ice')
})

test('a key that comes right after the caret was moved acts where it is, not where it was', async ({
  shelf,
  page,
}) => {
  await shelf.furnish({ Field: { Notes: 'document' } })
  const text = page.getByRole('textbox', { name: 'Text' })
  await text.click()
  await page.keyboard.type('one two')
  await shelf.press('Home')
  await pressedAtOnce(
    page,
    { key: 'End', code: 'End', number: 35 },
    { key: 'Enter', code: 'Enter', number: 13, text: '\r' },
  )
  await page.keyboard.type('three')
  await expect(text.locator('p')).toHaveText(['one two', 'three'])
})
