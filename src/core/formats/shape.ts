import {
  array,
  boolean,
  mixed,
  number,
  object,
  ref,
  type Schema,
  string,
  ValidationError,
} from 'yup'
import { KEY_PLACES } from '@/core/keys/keymaps'
import { PUSH_TIME } from '@/core/keys/ways'
import {
  SIGN_COLOURS,
  SIGN_FONTS,
  SIGN_OPACITY,
  SIGN_PLACES,
  SIGN_SIZE,
  SIGN_WEIGHTS,
} from '@/core/look/look'
import {
  BACKDROPS,
  DISPLAY_LEAST,
  EXCEPTIONS,
  GUIDE_STEPS,
  HUES,
  LEVELS,
  LONGEST,
} from '@/core/model/types'
import { settingsShape } from '@/core/settings/checks'
import { whyInvalid } from './invalid'

/**
 * The shape of a state, for everything that comes from outside or was kept. Objects are looked at
 * one by one, so that one that is not as it should be can be told from the others.
 */

/** How deep and how large the arguments of a command are at most. */
const ARGUMENTS_DEEP = 6
const ARGUMENTS_MOST = 20_000

/** Whether a value is the same when it was written as JSON and read again. */
function isJson(value: unknown, deep = ARGUMENTS_DEEP): boolean {
  if (value === null || typeof value === 'string' || typeof value === 'boolean') return true
  if (typeof value === 'number') return Number.isFinite(value)
  if (typeof value !== 'object' || deep === 0) return false
  if (Array.isArray(value)) return value.every((one) => isJson(one, deep - 1))
  return Object.entries(value).every(([key, one]) => isId(key) && isJson(one, deep - 1))
}

/** The arguments of a command that is given later: which ones it takes is looked at then. */
const laterArguments = () =>
  mixed().test(
    'arguments',
    'must be an object with the arguments of the command',
    (value) =>
      value === undefined ||
      (isObject(value) && isJson(value) && JSON.stringify(value).length <= ARGUMENTS_MOST),
  )

/** Every object has these names: as ids they would stand for something else. */
export const isId = (text: string): boolean => text !== '' && !(text in Object.prototype)

/** An id: a text that is not among the names all objects have. */
const id = () =>
  string()
    .required()
    .max(200)
    .test('id', 'is not an id', (value) => isId(value))
/** As `id`, where there may be none; for arguments of commands too. */
export const maybeId = () =>
  string()
    .max(200)
    .test('id', 'is not an id', (value) => value == null || isId(value))

/** The longest address and picture of an app the person added, in characters. */
const ICON_MOST = 400_000

const coordinate = () => number().required().min(-1e6).max(1e6)
const length = () => number().required().positive().max(LONGEST)
/** Milliseconds since 1970, as far as dates go. */
const moment = () => number().required().min(0).max(8.64e15)
const flag = () => boolean().required()
/** Cells of the pad, ends included: a span that ends within the first one ends below 0. */
const first = number().min(0).max(3).required()
const last = number().min(-1).max(2).required()
export const span = { top: first, left: first, bottom: last, right: last }
const frame = { x: coordinate(), y: coordinate(), width: length(), height: length() }

const window = object({
  id: id(),
  app: id(),
  document: id(),
  desktop: id(),
  display: id(),
  frame: object(frame).required(),
  minimised: flag(),
  maximised: flag(),
  placed: object(span).nullable().defined(),
  unplaced: object(frame).default(undefined),
  came: object({
    from: id(),
    frame: object(frame).required(),
    to: object(frame).required(),
  })
    .optional()
    .default(undefined),
  limits: object({
    minWidth: length(),
    minHeight: length(),
    maxWidth: number().positive().min(ref('minWidth')).max(LONGEST),
    maxHeight: number().positive().min(ref('minHeight')).max(LONGEST),
  }).required(),
  openedAt: moment(),
  cause: object({
    by: string().oneOf(['home', 'here', 'hand', 'fold', 'exception']).required(),
    home: string(),
    name: string(),
  })
    .optional()
    .default(undefined),
})
/** Objects that do not have the id they stand at. */
const byId = (schema: Schema) =>
  mixed()
    .meta({ byId: schema })
    .test('by id', (value, { createError, path }) => {
      const problem = value === undefined ? null : objectsProblem(value, schema, false)
      return problem ? createError({ path: `${path}.${problem.path}`, message: problem.why }) : true
    })
