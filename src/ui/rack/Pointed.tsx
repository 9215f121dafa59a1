import { type FocusEvent, type PointerEvent, useEffect, useState } from 'react'
import type { DesktopId } from '@/core/model/ids'
import { desktop, summary } from '@/core/model/selectors'
import { useArrangement } from '@/store/useShelf'

interface At {
  id: DesktopId
  /** The side of the rack it stands at, from that side of the page. */
  side: { left: number } | { right: number }
  top: number
}

/** What is narrower than this, in CSS pixels, cannot be read. */
const READ = 24

/** Between a mark’s rack and its name, in CSS pixels. */
const GAP = 6

/** Follows which mark without a name is pointed at or walked to. */
export function usePointed() {
  const [at, setAt] = useState<At | null>(null)
  const look = ({ target, currentTarget }: PointerEvent | FocusEvent) => {
    const row = (target as Element).closest<HTMLElement>('[data-desktop-row]')
    const name = row?.querySelector('[data-row-name]')
    if (!row || !name || name.getBoundingClientRect().width > READ) return setAt(null)
    const { left, right } = currentTarget.getBoundingClientRect()
    const { top } = row.getBoundingClientRect()
    const side = left > 0 ? { right: innerWidth - left + GAP } : { left: right + GAP }
    setAt({ id: row.dataset.desktopRow ?? '', side, top })
  }
  const leave = () => setAt(null)
  useEffect(() => {
    addEventListener('resize', leave)
    return () => removeEventListener('resize', leave)
  })
  return {
    at,
    follow: {
      onPointerOver: look,
      onFocus: look,
      onPointerLeave: leave,
      onBlur: leave,
      onScroll: leave,
    },
  }
}

/** Its whole name beside it, and what is on it. */
export function Pointed({ id, side, top }: At) {
  const name = useArrangement((state) => state.desktops[id]?.name)
  const windows = useArrangement((state) =>
    state.desktops[id] ? summary(state, id).slice(desktop(state, id).name.length + 2) : '',
  )
  if (!name) return null
  return (
    <p aria-hidden className="pointed" style={{ ...side, top }}>
      <b dir="auto">{name}</b>
      <span className="text-soft">{windows}</span>
    </p>
  )
}
