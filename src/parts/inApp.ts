import { createContext, useContext } from 'react'
import { keysNow } from '@/core/keys/appKeys'
import { isTaken } from '@/core/keys/bindings'
import type { AppId } from '@/core/model/ids'
import type { State } from '@/core/model/state'
import { ofShelf } from '@/store/ofShelf'
import { useShared } from '@/store/shared'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'

/** The app whose window something is drawn in; none outside of windows. */
export const InApp = createContext<AppId | null>(null)

/** Keys of the app something is drawn in, as they are pressed now; null where they do not come to it. */
export const useAppKeys = (keys: string | undefined): string | null =>
  useShared(toldKeys(useShelf(), useContext(InApp), keys))

const asked = ofShelf(() => new Map<string, (state: State) => string | null>())

/** Once for all that tell the same keys: there are as many as windows. */
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
