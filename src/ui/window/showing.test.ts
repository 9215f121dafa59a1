import { runs } from '@testing/runs'
import { said } from '@testing/sequences'
import { makeShelf } from '@testing/shelf'
import { APPS } from '@testing/world'
import fc from 'fast-check'
import type { WindowId } from '@/core/model/ids'
import type { Shelf } from '@/store/shelf'
import { Showing } from './showing'

/** An element that only knows whether it is hidden, or left out for lying behind others. */
function hiding(hidden: Set<unknown>, of: unknown, behind = new Set<unknown>()): HTMLElement {
  const toggle = (_name: string, on: boolean) => (on ? hidden.add(of) : hidden.delete(of))
  const classList = {
    toggle,
    contains: () => behind.has(of),
    add: () => behind.add(of),
    remove: () => behind.delete(of),
  }
  // None of them has the focus.
  const querySelector = () => null
  return { classList, firstElementChild: null, querySelector } as unknown as HTMLElement
}

/** How many windows stand in one group here. */
const GROUP = 3

/** What follows a shelf, with a slot for each window, as the page draws them. */
function following(shelf: Shelf) {
  const showing = new Showing(shelf)
  const hidden = new Set<unknown>()
  const behind = new Set<unknown>()
  const groups = new Map<WindowId, number>()
  let drawn = 0
  const stop = showing.follow()
  /** A slot is drawn for each window that is new; that of one that is gone goes. */
  const draw = () => {
    const { windows } = shelf.state()
    for (const id in windows) {
      if (groups.has(id)) continue
      const group = Math.floor(drawn++ / GROUP)
      groups.set(id, group)
      showing.putGroup(group, hiding(hidden, group))
      showing.put(id, hiding(hidden, id, behind), group)
    }
    for (const [id, group] of groups)
      if (!windows[id]) {
        showing.put(id, null, group)
        groups.delete(id)
      }
  }
  const seen = () =>
    Object.fromEntries(
      [...groups]
        .filter(([id, group]) => !hidden.has(id) && !hidden.has(group))
        .map(([id]) => [id, { ...showing.facts(id), behind: behind.has(id) }]),
    )
  /** Where each window lives, shown or not. */
  const lives = () => [...groups.keys()].map((id) => [id, showing.facts(id).desktop])
  draw()
  return { showing, draw, seen, lives, stop }
}

/** Every window, every second and so on is laid out, in the loft or over the desktop; 0 is none. */
const laying = fc.record({ each: fc.integer({ min: 0, max: 3 }), loft: fc.boolean() })

const step = fc.oneof({ arbitrary: said, weight: 6 }, { arbitrary: laying, weight: 1 })

function layOut(shelf: Shelf, { each, loft }: { each: number; loft: boolean }): void {
  const ids = Object.keys(shelf.state().windows).filter((_, at) => at % each === 0)
  const place = { x: 5, y: 5, width: 200, height: 100, scale: 0.5 }
  shelf.page.setState({
    loft,
    places: each ? Object.fromEntries(ids.map((id) => [id, place])) : null,
  })
}

test('whatever is done, the windows that are shown, and how, are those that one would show who looks anew', () => {
  fc.assert(
    fc.property(fc.array(step, { minLength: 1, maxLength: 60, size: 'max' }), (steps) => {
      const shelf = makeShelf({ clock: () => 1000 })
      const page = following(shelf)
      for (const does of steps) {
        const id = 'id' in does ? does.id : 'laid out'
        if ('id' in does) shelf.dispatchAny(id, does.args(shelf.state()), 'key')
        else layOut(shelf, does)
        page.draw()
        const anew = following(shelf)
        expect({ id, seen: page.seen() }).toEqual({ id, seen: anew.seen() })
        expect({ id, lives: page.lives().sort() }).toEqual({ id, lives: anew.lives().sort() })
        anew.stop()
      }
      page.stop()
    }),
    runs(40),
  )
})

test('a window wholly behind others is left out until one of them is dragged, moved or closed', () => {
  const shelf = makeShelf()
  const { seen, draw, showing, stop } = following(shelf)
  for (let n = 0; n < 3; n++) {
    shelf.dispatch('window.open', { app: APPS[0]?.id ?? '', document: `note ${n}`, title: 'Note' })
    shelf.dispatch('window.maximise', {})
  }
  draw()
  const out = () => Object.values(seen()).map(({ behind }) => behind)
  expect(out()).toEqual([true, true, false])
  showing.loosen(true)
  expect(out()).toEqual([false, false, false])
  showing.loosen(false)
  expect(out()).toEqual([true, true, false])
  shelf.dispatch('window.maximise', {})
  expect(out()).toEqual([true, false, false])
  shelf.dispatch('window.close', {})
  draw()
  expect(out()).toEqual([true, false])
  stop()
})
