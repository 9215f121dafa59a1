import { readFileSync } from 'node:fs'
import { expect, type ShelfPage, test } from './shelf'

/** The steps of the first five minutes, as the README has them. */
const STEPS = /## The first five minutes[\s\S]*?(?=\nReload the page)/
  .exec(readFileSync('README.md', 'utf8'))?.[0]
  .split(/\n\d+\. /)
  .slice(1) as string[]

/** The keys a step names, in its order. */
const keysOf = (step: string): string[] =>
  [...step.matchAll(/\*\*([^*]+)\*\*/g)].map(([, keys]) => keys?.replaceAll('`', '') ?? '')

/** What is done for a step, and what it comes to. Its keys are checked to be those of the README. */
interface Walked {
  keys: string[]
  walk(shelf: ShelfPage): Promise<void>
}

const windowsOf = async (shelf: ShelfPage) => (await shelf.state()).windows
const focused = async (shelf: ShelfPage) => (await shelf.state()).focus ?? ''
const kestrel = async (shelf: ShelfPage) =>
  Object.values((await shelf.state()).desktops).find(({ name }) => name === 'Kestrel')?.id

const WALK: Walked[] = [
  {
    keys: ['Alt+B', 'Alt+\\'],
    walk: async (shelf) => {
      await shelf.press('Alt+B')
      expect(await shelf.here()).toBe('bulletin')
      await shelf.press('Alt+\\')
      expect(await shelf.here()).toBe('field')
    },
  },
  {
    keys: ['Alt+N'],
    walk: async (shelf) => {
      await shelf.press('Alt+N')
      await shelf.page.keyboard.type('Kestrel')
      await shelf.press('Enter')
      expect(await shelf.here()).toBe(await kestrel(shelf))
    },
  },
  {
    keys: ['Alt+\\', 'Alt+Shift+K'],
    walk: async (shelf) => {
      await shelf.press('Alt+\\')
      const window = await focused(shelf)
      await shelf.press('Alt+Shift+K')
      expect(await shelf.here()).toBe(await kestrel(shelf))
      expect((await windowsOf(shelf))[window]?.desktop).toBe(await kestrel(shelf))
    },
  },
  {
    keys: ['Alt+\\', 'Alt+]', 'K', 'Alt+Z'],
    walk: async (shelf) => {
      await shelf.press('Alt+\\')
      const window = await focused(shelf)
      await shelf.press('Alt+]', 'K')
      expect((await windowsOf(shelf))[window]?.desktop).toBe(await kestrel(shelf))
      expect(await shelf.here()).toBe('field')
      await expect(shelf.said()).toContainText('Sent')
      await shelf.press('Alt+Z')
      expect((await windowsOf(shelf))[window]?.desktop).toBe('field')
    },
  },
  {
    keys: ['Alt+X', 'Q', 'D'],
    walk: async (shelf) => {
      const window = await focused(shelf)
      await shelf.press('Alt+X', 'q', 'd', 'Enter')
      expect((await windowsOf(shelf))[window]?.placed).toEqual({
        left: 0,
        top: 0,
        right: 2,
        bottom: 1,
      })
    },
  },
  {
    keys: ['Alt+J', 'F', 'Alt+Z'],
    walk: async (shelf) => {
      const { windows, order } = await shelf.state()
      await shelf.press('Alt+J', 'f')
      await expect(shelf.page.getByRole('dialog', { name: 'Fold Field' })).toBeVisible()
      await shelf.press('Enter')
      expect((await shelf.state()).order).not.toContain('field')
      expect(Object.keys(await windowsOf(shelf))).toHaveLength(Object.keys(windows).length)
      await shelf.press('Alt+Z')
      expect((await shelf.state()).order).toEqual(order)
      expect(await shelf.here()).toBe('field')
    },
  },
  {
    keys: ['Alt+/', 'Shift+R', '←', 'F'],
    walk: async (shelf) => {
      await shelf.press('Alt+/')
      await expect(shelf.page.getByRole('dialog', { name: 'Loft' })).toBeFocused()
      await shelf.press('Shift+R', 'ArrowLeft', 'ArrowLeft', 'f')
      expect((await windowsOf(shelf)).sunday?.desktop).toBe('field')
      await shelf.press('Escape')
      expect(await shelf.here()).toBe('field')
    },
  },
  {
    keys: ['Alt+J', 'P', 'Alt+J', 'H'],
    walk: async (shelf) => {
      await shelf.press('Alt+J', 'p')
      await expect(shelf.page.getByRole('dialog', { name: 'Put right' })).toBeVisible()
      await shelf.press('Enter')
      await expect(shelf.said()).toContainText('right')
      await shelf.press('Alt+J', 'h')
      await expect(shelf.page.getByRole('dialog', { name: /^A home for/ })).toBeVisible()
      await shelf.press('Escape')
    },
  },
  {
    keys: ['Alt+Enter', 'Alt+Shift+Enter'],
    walk: async (shelf) => {
      const before = await shelf.state()
      await shelf.press('Alt+Enter')
      expect((await shelf.state()).order).toHaveLength(before.order.length + 1)
      await shelf.press('Alt+Enter')
      expect((await shelf.state()).windows).toEqual(before.windows)
      await shelf.press('Alt+Shift+Enter')
      await expect(shelf.page.getByRole('dialog', { name: /^Pair/ })).toBeVisible()
      await shelf.press('Escape')
    },
  },
  {
    keys: ['Alt+[', 'B'],
    walk: async (shelf) => {
      const { keyboard } = shelf.page
      await keyboard.down('Alt')
      await keyboard.press('[')
      await keyboard.press('b')
      await expect(shelf.page.getByRole('dialog', { name: 'Glance' })).toBeVisible()
      await keyboard.up('Alt')
      await expect(shelf.page.getByRole('dialog', { name: 'Glance' })).toHaveCount(0)
      expect(await shelf.here()).toBe('field')
    },
  },
  {
    keys: ['Alt+;'],
    walk: async (shelf) => {
      await shelf.press('Alt+;')
      await shelf.page.keyboard.type('mast')
      await expect(
        shelf.page.getByRole('dialog', { name: 'Line' }).getByRole('option').first(),
      ).toContainText('Run notes')
      await shelf.press('Enter')
      expect(await focused(shelf)).toBe('notes')
      await expect.poll(() => shelf.page.evaluate(() => String(getSelection()))).toBe('mast')
      for (const sentence of ['send rota', 'fold field into model', 'open table on bulletin']) {
        await shelf.press('Alt+;')
        await shelf.page.keyboard.type(sentence)
        const verb = new RegExp(`^${sentence.split(' ')[0]}`, 'i')
        await expect(
          shelf.page.getByRole('dialog', { name: 'Line' }).getByRole('option').first(),
        ).toHaveText(verb)
        await shelf.press('Escape')
      }
    },
  },
  {
    keys: ['Alt+Shift+→', 'Alt+Shift+←', 'Alt+J', 'Z'],
    walk: async (shelf) => {
      const window = await focused(shelf)
      const stood = (await windowsOf(shelf))[window]
      await shelf.press('Alt+Shift+ArrowRight')
      expect((await windowsOf(shelf))[window]?.display).toBe('tall')
      expect((await shelf.state()).display).toBe('tall')
      await shelf.press('Alt+Shift+ArrowLeft')
      const { display, frame } = (await windowsOf(shelf))[window] ?? {}
      expect([display, frame]).toEqual([stood?.display, stood?.frame])
      await shelf.press('Alt+J', 'z')
      await expect(shelf.page.getByRole('dialog', { name: /isplays/ })).toBeVisible()
      await shelf.press('Escape')
    },
  },
  {
    keys: ['Alt+Shift+/'],
    walk: async (shelf) => {
      await shelf.press('Alt+Shift+/')
      await expect(shelf.page.getByRole('dialog', { name: /eys/ })).toBeVisible()
      await shelf.press('Escape')
    },
  },
]

for (const [what, window] of [
  ['a document', 'north'],
  ['a table', 'stations'],
  ['a web page', 'camera'],
] as const)
  test(`the thirteen steps of the README, with ${what} focused`, async ({ shelf, page }) => {
    test.setTimeout(90_000)
    expect(STEPS).toHaveLength(13)
    await page.goto('/demo')
    await expect(page.locator('#desktop')).toBeVisible()
    await shelf.run('window.focus', { window })
    await expect(shelf.window(window)).toBeVisible()
    const texts = (await shelf.state()).documents
    for (const [at, { keys, walk }] of WALK.entries())
      await test.step(`step ${at + 1}`, async () => {
        expect(keysOf(STEPS[at] ?? '')).toEqual(keys)
        await walk(shelf)
      })
    // Nothing of it was written anywhere.
    const after = (await shelf.state()).documents
    for (const { id, unsaved } of Object.values(texts))
      expect([id, after[id]?.unsaved]).toEqual([id, unsaved])
    const { windows, order } = await shelf.state()
    await shelf.reload()
    const again = await shelf.state()
    expect([again.windows, again.order]).toEqual([windows, order])
  })
