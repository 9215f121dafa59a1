import type { Page } from '@playwright/test'
import { expect, ShelfPage, test } from './shelf'

/** Opens the demo with both displays, and Tall in a browser window of its own. */
async function both(page: Page): Promise<[near: ShelfPage, tall: ShelfPage]> {
  await page.goto('/demo')
  await expect(page.locator('#desktop')).toBeVisible()
  const other = await page.context().newPage()
  await other.setViewportSize({ width: 1080, height: 1000 })
  await other.goto('/demo/display/tall')
  await expect(other.locator('#desktop')).toBeVisible()
  const [near, tall] = [new ShelfPage(page), new ShelfPage(other)]
  await expect(page.getByText('in its own window')).toBeVisible()
  return [near, tall]
}

test('a display in a window of its own shows its desktop, and what is done in one is seen in the other', async ({
  page,
}) => {
  const [near, tall] = await both(page)
  await expect(tall.window('calls')).toBeVisible()
  await expect(tall.window('stations')).toBeHidden()
  await expect(near.window('calls')).toHaveCount(0)
  expect([await near.here(), await tall.here()]).toEqual(['field', 'public'])
  // Sent over from one, it is in the other; and back by a key pressed there.
  await near.run('window.toDisplay', { window: 'stations', to: 'right' })
  await expect(tall.window('stations')).toBeVisible()
  await expect(near.window('stations')).toHaveCount(0)
  await tall.run('window.focus', { window: 'stations' })
  await tall.press('Alt+Shift+ArrowLeft')
  await expect(near.window('stations')).toBeVisible()
  // Undo in one is seen in the other, and moves it nowhere.
  await tall.press('Alt+Z')
  await expect(tall.window('stations')).toBeVisible()
  expect([await near.here(), await tall.here()]).toEqual(['field', 'public'])
})

test('keys act on the display they are pressed on', async ({ page }) => {
  const [near, tall] = await both(page)
  await near.press('Alt+M')
  await tall.press('Alt+R')
  await expect.poll(() => near.here()).toBe('model')
  await expect.poll(() => tall.here()).toBe('rota')
  // Each knows what the other shows.
  await expect.poll(async () => (await near.state()).displays.tall?.shows).toBe('rota')
  await expect.poll(async () => (await tall.state()).displays.near?.shows).toBe('model')
  // What the other shows is said to be there.
  await near.press('Alt+R')
  await expect(near.said()).toContainText('Rota is on Tall')
  expect(await near.here()).toBe('model')
})

test('a window carried to a display in its own window takes the keys along: letters do nothing here', async ({
  page,
}) => {
  const [near, tall] = await both(page)
  await near.run('window.focus', { window: 'north' })
  await near.press('Alt+Shift+ArrowRight')
  await expect(near.said()).toContainText(
    /Sent .* to Tall.*, in its own window: the keys are there now/,
  )
  // What stands elsewhere is drawn meanwhile, so the one that would be written in is looked at.
  const stations = near.window('stations')
  const before = await stations.textContent()
  await page.keyboard.type('lost')
  await page.keyboard.press('Enter')
  await expect(near.said()).toContainText(
    'The keys are on Tall, in its own window. Click here to get them back.',
  )
  expect(await stations.textContent()).toBe(before)
  // A push gives them back, and so does a chord that stays here.
  await stations.getByRole('gridcell').nth(1).click()
  await expect(page.locator('[data-focused]')).toHaveAttribute('data-window', 'stations')
  await page.keyboard.type('7')
  await expect(stations.getByRole('textbox', { name: 'Cell' })).toHaveValue('7')
  await page.keyboard.press('Escape')
  await near.press('Alt+Shift+ArrowRight', 'Alt+M')
  await expect(page.locator('[data-focused] :focus')).toHaveCount(1)
  // Where that window is closed, they are here again.
  await near.press('Alt+P')
  await expect(near.said()).toContainText('Public line is on Tall, in its own window')
  await tall.page.close()
  await expect(page.locator('[data-focused] :focus')).toHaveCount(1)
})

