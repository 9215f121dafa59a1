import { type ReactNode, useEffect, useRef, useState } from 'react'

/**
 * A list in a dialog that may be longer than there is room: then it says how many there are and how
 * many lie below. The arrows walk it, also from the answer that has the keys first.
 */
export function LongList({
  label,
  className = '',
  children,
}: {
  label: string
  className?: string
  children: ReactNode
}) {
  const list = useRef<HTMLUListElement>(null)
  const [count, setCount] = useState<{ all: number; below: number } | null>(null)
  useEffect(() => {
    const element = list.current
    const asked = element?.closest<HTMLElement>('form, [role=dialog]')
    if (!element || !asked) return
    const look = () => setCount(countIn(element))
    const walk = (event: KeyboardEvent) => walkIn(element, event)
    const sized = new ResizeObserver(look)
    const changed = new MutationObserver(look)
    sized.observe(element)
    changed.observe(element, { childList: true })
    element.addEventListener('scroll', look)
    asked.addEventListener('keydown', walk)
    return () => {
      sized.disconnect()
      changed.disconnect()
      element.removeEventListener('scroll', look)
      asked.removeEventListener('keydown', walk)
    }
  }, [])
  return (
    <>
      <ul
        ref={list}
        aria-label={label}
        className={`overflow-auto border-seam border-y border-dashed ${className}`}
      >
        {children}
      </ul>
      {count ? (
        <p data-more="" className="mt-1 text-right text-[12px] text-soft">
          {count.all} in all{count.below ? `, ${count.below} more below` : ''}
        </p>
      ) : null}
    </>
  )
}

/** Null where all of it is in sight. */
function countIn(list: HTMLElement): { all: number; below: number } | null {
  if (list.scrollHeight <= list.clientHeight + 1) return null
  const { bottom } = list.getBoundingClientRect()
  const below = [...list.children].filter((item) => {
    const box = item.getBoundingClientRect()
    return box.top + box.height / 2 > bottom
  })
  return { all: list.children.length, below: below.length }
}

/** Fields that take the arrows for themselves. */
const OWN_ARROWS = 'select, textarea, [type=radio], input:not([type=checkbox])'

function walkIn(list: HTMLElement, event: KeyboardEvent): void {
  const by = { ArrowDown: 1, ArrowUp: -1 }[event.key]
  const { target } = event
  if (!by || !(target instanceof Element) || target.matches(OWN_ARROWS)) return
  const fields = [...list.children].flatMap(
    (item) => item.querySelector<HTMLElement>(':is(input, select, button):enabled') ?? [],
  )
  const at = fields.findIndex((field) => field.closest('li')?.contains(target))
  const next = at < 0 ? fields.at(by > 0 ? 0 : -1) : fields[at + by]
  if (!next) return
  event.preventDefault()
  next.focus()
}
