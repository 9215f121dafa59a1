import type { Page } from '@playwright/test'
import { expect, type ShelfPage, test } from './shelf'

/** Where the keys go now: the window, and the element in it. */
const keysIn = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const active = document.activeElement
    const caret = document.getSelection()?.anchorNode ?? null
    if (active?.matches('[contenteditable=true]') && !active.contains(caret)) return 'no caret'
    const window = active?.closest<HTMLElement>('[data-window]')
    return window && active?.closest('.win-body') && !active.classList.contains('win-body')
      ? (window.dataset.window ?? '')
      : active?.id || active?.tagName || 'nothing'
  })

/** Three windows on one desktop and a second, empty one; the document has the focus. */
async function begin(shelf: ShelfPage): Promise<Record<'doc' | 'table' | 'job', string>> {
  await shelf.open('shelf')
  await shelf.run('desktop.create', {})
  await shelf.press('Escape')
  await shelf.run('desktop.go', { to: 'first' })
  for (const app of ['table', 'job', 'document']) await shelf.run('window.open', { app })
  const { windows } = await shelf.state()
  const of = (app: string) => Object.values(windows).find((one) => one.app === app)?.id ?? ''
  const ids = { doc: of('document'), table: of('table'), job: of('job') }
  await expect.poll(() => keysIn(shelf.page)).toBe(ids.doc)
  return ids
}

test('after every pointer act the keys are in the focused window', async ({ shelf, page }) => {
  const { doc, job } = await begin(shelf)
  const desktop = await page.locator('#desktop').boundingBox()
  if (!desktop) throw new Error('no desktop')
  const hem = shelf.window(doc).locator('.hem')
  await page.keyboard.type('one ')
  const acts: Record<string, () => Promise<unknown>> = {
    'a click on the hem': () => hem.click({ position: { x: 120, y: 10 } }),
    'a drag by the hem': () =>
      shelf.drag(hem, { x: desktop.x + 420, y: desktop.y + 60 }, { x: 120, y: 10 }),
    'a grip': () => shelf.drag(shelf.window(doc).locator('[data-grip=e]'), { x: 900, y: 300 }),
    maximise: () => shelf.window(doc).getByRole('button', { name: 'Maximise' }).click(),
    'double click on the hem': () => hem.dblclick({ position: { x: 120, y: 10 } }),
    'undo in the line': () => page.getByRole('button', { name: 'undo', exact: true }).click(),
    'the menu of the window, left': async () => {
      await hem.click({ button: 'right', position: { x: 120, y: 10 } })
      await page.keyboard.press('Escape')
    },
    'the menu of the shelf, left': async () => {
      await page.getByRole('button', { name: 'Kite Shelf menu' }).click()
      await expect(page.getByRole('menu')).toBeVisible()
      await page.keyboard.press('Escape')
      await expect(page.getByRole('menu')).toBeHidden()
    },
    'a setting, by the menu': async () => {
      await page.getByRole('button', { name: 'Kite Shelf menu' }).click()
      await page.getByRole('menuitem', { name: 'Settings' }).click()
      await page.getByRole('radio', { name: 'dark, by night' }).click()
      await page.keyboard.press('Escape')
    },
    'the bare desktop': () =>
      page.mouse.click(desktop.x + desktop.width - 6, desktop.y + desktop.height - 6),
    'the current row': () => page.locator('.row-current [data-row-name]').click(),
    'a row dragged to its place': () =>
      shelf.drag(page.locator('.row-current [data-row-name]'), { x: 100, y: 400 }),
    'the key card, left': async () => {
      await page.getByRole('button', { name: 'keys', exact: false }).last().click()
      await page.keyboard.press('Escape')
    },
  }
  for (const [name, act] of Object.entries(acts)) {
    await act()
    await expect.poll(() => keysIn(page), name).toBe(doc)
  }
  // What is typed is where it was, after what had been typed.
  await page.keyboard.type('two')
  await expect(shelf.window(doc).locator('.tiptap')).toHaveText('one two')
  await page.locator(`[data-bow="${job}"]`).click()
  await expect.poll(() => keysIn(page)).toBe(job)
})