test('what is typed in one is in the other as it is typed, and kept', async ({ page }) => {
  const [near, tall] = await both(page)
  // The same document in a window on each.
  await near.run('window.open', { app: 'document', document: 'calls' })
  const [, here] = Object.values((await near.state()).windows)
    .filter(({ document }) => document === 'calls')
    .map(({ id }) => id)
  const editor = tall.window('calls').locator('[contenteditable=true]')
  await editor.click()
  await tall.page.keyboard.press('Control+End')
  await tall.page.keyboard.type(' Kestrel marked')
  await expect(near.window(here ?? '').getByText('Kestrel marked')).toBeVisible()
  await near.kept()
  await page.reload()
  await expect(near.window(here ?? '').getByText('Kestrel marked')).toBeVisible()
  await expect(tall.window('calls').getByText('Kestrel marked')).toBeVisible()
})

test('what is typed by turns in two views stands in both as it was typed, spaces and empty lines too', async ({
  page,
}) => {
  const [near, tall] = await both(page)
  await near.run('window.open', { app: 'document', document: 'calls' })
  const [, here = ''] = Object.values((await near.state()).windows)
    .filter(({ document }) => document === 'calls')
    .map(({ id }) => id)
  const one = near.window(here).locator('[contenteditable=true]')
  const other = tall.window('calls').locator('[contenteditable=true]')
  const ends = (text: string) => new RegExp(`${text}$`)
  for (const editor of [one, other]) {
    await editor.click()
    await editor.press('Control+End')
  }
  // Out of its last paragraph, and one more is left empty.
  for (const _ of [1, 2, 3]) await other.press('Enter')
  let typed = ''
  for (const turn of ['A1 ', 'B1', ' A2', '  B2 ', 'A3', ' B3  ', ' A4']) {
    const [editor, seen] = turn.includes('A') ? [other, one] : [one, other]
    await editor.press('Control+End')
    await editor.pressSequentially(turn)
    typed += turn
    for (const text of [editor, seen])
      await expect
        .poll(() => text.evaluate((element) => element.textContent?.replaceAll('\u00a0', ' ')))
        .toMatch(ends(typed))
  }
  await near.kept()
  await page.reload()
  await expect
    .poll(() => one.evaluate((element) => element.textContent?.replaceAll('\u00a0', ' ')))
    .toMatch(ends(typed))
  // The empty paragraph above it as well.
  await expect(one.locator('> p').nth(-2)).toHaveText('')
})

test('what is typed in two views and two windows at the same moment is in all of them once, also when one closes', async ({
  page,
}) => {
  const [near, tall] = await both(page)
  await near.run('window.open', { app: 'document', document: 'calls' })
  await near.run('window.open', { app: 'document', document: 'calls' })
  const [, here = '', beside = ''] = Object.values((await near.state()).windows)
    .filter(({ document }) => document === 'calls')
    .map(({ id }) => id)
  const one = near.window(here).locator('[contenteditable=true]')
  const second = near.window(beside).locator('[contenteditable=true]')
  const other = tall.window('calls').locator('[contenteditable=true]')
  // Wherever others cover it.
  await near.run('window.focus', { window: here })
  await expect(one).toBeFocused()
  await one.press('Control+Home')
  await other.click()
  await other.press('Control+End')
  const letters = (from: string) => Array.from({ length: 40 }, (_, n) => `${from}${n}.`).join('')
  await Promise.all([one.pressSequentially(letters('<')), other.pressSequentially(letters('>'))])
  for (const editor of [one, second, other]) {
    await expect(editor).toContainText(letters('<'))
    await expect(editor).toContainText(letters('>'))
  }
  // Undo takes back what was typed here only.
  await other.press('Control+Z')
  await expect(one).not.toContainText(letters('>'))
  await expect(one).toContainText(letters('<'))
  await other.press('Control+Shift+Z')
  for (const editor of [one, second]) await expect(editor).toContainText(letters('>'))
  // The one that led is gone: the next one leads.
  await page.reload()
  await one.click()
  await one.press('Control+Home')
  await Promise.all([one.pressSequentially('(a)'), other.pressSequentially('(b)')])
  for (const editor of [one, second, other]) {
    await expect(editor).toContainText('(a)')
    await expect(editor).toContainText('(b)')
  }
})

