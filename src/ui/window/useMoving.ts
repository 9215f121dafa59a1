import { useDrag } from '@use-gesture/react'
import type { Direction } from '@/core/geometry/direction'
import { PAD, spanOf } from '@/core/geometry/pad'
import { nineCells, overlap, type Point, type Rect } from '@/core/geometry/rect'
import { snap } from '@/core/geometry/snapping'
import type { Surface } from '@/core/geometry/surfaces'
import { frameOf, standsOn } from '@/core/model/displays'
import type { DesktopId, WindowId } from '@/core/model/ids'
import type { Display } from '@/core/model/kinds/display'
import { currentId, isVisible, shownFrame, window as windowOf } from '@/core/model/selectors'
import { windowElement } from '@/parts/focus'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { area, largeId, surfaces } from '@/ui/area/area'
import { Hold, markRow, placeOf, rowAt } from '@/ui/hand/dropping'
import { held, showInHand } from '@/ui/hand/inHand'
import { sendByHand } from '@/ui/hand/sendByHand'
import { Flip } from './flip'
import { clearGuides, showCells, showGuides } from './guides'
import { heardAlone } from './heardAlone'
import type { Showing } from './showing'
import { useShowing } from './useShowing'

/**
 * Dragging a window by its hem. The drag moves the element itself and runs one command when it
 * ends: a move on the desktop, a send on a row of the rack or on another display. Held over a row,
 * or against an edge, another desktop opens with the window in hand. Edges attract edges, but with
 * Alt; after X it is dropped into one of nine cells, or goes into one by its letter. Escape puts it
 * back.
 */
export function useMoving(id: WindowId) {
  const shelf = useShelf()
  const showing = useShowing()
  return useDrag(
    ({ first, last, initial: [x, y], canceled, cancel, memo, event }) => {
      const element = windowElement(id)
      if (!element) return
      if (first) {
        const taken = new InHand(shelf, id, element, showing, { x, y }, cancel)
        taken.move(event as PointerEvent)
        return taken
      }
      const hand = memo as InHand | undefined
      if (!last) return hand
      // What was heard last may be from a moment ago.
      if (!canceled) hand?.move(event as PointerEvent)
      const crosses = hand?.crosses
      hand?.letGo()
      if (canceled) hand?.putBack()
      else if (crosses) shelf.dispatch('window.toDisplay', { window: id, to: crosses })
      else hand?.drop()
    },
    { threshold: 3, pointer: { keys: false }, eventOptions: { passive: false } },
  )
}

/** A window while it is dragged. */
class InHand {
  readonly from: DesktopId
  private title: string
  private hold: Hold
  private flip: Flip
  /** The desktop on the page; only beside it can there be rows. */
  private main: DOMRect
  private large: Surface
  private display: Display | undefined
  private frame: Rect
  /** The frames beside it, and the desktop they are on. */
  private others: { on: string; frames: Rect[] } = { on: '', frames: [] }
  private cells: Rect[]
  private gap: number
  /** Where the pointer is, and where the window would be if it was let go now. */
  private pointer: Point
  private at: Point
  private cell = -1
  /** Whether the nine cells are shown: X was pressed. */
  private celled = false
  /** The last that was heard of the pointer. */
  private heard: Pick<PointerEvent, 'clientX' | 'clientY' | 'altKey'>
  /** It is let go already: dropped into a cell by its letter. */
  private over = false
  /** Puts away what is shown while it is in hand. */
  readonly letGo: () => void

  /** @param start where the pointer took it: the gesture leaves out what it was not sure of yet */
  constructor(
    private shelf: Shelf,
    private id: WindowId,
    private element: HTMLElement,
    private showing: Showing,
    private start: Point,
    cancel: () => void,
  ) {
    const state = shelf.state()
    const window = windowOf(state, id)
    this.from = currentId(state)
    this.hold = new Hold((desktop) => shelf.dispatch('desktop.go', { to: desktop }))
    // In hand it stays visible, whatever desktop opens meanwhile.
    showing.hold(id)
    this.title = element.getAttribute('aria-label') ?? ''
    this.main = document.getElementById('desktop')?.getBoundingClientRect() ?? new DOMRect()
    this.large = surfaces(shelf, state)[largeId(state)] ?? { x: 0, y: 0, scale: 1 }
    this.display = state.displays[largeId(state)]
    this.frame = shownFrame(state, window)
    this.at = this.frame
    this.gap = state.settings.gap
    this.cells = this.display ? nineCells(this.display, this.gap) : []
    this.flip = new Flip(shelf)
    this.pointer = start
    this.heard = { clientX: start.x, clientY: start.y, altKey: false }
    const keys = (event: KeyboardEvent) => this.key(event, cancel)
    addEventListener('keydown', keys, { capture: true })
    const deaf = heardAlone((event) => this.move(event))
    showing.loosen(true)
    this.letGo = held(cancel, () => {
      showing.loosen(false)
      removeEventListener('keydown', keys, { capture: true })
      deaf()
      this.putAway()
    })
  }

