import { framesOf, listen } from './keys.mjs'
import { paragraphs } from './shelf.mjs'

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
    content: () => ({ kind: 'pdf', data: pdfOf(500) }),
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

/** A PDF (1.4) of so many pages with a line on each, as a data address. */
function pdfOf(count) {
  const pages = Array.from({ length: count }, (_, at) => 4 + 2 * at)
  const objects = [
    '<< /Type /Catalog /Pages 2 0 R >>',
    `<< /Type /Pages /Kids [${pages.map((at) => `${at} 0 R`).join(' ')}] /Count ${count} >>`,
    '<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>',
    ...pages.flatMap((at, n) => {
      const stream = `BT /F1 24 Tf 40 700 Td (Page ${n + 1}) Tj ET`
      return [
        `<< /Type /Page /Parent 2 0 R /MediaBox [0 0 595 842] /Contents ${at + 1} 0 R /Resources << /Font << /F1 3 0 R >> >> >>`,
        `<< /Length ${stream.length} >>\nstream\n${stream}\nendstream`,
      ]
    }),
  ]
  let text = '%PDF-1.4\n'
  const offsets = objects.map((body, at) => {
    const offset = text.length
    text += `${at + 1} 0 obj\n${body}\nendobj\n`
    return offset
  })
  const table = offsets.map((offset) => `${String(offset).padStart(10, '0')} 00000 n \n`).join('')
  const trailer = `trailer\n<< /Size ${objects.length + 1} /Root 1 0 R >>\nstartxref\n${text.length}\n%%EOF\n`
  const whole = `${text}xref\n0 ${objects.length + 1}\n0000000000 65535 f \n${table}${trailer}`
  return `data:application/pdf;base64,${Buffer.from(whole, 'latin1').toString('base64')}`
}
