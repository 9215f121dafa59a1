import type { CDPSession, Page } from '@playwright/test'
import { DVORAK, FRENCH, GERMAN } from '@testing/layouts'
import { expect, test } from './shelf'

/** A desktop where one writes, and others to go to. */
const FOUR = { Field: { Pit: 'job' }, Model: {}, Public: { Due: 'countdown' }, Rota: {} }

/** Modifiers as the browser's debugging protocol counts them. */
const HELD = { Alt: 1, Ctrl: 2, Meta: 4, Shift: 8 }

/** Types on keyboards of other layouts: the key that lies there, with the character it gives. */
class Keyboard {
  constructor(private session: CDPSession) {}

  async press(
    code: string,
    key: string,
    held: (keyof typeof HELD)[] = [],
    text = '',
  ): Promise<void> {
    const modifiers = held.reduce((sum, one) => sum + HELD[one], 0)
    for (const one of held)
      await this.session.send('Input.dispatchKeyEvent', {
        type: 'rawKeyDown',
        key: one === 'Ctrl' ? 'Control' : one,
        code: `${one === 'Ctrl' ? 'Control' : one}Left`,
        modifiers,
      })
    await this.session.send('Input.dispatchKeyEvent', {
      type: text ? 'keyDown' : 'rawKeyDown',
      key,
      code,
      modifiers,
      ...(text && { text }),
    })
    await this.session.send('Input.dispatchKeyEvent', { type: 'keyUp', key, code, modifiers })
    for (const one of held)
      await this.session.send('Input.dispatchKeyEvent', {
        type: 'keyUp',
        key: one === 'Ctrl' ? 'Control' : one,
        code: `${one === 'Ctrl' ? 'Control' : one}Left`,
        modifiers: 0,
      })
  }
}

const keyboardOf = async (page: Page) => new Keyboard(await page.context().newCDPSession(page))

/** What the browser tells of the layout. */
const withLayout = (page: Page, layout: Record<string, string>) =>
  page.addInitScript((keys) => {
    Object.defineProperty(navigator, 'keyboard', {
      value: { getLayoutMap: async () => new Map(Object.entries(keys)) },
    })
  }, layout)

/** Puts the keys into an empty field of the window that is shown. */
async function write(page: Page) {
  const field = page.getByRole('textbox', { name: 'Time or duration' })
  await field.click()
  await field.fill('')
  return field
}

test('German: what AltGr types arrives, and chords mean what is printed', async ({
  shelf,
  page,
}) => {
  await withLayout(page, GERMAN)
  const id = await shelf.furnish(FOUR)
  await shelf.press('Alt+P')
  const keyboard = await keyboardOf(page)
  const field = await write(page)
  // AltGr reaches a page as Ctrl and Alt on Windows; its state tells it apart.
  for (const [code, key] of [
    ['KeyQ', '@'],
    ['KeyE', '€'],
    ['Digit8', '['],
    ['Minus', '\\'],
  ] as const)
    await keyboard.press(code, key, [], key)
  await expect(field).toHaveValue('@€[\\')
  const { visited } = await shelf.state()
  expect(visited[0]).toBe(id('Public'))
  // Alt and a key of another layout than the browser tells are no reason to begin otherwise.
  // Z is printed where Y lies elsewhere: it undoes.
  await shelf.press("Alt+'")
  await keyboard.press('KeyY', 'z', ['Alt'])
  await expect(shelf.said()).toContainText('Undone')
  // The minus that is printed where the slash lies stays the loft: else nothing would be.
  await keyboard.press('Slash', '-', ['Alt'])
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeVisible()
  // In the loft plain keys are as printed: the slash is Shift and 7 here.
  await keyboard.press('Digit7', '/', ['Shift'], '/')
  await expect(page.getByRole('textbox', { name: 'Filter', exact: true })).toBeFocused()
})

test('French: digits and signs type what they type, chords are heard', async ({ shelf, page }) => {
  await withLayout(page, FRENCH)
  const id = await shelf.furnish(FOUR)
  await shelf.press('Alt+P')
  const keyboard = await keyboardOf(page)
  const field = await write(page)
  await keyboard.press('Digit2', 'é', [], 'é')
  await keyboard.press('Digit2', '2', ['Shift'], '2')
  await expect(field).toHaveValue('é2')
  // M lies where the semicolon is elsewhere, and goes to Model; the semicolon opens the line.
  await keyboard.press('Semicolon', 'm', ['Alt'])
  await expect.poll(async () => (await shelf.state()).visited[0]).toBe(id('Model'))
  await keyboard.press('Comma', ';', ['Alt'])
  await expect(page.getByRole('dialog', { name: 'Line' })).toBeVisible()
  await shelf.press('Escape')
  await keyboard.press('Digit2', 'é', ['Alt'])
  await expect.poll(async () => (await shelf.state()).focus).toBeTruthy()
  const { windows, focus } = await shelf.state()
  expect(windows[focus ?? '']?.app).toBe('table')
})

