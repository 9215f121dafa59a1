import type { Rect } from '@/core/geometry/rect'
import type { Place } from '@/core/geometry/shelves'
import { momentOf } from '@/core/homes/matching'
import { misplaced } from '@/core/homes/putRight'
import { standsOn } from '@/core/model/displays'
import type { WindowId } from '@/core/model/ids'
import type { Window } from '@/core/model/kinds/window'
import { shownFrame } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { type PageState, placeIn } from '@/store/page'
import type { Shelf } from '@/store/shelf'
import { largeId, surfaces } from '@/ui/area/area'

/** What a window fills, if anything. */
export type Full = 'solo' | 'pair' | 'maximised' | null

/** All that is drawn of a window beside what its app shows. */
export type Facts = ReturnType<typeof factsOf>

export function factsOf(shelf: Shelf, page: PageState, id: WindowId) {
  const {
    session: { state },
    keysIn,
  } = page
  const window: Window | undefined = state.windows[id]
  const document = state.documents[window?.document ?? '']
  const laid: Place | undefined = placeIn(page, id)
  const place = laid ?? (window && miniature(shelf, state, window))
  return {
    /** On a display that is drawn small nothing can be done in it. */
    still: !!window && standsOn(state, window) !== largeId(state),
    clip: place && !laid && window ? beyond(state, window) : '',

    app: window?.app ?? '',
    document: window?.document ?? '',
    desktop: window?.desktop ?? '',
    display: window ? standsOn(state, window) : '',
    name: document?.title ?? '',
    unsaved: document?.unsaved ?? false,
    away: !!window && misplaced(state, window, momentOf(shelf.clock())) !== null,
    full: fills(window, state.desktops),
    /** Whether the page in it has the keys. */
    inPage: keysIn === id,
    place,
    ...(window ? shownFrame(state, window) : NOWHERE),
  }
}

const NOWHERE: Rect = { x: 0, y: 0, width: 0, height: 0 }

function fills(window: Window | undefined, desktops: State['desktops']): Full {
  const kind = desktops[window?.desktop ?? '']?.kind
  if (kind === 'solo' || kind === 'pair') return kind
  return window?.maximised ? 'maximised' : null
}

/** Where a window of a display is drawn that is not as large as it is. */
function miniature(shelf: Shelf, state: State, window: Window): Place | undefined {
  const on = standsOn(state, window)
  const surface = surfaces(shelf, state)[on]
  if (!surface || (surface.scale === 1 && surface.x === 0 && surface.y === 0)) return undefined
  const { x, y, width, height } = shownFrame(state, window)
  const { scale } = surface
  return { x: surface.x + x * scale, y: surface.y + y * scale, width, height, scale }
}

/** What of a window lies beyond the edges of its display: on a miniature it is not drawn. */
function beyond(state: State, window: Window): string {
  const display = state.displays[standsOn(state, window)]
  if (!display) return ''
  const { x, y, width, height } = shownFrame(state, window)
  const over = [-y, x + width - display.width, y + height - display.height, -x]
  if (over.every((length) => length <= 0)) return ''
  return `inset(${over.map((length) => `${length > 0 ? length : -20}px`).join(' ')})`
}