test('the view that keeps the shelf closes: another keeps it at once, and nothing is lost', async ({
  page,
}) => {
  const [near, tall] = await both(page)
  await tall.press('Alt+R')
  await near.run('window.send', { window: 'stations', to: 'model' })
  await near.page.close()
  await tall.run('desktop.create', { name: 'Kept by Tall', stay: true })
  await expect(tall.page.locator('[data-saving="saved"]')).toBeVisible()
  const again = await tall.page.context().newPage()
  await again.goto('/demo')
  await expect(again.locator('#desktop')).toBeVisible()
  const shelf = new ShelfPage(again)
  const { desktops, windows } = await shelf.state()
  expect(Object.values(desktops).map(({ name }) => name)).toContain('Kept by Tall')
  expect(windows.stations?.desktop).toBe('model')
  // The main view keeps the shelf again, with all that belongs to that.
  await expect
    .poll(async () => {
      await shelf.run('shelf.keepFolder')
      return shelf.said().textContent()
    })
    .not.toContain('Nothing is being saved')
  // And all of it after both are closed.
  await tall.page.close()
  await shelf.run('desktop.create', { name: 'Kept by Near', stay: true })
  await shelf.reload()
  const names = Object.values((await shelf.state()).desktops).map(({ name }) => name)
  expect(names).toEqual(expect.arrayContaining(['Kept by Tall', 'Kept by Near']))
  // Its window is gone: it is drawn in the column again.
  await expect(again.getByText('in its own window')).toHaveCount(0)
})

test('three views change things at once while the one that keeps the shelf is killed: nothing is lost', async ({
  playwright,
  launchOptions,
}) => {
  // Each page has a process of its own: only one of them is to be killed.
  const browser = await playwright.chromium.launch({
    ...launchOptions,
    args: launchOptions.args?.filter((flag) => !flag.startsWith('--renderer-process-limit')),
  })
  const page = await (await browser.newContext()).newPage()
  const [near, tall] = await both(page)
  await near.run('display.add', { name: 'Side' })
  const id = (await near.state()).displayOrder[2] ?? ''
  const third = await page.context().newPage()
  await third.goto(`/demo/display/${id}`)
  await expect(third.locator('#desktop')).toBeVisible()
  const side = new ShelfPage(third)
  const editor = tall.window('calls').locator('[contenteditable=true]')
  await editor.click()
  await tall.page.keyboard.press('Control+End')
  /** Makes desktops one after the other, as fast as the page allows. */
  const make = (shelf: ShelfPage, name: string, count: number) =>
    shelf.page.evaluate(
      async ([called, most]) => {
        for (let at = 0; at < most; at++) {
          const made = window.kiteShelf?.run('desktop.create', {
            name: `${called} ${at}`,
            stay: true,
          })
          if (!made?.ok) throw new Error(`${called} ${at}`)
          await new Promise((done) => setTimeout(done, 40))
        }
      },
      [name, count] as const,
    )
  const work = [
    make(side, 'Side', 12),
    make(tall, 'Tall', 8).then(() => tall.page.keyboard.type(' typed through it')),
  ]
  await make(near, 'Near', 5)
  // Killed, not closed: it writes nothing more.
  const devtools = await page.context().newCDPSession(page)
  void devtools.send('Page.crash').catch(() => {})
  await Promise.all(work)
  const names = async (shelf: ShelfPage) =>
    Object.values((await shelf.state()).desktops)
      .map(({ name }) => name)
      .filter((name) => /^(Side|Tall|Near) \d+$/.test(name))
      .sort()
  const all = [
    ...Array.from({ length: 12 }, (_, at) => `Side ${at}`),
    ...Array.from({ length: 8 }, (_, at) => `Tall ${at}`),
    ...Array.from({ length: 5 }, (_, at) => `Near ${at}`),
  ].sort()
  await expect.poll(() => names(tall)).toEqual(all)
  await expect.poll(() => names(side)).toEqual(all)
  // Another keeps it: after both are loaded anew all of it is there.
  for (const shelf of [tall, side])
    await expect(shelf.page.locator('[data-saving="saved"]')).toBeVisible()
  await tall.page.waitForTimeout(600)
  await tall.page.close()
  await side.page.close()
  const again = await page.context().newPage()
  await again.goto('/demo')
  await expect(again.locator('#desktop')).toBeVisible()
  const shelf = new ShelfPage(again)
  expect(await names(shelf)).toEqual(all)
  await shelf.run('window.focus', { window: 'calls' })
  await expect(shelf.window('calls').getByText('typed through it')).toBeVisible()
  await browser.close()
})

