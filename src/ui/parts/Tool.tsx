import type { ReactNode } from 'react'

/** A small button in a bar, named for everybody by its label. */
export function Tool({
  label,
  on,
  disabled,
  onClick,
  children,
}: {
  label: string
  /** Given for a tool that is switched on and off. */
  on?: boolean
  disabled?: boolean
  onClick(): void
  children: ReactNode
}) {
  return (
    <button
      type="button"
      className="tool"
      title={label}
      aria-label={label}
      aria-pressed={on}
      disabled={disabled}
      // What is worked on keeps the keys.
      onMouseDown={(event) => event.preventDefault()}
      onClick={onClick}
    >
      {children}
    </button>
  )
}
