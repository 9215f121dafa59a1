import { pdf } from '../testing/pdf.mjs'
import { framesOf, listen } from './keys.mjs'
import { paragraphs } from './shelf.mjs'

/** 500 pages of A4, as a data address. */
const PAGES = `data:application/pdf;base64,${Buffer.from(
  pdf(
    Array.from({ length: 500 }, (_, n) => `Page ${n + 1}`),
    [595, 842],
  ),
  'latin1',
).toString('base64')}`

/** What is large in each app, how it is known to be open, and keys pressed in it. */
const LARGE = [
  {
    what: 'a document of 200 pages',
    app: 'document',
    content: () => ({ markdown: paragraphs(1600, 1) }),
    open: '[contenteditable=true] p >> nth=1500',
    into: '[contenteditable=true] p >> nth=40',
    keys: [...'the wind turned and the snow lay deep'].map((key) => (key === ' ' ? 'Space' : key)),
  },
  {
    what: 'a table of 100,000 rows, a formula in each',
    app: 'table',
    content: () => ({
      columns: ['station', 'new cm', 'depth cm', 'after'],
      rows: Array.from({ length: 100_000 }, (_, n) => [
        `HR-${n + 1}`,
        String(n % 35),
        String(80 + (n % 90)),
        `=B${n + 1}+C${n + 1}`,
      ]),
    }),
    open: '[role=gridcell]:text-is("HR-5")',
    into: '[role=gridcell]:text-is("HR-5")',
    keys: [...'windward', 'Enter', ...'slope', 'Enter', 'ArrowDown', 'ArrowDown', 'ArrowDown'],
  },
  {
    what: 'a PDF of 500 pages',
    app: 'reader',
    content: () => ({ kind: 'pdf', data: PAGES }),
    open: '.page[data-loaded] .textLayer span >> nth=0',
    into: '[data-autofocus]',
    keys: Array(20).fill('ArrowRight'),
  },
  {
    what: 'a player with 2,000 tracks',
    app: 'player',
    content: () => ({
      tune: 0,
      volume: 0.6,
      at: 0,
      files: Array.from({ length: 2000 }, (_, n) => ({
        name: `Track ${n + 1}`,
        length: 180,
        data: 'data:audio/wav;base64,UklGRg==',
      })),
    }),
    open: '[data-tune] >> text="Track 2000"',
    into: '[data-tune] >> nth=0',
    keys: Array(20).fill('ArrowDown'),
    // A push would play it.
    click: false,
  },
]

/**
 * A shelf file with what is large, and no window of it.
 * @param state of an empty shelf
 */
export function largeFile(state) {
  const documents = LARGE.map(({ app }, at) => ({
    id: `large-${at}`,
    app,
    title: `Large ${at}`,
    unsaved: false,
    openedAt: 0,
  }))
  return {
    format: 'kite-shelf',
    version: 3,
    exportedAt: new Date(0).toISOString(),
    state: { ...state, documents: Object.fromEntries(documents.map((one) => [one.id, one])) },
    documents: Object.fromEntries(
      LARGE.map(({ content }, at) => [`large-${at}`, { saved: content(), draft: null }]),
    ),
  }
}

/** Milliseconds from opening what is large to its being there, and from keys in it to their frames. */
export async function largeOf(page, tell) {
  await listen(page)
  for (const [at, { what, app, open, into, keys, click = true }] of LARGE.entries()) {
    const start = await page.evaluate(
      ([of, document]) => {
        const now = performance.now()
        window.kiteShelf.run('window.open', { app: of, document })
        return now
      },
      [app, `large-${at}`],
    )
    const opened = page.locator(`[data-app=${app}]`)
    await opened.locator(open).first().waitFor({ state: 'attached', timeout: 120_000 })
    const taken = await page.evaluate(
      (from) =>
        new Promise((resolve) =>
          requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - from))),
        ),
      start,
    )
    await page.waitForTimeout(2000)
    const place = opened.locator(into).first()
    if (click) await place.click()
    else await place.focus()
    tell(what, taken, await framesOf(page, keys, 150))
    await page.evaluate(() => window.kiteShelf.run('window.close'))
    await page.keyboard.press('Escape')
    await page.waitForTimeout(500)
  }
}
