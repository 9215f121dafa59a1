import type { AppId, DesktopId, DocumentId, WindowId } from '@/core/model/ids'
import type { Desktop } from '@/core/model/kinds/desktop'
import type { Presence } from '@/core/model/kinds/display'
import type { DocumentInfo } from '@/core/model/kinds/document'
import type { Run } from '@/core/model/kinds/run'
import type { Stowed } from '@/core/model/kinds/stowed'
import type { Answering } from '@/core/model/kinds/waiting'
import type { Window } from '@/core/model/kinds/window'
import type { State } from '@/core/model/state'
import { type Changes, withChanges } from '@/core/rules/changes'
import type { PastChange, Stretch } from './past'

/** The entries of an object whose key or value is wanted. */
const only = <T>(all: Record<string, T>, wanted: (id: string, one: T) => boolean) =>
  Object.fromEntries(Object.entries(all).filter(([id, one]) => wanted(id, one)))

const each = <T>(all: Record<string, T>, change: (one: T) => T) =>
  Object.fromEntries(Object.entries(all).map(([id, one]) => [id, change(one)]))

/** A desktop as if some windows had never been on it; one that was filled by them is an ordinary one. */
function desktopWithout(desktop: Desktop, stays: (id: WindowId) => boolean): Desktop {
  const windows = desktop.windows.filter(stays)
  const left = { ...desktop, windows }
  if (desktop.focus && !stays(desktop.focus)) left.focus = null
  if (desktop.before) left.before = only(desktop.before, stays)
  if (desktop.aside) {
    const { by, windows: swept, focus } = desktop.aside
    left.aside = { by, windows: swept.filter(stays), focus: focus && stays(focus) ? focus : null }
  }
  if (desktop.kind !== 'open' && windows.length < desktop.windows.length) {
    left.kind = 'open'
    delete left.origins
    delete left.divider
  } else if (desktop.origins)
    left.origins = each(desktop.origins, (from) =>
      from.on && !stays(from.on) ? { ...from, on: null } : from,
    )
  return left
}

/** What an app showed, and in what. */
interface Shown {
  windows: Set<WindowId>
  documents: Set<DocumentId>
  titles: Set<string>
}

/** Adds what belongs to an app in a state, or in what of it changed. */
function note(shown: Shown, app: AppId, all: Some): void {
  const windows: (Window | null)[] = [
    ...Object.values(all.windows ?? {}),
    ...(all.closed ?? []).map(({ window }) => window),
    ...(all.stowed ?? []).flatMap((one) => Object.values(one.windows)),
  ]
  for (const window of windows) if (window?.app === app) shown.windows.add(window.id)
  for (const one of Object.values(all.documents ?? {})) {
    if (one?.app !== app) continue
    shown.documents.add(one.id)
    if (one.title) shown.titles.add(one.title)
  }
}

/** Parts of a state; of those that hold objects by id some, null where one is gone. */
type Some = Partial<Omit<State, 'windows' | 'documents' | 'desktops'>> & {
  windows?: Record<WindowId, Window | null>
  documents?: Record<DocumentId, DocumentInfo | null>
  desktops?: Record<DesktopId, Desktop | null>
}

