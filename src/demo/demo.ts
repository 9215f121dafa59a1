import type { CountdownContent } from '@/apps/countdown/time'
import { APPS } from '@/apps/list'
import type { ReaderContent } from '@/apps/reader/manifest'
import { callLetters } from '@/core/keys/letters'
import { initialState, newDesktop } from '@/core/model/initial'
import {
  type Backdrop,
  type DesktopId,
  EVERY,
  type Hue,
  type Rect,
  type State,
} from '@/core/model/types'
import type { Seed } from '@/store/start'
import * as pictures from './pictures'
import * as tables from './tables'
import * as texts from './texts'

const DESKTOPS: [id: DesktopId, name: string, hue: Hue, backdrop: Backdrop][] = [
  ['field', 'Field', 'teal', 'ripstop'],
  ['model', 'Model', 'cobalt', 'contour'],
  ['bulletin', 'Bulletin', 'vermilion', 'ripstop'],
  ['public', 'Public line', 'plum', 'stripes'],
  ['rota', 'Rota', 'moss', 'panels'],
  ['breather', 'Breather', 'marigold', 'dots'],
]

const HOUR = 3_600_000

interface Shown {
  id: string
  app: string
  title: string
  on: DesktopId | typeof EVERY
  at: [x: number, y: number, width: number, height: number]
  content: unknown
  minimised?: boolean
}

const text = (markdown: string) => ({ markdown })
const reading = (words: string): ReaderContent => ({ kind: 'markdown', text: words })
const picture = (data: string): ReaderContent => ({ kind: 'picture', data })

/** The windows of the snow office, those at the back first. */
const windows = (now: number): Shown[] => [
  {
    id: 'north',
    app: 'document',
    title: 'Bulletin, north side',
    on: 'field',
    at: [640, 392, 400, 300],
    content: text(texts.BULLETIN_NORTH),
  },
  {
    id: 'pit',
    app: 'reader',
    title: 'Snow pit, Tarn Ridge',
    on: 'field',
    at: [690, 24, 356, 420],
    content: picture(pictures.SNOW_PIT),
  },
  {
    id: 'observers',
    app: 'table',
    title: 'Observer reports',
    on: 'field',
    at: [24, 396, 600, 290],
    content: tables.OBSERVERS,
  },
  {
    id: 'stations',
    app: 'table',
    title: 'Station readings 06:00',
    on: 'field',
    at: [24, 24, 640, 350],
    content: tables.STATIONS,
  },
  {
    id: 'notes',
    app: 'document',
    title: 'Run notes',
    on: 'model',
    at: [560, 60, 460, 430],
    content: text(texts.RUN_NOTES),
  },
  {
    id: 'output',
    app: 'table',
    title: 'Run output',
    on: 'model',
    at: [36, 40, 500, 480],
    content: tables.RUN_OUTPUT,
  },
  {
    id: 'yesterday',
    app: 'reader',
    title: 'Yesterday’s bulletin',
    on: 'bulletin',
    at: [620, 380, 400, 300],
    content: reading(texts.BULLETIN_YESTERDAY),
    minimised: true,
  },
  {
    id: 'hazard',
    app: 'reader',
    title: 'Hazard wording',
    on: 'bulletin',
    at: [560, 34, 440, 460],
    content: reading(texts.HAZARD_WORDING),
  },
  {
    id: 'bulletin',
    app: 'document',
    title: 'Bulletin for tomorrow',
    on: 'bulletin',
    at: [24, 26, 506, 580],
    content: text(texts.BULLETIN),
  },
  {
    id: 'closures',
    app: 'table',
    title: 'Road closures',
    on: 'public',
    at: [520, 50, 520, 280],
    content: tables.CLOSURES,
  },
  {
    id: 'calls',
    app: 'document',
    title: 'Call sheet',
    on: 'public',
    at: [40, 40, 450, 440],
    content: text(texts.CALL_SHEET),
  },
  {
    id: 'sunday',
    app: 'table',
    title: 'Station readings, Sunday',
    on: 'rota',
    at: [470, 330, 560, 290],
    content: tables.STATIONS_SUNDAY,
  },
  {
    id: 'handover',
    app: 'document',
    title: 'Handover',
    on: 'rota',
    at: [600, 36, 430, 330],
    content: text(texts.HANDOVER),
  },
  {
    id: 'rota',
    app: 'table',
    title: 'Duty rota',
    on: 'rota',
    at: [36, 36, 530, 330],
    content: tables.ROTA,
  },
  {
    id: 'atlas',
    app: 'reader',
    title: 'Trail atlas',
    on: 'breather',
    at: [120, 60, 760, 560],
    content: picture(pictures.TRAIL_ATLAS),
  },
  {
    id: 'due',
    app: 'countdown',
    title: 'Bulletin due 16:00',
    on: EVERY,
    at: [530, 572, 280, 180],
    content: due(now),
  },
]

/** To 16:00 today, or tomorrow when that is past; the day's work began at 06:30. */
function due(now: number): CountdownContent {
  const until = new Date(now)
  until.setHours(16, 0, 0, 0)
  if (until.getTime() <= now) until.setDate(until.getDate() + 1)
  return {
    kind: 'running',
    until: until.getTime(),
    of: Math.max(9.5 * HOUR, until.getTime() - now),
  }
}

/** The shelf of the duty forecaster at the Harrow Range Snow Office, on Field. */
export function demo(now: number): Seed {
  const state: State = structuredClone(initialState())
  const desktops = DESKTOPS.map(([id, name, hue, backdrop]) =>
    newDesktop({ id, name, hue, backdrop }),
  )
  // As they would have been made, one after the other: who came first keeps its letter.
  desktops.forEach((_, at) => {
    const made = desktops.slice(0, at + 1)
    const letters = callLetters(made)
    for (const desktop of made) desktop.letter = letters[desktop.id] ?? null
  })
  state.desktops = Object.fromEntries(desktops.map((desktop) => [desktop.id, desktop]))
  state.order = desktops.map(({ id }) => id)
  const contents: Seed['contents'] = {}
  for (const shown of windows(now)) {
    const [x, y, width, height] = shown.at
    open(state, shown, { x, y, width, height }, now)
    contents[shown.id] = shown.content
  }
  for (const desktop of Object.values(state.desktops))
    desktop.focus = desktop.windows.at(-1) ?? null
  state.visited = ['field', 'bulletin', 'model']
  state.focus = state.desktops.field?.focus ?? null
  const near = state.displays.near
  if (near) near.shows = 'field'
  return { state, contents }
}

function open(state: State, shown: Shown, frame: Rect, now: number): void {
  const { id, app, title, on, minimised = false } = shown
  const limits = APPS.find((known) => known.id === app)?.limits ?? { minWidth: 200, minHeight: 120 }
  state.documents[id] = { id, app, title, unsaved: false, openedAt: now }
  state.windows[id] = {
    id,
    app,
    document: id,
    desktop: on,
    display: 'near',
    frame,
    minimised,
    maximised: false,
    placed: null,
    limits,
    z: ++state.top,
    openedAt: now,
  }
  if (on === EVERY) state.everywhere.push(id)
  else state.desktops[on]?.windows.push(id)
}
