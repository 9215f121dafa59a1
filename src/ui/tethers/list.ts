import type { DocumentId, WindowId } from '@/core/model/ids'
import type { Window } from '@/core/model/kinds/window'
import { isVisible } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import type { Tether } from '@/store/tethers'

/** A tether as it stands in the line. */
export interface Shown {
  window: WindowId
  document: DocumentId
  app: string
  title: string
  /** What its app leaves; a window that was tethered by hand may leave nothing. */
  tether: Tether | undefined
}

/** Whether a window is tethered: by hand, or since its app offers itself and was not told to stay away. */
export const isTethered = (
  { tethered }: Pick<State, 'tethered'>,
  { id, document }: Pick<Window, 'id' | 'document'>,
  tethers: Record<DocumentId, Tether>,
): boolean => tethered[id] ?? tethers[document]?.offered === true

let memo: { state: State; tethers: Record<DocumentId, Tether>; shown: Shown[] } | null = null

/**
 * The tethers there are, in the order their windows were opened: tethered windows that cannot be seen now.
 * With one change it is asked several times, and each goes through all windows.
 */
export function shownTethers(state: State, tethers: Record<DocumentId, Tether>): Shown[] {
  if (memo?.state !== state || memo.tethers !== tethers)
    memo = { state, tethers, shown: worked(state, tethers) }
  return memo.shown
}

function worked(state: State, tethers: Record<DocumentId, Tether>): Shown[] {
  // Mostly there are none: then not every window is looked at.
  const some = Object.values(tethers).some(({ offered }) => offered)
  if (!some && Object.keys(state.tethered).length === 0) return []
  return Object.values(state.windows)
    .filter((window) => isTethered(state, window, tethers) && !isVisible(state, window))
    .toSorted((a, b) => a.openedAt - b.openedAt || (a.id < b.id ? -1 : 1))
    .map(({ id, document, app }) => ({
      window: id,
      document,
      app,
      title: state.documents[document]?.title ?? '',
      tether: tethers[document],
    }))
}

/**
 * Places that stay: who is there keeps its number, and who comes takes the first that is free.
 * @param before what stood in each place, null where nothing did
 */
export function placed(
  before: readonly (WindowId | null)[],
  now: readonly WindowId[],
): (WindowId | null)[] {
  const places = before.map((id) => (id !== null && now.includes(id) ? id : null))
  for (const id of now) {
    if (places.includes(id)) continue
    const free = places.indexOf(null)
    if (free < 0) places.push(id)
    else places[free] = id
  }
  while (places.at(-1) === null) places.pop()
  return places
}