const origin = object({
  desktop: id(),
  at: number().integer().required().min(-1).max(1e6),
  on: maybeId().nullable().defined(),
  minimised: flag(),
  focused: flag(),
})
const percent = () => number().integer().min(0).max(100)
export const backdropPicture = {
  document: id(),
  fit: string()
    .oneOf(['fill', 'whole', 'repeat'] as const)
    .required(),
  x: percent().required(),
  y: percent().required(),
  strength: percent().min(10).required(),
}
/** What of a sign is other than at first. */
export const signShape = {
  font: string().oneOf(SIGN_FONTS),
  size: number().integer().min(SIGN_SIZE.least).max(SIGN_SIZE.most),
  weight: number().oneOf(SIGN_WEIGHTS),
  colour: string().oneOf(SIGN_COLOURS),
  opacity: percent().min(SIGN_OPACITY.least),
  place: string().oneOf(SIGN_PLACES),
}
const desktop = object({
  id: id(),
  name: string().required().max(300),
  kind: string().oneOf(['open', 'solo', 'pair']).required(),
  origins: byId(origin),
  divider: number().min(0.2).max(0.8),
  aside: object({
    by: string().oneOf(['sweep', 'isolate']).required(),
    windows: array(id()).required(),
    focus: maybeId().nullable().defined(),
  })
    .optional()
    .default(undefined),
  before: byId(
    object({
      frame: object(frame).required(),
      placed: object(span).nullable().defined(),
      maximised: flag(),
    }),
  ),
  letter: string().min(1).max(2).nullable().defined(),
  letterByHand: flag(),
  hue: string().oneOf(HUES).required(),
  emblem: string()
    .max(40)
    .matches(/^[a-z0-9-]+$/),
  backdrop: string()
    .oneOf([...BACKDROPS, 'picture'])
    .required(),
  picture: object(backdropPicture).default(undefined),
  sign: flag(),
  signed: object(signShape).default(undefined),
  quiet: object({
    on: flag(),
    until: number().min(0).max(8.64e15),
    lets: array(string().max(100).required()).max(20).required(),
  })
    .optional()
    .default(undefined),
  windows: array(id()).required(),
  focus: maybeId().nullable().defined(),
})
const waiting = object({
  level: string().oneOf(LEVELS).required(),
  says: string().defined(),
  since: moment(),
  until: number().min(0).max(8.64e15),
  told: flag(),
})
const display = object({
  id: id(),
  name: string().required(),
  width: length().min(DISPLAY_LEAST.width),
  height: length().min(DISPLAY_LEAST.height),
  scale: number().required().positive().max(16),
  x: coordinate(),
  y: coordinate(),
  connected: flag(),
  measured: boolean(),
})
const presence = object({
  shows: id(),
  focus: maybeId().nullable().defined(),
  visited: array(id()).required(),
})
const documentInfo = object({
  id: id(),
  app: id(),
  title: string().defined(),
  unsaved: flag(),
  openedAt: moment(),
  discarded: boolean(),
  discardedAt: number().min(0).max(8.64e15),
})
const minute = number().integer().min(0).max(1439)
const home = object({
  id: id(),
  app: id(),
  desktop: id(),
  name: string(),
  display: maybeId(),
  place: object(span).default(undefined),
  title: string(),
  days: array(number().integer().min(0).max(6).required()),
  from: minute,
  to: minute,
  displays: array(id()),
  follow: flag(),
  on: flag(),
})
const ownApp = object({
  id: id(),
  name: string().required(),
  address: string().required(),
  icon: string().max(ICON_MOST),
})
const binding = object({
  keys: string().required(),
  place: string().oneOf(KEY_PLACES),
  command: string().nullable().defined(),
  args: laterArguments(),
  time: number().integer().min(PUSH_TIME.least).max(PUSH_TIME.most),
})
const sequence = object({
  id: id(),
  name: string().required().max(1000),
  deeds: array(
    object({ command: string().required().max(100), args: laterArguments().required() }).required(),
  )
    .required()
    .min(1)
    .max(50),
})
const closed = object({ window: window.required(), at: moment() })
/** The parts that hold objects by id, each with the shape of one. */
export const OBJECTS = {
  desktops: desktop,
  windows: window,
  displays: display,
  apps: ownApp,
  documents: documentInfo,
} satisfies Record<string, Schema>

/** The parts that are lists of objects, each with the shape of one. */
const block = object({
  id: id(),
  desktop: id(),
  start: moment(),
  end: moment(),
  title: string().max(200),
  source: string().max(500),
  goes: boolean(),
  skipped: boolean(),
  met: boolean(),
})
const taken = <T extends Schema>(item: T) =>
  array(object({ at: number().integer().min(0).required(), item }).required()).required()
