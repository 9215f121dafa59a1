import {
  array,
  boolean,
  lazy,
  mixed,
  number,
  object,
  type Schema,
  string,
  ValidationError,
} from 'yup'
import { check } from '@/core/model/check'
import { BACKDROPS, type DocumentId, EVERY, HUES, type State } from '@/core/model/types'
import { migrated } from './migrations'

export const FORMAT = 'kite-shelf'
export const VERSION = 2

/** Content of a document as JSON: what was saved, and what was typed since. */
export interface KeptContent {
  saved: unknown
  draft: unknown
}

/** Everything but the journal, as one JSON file. */
export interface ShelfFile {
  format: typeof FORMAT
  version: number
  /** ISO time. */
  exportedAt: string
  state: State
  documents: Record<DocumentId, KeptContent>
}

const text = string().defined()
const id = string().required()
const recordOf = (item: Schema) =>
  lazy((value: unknown) =>
    object(
      Object.fromEntries(Object.keys((value as object | null) ?? {}).map((key) => [key, item])),
    ).required(),
  )
const rect = object({
  x: number().required(),
  y: number().required(),
  width: number().required().positive(),
  height: number().required().positive(),
})
const limits = object({
  minWidth: number().required(),
  minHeight: number().required(),
  maxWidth: number(),
  maxHeight: number(),
})
const cell = number().integer().min(0).max(2).required()
const span = { top: cell, left: cell, bottom: cell, right: cell }
const window = object({
  id,
  app: id,
  document: id,
  desktop: id,
  display: id,
  frame: rect.required(),
  minimised: boolean().required(),
  maximised: boolean().required(),
  placed: object(span).nullable().defined(),
  limits: limits.required(),
  z: number().integer().required(),
  openedAt: number().required(),
  cause: object({
    by: string().oneOf(['home', 'here', 'hand', 'fold']).required(),
    home: string(),
    name: string(),
  }).default(undefined),
})
const origin = object({
  desktop: id,
  at: number().integer().required(),
  z: number().integer().required(),
  minimised: boolean().required(),
  focused: boolean().required(),
})
const desktop = object({
  id,
  name: string().required(),
  kind: string().oneOf(['open', 'solo', 'pair']).required(),
  origins: lazy((value: unknown) =>
    value === undefined ? mixed().notRequired() : recordOf(origin),
  ),
  divider: number().min(0.2).max(0.8),
  aside: object({
    by: string().oneOf(['sweep', 'isolate']).required(),
    windows: array(id).required(),
    focus: string().nullable().defined(),
  }).default(undefined),
  letter: string().length(1).nullable().defined(),
  letterByHand: boolean().required(),
  hue: string().oneOf(HUES).required(),
  backdrop: string().oneOf(BACKDROPS).required(),
  sign: boolean().required(),
  windows: array(id).required(),
  focus: string().nullable().defined(),
})
const display = object({
  id,
  name: string().required(),
  width: number().required().positive(),
  height: number().required().positive(),
  scale: number().required().positive(),
  x: number().required(),
  y: number().required(),
  connected: boolean().required(),
  shows: id,
})
const documentInfo = object({
  id,
  app: id,
  title: text,
  unsaved: boolean().required(),
  openedAt: number().required(),
  discarded: boolean(),
})
const minute = number().integer().min(0).max(1439)
const home = object({
  id,
  app: id,
  desktop: id,
  name: string(),
  display: string(),
  place: object(span).default(undefined),
  title: string(),
  days: array(number().integer().min(0).max(6).required()),
  from: minute,
  to: minute,
  displays: array(string().required()),
  follow: boolean().required(),
  on: boolean().required(),
})

const ownApp = object({ id, name: string().required(), address: id, icon: string() })

