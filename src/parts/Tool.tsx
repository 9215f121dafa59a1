import type { ReactNode } from 'react'
import { useAppKeys } from './inApp'

/** A small button in a bar, named for everybody by its label. */
export function Tool({
  label,
  keys,
  on,
  disabled,
  onClick,
  children,
}: {
  label: string
  /** The app's own keys for it: they are told unless the shelf takes them. */
  keys?: string
  /** Given for a tool that is switched on and off. */
  on?: boolean
  disabled?: boolean
  onClick(): void
  children: ReactNode
}) {
  const told = useAppKeys(keys)
  const named = told ? `${label}, ${told}` : label
  return (
    <button
      type="button"
      className="tool"
      title={named}
      aria-label={named}
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
