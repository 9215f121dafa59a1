import type { Rect } from '@/core/geometry/rect'
import type { Shelf } from '@/store/shelf'
import { largeId, surfaces } from '@/ui/area/area'
import { held } from '@/ui/hand/inHand'

/** By how much a key moves the area or makes it larger, in pixels; with Ctrl by one. */
const STEP = 20

/** No area is smaller, in pixels. */
const LEAST = 8

/**
 * Lets the person draw an area on the focused display: by pointer, or with the arrows, Shift for its
 * size and Enter. @returns it in the display's own pixels; null where it was given up
 */
export function drawArea(shelf: Shelf): Promise<Rect | null> {
  const main = document.getElementById('desktop')?.getBoundingClientRect()
  const surface = surfaces(shelf, shelf.state())[largeId(shelf.state())]
  const display = shelf.state().displays[largeId(shelf.state())]
  if (!main || !surface || !display) return Promise.resolve(null)
  const ground = document.createElement('div')
  ground.className = 'area-ground'
  ground.tabIndex = 0
  ground.setAttribute('role', 'dialog')
  ground.setAttribute('aria-label', 'Draw the area')
  ground.setAttribute('aria-description', AREA_KEYS)
  const area = document.createElement('div')
  area.className = 'area'
  const words = document.createElement('p')
  words.textContent = AREA_KEYS
  ground.append(area, words)
  document.body.append(ground)
  // On the page, where the display is drawn.
  const bounds = {
    x: main.left + surface.x,
    y: main.top + surface.y,
    width: display.width * surface.scale,
    height: display.height * surface.scale,
  }
  let now: Rect = {
    x: bounds.x + bounds.width / 4,
    y: bounds.y + bounds.height / 4,
    width: bounds.width / 2,
    height: bounds.height / 2,
  }
  const put = (to: Rect) => {
    const width = Math.min(Math.max(to.width, LEAST), bounds.width)
    const height = Math.min(Math.max(to.height, LEAST), bounds.height)
    const x = Math.min(Math.max(to.x, bounds.x), bounds.x + bounds.width - width)
    const y = Math.min(Math.max(to.y, bounds.y), bounds.y + bounds.height - height)
    now = { x, y, width, height }
    Object.assign(area.style, {
      left: `${x}px`,
      top: `${y}px`,
      width: `${width}px`,
      height: `${height}px`,
    })
  }
  put(now)
  const before = document.activeElement
  ground.focus()
  return new Promise((resolve) => {
    const end = (taken: boolean) => {
      ground.remove()
      if (before instanceof HTMLElement) before.focus({ preventScroll: true })
      const { scale } = surface
      resolve(
        taken
          ? {
              x: Math.round((now.x - bounds.x) / scale),
              y: Math.round((now.y - bounds.y) / scale),
              width: Math.round(now.width / scale),
              height: Math.round(now.height / scale),
            }
          : null,
      )
    }
    ground.addEventListener('keydown', (event) => {
      event.preventDefault()
      event.stopPropagation()
      if (event.key === 'Enter') return end(true)
      if (event.key === 'Escape') return end(false)
      const [x = 0, y = 0] = ARROWS[event.key] ?? []
      const by = event.ctrlKey ? 1 : STEP
      if (event.shiftKey) put({ ...now, width: now.width + x * by, height: now.height + y * by })
      else put({ ...now, x: now.x + x * by, y: now.y + y * by })
    })
    ground.addEventListener('pointerdown', ({ button, clientX, clientY, pointerId }) => {
      if (button !== 0) return
      ground.setPointerCapture(pointerId)
      let drawn = false
      const move = ({ clientX: x, clientY: y }: PointerEvent) => {
        drawn ||= Math.hypot(x - clientX, y - clientY) > LEAST
        if (drawn)
          put({
            x: Math.min(x, clientX),
            y: Math.min(y, clientY),
            width: Math.abs(x - clientX),
            height: Math.abs(y - clientY),
          })
      }
      const release = held(() => end(false))
      ground.addEventListener('pointermove', move)
      ground.addEventListener(
        'pointerup',
        () => {
          release()
          ground.removeEventListener('pointermove', move)
          if (drawn) end(true)
        },
        { once: true },
      )
    })
  })
}

const AREA_KEYS =
  'Draw an area. Arrows move it, Shift and arrows size it, Enter takes it, Escape gives up.'

const ARROWS: Record<string, [x: number, y: number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
