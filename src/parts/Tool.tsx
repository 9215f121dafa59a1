import type { ReactNode } from 'react'
import { isTaken } from '@/core/keys/bindings'
import type { State } from '@/core/model/state'
import { ofShelf } from '@/store/ofShelf'
import { useShared } from '@/store/shared'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'

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
  const told = useShared(freeFor(useShelf(), keys))
  const named = told ? `${label}, ${keys}` : label
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

const asked = ofShelf(() => new Map<string | undefined, (state: State) => boolean>())

/** Whether keys of an app come to it, for all tools that have them: there are as many as windows. */
function freeFor(shelf: Shelf, keys: string | undefined): (state: State) => boolean {
  const known = asked(shelf).get(keys)
  if (known) return known
  const made = (state: State) => keys !== undefined && !isTaken(state, keys)
  asked(shelf).set(keys, made)
  return made
}