test('what takes the keys no more gives them to the window, or to what stands beside it', async ({
  shelf,
  page,
}) => {
  const { doc } = await begin(shelf)
  await page.keyboard.type('one')
  const undo = shelf.window(doc).getByRole('button', { name: 'Undo, Ctrl+Z' })
  await undo.focus()
  await page.keyboard.press('Space')
  await expect(undo).toBeDisabled()
  await expect.poll(() => keysIn(page)).toBe(doc)
  await page.keyboard.type('two')
  await expect(shelf.window(doc).locator('.tiptap')).toHaveText('two')
  await shelf.run('settings.set', { wrap: false })
  await shelf.run('settings.open')
  const settings = page.getByRole('dialog', { name: 'Settings' })
  await settings.getByRole('button', { name: 'Reset all (1)' }).focus()
  await page.keyboard.press('Enter')
  await expect(settings.getByRole('button', { name: 'Reset all' })).toBeDisabled()
  await expect(settings.getByRole('button', { name: 'Export' })).toBeFocused()
  await shelf.run('restore.open')
  await expect(page.getByRole('button', { name: /^Before all settings were reset/ })).toBeVisible()
})

test('after every command the keys are in the focused window or with what is asked', async ({
  shelf,
  page,
}) => {
  test.slow()
  await begin(shelf)
  const commands = await page.evaluate(() => window.kiteShelf?.commands().map(({ id }) => id) ?? [])
  expect(commands.length).toBeGreaterThan(80)
  for (const id of commands) {
    if (/export|import|openFile|keepFolder/.test(id)) continue
    await page.evaluate((command) => window.kiteShelf?.run(command), id)
    await shelf.drawn()
    await expect
      .poll(
        async () => {
          const [asked, focus] = await page.evaluate(() => [
            !!document.querySelector(
              'dialog[open], [role=dialog], [role=menu], input[aria-label^=Name]',
            ),
            window.kiteShelf?.state().focus ?? 'desktop',
          ])
          const at = await keysIn(page)
          return asked || at === focus || (id.endsWith('walk') && at === 'BUTTON')
        },
        { message: id },
      )
      .toBe(true)
    await page.keyboard.press('Escape')
  }
})

test('what is typed before a window is there is kept for it', async ({ shelf, page }) => {
  await shelf.open('demo')
  // Nothing is waited for between going and typing.
  await page.keyboard.press('Alt+B')
  await page.keyboard.type('Snow above 1400')
  const { focus, windows } = await shelf.state()
  expect(windows[focus ?? '']?.app).toBe('document')
  await expect(shelf.window(focus ?? '').locator('.tiptap')).toContainText('Snow above 1400')
  // A command after what is typed comes after it, and what follows goes where it led.
  await page.keyboard.press('Alt+E')
  await page.keyboard.press('Alt+P')
  await page.keyboard.type('Hold')
  await page.keyboard.press('Alt+M')
  await page.keyboard.type('Mast')
  const at = (id: string) => shelf.window(id).locator('textarea, .tiptap, [data-autofocus]').last()
  await expect(at('line')).toHaveValue('Hold')
  const { focus: there = '', windows: all } = await shelf.state()
  if (all[there ?? '']?.app === 'document') await expect(at(there ?? '')).toContainText('Mast')
  await page.keyboard.press('Alt+F')
  await page.keyboard.type('a')
  await page.keyboard.press('Enter')
  await page.keyboard.type('b')
  await expect
    .poll(async () => {
      const { focus: at, windows: all } = await shelf.state()
      return all[at ?? '']?.app
    })
    .toBe('table')
})

test('what is typed after a command that leads to an empty desktop is not lost', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({ Field: {}, Model: {}, Rota: { Run: 'job' } })
  await page.keyboard.press('Alt+1')
  await page.keyboard.type('Snow')
  await page.keyboard.press('Alt+N')
  await page.keyboard.type('Morning')
  await page.keyboard.press('Enter')
  await expect.poll(() => shelf.rowNames()).toContain('Morning')
  await page.keyboard.press('Alt+F')
  await expect(page.locator('.tiptap')).toHaveText('Snow')
  await page.keyboard.press('Alt+2')
  await page.keyboard.type('Hail')
  await page.keyboard.press('Alt+M')
  await page.keyboard.press('Alt+R')
  await page.keyboard.type('Storm')
  await expect(shelf.window(id('Run')).locator('[data-autofocus]')).toHaveValue('Storm')
})

