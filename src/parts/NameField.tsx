import { useEffect, useRef } from 'react'
import type { DesktopId } from '@/core/model/ids'
import { usePage, useShelf } from '@/store/useShelf'

/**
 * The name of a desktop, ready to be typed over. Enter or leaving keeps it, Escape does not; Enter goes
 * on to the next of several new ones.
 */
export function NameField({ id, name }: { id: DesktopId; name: string }) {
  const shelf = useShelf()
  const asked = usePage(({ view }) => (view?.view === 'rename' ? view : null))
  const fresh = asked?.fresh === true
  const field = useRef<HTMLInputElement>(null)
  const left = useRef(false)
  useEffect(() => {
    field.current?.focus()
    field.current?.select()
  }, [])
  const keep = (leaving: boolean) => {
    if (left.current) return
    const typed = field.current?.value ?? ''
    const unchanged = typed.trim() === name
    if (
      !unchanged &&
      !shelf.dispatch(
        'desktop.rename',
        { desktop: id, name: typed, ...(fresh && { fresh }) },
        'key',
      ).ok &&
      !leaving
    )
      return
    left.current = true
    // Those that were taken back meanwhile are not asked about.
    const { desktops } = shelf.state()
    const [next, ...then] = leaving ? [] : (asked?.then ?? []).filter((one) => desktops[one])
    if (next) shelf.page.setState({ view: { view: 'rename', desktop: next, fresh, then } })
    else shelf.closeView()
  }
  return (
    <input
      ref={field}
      dir="auto"
      aria-label="Name of the desktop"
      defaultValue={name}
      className="min-w-0 flex-1 border-ink border-b-2 border-dashed bg-transparent font-display font-semibold text-[14.5px] outline-none"
      onKeyDown={(event) => {
        event.stopPropagation()
        // What answers here must not be heard by the window beneath, which gets the focus next.
        if (event.key === 'Enter' || event.key === 'Escape') event.preventDefault()
        if (event.key === 'Enter') keep(false)
        if (event.key !== 'Escape') return
        left.current = true
        shelf.closeView()
      }}
      onBlur={() => keep(true)}
    />
  )
}
