import type { KeyboardEvent } from 'react'
import { focusContent } from '@/ui/parts/focus'

/** Arrows walk through what a selector finds, round at its ends; Escape goes back to the window. */
export const walkAmong =
  (selector: string) =>
  (event: KeyboardEvent): void => {
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key]
    if (event.key === 'Escape') focusContent()
    if (!by) return
    const all = [...document.querySelectorAll<HTMLElement>(selector)]
    const at = all.indexOf(document.activeElement as HTMLElement)
    if (at < 0) return
    all[(at + by + all.length) % all.length]?.focus()
    event.preventDefault()
  }