test('no letter is lost where a busy page hands the focus on late', async ({ shelf, page }) => {
  const id = await shelf.furnish({
    Field: { Run: 'job' },
    Rota: { Duty: 'table' },
    Attic: { Stock: 'table' },
  })
  await page.evaluate(() => {
    const { focus } = HTMLElement.prototype
    HTMLElement.prototype.focus = function (options) {
      if (this.matches('.rdg-cell')) setTimeout(() => focus.call(this, options), 600)
      else focus.call(this, options)
    }
  })
  // In its cell, or still in the field of it.
  const typed = (title: string) => () =>
    shelf.window(id(title)).evaluate((window) => {
      const fields = [...window.querySelectorAll('input')].map(({ value }) => value)
      return [...fields, window.querySelector('[role=grid]')?.textContent].join()
    })
  await page.keyboard.press('Alt+R')
  await page.keyboard.type('Storm')
  await expect.poll(typed('Duty')).toContain('Storm')
  // Typed when the table has the focus already, and not its cell.
  await page.keyboard.press('Alt+A')
  await page.waitForFunction(() => document.activeElement?.matches('[data-hands-on]'))
  await page.keyboard.type('Hail')
  await expect.poll(typed('Stock')).toContain('Hail')
})

test('a table that is given the focus again goes to the cell it was at', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({ Field: { Duty: 'table' } })
  const duty = shelf.window(id('Duty'))
  await expect(duty.getByRole('gridcell').nth(1)).toBeFocused()
  await shelf.press('ArrowRight')
  await duty.locator('[data-hands-on]').evaluate((table: HTMLElement) => table.focus())
  await expect(duty.getByRole('gridcell').nth(2)).toBeFocused()
  await page.keyboard.type('Snow')
  await expect(duty.getByLabel('Cell', { exact: true })).toHaveValue('Snow')
})

test('a window whose content does not come holds up no command, and gets what was typed later', async ({
  shelf,
  page,
}) => {
  const id = await shelf.furnish({ Rota: { Duty: 'table' }, Field: {}, Model: {} })
  const duty = shelf.window(id('Duty'))
  await expect(duty.getByRole('gridcell').first()).toBeVisible()
  await shelf.press('Alt+F')
  let answer = () => {}
  const comes = new Promise<void>((done) => {
    answer = done
  })
  await page.route('**/_next/static/chunks/**', async (route) => {
    await comes
    await route.continue()
  })
  await page.keyboard.press('Alt+1')
  await page.keyboard.type('Snow')
  await page.keyboard.press('Alt+R')
  // Who goes elsewhere meanwhile is not taken away from there later, nor when back.
  await shelf
    .row('Model')
    .getByRole('button', { name: /^Model,/ })
    .click()
  await expect.poll(() => shelf.here()).toBe(id('Model'))
  await shelf.press('Alt+F')
  await page.waitForTimeout(2200)
  expect(await shelf.here()).toBe(id('Field'))
  await page.keyboard.press('Alt+R')
  await page.keyboard.type('Storm')
  await expect(duty.getByLabel('Cell', { exact: true })).toHaveValue('Storm')
  answer()
  await shelf.press('Alt+F')
  await expect(page.locator('.tiptap')).toHaveText('Snow')
})

test('on half a screen a desktop is named beside its mark, and the rack is walked', async ({
  shelf,
  page,
}) => {
  await page.setViewportSize({ width: 960, height: 700 })
  const { doc } = await begin(shelf)
  await page.keyboard.press('Alt+N')
  await page.keyboard.type('Avalanche')
  const field = page.getByRole('textbox', { name: 'Name of the desktop' })
  await expect(field).toBeVisible()
  await expect(field).toHaveValue('Avalanche')
  await shelf.press('Enter')
  expect(await shelf.rowNames()).toContain('Avalanche')
  await shelf.run('desktop.go', { to: 'first' })
  await expect.poll(() => keysIn(page)).toBe(doc)
  await shelf.press('Alt+Shift+;', 'K', 'ArrowDown', 'Enter')
  expect(await shelf.here()).not.toBe('first')
})

test('a name that is too long is refused in words, and stays to be shortened', async ({
  shelf,
  page,
}) => {
  await shelf.open('shelf')
  const before = (await shelf.rowNames()).length
  await page.keyboard.press('Alt+N')
  const field = page.getByRole('textbox', { name: 'Name of the desktop' })
  await expect(field).toBeFocused()
  await page.keyboard.type('w'.repeat(61))
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-said=refused]')).toContainText('at most 60 letters')
  await expect(field).toHaveValue('w'.repeat(61))
  await page.keyboard.press('Backspace')
  await page.keyboard.press('Enter')
  await expect(field).toHaveCount(0)
  expect(await shelf.rowNames()).toContain('w'.repeat(60))
  expect(await shelf.rowNames()).toHaveLength(before + 1)
})