  /** Where it goes over to another display, if it is let go now. */
  get crosses(): Direction | null {
    return this.flip.crosses
  }

  private get by(): Point {
    return { x: this.pointer.x - this.start.x, y: this.pointer.y - this.start.y }
  }

  /** X shows the cells; then the letter of one drops the window there. */
  private key(event: KeyboardEvent, cancel: () => void): void {
    if (event.altKey || event.ctrlKey || event.metaKey) return
    const cell = PAD.indexOf(event.key.toUpperCase())
    if (!this.celled && event.key.toUpperCase() === 'X') {
      this.celled = true
      this.move(this.heard)
    } else if (this.celled && cell >= 0 && event.key.length === 1) {
      this.over = true
      cancel()
      if (this.isHere(currentId(this.shelf.state())))
        this.shelf.dispatch('window.place', { window: this.id, ...spanOf(cell, cell) })
    } else return
    event.preventDefault()
    event.stopPropagation()
  }

  move(event: Pick<PointerEvent, 'clientX' | 'clientY' | 'altKey'>): void {
    this.heard = event
    const { clientX: x, clientY: y, altKey } = event
    this.pointer = { x, y }
    const { pointer, by } = this
    const { scale } = this.large
    const row = this.rowAt(pointer)
    const mini = row ? null : this.miniatureAt(pointer)
    const free = { ...this.frame, x: this.frame.x + by.x / scale, y: this.frame.y + by.y / scale }
    const snaps = !altKey && !row && !mini && this.display
    const snapped = snaps ? snap(free, this.beside(), this.display as Display, this.gap) : null
    this.at = { x: snapped?.x ?? free.x, y: snapped?.y ?? free.y }
    const [dx, dy] = [(this.at.x - this.frame.x) * scale, (this.at.y - this.frame.y) * scale]
    this.element.style.translate = `${dx}px ${dy}px`
    this.cell = this.celled && !row && !mini ? this.cellAt(pointer) : -1
    const guides = this.cell < 0 ? snapped : null
    showGuides(this.shelf, this.drawn(guides?.guideX), this.drawn(guides?.guideY), this.area())
    showCells(this.cell < 0 ? [] : this.cells.map((cell) => this.onPage(cell)), this.cell)
    this.flip.over(x - this.main.left, y - this.main.top, {
      ...area(this.shelf).getState(),
      x: 0,
      y: 0,
    })
    markRow(this.shelf, row)
    this.hold.over(placeOf(row))
    markMiniature(this.shelf, mini)
    showInHand(row || mini ? this.title : null, x, y)
  }

  private rowAt({ x, y }: Point): HTMLElement | null {
    return x < this.main.left || x > this.main.right ? rowAt(x, y) : null
  }

  /** What its edges can go to, on the desktop that is open now. */
  private beside(): Rect[] {
    const state = this.shelf.state()
    const on = currentId(state)
    if (this.others.on !== on)
      this.others = {
        on,
        frames: Object.values(state.windows)
          .filter((one) => one.id !== this.id && isVisible(state, one))
          .filter((one) => standsOn(state, one) === largeId(state))
          .map((one) => shownFrame(state, one)),
      }
    return this.others.frames
  }

  private putAway(): void {
    this.flip.stop()
    this.hold.over(undefined)
    markRow(this.shelf, null)
    markMiniature(this.shelf, null)
    clearGuides(this.shelf)
    showInHand(null, 0, 0)
    this.showing.hold(null)
    this.element.style.translate = ''
  }

