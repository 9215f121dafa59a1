import { useEffect } from 'react'

/** How long a finger stays for a menu, in milliseconds, and how far it may stray, in CSS pixels. */
const LONG = 550
const STRAY = 8

/**
 * A finger that stays asks for the menu, as a right click does. Some browsers do that themselves;
 * then nothing more is asked for.
 */
export function useLongPush(): void {
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined
    let from = { x: 0, y: 0 }
    let asked = false
    const end = () => clearTimeout(timer)
    // Lifted, it would push what is below, and so close the menu again.
    const lift = (event: Event) => {
      end()
      if (asked) event.preventDefault()
      asked = false
    }
    const begin = ({ pointerType, target, clientX, clientY, isPrimary }: PointerEvent) => {
      end()
      asked = false
      // In a text a finger that stays selects.
      const within = (target as Element).closest('.win-body, input, textarea')
      if (pointerType !== 'touch' || !isPrimary || within) return
      from = { x: clientX, y: clientY }
      timer = setTimeout(() => {
        asked = true
        target?.dispatchEvent(
          new MouseEvent('contextmenu', { bubbles: true, cancelable: true, clientX, clientY }),
        )
      }, LONG)
    }
    const move = ({ clientX, clientY }: PointerEvent) => {
      if (Math.hypot(clientX - from.x, clientY - from.y) > STRAY) end()
    }
    const listening = new AbortController()
    const options = { capture: true, signal: listening.signal }
    addEventListener('pointerdown', begin, options)
    addEventListener('pointermove', move, options)
    for (const over of ['pointerup', 'pointercancel', 'contextmenu', 'scroll'])
      addEventListener(over, end, options)
    addEventListener('touchend', lift, { ...options, passive: false })
    return () => {
      listening.abort()
      end()
    }
  }, [])
}
