import { useEffect } from 'react'
import { bindings } from '@/core/keys/bindings'
import { leadsTo } from '@/core/keys/ways'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { isCovered } from '@/ui/cover/cover'
import { runAbout } from '@/ui/keys/running'
import { mouseStroke } from '@/ui/keys/stroke'
import { goBack } from './goingBack'
import { Pushes } from './pushes'

/** Does what a way of the pointer leads to, where it does something and nothing else is open. */
function take(shelf: Shelf, way: string): boolean {
  const led = leadsTo(shelf.state().bindings, way)
  const { view, menu, loft } = shelf.page.getState()
  // Nothing is done that cannot be seen.
  if (isCovered(shelf)) return false
  // Fingers leave the loft as they came, whatever they do elsewhere.
  if (loft && !view && !menu && way === SPREAD) {
    shelf.closeLoft()
    return true
  }
  // In the loft a wheel and a finger scroll the shelves.
  if (!led || view || menu || (loft && /wheel|swipe|pinch/.test(way))) return false
  const { to } = led.args
  if (led.command === 'desktop.go' && (to === 'back' || to === 'forward')) goBack(shelf, to)
  else shelf.dispatchAny(led.command, led.args, 'pointer')
  return true
}

const PINCH = 'pinch'
const SPREAD = 'spread'

/** A wheel is turned by so much for one step, and a swipe goes so far, in CSS pixels. */
const TURN = 60
const SWIPE = 90
/** What two fingers on a touch pad have to say until it is a pinch. */
const PINCHED = 24
/** A wheel that runs on by itself is one turn: so long nothing of it is heard, in milliseconds. */
const CALM = 160

/** Adds up what a wheel tells until it is a step; what runs on after one counts for nothing. */
class Turning {
  private sum = 0
  private last = 0
  private over = false

  /** @returns the direction of a step, or 0 */
  add(by: number, enough: number, now: number): number {
    if (now - this.last > CALM) {
      this.sum = 0
      this.over = false
    }
    this.last = now
    if (this.over && enough === SWIPE) return 0
    this.sum += by
    if (Math.abs(this.sum) < enough) return 0
    const direction = Math.sign(this.sum)
    this.sum = 0
    this.over = true
    return direction
  }
}

const onRack = (target: Element): Element | null => target.closest('[data-rack]')
const onBare = (target: Element): boolean =>
  target.closest('#desktop') !== null && !target.closest('[data-window], [role=dialog], section')

/** Whether something under the pointer would scroll that way. */
function scrolls(target: Element, by: number): boolean {
  for (let at: Element | null = target; at && at !== document.body; at = at.parentElement) {
    const room = at.scrollHeight - at.clientHeight
    if (room < 2 || !/auto|scroll/.test(getComputedStyle(at).overflowY)) continue
    if (by > 0 ? at.scrollTop < room - 1 : at.scrollTop > 0) return true
  }
  return false
}

/**
 * The pointer's ways, everywhere on the page: the wheel with Alt or over the rack, a swipe sideways
 * with a finger or on a touch pad, side buttons, and pushes at corners and edges.
 */
export function usePointerWays(): void {
  const shelf = useShelf()
  useEffect(() => {
    const [upright, sideways, fingers] = [new Turning(), new Turning(), new Turning()]
    const control = heldControl()
    const pushes = new Pushes(shelf, (zone) => take(shelf, zone))
    const wheel = (event: WheelEvent) => {
      const { deltaX, deltaY, altKey, timeStamp } = event
      const target = event.target as Element
      const rack = onRack(target)
      // Browsers tell a pinch as a wheel with Ctrl, though no such key is down.
      if (event.ctrlKey && !control.down) {
        const way = deltaY > 0 ? PINCH : SPREAD
        const { loft } = shelf.page.getState()
        if (!loft && !leadsTo(shelf.state().bindings, way)) return
        if (fingers.add(deltaY, PINCHED, timeStamp)) take(shelf, way)
        return event.preventDefault()
      }
      if (Math.abs(deltaX) > 2 * Math.abs(deltaY)) {
        // With Alt over anything, windows too.
        if (!rack && !altKey && !onBare(target)) return
        const to = sideways.add(deltaX, SWIPE, timeStamp)
        // The content follows the finger: what lies to the right comes with a swipe to the left.
        if (to) take(shelf, to > 0 ? 'swipe left' : 'swipe right')
        return event.preventDefault()
      }
      if (shelf.page.getState().loft || (!altKey && !(rack && !scrolls(target, deltaY)))) return
      if (altKey && !rack && !target.closest('#desktop')) return
      const to = upright.add(deltaY, TURN, timeStamp)
      const name = altKey ? 'Alt and wheel' : 'wheel'
      const over = altKey ? '' : ' over the rack'
      if (to) take(shelf, `${name} ${to > 0 ? 'down' : 'up'}${over}`)
      event.preventDefault()
    }
    // A browser would leave the page with them.
    const side = (event: MouseEvent) => {
      if (buttonPressed(shelf, event)) return event.preventDefault()
      const way = SIDES[event.button]
      if (!way || !leadsTo(shelf.state().bindings, way)) return
      event.preventDefault()
      if (event.type === 'mouseup') take(shelf, way)
    }
    const swipe = new Swipe(shelf)
    const listening = new AbortController()
    const { signal } = listening
    addEventListener('wheel', wheel, { passive: false, signal })
    addEventListener('mousedown', side, { capture: true, signal })
    addEventListener('mouseup', side, { capture: true, signal })
    addEventListener('touchstart', (event) => pinch(shelf, event), { passive: false, signal })
    addEventListener('pointerdown', swipe.begin, { signal })
    addEventListener('pointerup', swipe.end, { signal })
    addEventListener('pointermove', pushes.move, { passive: true, signal })
    addEventListener('pointerdown', pushes.leave, { capture: true, signal })
    document.documentElement.addEventListener('pointerleave', pushes.leave, { signal })
    addEventListener('blur', pushes.leave, { signal })
    return () => {
      listening.abort()
      control.stop()
      pushes.leave()
    }
  }, [shelf])
}

