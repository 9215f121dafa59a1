import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import { foundAt } from '@/ui/parts/foundAt'

/** What is dragged over the rack finds its row here; rows are marked without a render. */

const own = ofShelf(() => ({
  marked: null as HTMLElement | null,
}))

export const rowAt = (x: number, y: number): HTMLElement | null =>
  foundAt('[data-desktop-row]', x, y)

export function markRow(shelf: Shelf, row: HTMLElement | null): void {
  const mine = own(shelf)
  if (mine.marked === row) return
  if (mine.marked) delete mine.marked.dataset.drop
  mine.marked = row
  if (row) row.dataset.drop = 'true'
}

/** How long something is held over a row before its desktop opens, in milliseconds. */
const HOLD = 500

/** Calls back when the same desktop's row was held over for long enough. */
export class Hold {
  private desktop: string | undefined
  private timer: ReturnType<typeof setTimeout> | undefined

  constructor(private open: (desktop: string) => void) {}

  over(desktop: string | undefined): void {
    if (desktop === this.desktop) return
    clearTimeout(this.timer)
    this.desktop = desktop
    if (desktop) this.timer = setTimeout(() => this.open(desktop), HOLD)
  }
}

/** Opens the desktop that content dragged by the browser itself is held over. */
const content = ofShelf(
  (shelf) => new Hold((desktop) => shelf.dispatch('desktop.go', { to: desktop })),
)

/** Something is dragged over the rack, or not any more. */
export function contentOver(shelf: Shelf, target: EventTarget | null): void {
  const row = target instanceof Element ? target.closest<HTMLElement>('[data-desktop-row]') : null
  markRow(shelf, row)
  content(shelf).over(row?.dataset.desktopRow)
}