/** The shape of the state, for everything that comes from outside. */
const stateSchema = object({
  desktops: recordOf(desktop),
  order: array(id).required().min(1),
  columns: number().integer().min(1).required(),
  windows: recordOf(window),
  everywhere: array(id).required(),
  displays: recordOf(display),
  displayOrder: array(id).required(),
  display: id,
  focus: string().nullable().defined(),
  visited: array(id).required(),
  closed: array(object({ window: window.required(), at: number().required() })).required(),
  homes: array(home).required(),
  apps: recordOf(ownApp),
  slots: array(string().nullable().defined()).required().length(9),
  bindings: array(
    object({ keys: id, command: string().nullable().defined(), args: mixed() }),
  ).required(),
  top: number().integer().required(),
  documents: recordOf(documentInfo),
  settings: object({
    wrap: boolean().required(),
    wrapRows: boolean().required(),
    trail: string().oneOf(['all', 'here']).required(),
    launch: string().oneOf(['go', 'here']).required(),
    restAfter: number().integer().min(0).required(),
    inspector: boolean().required(),
    keys: string().oneOf(['alt', 'leader']).required(),
    cloth: string().oneOf(['system', 'day', 'night']).required(),
  }).required(),
}).required()

const fileSchema = object({
  format: string().oneOf([FORMAT]).required(),
  version: number().integer().required(),
  exportedAt: string().required(),
  state: stateSchema,
  documents: object().required(),
})

export class BadShelfFile extends Error {}

/**
 * Reads a shelf file from text.
 * @throws BadShelfFile with a sentence that says what is wrong and where
 */
export function readShelfFile(content: string): ShelfFile {
  let parsed: unknown
  try {
    parsed = JSON.parse(content)
  } catch (error) {
    throw new BadShelfFile(`it is not JSON${lineOf(content, error)}`)
  }
  const given = parsed as Partial<ShelfFile> | null
  if (typeof given !== 'object' || given?.format !== FORMAT)
    throw new BadShelfFile('it does not say that it is a shelf file (“format”: “kite-shelf”)')
  if (typeof given.version !== 'number' || given.version > VERSION)
    throw new BadShelfFile(
      `it has version ${given.version}, and this Kite Shelf reads up to version ${VERSION}`,
    )
  const file = { ...given, state: migrated(given.state) } as ShelfFile
  try {
    fileSchema.validateSync(file, { strict: true })
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    throw new BadShelfFile(`at ${error.path ?? 'the top'}: ${error.message}`)
  }
  const broken = check(file.state)
  if (broken[0]) throw new BadShelfFile(`its contents contradict each other: ${broken[0]}`)
  return file
}

/**
 * The state from parsed JSON that was kept in the browser.
 * @throws when it does not have the shape or breaks a rule that always holds
 */
export function readState(parsed: unknown): State {
  const state = migrated(parsed) as State
  stateSchema.validateSync(state, { strict: true })
  const broken = check(state)
  if (broken[0]) throw new Error(broken[0])
  return state
}

function lineOf(content: string, error: unknown): string {
  const at = /position (\d+)/.exec(String(error))?.[1]
  return ` (line ${at ? content.slice(0, Number(at)).split('\n').length : 1})`
}

export const shelfFile = (
  state: State,
  documents: Record<DocumentId, KeptContent>,
  now: number,
): ShelfFile => ({
  format: FORMAT,
  version: VERSION,
  exportedAt: new Date(now).toISOString(),
  state,
  documents,
})

/**
 * The state with a file's brought in. Whatever has the same id becomes as in the file,
 * everything else of the file is added, and nothing that is only here goes away.
 */