/** Whether the Ctrl key itself is down. */
function heldControl() {
  const held = { down: false, stop: () => listening.abort() }
  const listening = new AbortController()
  const options = { capture: true, signal: listening.signal }
  const hear = ({ type, key }: KeyboardEvent) => {
    if (key === 'Control') held.down = type === 'keydown'
  }
  addEventListener('keydown', hear, options)
  addEventListener('keyup', hear, options)
  const letGo = () => {
    held.down = false
  }
  addEventListener('blur', letGo, { signal: listening.signal })
  return held
}

/** Runs what a button of the mouse is bound to, about what is under the pointer. @returns whether it is bound */
function buttonPressed(shelf: Shelf, event: MouseEvent): boolean {
  const stroke = mouseStroke(event)
  const bound = stroke && bindings(shelf.state()).get(stroke)
  const { view, menu } = shelf.page.getState()
  if (!bound || view || menu) return false
  if (event.type === 'mouseup') {
    const { dataset: over } = (event.target as Element).closest<HTMLElement>('[data-window]') ?? {}
    const { dataset: row } =
      (event.target as Element).closest<HTMLElement>('[data-desktop-row]') ?? {}
    const subject = { window: over?.window ?? null, desktop: row?.desktopRow ?? null }
    runAbout(shelf, bound.command, bound.args ?? {}, subject, 'pointer')
  }
  return true
}

const SIDES: Record<number, string> = { 3: 'side button back', 4: 'side button forward' }

/** A finger drawn sideways over the rack or the bare desktop, no slower than this. */
const QUICK = 1000

class Swipe {
  constructor(private shelf: Shelf) {}

  private from: { x: number; y: number; at: number } | null = null

  begin = ({ pointerType, isPrimary, target, clientX, clientY, timeStamp }: PointerEvent) => {
    const at = target as Element
    // A bow or an app that is dragged goes its own way; with a second finger it is a pinch.
    const held = at.closest('[data-bow], [draggable=true]')
    const here = pointerType === 'touch' && isPrimary && !held && (onRack(at) || onBare(at))
    this.from = here ? { x: clientX, y: clientY, at: timeStamp } : null
  }

  end = ({ clientX, clientY, timeStamp }: PointerEvent) => {
    const { from } = this
    this.from = null
    if (!from || timeStamp - from.at > QUICK) return
    const [x, y] = [clientX - from.x, clientY - from.y]
    if (Math.abs(x) > SWIPE && Math.abs(x) > 2 * Math.abs(y))
      take(this.shelf, x < 0 ? 'swipe left' : 'swipe right')
  }
}

/** So much nearer together, or further apart, two fingers on a screen are a pinch or a spread. */
const NEARER = 0.75
const FURTHER = 1.33

/** Two fingers on the rack, the bare desktop or the loft; on content they are the content’s. */
function pinch(shelf: Shelf, event: TouchEvent): void {
  const { touches, target } = event
  const at = target as Element
  if (touches.length !== 2 || !(onRack(at) || onBare(at) || at.closest('#loft'))) return
  const { bindings } = shelf.state()
  const led = [PINCH, SPREAD].some((way) => leadsTo(bindings, way))
  // Where they lead nowhere the page is made larger, as anywhere.
  if (!led && !shelf.page.getState().loft) return
  event.preventDefault()
  const far = distance(touches)
  const over = new AbortController()
  const move = ({ touches: now }: TouchEvent) => {
    const by = now.length === 2 && far > 0 ? distance(now) / far : 1
    if (by > NEARER && by < FURTHER) return
    over.abort()
    take(shelf, by < 1 ? PINCH : SPREAD)
  }
  addEventListener('touchmove', move, { signal: over.signal })
  for (const type of ['touchend', 'touchcancel'] as const)
    addEventListener(type, () => over.abort(), { signal: over.signal })
}

function distance([one, other]: TouchList): number {
  return one && other ? Math.hypot(one.clientX - other.clientX, one.clientY - other.clientY) : 0
}
