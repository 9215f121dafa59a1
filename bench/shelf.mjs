/** A large shelf as a shelf file: desktops with windows that show twelve lines of text. */
export function largeShelf(desktops, each, state) {
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
      windows.push(window)
      next.documents[window] = {
        id: window,
        app: 'reader',
        title: `Window ${w + 1}`,
        unsaved: false,
        openedAt: 0,
      }
      const lines = Array.from(
        { length: 12 },
        (_, n) => `Line ${n + 1} of window ${w + 1} on desktop ${d + 1}.`,
      )
      documents[window] = { saved: { kind: 'markdown', text: lines.join('\n\n') }, draft: null }
      next.stacking.push(window)
      next.windows[window] = {
        id: window,
        app: 'reader',
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
      focus: windows.at(-1),
    }
    next.order.push(id)
  }
  const [shows] = state.order
  next.presence = { near: { shows, focus: 'bench-0-0', visited: [shows] } }
  return {
    format: 'kite-shelf',
    version: 3,
    exportedAt: new Date(0).toISOString(),
    state: next,
    documents,
  }
}
