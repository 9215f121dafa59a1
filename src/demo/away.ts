import { APPS } from '@/apps/list'
import type { Rect } from '@/core/geometry/rect'
import { newDesktop } from '@/core/model/kinds/desktop'
import type { Pattern } from '@/core/model/kinds/pattern'
import type { Window } from '@/core/model/kinds/window'
import type { State } from '@/core/model/state'

/** What was put away: the course of last week, with its notes and who takes part. */
const COURSE = 'course'
const ON_IT: [id: string, app: string, title: string, at: Rect][] = [
  ['course-notes', 'document', 'Course, day two', { x: 40, y: 30, width: 480, height: 520 }],
  ['participants', 'table', 'Participants', { x: 560, y: 30, width: 460, height: 320 }],
]

/** Puts the course away on a shelf. */
export function stowCourse(state: State, now: number): void {
  const windows = ON_IT.map(([id, app, title, frame]): Window => {
    state.documents[id] = { id, app, title, unsaved: false, openedAt: now }
    const limits = APPS.find((known) => known.id === app)?.limits
    return {
      id,
      app,
      document: id,
      desktop: COURSE,
      display: 'near',
      frame,
      minimised: false,
      maximised: false,
      placed: null,
      limits: limits ?? { minWidth: 200, minHeight: 120 },
      openedAt: now,
    }
  })
  const ids = windows.map(({ id }) => id)
  const top = state.stacking.length
  state.stowed.push({
    id: COURSE,
    at: state.order.length,
    desktop: newDesktop({
      id: COURSE,
      name: 'Avalanche course',
      hue: 'violet',
      letter: 'C',
      backdrop: 'contour',
      emblem: 'graduation-cap',
      windows: ids,
      focus: ids.at(-1) ?? null,
    }),
    windows: Object.fromEntries(windows.map((window) => [window.id, window])),
    stacking: ids.map((item, at) => ({ at: top + at, item })),
    homes: [],
    plan: [],
    bindings: [],
    closed: [],
    origins: [],
  })
}

const placed = { minimised: false, maximised: false }

/** A desktop for an incident: who calls, what was seen, what was done. */
export const INCIDENT: Pattern = {
  id: 'incident',
  name: 'Incident',
  look: { hue: 'rust', emblem: 'zap', backdrop: 'stripes', sign: true },
  windows: [
    {
      app: 'document',
      title: 'Log of …',
      frame: { x: 24, y: 24, width: 500, height: 600 },
      placed: { top: 0, left: 0, bottom: 2, right: 0.5 },
      ...placed,
    },
    {
      app: 'table',
      title: 'Who was told, …',
      frame: { x: 560, y: 24, width: 480, height: 300 },
      placed: { top: 0, left: 1.5, bottom: 0.5, right: 2 },
      ...placed,
    },
    {
      app: 'countdown',
      title: 'Next call, …',
      frame: { x: 640, y: 420, width: 280, height: 180 },
      placed: null,
      ...placed,
    },
  ],
}
