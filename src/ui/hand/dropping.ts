import { useEffect } from 'react'
import type { DesktopId } from '@/core/model/ids'
import { currentId } from '@/core/model/selectors'
import { foundAt } from '@/parts/foundAt'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'

/** What is dragged over the rack finds its row here; rows are marked without a render. */

/** The place of a desktop that is yet to be made. */
const NEW = 'new'

const own = ofShelf(() => ({
  marked: null as HTMLElement | null,
}))

/** The row at a point, or the thread below the rows. */
export const rowAt = (x: number, y: number): HTMLElement | null =>
  foundAt('[data-desktop-row], [data-thread]', x, y)

/** Where what is dropped on a row goes. */
export const placeOf = (row: HTMLElement | null): string | undefined =>
  row ? (row.dataset.desktopRow ?? NEW) : undefined

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
    if (desktop && desktop !== NEW) this.timer = setTimeout(() => this.open(desktop), HOLD)
  }
}

/** What the browser itself drags goes on being heard of this often at least, in milliseconds. */
const HEARD_WITHIN = 400

/** Content dragged by the browser itself: it opens the desktop it is held over. */
class ContentDrag {
  /** Where one was before it opened any. */
  private from: DesktopId | null = null
  private timer: ReturnType<typeof setTimeout> | undefined
  private hold: Hold

  constructor(private shelf: Shelf) {
    this.hold = new Hold((desktop) => {
      this.from ??= currentId(shelf.state())
      shelf.dispatch('desktop.go', { to: desktop })
    })
  }

  over(desktop: string | undefined): void {
    this.hold.over(desktop)
  }

  /** It is somewhere on the page still. */
  goesOn(): void {
    clearTimeout(this.timer)
  }

  /** It left the page, or was given up: the browser says which only by what it says next. */
  left(): void {
    this.goesOn()
    this.timer = setTimeout(() => this.givenUp(), HEARD_WITHIN)
  }

  dropped(): void {
    this.goesOn()
    this.from = null
  }

  /** Where the drag began. */
  givenUp(): void {
    const { from } = this
    this.dropped()
    this.hold.over(undefined)
    if (from && from !== currentId(this.shelf.state()))
      this.shelf.dispatch('desktop.go', { to: from })
  }
}

const content = ofShelf((shelf) => new ContentDrag(shelf))

const rowElement = (target: EventTarget | null): HTMLElement | null =>
  target instanceof Element ? target.closest<HTMLElement>('[data-desktop-row]') : null

/** The desktop of the row that something is in. */
export const rowOf = (target: EventTarget | null): DesktopId | undefined =>
  rowElement(target)?.dataset.desktopRow

/** Something is dragged over the rack, or not any more. */
export function contentOver(shelf: Shelf, target: EventTarget | null): void {
  const row = rowElement(target)
  markRow(shelf, row)
  content(shelf).over(row?.dataset.desktopRow)
}

/** An app of the rack while it is dragged, by its id. */
export const APP_IN_HAND = 'application/x-kite-app'

/** An app dropped on a row has its home there. @returns whether it was one */
export function dropApp(shelf: Shelf, { target, dataTransfer }: DragEvent): boolean {
  const app = dataTransfer?.getData(APP_IN_HAND)
  const desktop = rowOf(target)
  if (!app || !desktop) return false
  shelf.dispatch('home.setFor', { app, desktop })
  return true
}

/** What is given up in the middle of a drag leaves one where it began. */
export function useContentDrag(): void {
  const shelf = useShelf()
  useEffect(() => {
    const mine = content(shelf)
    const listening = new AbortController()
    const options = { capture: true, signal: listening.signal }
    addEventListener('dragover', () => mine.goesOn(), options)
    addEventListener('dragleave', ({ relatedTarget }) => relatedTarget || mine.left(), options)
    addEventListener('drop', () => mine.dropped(), options)
    addEventListener(
      'dragend',
      ({ dataTransfer }) => dataTransfer?.dropEffect === 'none' && mine.givenUp(),
      options,
    )
    return () => listening.abort()
  }, [shelf])
}