export function merge(here: State, file: State): State {
  const windows = { ...here.windows }
  const top = Math.max(here.top, file.top)
  const moved = new Set(Object.keys(file.windows))
  // Windows only here keep their order among themselves, below those of the file.
  const kept = Object.values(here.windows)
    .filter(({ id }) => !moved.has(id))
    .sort((a, b) => a.z - b.z)
  const offset = kept.length
  kept.forEach((window, index) => {
    windows[window.id] = { ...window, z: index + 1 }
  })
  for (const window of Object.values(file.windows))
    windows[window.id] = offset ? { ...window, z: window.z + offset } : window
  const stays = (id: string) => !moved.has(id)
  const desktops = { ...file.desktops }
  for (const desktop of Object.values(here.desktops)) {
    const theirs = file.desktops[desktop.id]
    const windowsHere = desktop.windows.filter(stays)
    desktops[desktop.id] = theirs
      ? { ...theirs, windows: [...theirs.windows, ...windowsHere] }
      : { ...desktop, windows: windowsHere, focus: windowsHere.at(-1) ?? null }
  }
  const letters = new Set(Object.values(file.desktops).map(({ letter }) => letter))
  const onlyHere = here.order.filter((id) => !file.desktops[id])
  for (const id of onlyHere) {
    const desktop = desktops[id]
    if (desktop?.letter && letters.has(desktop.letter))
      desktops[id] = { ...desktop, letter: null, letterByHand: false }
  }
  const closedHere = here.closed.filter(
    ({ window }) =>
      !windows[window.id] && !file.closed.some((other) => other.window.id === window.id),
  )
  return {
    ...file,
    displays: withSizes(file.displays, here.displays),
    desktops,
    order: [...file.order, ...onlyHere],
    windows,
    everywhere: [...file.everywhere, ...here.everywhere.filter(stays)],
    visited: [...file.visited, ...here.visited.filter((id) => !file.visited.includes(id))],
    closed: [...file.closed.filter(({ window }) => !windows[window.id]), ...closedHere].slice(
      0,
      25,
    ),
    homes: [
      ...file.homes,
      ...here.homes.filter(({ id }) => !file.homes.some((home) => home.id === id)),
    ],
    apps: { ...here.apps, ...file.apps },
    documents: { ...here.documents, ...file.documents },
    top: top + offset,
  }
}

/** Displays as the file has them, but of the size they physically have here. */
function withSizes(theirs: State['displays'], ours: State['displays']): State['displays'] {
  const displays = { ...ours, ...theirs }
  for (const [id, { width, height }] of Object.entries(ours))
    if (displays[id]) displays[id] = { ...displays[id], width, height }
  return displays
}

export interface Difference {
  desktopsAdded: string[]
  desktopsChanged: string[]
  windowsAdded: number
  windowsMoved: number
  documentsAdded: number
  /** Windows that are only here; they stay. */
  windowsKept: number
}

/** What bringing a file in would change, for the preview. */
export function difference(here: State, file: State): Difference {
  const { desktops, windows } = file
  const changed = (a: object | undefined, b: object) => JSON.stringify(a) !== JSON.stringify(b)
  const face = ({ name, letter, hue, backdrop, sign }: State['desktops'][string]) => ({
    name,
    letter,
    hue,
    backdrop,
    sign,
  })
  const place = ({ desktop, frame, minimised, maximised }: State['windows'][string]) => ({
    desktop,
    frame,
    minimised,
    maximised,
  })
  return {
    desktopsAdded: file.order.flatMap((id) =>
      here.desktops[id] ? [] : (desktops[id]?.name ?? []),
    ),
    desktopsChanged: Object.values(desktops).flatMap((theirs) => {
      const ours = here.desktops[theirs.id]
      return ours && changed(face(ours), face(theirs)) ? [theirs.name] : []
    }),
    windowsAdded: Object.keys(windows).filter((id) => !here.windows[id]).length,
    windowsMoved: Object.values(windows).filter((theirs) => {
      const ours = here.windows[theirs.id]
      return ours && changed(place(ours), place(theirs))
    }).length,
    documentsAdded: Object.keys(file.documents).filter((id) => !here.documents[id]).length,
    windowsKept: Object.values(here.windows).filter(
      ({ id, desktop }) => !windows[id] && (desktop === EVERY || here.desktops[desktop]),
    ).length,
  }
}