test('Dvorak: chords mean what is printed, wherever it lies', async ({ shelf, page }) => {
  await withLayout(page, DVORAK)
  const id = await shelf.furnish(FOUR)
  const keyboard = await keyboardOf(page)
  await keyboard.press('KeyR', 'p', ['Alt'])
  await expect.poll(async () => (await shelf.state()).visited[0]).toBe(id('Public'))
  await keyboard.press('BracketLeft', '/', ['Alt'])
  await expect(page.getByRole('dialog', { name: 'Loft' })).toBeVisible()
  await keyboard.press('BracketLeft', '/', ['Alt'])
  await keyboard.press('KeyZ', ';', ['Alt'])
  await expect(page.getByRole('dialog', { name: 'Line' })).toBeVisible()
  await shelf.press('Escape')
  const field = await write(page)
  await keyboard.press('Semicolon', 's', [], 's')
  await keyboard.press('Quote', '-', [], '-')
  await expect(field).toHaveValue('s-')
})

test('where Option types, no character is lost: commands begin otherwise, said once, and one chooses', async ({
  shelf,
  page,
}) => {
  await page.addInitScript(() => {
    Object.defineProperty(navigator, 'userAgent', { value: 'Mozilla/5.0 (Macintosh)' })
  })
  const id = await shelf.furnish(FOUR)
  await shelf.press('Alt+P')
  const keyboard = await keyboardOf(page)
  const field = await write(page)
  await keyboard.press('KeyL', '@', ['Alt'], '@')
  await expect(field).toHaveValue('@')
  await expect(shelf.said()).toContainText('Alt types characters here')
  // Option and a letter type from now on; with Control they are commands, and told so.
  await keyboard.press('KeyF', 'ƒ', ['Alt'], 'ƒ')
  await expect(field).toHaveValue('@ƒ')
  expect((await shelf.state()).visited[0]).toBe(id('Public'))
  await expect(page.getByRole('button', { name: /^find/ })).toContainText('Ctrl')
  await keyboard.press('KeyF', 'ƒ', ['Ctrl', 'Alt'])
  await expect.poll(async () => (await shelf.state()).visited[0]).toBe(id('Field'))
  await keyboard.press('BracketRight', '‘', ['Ctrl', 'Alt'])
  await keyboard.press('KeyM', 'm')
  await expect(shelf.said()).toContainText('to Model')
  await shelf.reload()
  expect((await shelf.state()).settings.keys).toBe('control')
  // Who chooses Alt has it, and is not asked again.
  await shelf.run('settings.set', { keys: 'alt' })
  await keyboard.press('KeyP', 'π', ['Alt'])
  await expect.poll(async () => (await shelf.state()).visited[0]).toBe(id('Public'))
  expect((await shelf.state()).settings.keys).toBe('alt')
})

test('keys begun with Ctrl and Alt are taken from the text, those of the text told where they are free', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({ Field: { Notes: 'document' }, Model: {} })
  const text = shelf.window(id('Notes')).locator('[contenteditable=true]')
  await text.click()
  await page.keyboard.type('plain')
  await shelf.press('Control+Shift+2')
  await expect(text.locator('h2')).toHaveText('plain')
  await shelf.press('Control+Shift+2')
  const tools = shelf.window(id('Notes')).getByRole('toolbar', { name: 'Text style' })
  await expect(tools.getByRole('button', { name: 'Bold, Ctrl+B' })).toBeVisible()
  await shelf.run('settings.set', { keys: 'control' })
  // One that means something does only that; one that means nothing does nothing.
  await shelf.press('Control+Alt+c', 'Control+Alt+2')
  await expect(text.locator('h2, pre')).toHaveCount(0)
  expect(await shelf.here()).toBe(id('Field'))
  await shelf.run('keys.bind', { command: 'desktop.go', args: { to: 'M' }, keys: 'Ctrl+B' })
  await expect(tools.getByRole('button', { name: 'Bold', exact: true })).toBeVisible()
  await text.click()
  await shelf.press('Control+B')
  await expect.poll(() => shelf.here()).toBe(id('Model'))
})

test('a letter of another alphabet stands for a desktop; the Latin ones are heard on that layout too', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish(FOUR)
  await shelf.run('desktop.letter', { desktop: id('Rota'), letter: 'п' })
  const keyboard = await keyboardOf(page)
  await keyboard.press('KeyG', 'п', ['Alt'])
  await expect.poll(async () => (await shelf.state()).visited[0]).toBe(id('Rota'))
  // М of that layout lies elsewhere; the key printed V there is the Latin V, M the Latin M.
  await keyboard.press('KeyM', 'ь', ['Alt'])
  await expect.poll(async () => (await shelf.state()).visited[0]).toBe(id('Model'))
})