test('after the keys were given to a page and something was asked, they are beside the page', async ({
  shelf,
  page,
}) => {
  await shelf.open()
  await shelf.press('Alt+8')
  const address = shelf.window('camera').getByLabel('Address')
  await expect(address).toBeFocused()
  await expect(shelf.window('camera').locator('iframe')).toBeVisible()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('button', { name: 'keys go to the page' })).toBeVisible()
  await shelf.run('window.why', { window: 'camera' })
  await expect(page.getByRole('dialog')).toBeVisible()
  await shelf.press('Escape')
  await expect(address).toBeFocused()
})

test('the rack takes no letters after a click, and does by keyboard', async ({ shelf, page }) => {
  const { doc } = await begin(shelf)
  const before = await shelf.rowNames()
  const here = page.locator('.row-current [data-row-name]')
  // As fast as a hand goes from the pointer to the keys: the caret is back by then.
  const hand = () => page.waitForTimeout(80)
  await here.click()
  await hand()
  await page.keyboard.type('for')
  await page.keyboard.press('Enter')
  await shelf.drag(here, { x: 100, y: 300 })
  await hand()
  await page.keyboard.type('for')
  await expect(shelf.window(doc).locator('.tiptap')).toHaveText('forfor')
  expect([...(await shelf.rowNames())].sort()).toEqual([...before].sort())
  await shelf.press('Alt+Shift+;', 'K', 'r')
  await expect(page.getByRole('textbox', { name: 'Name of the desktop' })).toBeFocused()
  await shelf.press('Escape')
  await shelf.press('Alt+Shift+;', 'Shift+A', 'ArrowDown', 'Enter')
  await expect.poll(async () => Object.keys((await shelf.state()).windows).length).toBe(3)
  await shelf.press('Alt+Shift+;', 'M')
  await expect(page.getByRole('menu')).toBeVisible()
  await shelf.press('Escape')
  await expect(page.getByRole('menu')).toBeHidden()
})

test('a desktop without windows of its own gives its keys to none', async ({ shelf, page }) => {
  await shelf.open('shelf')
  await shelf.run('window.open', { app: 'countdown' })
  await shelf.run('window.everywhere')
  await shelf.press('Alt+N')
  await shelf.press('Enter')
  expect((await shelf.state()).focus).toBeNull()
  await page.keyboard.type('25 min')
  await shelf.press('Alt+Backspace')
  expect(Object.keys((await shelf.state()).windows)).toHaveLength(1)
  await expect(page.getByRole('textbox', { name: 'Time or duration' })).toHaveValue('')
})

test('the pad ends when its window is no longer in sight', async ({ shelf, page }) => {
  const { doc } = await begin(shelf)
  const { frame } = (await shelf.state()).windows[doc] ?? {}
  await shelf.press('Alt+X')
  await expect(page.getByRole('dialog', { name: 'Pad' })).toBeVisible()
  await shelf.press('Alt+.')
  await expect(page.getByRole('dialog', { name: 'Pad' })).toBeHidden()
  await shelf.press('q')
  expect((await shelf.state()).windows[doc]?.frame).toEqual(frame)
})

const VIEWS: [string, string, string[]][] = [
  ['The trail', '[role=listbox]', ['Alt+`']],
  ['Unstack', '[aria-label=Unstack]', ['Alt+=']],
  ['The pad', '[aria-label=Pad]', ['Alt+X']],
  ['The loft', '#loft', ['Alt+/']],
  ['The line', '[cmdk-input]', ['Alt+;']],
  ['What was asked', '[role=dialog] *, [role=dialog]', ['Alt+Shift+/']],
]
for (const [name, selector, keys] of VIEWS)
  test(`${name} fails alone: closed with word, the shelf lives on`, async ({ shelf, page }) => {
    shelf.expected = /gone wrong|error occurred|boundary/i
    const { doc } = await begin(shelf)
    await page.evaluate((failing) => {
      const { focus } = HTMLElement.prototype
      HTMLElement.prototype.focus = function (this: HTMLElement, ...given) {
        if (this.matches(failing)) throw new Error('gone wrong')
        focus.apply(this, given)
      }
    }, selector)
    await shelf.press(...keys)
    await expect(shelf.said()).toContainText(`${name} failed and was closed`)
    await page.keyboard.up('Alt')
    await expect.poll(() => keysIn(page)).toBe(doc)
    await page.keyboard.type('on')
    await expect(shelf.window(doc).locator('.tiptap')).toHaveText('on')
  })
