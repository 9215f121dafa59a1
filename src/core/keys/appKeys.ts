import type { AppId } from '@/core/model/ids'
import type { AppFacts } from '@/core/model/kinds/app'
import type { State } from '@/core/model/state'
import { isTaken } from './bindings'
import { isMouse, isTyped, readKeys } from './strokes'

/** Keys of apps: each app has its own from the first, and the person may put others in their place. */

/** What a binding that stands for a key of an app is bound to; its argument is the app's own key. */
export const APP_KEY = 'app:key'

export interface AppKey {
  /** The key the app has for it from the first. */
  key: string
  /** The keys that are pressed for it now. */
  keys: string
  does: string
}

/** What is pressed now for a key of an app. */
export const keysNow = ({ bindings }: Pick<State, 'bindings'>, id: AppId, key: string): string =>
  bindings.find(({ app, args }) => app === id && args?.key === key)?.keys ?? key

/** The keys of an app as they are now. */
export const appKeys = (
  state: Pick<State, 'bindings'>,
  { id, keys = [] }: Pick<AppFacts, 'id' | 'keys'>,
): AppKey[] => keys.map(([key, does]) => ({ key, keys: keysNow(state, id, key), does }))

/**
 * The app's own key that was meant by what was pressed in one of its windows.
 * @param strokes in all ways what was pressed can be written
 * @returns null where other keys stand for what was pressed; undefined where nothing was changed
 */
export function appKeyMeant(
  { bindings }: Pick<State, 'bindings'>,
  id: AppId,
  strokes: readonly string[],
): string | null | undefined {
  const own = bindings.filter(({ app }) => app === id)
  const found = own.find(({ keys }) => strokes.includes(keys))
  if (found) return String(found.args?.key)
  return own.some(({ args }) => strokes.includes(String(args?.key))) ? null : undefined
}

/** Why keys cannot stand for a key of an app, in a sentence; null where nothing speaks against it. */
export function cannotStand(
  state: State,
  app: Pick<AppFacts, 'id' | 'name' | 'keys'>,
  key: string,
  keys: string,
): string | null {
  const [stroke, ...more] = readKeys(keys) ?? []
  if (!stroke || more.length > 0 || isMouse(stroke))
    return `“${keys}” can’t be a key of an app. Press one key, with Ctrl or Shift if you like.`
  const [was] = readKeys(key) ?? []
  // Where the app listens to plain keys nothing is typed.
  if (
    isTyped(stroke) &&
    (stroke.key.length === 1 || stroke.key === 'Space') &&
    was &&
    !isTyped(was)
  )
    return `“${keys}” is typed into the window. Add Ctrl.`
  if (isTaken(state, keys)) return `${keys} is already used everywhere. Press another key.`
  const other = appKeys(state, app).find((one) => one.keys === keys && one.key !== key)
  return other ? `${app.name} has ${keys} already: ${other.does}.` : null
}
