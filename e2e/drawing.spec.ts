import type { Page } from '@playwright/test'
import { expect, type ShelfPage, test } from './shelf'

/**
 * What a command draws, touches and writes. These are counts, the same on any machine; how long it
 * takes is measured by the bench.
 */

interface Cost {
  /** Components that were drawn. */
  drawn: number
  /** Elements that were changed, or had something put in or taken out. */
  touched: number
  /** Characters written to the browser's database. */
  written: number
}

/** Commands that are said all day, with the most each may cost on a shelf of eight windows. */
const COMMANDS: [id: string, args: object, most: Cost][] = [
  ['desktop.go', { to: 'next' }, { drawn: 34, touched: 40, written: 4500 }],
  ['desktop.go', { to: 'previous' }, { drawn: 30, touched: 40, written: 4500 }],
  ['window.focus', { window: '' }, { drawn: 14, touched: 12, written: 5000 }],
  ['window.focusToward', { to: 'right' }, { drawn: 14, touched: 12, written: 5000 }],
  ['window.move', { x: 40, y: 40 }, { drawn: 8, touched: 10, written: 3500 }],
  ['window.resize', { width: 420, height: 300 }, { drawn: 8, touched: 10, written: 3500 }],
  [
    'window.place',
    { top: 0, left: 0, bottom: 1, right: 1 },
    { drawn: 8, touched: 10, written: 3500 },
  ],
  ['window.maximise', {}, { drawn: 30, touched: 12, written: 3500 }],
  ['window.maximise', {}, { drawn: 30, touched: 12, written: 3500 }],
  ['window.minimise', { window: '' }, { drawn: 16, touched: 16, written: 6000 }],
  ['window.minimise', { window: '' }, { drawn: 16, touched: 16, written: 6000 }],
  ['window.send', { to: 'next' }, { drawn: 22, touched: 20, written: 12000 }],
  ['history.undo', {}, { drawn: 30, touched: 45, written: 12000 }],
  ['window.carry', { to: 'next' }, { drawn: 34, touched: 45, written: 12000 }],
  ['history.undo', {}, { drawn: 30, touched: 45, written: 12000 }],
  ['desktop.rename', { name: 'Ridge' }, { drawn: 14, touched: 22, written: 3500 }],
  ['desktop.look', { hue: 'rose' }, { drawn: 14, touched: 18, written: 3500 }],
  ['desktop.reorder', { by: 1 }, { drawn: 80, touched: 20, written: 3500 }],
  ['windows.sweep', {}, { drawn: 24, touched: 20, written: 9000 }],
  ['windows.sweep', {}, { drawn: 18, touched: 20, written: 9000 }],
]

/** Notes what the page draws from the start on, as the tools for React's developers do. */
async function listen(page: Page): Promise<void> {
  await page.addInitScript(() => {
    interface Fiber {
      tag: number
      flags: number
      child: Fiber | null
      sibling: Fiber | null
      alternate: Fiber | null
      memoizedProps: object | null
    }
    const cost = { drawn: 0, touched: 0, written: 0 }
    const isComponent = ({ tag }: Fiber) => [0, 1, 11, 14, 15].includes(tag)
    const saysSaving = ({ child }: Fiber) => 'data-saving' in (child?.memoizedProps ?? {})
    const walk = (fiber: Fiber, fresh: boolean) => {
      // Whether “saving” is said is the disk’s affair.
      if (saysSaving(fiber)) return
      // What was drawn bears the first flag; what was not visited is the same object as before.
      if (isComponent(fiber) && (fresh || (fiber.alternate && fiber.flags & 1))) cost.drawn++
      if (!fresh && fiber.child === fiber.alternate?.child) return
      for (let child = fiber.child; child; child = child.sibling) walk(child, !child.alternate)
    }
    const hook = {
      supportsFiber: true,
      inject: () => 1,
      onCommitFiberUnmount() {},
      onCommitFiberRoot: (_id: number, root: { current: Fiber }) => walk(root.current, false),
    }
    const { put } = IDBObjectStore.prototype
    IDBObjectStore.prototype.put = function (value, ...rest) {
      cost.written += JSON.stringify(value).length
      return put.call(this, value, ...rest)
    }
    const touched = new Set<Node>()
    const observer = new MutationObserver((records) => {
      for (const { target } of records) {
        const element = target instanceof Element ? target : target.parentElement
        // Nor is that counted here, and the tab is told when one stays.
        if (element?.closest('body') && !element.closest('[data-saving]')) touched.add(target)
      }
      cost.touched = touched.size
    })
    observer.observe(document, {
      subtree: true,
      childList: true,
      attributes: true,
      characterData: true,
    })
    Object.assign(window, {
      __REACT_DEVTOOLS_GLOBAL_HOOK__: hook,
      costs: () => ({ ...cost }),
      costNothing: () => {
        touched.clear()
        Object.assign(cost, { drawn: 0, touched: 0, written: 0 })
      },
    })
  })
}

