/** A text of so many paragraphs, with a heading now and then. */
export const paragraphs = (count, of) =>
  Array.from(
    { length: count },
    (_, n) =>
      `${n % 8 === 0 ? `## Part ${n / 8 + 1}\n\n` : ''}Line ${n + 1} of ${of}: the wind turned to the north-west before dawn, and new snow lies on every slope above the hut.`,
  ).join('\n\n')

const table = (rows) => ({
  columns: ['station', 'place', 'new cm', 'depth cm', 'wind', 'at'],
  rows: Array.from({ length: rows }, (_, n) => [
    `HR-${n + 1}`,
    `Place ${n % 40}`,
    String(n % 35),
    String(80 + (n % 90)),
    `NW ${n % 60}`,
    `${String(n % 24).padStart(2, '0')}:00`,
  ]),
})

const thread = (n) => ({
  id: `thread-${n}`,
  who: `person ${n}`,
  read: 8,
  messages: Array.from({ length: 8 }, (_, m) => ({
    by: m % 2 ? 'me' : 'them',
    text: `What was said as number ${m + 1}.`,
    at: m * 60_000,
  })),
})

/** What somebody has open: ten windows of a day, by app, over and over. */
const DAY = [
  ['document', (of) => ({ markdown: paragraphs(12, of) })],
  ['table', () => table(50)],
  [
    'reader',
    (of, pdf) =>
      pdf ? { kind: 'pdf', data: pdf } : { kind: 'markdown', text: paragraphs(12, of) },
  ],
  ['document', (of) => ({ markdown: paragraphs(160, of) })],
  ['messages', () => ({ received: 0, threads: [0, 1, 2].map(thread) })],
  ['table', () => table(5000)],
  ['player', () => ({ tune: 0, volume: 0.6, at: 0 })],
  ['job', () => ({ jobs: [] })],
  ['web', () => ({ visited: ['/pages/notice'] })],
  ['document', (of) => ({ markdown: paragraphs(40, of) })],
]

/**
 * A large shelf as a shelf file.
 * @param state of an empty shelf
 * @param pdf as a data address; every other desktop has it in its reader
 */
export function largeShelf(desktops, each, state, pdf) {
  const documents = {}
  const next = structuredClone(state)
  Object.assign(next, {
    desktops: {},
    order: [],
    windows: {},
    everywhere: [],
    documents: {},
    closed: [],
    stacking: [],
  })
  for (let d = 0; d < desktops; d++) {
    // The first is the one a new shelf has: beside it there would be one too many.
    const id = d ? `bench-${d}` : state.order[0]
    const windows = []
    for (let w = 0; w < each; w++) {
      const window = `bench-${d}-${w}`
      const [app, content] = DAY[w % DAY.length]
      windows.push(window)
      next.documents[window] = {
        id: window,
        app,
        title: `Window ${w + 1}`,
        unsaved: false,
        openedAt: 0,
      }
      const of = `window ${w + 1} on desktop ${d + 1}`
      documents[window] = { saved: content(of, d % 2 ? pdf : null), draft: null }
      next.stacking.push(window)
      next.windows[window] = {
        id: window,
        app,
        document: window,
        desktop: id,
        display: 'near',
        frame: { x: 30 + (w % 5) * 150, y: 20 + Math.floor(w / 5) * 120, width: 400, height: 300 },
        minimised: false,
        maximised: false,
        placed: null,
        limits: { minWidth: 220, minHeight: 160 },
        openedAt: 0,
      }
    }
    next.desktops[id] = {
      id,
      name: `Desktop ${d + 1}`,
      letter: null,
      letterByHand: false,
      hue: 'teal',
      backdrop: 'plain',
      sign: true,
      windows,
      // The document above all others.
      focus: windows.at(-1),
    }
    next.order.push(id)
  }
  const [shows] = state.order
  next.presence = { near: { shows, focus: next.desktops[shows].focus, visited: [shows] } }
  return {
    format: 'kite-shelf',
    version: 3,
    exportedAt: new Date(0).toISOString(),
    state: next,
    documents,
  }
}
