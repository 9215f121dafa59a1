import { bindings, THIS } from '../src/core/keys/bindings'
import { asPressed } from '../src/core/keys/sets'
import type { State } from '../src/core/model/state'
import { expect, type ShelfPage, test } from './shelf'

/** What a browser test cannot see the effect of, each with where it is tried. */
const ELSEWHERE = new Set([
  // It asks the system for a file; in apps.spec.
  'shelf.openFile',
])

const NAMES: Record<string, string> = {
  Ctrl: 'Control',
  Left: 'ArrowLeft',
  Right: 'ArrowRight',
  Up: 'ArrowUp',
  Down: 'ArrowDown',
}
const asTyped = (stroke: string): string =>
  stroke
    .split(/(?<=.)\+(?=.)/)
    .map((key) => NAMES[key] ?? key)
    .join('+')

/** All that can be seen of what a key did: the state, what is open, where the keys are, what is said. */
const seen = (shelf: ShelfPage): Promise<string> =>
  shelf.page.evaluate(() => {
    const open = [
      ...document.querySelectorAll(
        'dialog[open], [role=dialog], [role=menu], .side-panel, [data-inspector]',
      ),
    ]
    const active = document.activeElement
    return JSON.stringify([
      window.kiteShelf?.state(),
      open.map((one) => one.getAttribute('aria-label') ?? one.textContent?.slice(0, 60)),
      document.querySelector('[data-said]')?.textContent,
      [...document.querySelectorAll('[aria-live=polite] p')].map((line) => line.textContent),
      active?.id || active?.getAttribute('aria-label') || active?.className,
      document.fullscreenElement !== null,
    ])
  })

for (const set of ['alt', 'leader'] as const)
  test(`${set === 'alt' ? 'every key of the card does' : 'keys do'} something when pressed, with the set “${set}”`, async ({
    shelf,
    page,
  }) => {
    test.setTimeout(300_000)
    await shelf.furnish({
      Field: { Notes: 'document', Pit: 'job', Slides: 'countdown' },
      Model: { Output: 'table' },
      Rota: {},
    })
    await shelf.run('settings.set', { keys: set })
    const state = (await shelf.state()) as unknown as State
    // What has a lighter key beside a heavier one is pressed by both in one set, every other in the second:
    // what comes after the first stroke is the same.
    const all = [...bindings(state).values()].filter(
      ({ keys, command }, at) =>
        !ELSEWHERE.has(command) &&
        (set === 'alt' || (at % 2 === 0 && !keys.startsWith(`${THIS} `))),
    )
    // What was pressed before must not matter: it begins as it was, and something else was said last.
    const begin = (at: number) =>
      page.evaluate((count) => {
        const run = window.kiteShelf?.run
        while ((window.kiteShelf?.steps().length ?? 0) > count) run?.('history.undo')
        const { order = [], visited = [] } = window.kiteShelf?.state() ?? {}
        if (visited[0] !== order[0]) run?.('desktop.go', { to: order[0] })
        run?.('desktop.rename', { desktop: order[0], name: `Field ${performance.now()}` })
      }, at)
    const steps = await page.evaluate(() => window.kiteShelf?.steps().length ?? 0)
    const does = async (keys: string): Promise<boolean> => {
      const before = await seen(shelf)
      for (const stroke of asPressed(keys, state).split(' '))
        await page.keyboard.press(asTyped(stroke))
      return expect
        .poll(() => seen(shelf), { timeout: 5000, intervals: [20, 40, 80, 160] })
        .not.toBe(before)
        .then(
          () => true,
          () => false,
        )
    }
    // What was made before has come to rest.
    await expect
      .poll(async () => {
        const now = await seen(shelf)
        await page.waitForTimeout(400)
        return (await seen(shelf)) === now
      })
      .toBe(true)
    // Nothing happens by itself: a key that is free does nothing, nor one that had a meaning once.
    if (set === 'alt') expect(await does('Alt+-')).toBe(false)
    const dead: string[] = []
    for (const { keys, command } of all) {
      await begin(steps)
      if (!(await does(keys))) dead.push(`${keys}: ${command}`)
      for (let at = 0; at < 3; at++) await page.keyboard.press('Escape')
    }
    expect(dead).toEqual([])
  })
