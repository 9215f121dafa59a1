import type { DocumentId, WindowId } from '@/core/model/ids'
import type { Window } from '@/core/model/kinds/window'
import { isVisible } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
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

/** The last that was worked out: with one change it is asked several times, and each goes through all windows. */
const last = ofShelf(() => ({
  state: null as State | null,
  tethers: null as Record<DocumentId, Tether> | null,
  shown: [] as Shown[],
}))

/** What `shownTethers` says, worked out once for each state. */
export function tethersNow(
  shelf: Shelf,
  state: State,
  tethers: Record<DocumentId, Tether>,
): Shown[] {
  const known = last(shelf)
  if (known.state !== state || known.tethers !== tethers)
    Object.assign(known, { state, tethers, shown: shownTethers(state, tethers) })
  return known.shown
}

/**
 * The tethers there are, in the order their windows were opened: tethered windows that cannot be seen now.
 */
export function shownTethers(state: State, tethers: Record<DocumentId, Tether>): Shown[] {
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
