import { type ReactNode, useContext } from 'react'
import { keysNow } from '@/core/keys/appKeys'
import { isTaken } from '@/core/keys/bindings'
import type { AppId } from '@/core/model/ids'
import type { State } from '@/core/model/state'
import { ofShelf } from '@/store/ofShelf'
import { useShared } from '@/store/shared'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { InApp } from './inApp'

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
  const told = useShared(toldKeys(useShelf(), useContext(InApp), keys))
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

const asked = ofShelf(() => new Map<string, (state: State) => string | null>())

/** Keys of an app as they are now, if they come to it, for all tools that have them: there are as many as windows. */
function toldKeys(
  shelf: Shelf,
  app: AppId | null,
  keys: string | undefined,
): (state: State) => string | null {
  const name = `${app} ${keys}`
  const known = asked(shelf).get(name)
  if (known) return known
  const made = (state: State) => {
    const now = keys && app ? keysNow(state, app, keys) : keys
    return now && !isTaken(state, now) ? now : null
  }
  asked(shelf).set(name, made)
  return made
}
