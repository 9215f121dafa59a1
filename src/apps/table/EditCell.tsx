import { useLayoutEffect, useRef } from 'react'

/** A cell while it is typed into. Every letter is kept as it is typed. */
export function EditCell({
  value,
  onType,
  onEditing,
  onLeave,
  onClose,
}: {
  value: string
  onType(value: string): void
  onEditing(editing: boolean): void
  /** @param wanted whether what was typed stays */
  onLeave(wanted: boolean): void
  onClose(): void
}) {
  const input = useRef<HTMLInputElement>(null)
  const leave = useRef({ onEditing, onLeave })
  leave.current = { onEditing, onLeave }
  // At once: the letter that opened it is on its way.
  useLayoutEffect(() => {
    input.current?.focus()
    input.current?.select()
    leave.current.onEditing(true)
    return () => {
      leave.current.onLeave(true)
      leave.current.onEditing(false)
    }
  }, [])
  return (
    <input
      ref={input}
      aria-label="Cell"
      className="size-full min-w-0 bg-sheet px-2 outline-2 outline-ink"
      value={value}
      onChange={(event) => onType(event.target.value)}
      onBlur={onClose}
    />
  )
}
