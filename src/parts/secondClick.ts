/** The second push of a double click comes within this time, in milliseconds, and so near, in pixels. */
const WITHIN = 450
const NEAR = 12

/**
 * What was pushed is gone with the first push of what may be a double click: the second one must not
 * fall on what is beneath.
 */
export function ignoreSecondClick({
  clientX,
  clientY,
}: {
  clientX: number
  clientY: number
}): void {
  const listening = new AbortController()
  const stop = (event: Event) => {
    const { clientX: x, clientY: y } = event as MouseEvent
    if (Math.hypot(x - clientX, y - clientY) > NEAR) return
    event.preventDefault()
    event.stopImmediatePropagation()
  }
  for (const kind of ['pointerdown', 'mousedown', 'pointerup', 'mouseup', 'click', 'dblclick'])
    addEventListener(kind, stop, { capture: true, signal: listening.signal })
  setTimeout(() => listening.abort(), WITHIN)
}