test('a display in its own window has the rack when asked for, and fills the screen', async ({
  page,
}) => {
  const [, tall] = await both(page)
  const rack = tall.page.getByRole('navigation', { name: 'Desktops' })
  await expect(rack).toHaveCount(0)
  await tall.page.bringToFront()
  await tall.press('Alt+Shift+;', 'K')
  await expect(rack.getByRole('button', { name: /^Public line, 3/ })).toBeFocused()
  // The display is as large as what is left.
  await expect.poll(async () => (await tall.state()).displays.tall?.width).toBe(1080 - 208)
  await tall.press('Escape', 'Alt+Shift+;', 'K')
  await expect(rack).toHaveCount(0)
  await tall.press('Alt+Shift+;', 'Enter')
  await expect(tall.said()).toContainText('Full screen')
  expect(await tall.page.evaluate(() => document.fullscreenElement !== null)).toBe(true)
  await tall.press('Alt+Shift+;', 'Enter')
  await expect(tall.said()).toContainText('Left full screen')
})

test('a view that was asleep has all of it when it wakes, and what is done there then is done upon it', async ({
  page,
}) => {
  const [near, tall] = await both(page)
  const devtools = await page.context().newCDPSession(tall.page)
  await devtools.send('Page.setWebLifecycleState', { state: 'frozen' })
  for (const name of ['While asleep', 'Still asleep'])
    await near.run('desktop.create', { name, stay: true })
  await near.run('window.toDisplay', { window: 'stations', to: 'right' })
  await devtools.send('Page.setWebLifecycleState', { state: 'active' })
  await expect(tall.window('stations')).toBeVisible()
  await tall.run('desktop.create', { name: 'Awake', stay: true })
  const names = async (shelf: ShelfPage) =>
    Object.values((await shelf.state()).desktops).map(({ name }) => name)
  const all = ['While asleep', 'Still asleep', 'Awake']
  for (const shelf of [near, tall])
    await expect.poll(() => names(shelf)).toEqual(expect.arrayContaining(all))
})

test('where the main view comes back slowly the one that gave way to it keeps the shelf again: none waits for the other', async ({
  page,
}) => {
  const [near, tall] = await both(page)
  // It says late that it is there, when Tall has the shelf, and asks for the shelf later still.
  await page.addInitScript(() => {
    const { request } = LockManager.prototype
    LockManager.prototype.request = function (this: LockManager, ...given: unknown[]) {
      const [name, options] = given as [string, LockOptions | (() => void)]
      const late = name.includes('-view-') ? 1000 : name === 'kite-shelf-demo' ? 3000 : 0
      const now = late === 0 || (typeof options === 'object' && options.ifAvailable)
      const ask = () => Reflect.apply(request, this, given)
      return now ? ask() : new Promise((done) => setTimeout(done, late)).then(ask)
    } as typeof request
  })
  await page.reload()
  await expect(page.locator('#desktop')).toBeVisible()
  await page.waitForTimeout(2000)
  await near.run('desktop.create', { name: 'Made meanwhile', stay: true })
  await near.kept()
  for (const shelf of [near, tall])
    await expect
      .poll(async () => Object.values((await shelf.state()).desktops).map(({ name }) => name))
      .toContain('Made meanwhile')
  await expect(near.row('Made meanwhile')).toBeVisible()
})

test('a display that mirrors another shows its picture, and keys pressed there act on that', async ({
  page,
}) => {
  const [near, tall] = await both(page)
  await near.run('display.mirror', { display: 'tall' })
  // What stood on it stands beside the rest meanwhile.
  await expect(tall.window('stations')).toBeVisible()
  await expect(tall.window('calls')).toBeHidden()
  const [here, there] = [near.window('stations'), tall.window('stations')]
  const scale = async () =>
    ((await there.boundingBox())?.width ?? 0) / ((await here.boundingBox())?.width ?? 1)
  const { width } = (await near.state()).displays.near ?? { width: 1 }
  await expect.poll(scale).toBeCloseTo(Math.min(1080 / width, 2), 1)
  await tall.page.bringToFront()
  await tall.press('Alt+M')
  await expect.poll(() => near.here()).toBe('model')
  await expect(near.window('notes')).toBeVisible()
  await tall.page.reload()
  await expect(tall.window('notes')).toBeVisible()
  await near.run('display.plug', { display: 'tall' })
  await expect(tall.window('calls')).toBeVisible()
  await expect(tall.window('notes')).toBeHidden()
  expect(await near.here()).toBe('model')
})