/** Three windows on the first desktop, and so many other desktops with a window each. */
async function fill(shelf: ShelfPage, others: number): Promise<void> {
  await shelf.open('shelf')
  await shelf.page.evaluate(() => {
    for (const title of ['One', 'Two', 'Three'])
      window.kiteShelf?.run('window.open', { app: 'reader', title })
  })
  await add(shelf, others)
}

async function add(shelf: ShelfPage, desktops: number): Promise<void> {
  await shelf.page.evaluate((count) => {
    const run = window.kiteShelf?.run
    run?.('desktop.go', { to: 'previous' })
    for (let n = 0; n < count; n++) {
      run?.('desktop.create', {})
      run?.('window.open', { app: 'reader', title: `On ${n}` })
    }
    run?.('desktop.go', { to: 'first' })
  }, desktops)
  // All is drawn once, and kept.
  const { order } = await shelf.state()
  for (const to of [...order.slice(1), 'first']) await shelf.run('desktop.go', { to })
  await shelf.kept()
  await still(shelf)
}

/** Waits until nothing is drawn any more that was left for when there is time. */
async function still({ page }: ShelfPage): Promise<void> {
  await expect(async () => {
    await costNothing(page)
    await page.waitForTimeout(800)
    expect((await costs(page)).drawn).toBe(0)
  }).toPass()
}

const costNothing = (page: Page): Promise<void> =>
  page.evaluate(() => (window as unknown as { costNothing(): void }).costNothing())

const costs = (page: Page): Promise<Cost> =>
  page.evaluate(() => (window as unknown as { costs(): Cost }).costs())

async function costOf(shelf: ShelfPage, id: string, args: object): Promise<Cost> {
  const { page } = shelf
  await costNothing(page)
  await shelf.run(id, args)
  await shelf.kept()
  return costs(page)
}

test('a command draws, touches and writes what it changed, and no more', async ({
  shelf,
  page,
}) => {
  test.slow()
  await listen(page)
  await fill(shelf, 5)
  const costs: string[] = []
  // The first of the three on the desktop one is on, where a window is named.
  const { desktops } = await shelf.state()
  const [first] = desktops.first?.windows ?? []
  for (const [id, args, most] of COMMANDS) {
    const given = 'window' in args ? { window: first } : args
    const cost = await costOf(shelf, id, given)
    costs.push(`${id} ${JSON.stringify(args)} ${JSON.stringify(cost)}`)
    for (const what of ['drawn', 'touched', 'written'] as const)
      if (cost[what] > most[what]) costs.push(`  TOO MUCH: ${what} more than ${most[what]}`)
    expect(cost.touched, id).toBeGreaterThan(0)
  }
  expect(
    costs.filter((line) => line.includes('TOO MUCH')),
    costs.join('\n'),
  ).toEqual([])
})

test('a switch draws the same however many desktops there are', async ({ shelf, page }) => {
  test.slow()
  await listen(page)
  await fill(shelf, 3)
  const few = await costOf(shelf, 'desktop.go', { to: 'next' })
  await shelf.run('desktop.go', { to: 'first' })
  await add(shelf, 4)
  const more = await costOf(shelf, 'desktop.go', { to: 'next' })
  expect(more.drawn).toBe(few.drawn)
  expect(more.touched).toBe(few.touched)
})
