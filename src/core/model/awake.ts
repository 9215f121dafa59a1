import type { DesktopId, DocumentId } from './ids'
import { desktop, title } from './selectors'
import type { State } from './state'

/**
 * Why a desktop is not put to rest, in words, or null where it may be.
 * @param busy whether what shows a document goes on by itself
 */
export function keepsAwake(
  state: State,
  id: DesktopId,
  busy: (document: DocumentId) => boolean,
): string | null {
  if (Object.values(state.presence).some(({ shows }) => shows === id)) return 'it is shown'
  for (const windowId of desktop(state, id).windows) {
    const window = state.windows[windowId]
    if (!window) continue
    const name = `“${title(state, window)}”`
    if (state.documents[window.document]?.unsaved) return `${name} has changes that are not saved`
    if (busy(window.document)) return `${name} is at work`
  }
  return null
}
