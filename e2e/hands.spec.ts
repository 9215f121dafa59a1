import type { Locator, Page } from '@playwright/test'
import { expect, type ShelfPage, test } from './shelf'

/** What a mouse or a finger does; letters are typed where a name is asked for. */
interface Hand {
  push(on: Locator): Promise<void>
  over(place: Locator): Promise<void>
  /** A push at the edge of the page, beside all that asks. */
  beside(): Promise<void>
  /** Asks for the menu of something. */
  ask(on: Locator): Promise<void>
}

const mouse = (page: Page): Hand => ({
  push: (on) => on.click(),
  over: async (place) => {
    const { x = 0, y = 0, width = 0, height = 0 } = (await place.boundingBox()) ?? {}
    await page.mouse.move(x + width / 2, y + height / 2, { steps: 12 })
  },
  beside: () => page.mouse.click(3, 3),
  ask: (on) => on.click({ button: 'right' }),
})

const finger = (page: Page): Hand => ({
  push: (on) => on.tap(),
  over: async () => {},
  beside: () => page.touchscreen.tap(3, 3),
  ask: async (on) => {
    const box = await on.boundingBox()
    if (!box) throw new Error('Nothing to touch')
    const touch = await page.context().newCDPSession(page)
    const touchPoints = [{ x: box.x + box.width / 2, y: box.y + box.height / 2 }]
    await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints })
    await expect(page.getByRole('menu')).toBeVisible()
    await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
    await touch.detach()
  },
})

/** The first five minutes of the README with no key but for names and words that are typed. */
async function firstMinutes(shelf: ShelfPage, { push, over, ask, beside }: Hand): Promise<void> {
  const { page } = shelf
  await expect(page.locator('#desktop')).toBeVisible()
  const row = (name: string) =>
    page.locator('[data-row-name]').filter({ hasText: new RegExp(`^${name}$`) })
  const item = (name: string | RegExp) => page.getByRole('menuitem', { name })
  const choose = async (...names: (string | RegExp)[]) => {
    for (const [at, name] of names.entries()) {
      // Over what opened, not across what stands below the item that opened it.
      await expect(page.getByRole('menu')).toHaveCount(at + 1)
      if (at > 0) await over(page.getByRole('menu').last().getByRole('menuitem').first())
      await push(item(name).last())
    }
    await expect(page.getByRole('menu')).toHaveCount(0)
  }
  const menu = () => push(page.getByRole('button', { name: 'Kite Shelf menu' }))
  const inHand = (id: string) => push(shelf.window(id).getByRole('button', { name: /^Menu of/ }))
  const undo = () => push(page.getByRole('button', { name: 'undo', exact: true }))
  const dialog = (name: string | RegExp) => page.getByRole('dialog', { name })
  const confirm = (name: string | RegExp) => push(dialog(name).locator('.btn-main'))
  /** A push beside what is open leaves it. */
  const leave = async (name: string | RegExp) => {
    await expect(dialog(name)).toBeVisible()
    await beside()
    await expect(dialog(name)).toHaveCount(0)
  }
  const lives = async (id: string) => (await shelf.state()).windows[id]?.desktop

  await push(row('Bulletin'))
  expect(await shelf.here()).toBe('bulletin')
  await push(row('Field'))

  await push(page.locator('[data-thread]'))
  await page.keyboard.type('Kestrel')
  // A push elsewhere takes the name.
  await push(row('Field'))
  await push(row('Kestrel'))
  const kestrel = await shelf.here()
  expect(await shelf.rowNames()).toContain('Kestrel')

  await push(row('Field'))
  await inHand('stations')
  await choose('Carry to', 'Kestrel')
  expect([await lives('stations'), await shelf.here()]).toEqual([kestrel, kestrel])

  await push(row('Field'))
  await inHand('north')
  await choose(/^Send to$/, 'Kestrel')
  expect([await lives('north'), await shelf.here()]).toEqual([kestrel, 'field'])
  await undo()
  expect(await lives('north')).toBe('field')

  await push(shelf.window('pit').locator('.hem b'))
  await inHand('pit')
  await choose(/pad/i)
  const cell = (at: number) =>
    page.getByRole('dialog', { name: 'Pad' }).locator('.pad-cell').nth(at)
  await push(cell(0))
  await push(cell(5))
  // A pause keeps it.
  const placed = async () => (await shelf.state()).windows.pit?.placed
  await expect.poll(placed).toEqual({ left: 0, top: 0, right: 2, bottom: 1 })

  await ask(row('Field'))
  await choose(/^Fold(?!.*others)/)
  await confirm('Fold Field')
  expect((await shelf.state()).order).not.toContain('field')
  await undo()
  expect(await shelf.here()).toBe('field')

  await menu()
  await choose('Loft')
  await ask(page.locator('[data-standing="sunday"]'))
  await choose(/^Send to$/, 'Field')
  expect(await lives('sunday')).toBe('field')
  await push(dialog('Loft').getByRole('button', { name: 'Escape back' }).first())

  await menu()
  await choose(/^Windows$/, /^Put windows right/)
  await confirm('Put right')
  expect(await lives('radio')).toBe('breather')
  await inHand('pit')
  await choose('Home', /^Set a home/)
  await leave(/^A home for/)

  const { order } = await shelf.state()
  await inHand('pit')
  await choose(/^Solo/)
  expect((await shelf.state()).order).toHaveLength(order.length + 1)
  await inHand('pit')
  await choose(/^Solo/)
  expect((await shelf.state()).order).toEqual(order)
  await inHand('pit')
  await choose(/^Pair/)
  await leave(/^Pair/)

  await ask(row('Bulletin'))
  await choose('Glance at it')
  await expect(dialog('Glance')).toBeVisible()
  await push(dialog('Glance'))
  await expect(dialog('Glance')).toHaveCount(0)

  await push(page.getByRole('region', { name: 'Line' }).getByRole('button', { name: /^find/ }))
  await page.keyboard.type('mast')
  await push(page.getByRole('option', { name: /Run notes/ }).first())
  await expect.poll(async () => (await shelf.state()).focus).toBe('notes')

  await inHand('notes')
  await choose('Send to the next display')
  expect((await shelf.state()).windows.notes?.display).toBe('tall')
  await undo()
  await menu()
  await choose('Arrange displays')
  await leave('Displays')

  await menu()
  await choose(/^Keys$/, 'Key card')
  await leave('Keys')
}

test('the first five minutes of the README by mouse alone', async ({ shelf, page }) => {
  await page.goto('/demo')
  await firstMinutes(shelf, mouse(page))
})

test.describe('on a touch screen', () => {
  test.use({ hasTouch: true, isMobile: true, viewport: { width: 1180, height: 820 } })

  test('the first five minutes of the README by finger alone', async ({ shelf, page }) => {
    await page.goto('/demo')
    await firstMinutes(shelf, finger(page))
  })
})
