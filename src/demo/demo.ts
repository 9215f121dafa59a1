import type { CountdownContent } from '@/apps/countdown/content'
import { APPS } from '@/apps/list'
import type { PlayerContent } from '@/apps/player/content'
import type { ReaderContent } from '@/apps/reader/content'
import type { WebContent } from '@/apps/web/content'
import { limited, type Rect, type Size } from '@/core/geometry/rect'
import { fits } from '@/core/homes/matching'
import { callLetters } from '@/core/keys/letters'
import type { DesktopId } from '@/core/model/ids'
import { initialState } from '@/core/model/initial'
import type { Block } from '@/core/model/kinds/block'
import { newDesktop } from '@/core/model/kinds/desktop'
import type { Display } from '@/core/model/kinds/display'
import type { Home } from '@/core/model/kinds/home'
import type { Backdrop, Hue } from '@/core/model/kinds/look'
import { type Cause, EVERY } from '@/core/model/kinds/window'
import type { State } from '@/core/model/state'
import { atMinute, dayOf } from '@/core/plan/plan'
import { newId } from '@/store/newId'
import type { Seed } from '@/store/opening/start'
import { INCIDENT, stowCourse } from './away'
import { BRIEFING } from './briefing'
import { lastDays } from './journal'
import { lastStood } from './past'
import * as pictures from './pictures'
import * as tables from './tables'
import * as texts from './texts'
import * as work from './work'

const DESKTOPS: [id: DesktopId, name: string, hue: Hue, backdrop: Backdrop, emblem: string][] = [
  ['field', 'Field', 'teal', 'ripstop', 'mountain'],
  ['model', 'Model', 'cobalt', 'contour', 'chart-line'],
  ['bulletin', 'Bulletin', 'vermilion', 'ripstop', 'newspaper'],
  ['public', 'Public line', 'plum', 'stripes', 'megaphone'],
  ['rota', 'Rota', 'moss', 'panels', 'calendar'],
  ['breather', 'Breather', 'marigold', 'dots', 'coffee'],
]

const LEFT_HALF = { top: 0, left: 0, bottom: 2, right: 0.5 }

const home = (app: string, desktop: DesktopId, more: Partial<Home> = {}): Home => ({
  id: `home-${app}-${desktop}`,
  app,
  desktop,
  follow: true,
  on: true,
  ...more,
})