  /** Where the drag began, desktop and all. */
  putBack(): void {
    if (!this.over && currentId(this.shelf.state()) !== this.from)
      this.shelf.dispatch('desktop.go', { to: this.from })
  }

  drop(): void {
    const { id, pointer, by } = this
    const { x, y } = pointer
    const state = this.shelf.state()
    const window = windowOf(state, id)
    const here = currentId(state)
    const row = placeOf(this.rowAt(pointer))
    const mini = row ? null : this.miniatureAt(pointer)
    if (row) {
      if (row === window.desktop) return
      sendByHand(this.shelf, id, row, { from: this.from })
    } else if (mini) this.dropOn(mini, x, y)
    else if (this.cell >= 0 && this.isHere(here))
      this.shelf.dispatch('window.place', { window: id, ...spanOf(this.cell, this.cell) })
    else {
      // A maximised window comes off the edge at its own size, under the pointer.
      const left = window.maximised
        ? (x - this.main.left - this.large.x) / this.large.scale -
          frameOf(this.shelf.state(), window).width / 2
        : this.at.x
      const at = { x: Math.round(left), y: Math.round(this.at.y) }
      if (by.x === 0 && by.y === 0) return
      if (this.isHere(here)) this.shelf.dispatch('window.move', { window: id, ...at })
      else sendByHand(this.shelf, id, here, { from: this.from, at })
    }
  }

  /** The display whose miniature is at a point; reckoned, for to ask the page costs it a layout. */
  private miniatureAt(pointer: Point): string | null {
    const [x, y] = [pointer.x - this.main.left, pointer.y - this.main.top]
    if (x <= area(this.shelf).getState().width) return null
    const state = this.shelf.state()
    for (const [id, surface] of Object.entries(surfaces(this.shelf, state))) {
      const { width = 0, height = 0 } = state.displays[id] ?? {}
      const within = x >= surface.x && x <= surface.x + width * surface.scale
      if (within && y >= surface.y && y <= surface.y + height * surface.scale) return id
    }
    return null
  }

  private isHere(here: string): boolean {
    const { desktop } = windowOf(this.shelf.state(), this.id)
    return desktop === here || desktop === 'every'
  }

  /** Onto another display, where it is dropped on its miniature. */
  private dropOn(display: string, x: number, y: number): void {
    const surface = surfaces(this.shelf, this.shelf.state())[display]
    if (!surface) return
    const at = {
      x: Math.round((x - this.main.left - surface.x) / surface.scale - this.frame.width / 2),
      y: Math.round((y - this.main.top - surface.y) / surface.scale),
    }
    this.shelf.dispatch('window.toDisplay', { window: this.id, to: display, at })
  }

  /** The cell under the pointer, or the nearest. */
  private cellAt({ x, y }: Point): number {
    const { scale } = this.large
    const [px, py] = [
      (x - this.main.left - this.large.x) / scale,
      (y - this.main.top - this.large.y) / scale,
    ]
    const point = {
      x: px - this.gap,
      y: py - this.gap,
      width: 2 * this.gap + 2,
      height: 2 * this.gap + 2,
    }
    const covered = this.cells.map((cell) => overlap(cell, point))
    const most = Math.max(...covered)
    return most > 0 ? covered.indexOf(most) : -1
  }

  private drawn = (line: number | null | undefined): number | null =>
    line === null || line === undefined ? null : line * this.large.scale

  private area = (): Rect =>
    this.onPage({ x: 0, y: 0, width: this.display?.width ?? 0, height: this.display?.height ?? 0 })

  private onPage({ x, y, width, height }: Rect): Rect {
    const { scale } = this.large
    return {
      x: this.large.x + x * scale,
      y: this.large.y + y * scale,
      width: width * scale,
      height: height * scale,
    }
  }
}

const own = ofShelf(() => ({
  /** The miniature that is marked as what a window would be dropped on. */
  markedMiniature: null as string | null,
}))

function markMiniature(shelf: Shelf, display: string | null): void {
  if (display === own(shelf).markedMiniature) return
  own(shelf).markedMiniature = display
  for (const element of document.querySelectorAll<HTMLElement>('[data-display-target]')) {
    if (element.dataset.displayTarget === display) element.dataset.drop = 'true'
    else delete element.dataset.drop
  }
}
