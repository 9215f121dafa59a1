import { placeNew } from '@/core/geometry/placing'
import { limited, type Rect, reachable, type Size } from '@/core/geometry/rect'
import { displayFor, displayShowing, settleOn, stand, standsOn } from '@/core/model/displays'
import type { DesktopId, DisplayId, WindowId } from '@/core/model/ids'
import type { AppFacts } from '@/core/model/kinds/app'
import { EVERY, type Window } from '@/core/model/kinds/window'
import { peek } from '@/core/model/peek'
import {
  currentId,
  desktop,
  isShown,
  openDesktop,
  shownFrame,
  stack,
  window,
} from '@/core/model/selectors'
import { hiddenFor } from '@/core/model/showing'
import { raise } from '@/core/model/stacking'
import type { State } from '@/core/model/state'
import { focusOn, goTo, takeKeys } from './change'
import type { Result } from './command'

/** Puts a window where it lives, on top. Its document must exist. */
export function openWindow(draft: State, opened: Window): void {
  if (!opened.room) stand(draft, opened, opened.frame)
  draft.windows[opened.id] = opened
  raise(draft, opened.id)
  const document = draft.documents[opened.document]
  if (document?.discarded) {
    delete document.discarded
    delete document.discardedAt
  }
  if (opened.desktop === EVERY) draft.everywhere.push(opened.id)
  else desktop(draft, opened.desktop).windows.push(opened.id)
}

/** The frame of a new window of an app on a desktop: the app's size, in the freest place. */
export function newFrame(state: State, app: AppFacts, on: DesktopId): Rect {
  const display = displayFor(state, on)
  const area = state.displays[display] ?? { width: app.width, height: app.height }
  const most = { width: Math.min(app.width, area.width), height: Math.min(app.height, area.height) }
  const size = limited(most, app.limits)
  return freestFrame(state, size, area, seenOn(state, on, display))
}

/** The windows of a desktop that can be seen on a display. */
const seenOn = (state: State, on: DesktopId, display: DisplayId): Window[] =>
  stack(state, on).filter((other) => !other.minimised && standsOn(state, other) === display)

function freestFrame(state: State, size: Size, area: Size, others: Window[]): Rect {
  const frames = others.map((other) => shownFrame(state, other))
  return reachable({ ...placeNew(size, area, frames, state.settings.gap), ...size }, area)
}

/** Has a window stand where it covers least of the others on its desktop, as large as it is. */
export function standClear(draft: State, window: Window): void {
  const area = draft.displays[standsOn(draft, window)]
  if (!area || window.desktop === EVERY || window.minimised) return
  settleOn(draft, window)
  const others = seenOn(draft, window.desktop, area.id).filter(({ id }) => id !== window.id)
  const { width, height } = window.frame
  stand(draft, window, freestFrame(draft, { width, height }, area, others))
  window.placed = null
  delete window.unplaced
  window.maximised = false
}

/** Goes to a window wherever it is. Only restoring it from minimised is worth a step. */
export function visit(draft: State, id: WindowId): Result {
  const visited = peek(draft.windows, id)
  if (!visited) return {}
  const from = currentId(draft)
  const restored = visited.minimised
  if (restored) window(draft, id).minimised = false
  if (visited.desktop === EVERY) {
    takeKeys(draft, standsOn(draft, visited))
    // Its display has to show a desktop that takes windows; another may show the nearest of them.
    const open = openDesktop(draft, currentId(draft))
    const other = draft.apart && (displayShowing(draft, open) ?? draft.display) !== draft.display
    goTo(draft, other ? (hiddenFor(draft, draft.display, true) ?? open) : open)
  } else if (!isShown(draft, visited)) {
    // So that going there does not count as using the window that had the focus there.
    desktop(draft, visited.desktop).focus = id
    goTo(draft, visited.desktop)
  }
  focusOn(draft, id)
  const to = currentId(draft)
  const name = peek(draft.documents, visited.document)?.title ?? 'Untitled'
  return {
    ...(restored && { say: `Restored “${name}”` }),
    announce: name,
    journal: [
      ...(from === to ? [] : [{ kind: 'switch' as const, from, to }]),
      { kind: 'focus', window: id, app: visited.app, to },
    ],
  }
}