const HOMES: Home[] = [
  home('messages', 'public'),
  home('job', 'model'),
  home('player', 'breather'),
  home('table', 'field', { title: 'Station*' }),
  home('document', 'bulletin', { title: '*bulletin*', display: 'near', place: LEFT_HALF }),
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
    id: 'camera',
    app: 'web',
    title: 'Ridge camera',
    on: 'field',
    at: [560, 240, 480, 400],
    content: { visited: ['/pages/ridge-camera'] } satisfies WebContent,
    minimised: true,
  },
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
    id: 'radio',
    app: 'player',
    title: 'Ridge radio',
    on: 'model',
    at: [700, 470, 340, 280],
    content: { tune: 0, volume: 0.6, at: 0 } satisfies PlayerContent,
  },
  {
    id: 'run',
    app: 'job',
    title: 'Snowpack run, 24 h',
    on: 'model',
    at: [36, 356, 500, 380],
    content: work.run(newId('run')),
  },
  {
    id: 'notes',
    app: 'document',
    title: 'Run notes',
    on: 'model',
    at: [566, 30, 460, 400],
    content: text(texts.RUN_NOTES),
  },
  {
    id: 'output',
    app: 'table',
    title: 'Run output',
    on: 'model',
    at: [36, 30, 500, 310],
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
    at: [550, 740, 490, 420],
    content: tables.CLOSURES,
  },
  {
    id: 'calls',
    app: 'document',
    title: 'Call sheet',
    on: 'public',
    at: [40, 740, 480, 640],
    content: text(texts.CALL_SHEET),
  },
  {
    id: 'line',
    app: 'messages',
    title: 'Public line',
    on: 'public',
    at: [40, 40, 1000, 660],
    content: work.publicLine(now),
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

/** Put where they are by hand, so that there is something to put right. */
const ASTRAY = ['north', 'sunday', 'radio']

function causeOf(id: string, app: string, title: string): Cause {
  if (ASTRAY.includes(id)) return { by: 'hand' }
  const found = HOMES.find((one) => one.app === app && (!one.title || fits(one.title, title)))
  return found ? { by: 'home', home: found.id } : { by: 'here' }
}

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

/** The day as it is planned: each desktop from its hour until the next. */
function planned(now: number): Block[] {
  const times: [desktop: string, from: number, to: number][] = [
    ['field', 6.5, 8.5],
    ['model', 8.5, 10],
    ['public', 10, 13.5],
    ['bulletin', 13.5, 16.25],
    ['rota', 16.25, 17],
  ]
  return times.map(([desktop, from, to]) => ({
    id: `block-${desktop}`,
    desktop,
    start: atMinute(dayOf(now), from * 60),
    end: atMinute(dayOf(now), to * 60),
  }))
}

/**
 * The shelf of the duty forecaster at the Harrow Range Snow Office, on Field.
 * @param now milliseconds since 1970
 * @param room what the windows have, in CSS pixels; where it is less than they were laid out for,
 * they are laid out smaller
 * @param alone without the second display
 */
export function demo(now: number, room?: Size, alone = false): Seed {
  const state: State = structuredClone(initialState())
  if (!alone) {
    state.displays.tall = tall(state.displays.near?.width ?? 0)
    state.displayOrder.push('tall')
  }
  const desktops = DESKTOPS.map(([id, name, hue, backdrop, emblem]) =>
    newDesktop({ id, name, hue, backdrop, emblem }),
  )
  // As they would have been made, one after the other: who came first keeps its letter.
  desktops.forEach((_, at) => {
    const made = desktops.slice(0, at + 1)
    const letters = callLetters(made)
    for (const desktop of made) desktop.letter = letters[desktop.id] ?? null
  })
  state.desktops = Object.fromEntries(desktops.map((desktop) => [desktop.id, desktop]))
  state.order = desktops.map(({ id }) => id)
  state.homes = HOMES
  const contents: Seed['contents'] = {}
  for (const shown of windows(now)) {
    const [x, y, width, height] = shown.at
    open(state, shown, { x, y, width, height }, now)
    contents[shown.id] = shown.content
  }
  if (state.desktops.bulletin) state.desktops.bulletin.quiet = { on: true, lets: [] }
  state.plan = planned(now)
  stowCourse(state, now)
  contents['course-notes'] = text(texts.COURSE)
  contents.participants = tables.PARTICIPANTS
  state.patterns = [INCIDENT]
  state.runs = [BRIEFING]
  if (room) fitInto(state, room)
  for (const desktop of Object.values(state.desktops))
    desktop.focus = desktop.windows.at(-1) ?? null
  state.presence.near = {
    shows: 'field',
    focus: state.desktops.field?.focus ?? null,
    visited: ['field', 'bulletin', 'model'],
  }
  if (!alone)
    state.presence.tall = {
      shows: 'public',
      focus: state.desktops.public?.focus ?? null,
      visited: ['public'],
    }
  return { state, contents, journal: lastDays(now), past: lastStood(state, now) }
}

/** Upright, at the right of Near. */
const tall = (x: number): Display => ({
  id: 'tall',
  name: 'Tall',
  width: 1080,
  height: 1440,
  scale: 1,
  x,
  y: 0,
  connected: true,
})

/** Lays all windows out in less room, in the same arrangement. */
function fitInto(state: State, room: Size): void {
  const { near } = state.displays
  if (!near) return
  const across = Math.min(1, room.width / near.width)
  const down = Math.min(1, room.height / near.height)
  for (const window of Object.values(state.windows)) {
    if (window.display !== near.id) continue
    const { x, y, width, height } = window.frame
    const size = limited({ width: width * across, height: height * down }, window.limits)
    window.frame = {
      x: Math.max(0, Math.round(Math.min(x * across, room.width - size.width))),
      y: Math.max(0, Math.round(Math.min(y * down, room.height - size.height))),
      ...size,
    }
  }
  Object.assign(near, room)
  if (state.displays.tall) state.displays.tall.x = room.width
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
    display: on === 'public' && state.displays.tall ? 'tall' : 'near',
    frame,
    minimised,
    maximised: false,
    placed: null,
    limits,
    openedAt: now,
    cause: causeOf(id, app, title),
  }
  state.stacking.push(id)
  if (on === EVERY) state.everywhere.push(id)
  else state.desktops[on]?.windows.push(id)
}