const stowed = object({
  id: id(),
  at: number().integer().min(0).required(),
  desktop: desktop.required(),
  windows: byId(window).required(),
  stacking: taken(id()),
  homes: taken(home.required()),
  plan: taken(block.required()),
  bindings: taken(binding.required()),
  closed: array(id()).required(),
  origins: array(object({ desktop: id(), window: id() }).required()).required(),
})
const pattern = object({
  id: id(),
  name: string().required().max(300),
  look: desktop.pick(['hue', 'emblem', 'backdrop', 'picture', 'sign', 'signed']).required(),
  windows: array(
    window
      .pick(['app', 'frame', 'placed', 'minimised', 'maximised'])
      .shape({ title: string().defined().max(300) })
      .required(),
  ).required(),
})
const run = object({
  id: id(),
  name: string().required().max(1000),
  back: flag(),
  stops: array(
    object({
      id: id(),
      desktop: id(),
      window: maybeId().nullable().defined(),
      notes: string().defined().max(5000),
    }).required(),
  )
    .required()
    .max(200),
})
export const LISTS = {
  runs: run,
  stowed,
  plan: block,
  patterns: pattern,
  closed,
  homes: home,
  bindings: binding,
  sequences: sequence,
} satisfies Record<string, Schema>

/** All other parts, each whole. */
export const WHOLES = {
  order: array(id()).required().min(1),
  columns: number().integer().min(1).max(1000).required(),
  everywhere: array(id()).required(),
  displayOrder: array(id()).required(),
  apart: flag(),
  display: id(),
  presence: byId(presence).required(),
  slots: array(maybeId().nullable().defined()).required().length(9),
  stacking: array(id()).required(),
  tethered: byId(boolean().required()).required(),
  exceptions: byId(
    array(string().oneOf(EXCEPTIONS).required()).required().min(1).max(EXCEPTIONS.length),
  ).required(),
  attention: byId(waiting).required(),
  running: object({
    run: id(),
    at: number().integer().min(0).required(),
    since: moment(),
    display: id(),
    from: object({ desktop: id(), window: maybeId().nullable().defined() }).required(),
  })
    .nullable()
    .defined(),
  answering: object({
    desktop: id(),
    window: maybeId().nullable().defined(),
    gone: array(id()),
  })
    .nullable()
    .defined(),
  guide: number().integer().min(0).max(GUIDE_STEPS).required(),
  settings: settingsShape.required(),
} satisfies Record<string, Schema>

/** All parts there are. */
export const PARTS = [OBJECTS, LISTS, WHOLES].flatMap((some) => Object.keys(some))

/** Where something is wrong, and what, in words that follow where it is. */
export interface Problem {
  path: string
  why: string
}

export const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** What is wrong with one value, or null. */
export function problemOf(value: unknown, schema: Pick<Schema, 'validateSync'>): Problem | null {
  try {
    schema.validateSync(value, { strict: true })
    return null
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    return { path: shortened(error.path ?? '', 60), why: shortened(whyInvalid(error), 160) }
  }
}

export const shortened = (text: string, most: number): string =>
  text.length > most ? `${text.slice(0, most)}…` : text

/** What is wrong with a part that holds objects by id: each has the shape, and its id as its key. */
function objectsProblem(value: unknown, schema: Schema, named = true): Problem | null {
  if (!isObject(value)) return { path: '', why: 'must be an object' }
  for (const [key, object] of Object.entries(value)) {
    const problem = objectProblem(key, object, schema, named)
    if (problem) return problem
  }
  return null
}

/** What is wrong with an object that stands at a key. */
export function objectProblem(
  key: string,
  object: unknown,
  schema: Schema,
  named = true,
): Problem | null {
  const at = shortened(key, 60)
  if (!isId(key)) return { path: at, why: 'is not an id' }
  const problem = problemOf(object, schema.required())
  if (problem) return { path: `${at}.${problem.path}`, why: problem.why }
  if (named && (object as { id: string }).id !== key)
    return { path: `${at}.id`, why: 'is not the key it stands at' }
  return null
}

/** What is wrong with the shape of a whole state, or null. */
export function stateProblem(value: unknown): Problem | null {
  if (!isObject(value)) return { path: '', why: 'must be an object' }
  for (const [part, schema] of Object.entries<Schema>(OBJECTS)) {
    const problem = objectsProblem(value[part], schema)
    if (problem) return { path: `${part}.${problem.path}`, why: problem.why }
  }
  for (const [part, schema] of Object.entries<Schema>(LISTS)) {
    const list = value[part]
    if (!Array.isArray(list)) return { path: part, why: 'must be a list' }
    for (const [at, one] of list.entries()) {
      const problem = problemOf(one, schema.required())
      if (problem) return { path: `${part}[${at}].${problem.path}`, why: problem.why }
    }
  }
  for (const [part, schema] of Object.entries(WHOLES)) {
    const problem = problemOf(value[part], schema)
    if (problem) return { path: `${part}${problem.path}`, why: problem.why }
  }
  return null
}
