import type { Direction } from '@/core/geometry/direction'
import { type Shelves, SIZES } from '@/core/geometry/shelves'
import { THIS } from '@/core/keys/bindings'
import { EVERY } from '@/core/model/kinds/window'
import { currentId } from '@/core/model/selectors'
import { useShelf } from '@/store/useShelf'
import { toggleMark } from '@/ui/hand/marking'
import type { Acts } from '@/ui/keys/usePlaceKeys'
import { useCloseLook } from '@/ui/window/closely'
import { BENCH_ID } from './Bench'
import type { LoftRow } from './rows'
import { aside, type Choice, toLetter, updown } from './walking'

/** By how much + and − change the size of windows. */
const LARGER = 1.25

/** How far the bench goes with a key, in pixels. */
const BENCH_STEP = 160

/** What can be done in the loft by a key or a push. */
export function useActs({
  rows,
  shelves,
  valid,
  setChoice,
  filter,
  setFilter,
  send,
  toggle,
}: {
  rows: LoftRow[]
  shelves: Shelves
  /** What is chosen. */
  valid: Choice
  setChoice(to: Choice): void
  filter: string | null
  setFilter(to: string): void
  send(to: string): void
  /** Shows or hides the bench. */
  toggle(): void
}): { acts: Acts; go(to: Choice): void } {
  const shelf = useShelf()
  const one = valid.window ?? null
  const look = useCloseLook(one)
  const resize = (to: number) => shelf.dispatch('settings.set', { loft: to }, 'key')
  const go = (to: Choice): void => {
    const by = shelf.page.getState().loftBy
    shelf.closeLoft()
    if (rows.find(({ id }) => id === to.row)?.is === 'stowed')
      shelf.dispatch('desktop.bring', { desktop: to.row }, 'key')
    else if (to.window) shelf.dispatch('window.focus', { window: to.window }, 'key')
    else if (by === 'app') shelf.dispatch('app.launch', { app: to.row }, 'key')
    else if (to.row !== EVERY && to.row !== currentId(shelf.state()))
      shelf.dispatch('desktop.go', { to: to.row }, 'key')
  }
  const acts: Acts = {
    'loft:walk': ({ to }: { to: Direction }) =>
      setChoice(
        to === 'left' || to === 'right'
          ? aside(valid, rows, shelves, to === 'left' ? -1 : 1)
          : updown(valid, rows, shelves, to === 'up' ? -1 : 1),
      ),
    'loft:go': () => go(valid),
    'loft:pick': ({ nth }: { nth: number }) => {
      const window = rows.find(({ id }) => id === valid.row)?.windows[nth - 1]?.id
      if (window) go({ row: valid.row, window })
    },
    'loft:mark': (_, key) => one && look(key, () => toggleMark(shelf, one)),
    'loft:send': ({ to }: { to: string }) => send(to),
    'loft:row': ({ to }: { to: string }) => setChoice(toLetter(to, shelf.state(), valid)),
    'loft:more': () => shelf.page.setState({ pending: THIS }),
    'loft:filter': () => {
      // Opened already, it is gone back to.
      if (filter === null) setFilter('')
      else document.getElementById('loft-filter')?.focus()
    },
    'loft:larger': () => resize(Math.min(SIZES.most, Math.round(shelves.size * LARGER))),
    'loft:smaller': () => resize(Math.max(SIZES.least, Math.round(shelves.size / LARGER))),
    'loft:fit': () => resize(0),
    'loft:bench': toggle,
    'loft:benchUp': () => document.getElementById(BENCH_ID)?.scrollBy(0, -BENCH_STEP),
    'loft:benchDown': () => document.getElementById(BENCH_ID)?.scrollBy(0, BENCH_STEP),
    'loft:leave': shelf.closeLoft,
  }
  return { acts, go }
}