/** The same parts, without what an app showed. */
function without<S extends Some>(all: S, { windows, documents }: Shown): S {
  const stays = (id: WindowId) => !windows.has(id)
  const isKnown = (id: DocumentId) => !documents.has(id)
  const desktop = (one: Desktop): Desktop => {
    const left = desktopWithout(one, stays)
    if (left.notes && !isKnown(left.notes.document)) delete left.notes
    return left
  }
  const stowed = (one: Stowed): Stowed => ({
    ...one,
    desktop: desktop(one.desktop),
    windows: only(one.windows, stays),
    stacking: one.stacking.filter(({ item }) => stays(item)),
    closed: one.closed.filter(stays),
    origins: one.origins.filter(({ window }) => stays(window)),
  })
  const unfocused = (there: Presence): Presence =>
    there.focus && !stays(there.focus) ? { ...there, focus: null } : there
  const answered = ({ window, gone, ...one }: Answering): Answering => ({
    ...one,
    window: window && stays(window) ? window : null,
    ...(gone && { gone: gone.filter(isKnown) }),
  })
  const led = (run: Run): Run => ({
    ...run,
    stops: run.stops.map((stop) =>
      stop.window && !stays(stop.window) ? { ...stop, window: null } : stop,
    ),
  })
  return {
    ...all,
    ...(all.runs && { runs: all.runs.map(led) }),
    ...(all.windows && { windows: only(all.windows, stays) }),
    ...(all.documents && { documents: only(all.documents, isKnown) }),
    ...(all.desktops && { desktops: each(all.desktops, (one) => one && desktop(one)) }),
    ...(all.everywhere && { everywhere: all.everywhere.filter(stays) }),
    ...(all.stacking && { stacking: all.stacking.filter(stays) }),
    ...(all.closed && { closed: all.closed.filter(({ window }) => stays(window.id)) }),
    ...(all.stowed && { stowed: all.stowed.map(stowed) }),
    ...(all.tethered && { tethered: only(all.tethered, stays) }),
    ...(all.attention && { attention: only(all.attention, isKnown) }),
    ...(all.answering && { answering: answered(all.answering) }),
    ...(all.presence && { presence: each(all.presence, unfocused) }),
  }
}

/**
 * Stretches as if an app had never had a window or a document: neither open nor closed, stowed or
 * waiting. What was done in them, or names what it showed, is told without words. What was said of the
 * app itself, as its home, stays.
 * @returns with the documents it had
 */
export function stretchesWithout(
  stretches: readonly Stretch[],
  app: AppId,
): { stretches: Stretch[]; documents: Set<DocumentId> } {
  const shown: Shown = { windows: new Set(), documents: new Set(), titles: new Set() }
  for (const { state, changes } of stretches) {
    note(shown, app, state)
    for (const { changes: made } of changes) {
      note(shown, app, made.parts as Some)
      note(shown, app, made.objects as Some)
    }
  }
  const left = stretches.map(({ at, state, changes }) => {
    let stood = state
    return {
      at,
      state: without(state, shown),
      changes: changes.flatMap((change): PastChange[] => {
        stood = withChanges(stood, change.changes) as State
        const changed = changeWithout(change.changes, shown, stood)
        if (!changed) return []
        const { say } = change
        const tells = say && !isAbout(change, shown)
        return [{ at: change.at, ...(tells && { say }), changes: changed }]
      }),
    }
  })
  return { stretches: left, documents: shown.documents }
}

/** @param after how it stood after the change */
function changeWithout(
  { objects, parts, moved }: Changes,
  shown: Shown,
  after: State,
): Changes | null {
  const left: Changes = {
    objects: without(objects as Some, shown) as Changes['objects'],
    parts: without(parts as Some, shown) as Changes['parts'],
  }
  const { windows } = shown
  // What it was put on is gone: the whole stack says where it is.
  if (moved?.on && windows.has(moved.on))
    left.parts.stacking = after.stacking.filter((id) => !windows.has(id))
  else if (moved && !windows.has(moved.window)) left.moved = moved
  const some =
    left.moved ||
    Object.keys(left.parts).length > 0 ||
    Object.values(left.objects).some((all) => Object.keys(all).length > 0)
  return some ? left : null
}

function isAbout({ say = '', changes: { objects, moved } }: PastChange, shown: Shown): boolean {
  const touched = (ids: object | undefined, gone: Set<string>) =>
    Object.keys(ids ?? {}).some((id) => gone.has(id))
  return (
    touched(objects.windows, shown.windows) ||
    touched(objects.documents, shown.documents) ||
    (moved !== undefined && shown.windows.has(moved.window)) ||
    [...shown.titles].some((title) => say.includes(`“${title}”`))
  )
}
