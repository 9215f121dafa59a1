import { array, boolean, number, type Schema, string } from 'yup'
import { settingsShape } from '@/core/settings/checks'
import { idsIn, type Kind, type Named } from './kind'
import { APP, exceptionsShape } from './kinds/app'
import { BINDING } from './kinds/binding'
import { BLOCK } from './kinds/block'
import { CLOSED } from './kinds/closed'
import { DESKTOP } from './kinds/desktop'
import { DISPLAY, presenceShape } from './kinds/display'
import { DOCUMENT } from './kinds/document'
import { HOME } from './kinds/home'
import { PATTERN } from './kinds/pattern'
import { RUN, underWayShape } from './kinds/run'
import { SEQUENCE } from './kinds/sequence'
import { STOWED } from './kinds/stowed'
import { answeringShape, waitingShape } from './kinds/waiting'
import { WINDOW } from './kinds/window'
import {
  byId,
  flag,
  id,
  isObject,
  maybeId,
  objectsProblem,
  type Problem,
  problemOf,
} from './shaping'
import { GUIDE_STEPS, type State } from './state'

/**
 * The parts of a state: what each holds, and of what kind. For everything that comes from outside or
 * was kept. Objects are looked at one by one, so that one that is not as it should be can be told
 * from the others.
 */

/** The parts that hold objects by their ids. */
export type ObjectsPart = 'desktops' | 'windows' | 'displays' | 'apps' | 'documents'
/** The parts that are lists of objects. */
export type ListPart =
  | 'runs'
  | 'stowed'
  | 'plan'
  | 'patterns'
  | 'closed'
  | 'homes'
  | 'bindings'
  | 'sequences'
/** All other parts, each whole. */
type WholePart = Exclude<keyof State, ObjectsPart | ListPart>

export const OBJECTS: { [Part in ObjectsPart]: Kind<State[Part][string]> } = {
  desktops: DESKTOP,
  windows: WINDOW,
  displays: DISPLAY,
  apps: APP,
  documents: DOCUMENT,
}

export const LISTS: { [Part in ListPart]: Kind<State[Part][number]> } = {
  runs: RUN,
  stowed: STOWED,
  plan: BLOCK,
  patterns: PATTERN,
  closed: CLOSED,
  homes: HOME,
  bindings: BINDING,
  sequences: SEQUENCE,
}

interface Whole {
  shape: Schema
  /** What it is called where it is lost; null where it is worked out from the rest. */
  words: string | null
}

const whole = (shape: Schema, words: string | null = null): Whole => ({ shape, words })

export const WHOLES: Record<WholePart, Whole> = {
  order: whole(array(id()).required().min(1)),
  columns: whole(
    number().integer().min(1).max(1000).required(),
    'how many desktops stand in a row',
  ),
  everywhere: whole(array(id()).required()),
  displayOrder: whole(array(id()).required()),
  apart: whole(flag(), 'whether displays are apart'),
  display: whole(id()),
  presence: whole(byId(presenceShape).required(), 'what each display showed'),
  slots: whole(
    array(maybeId().nullable().defined()).required().length(9),
    'the number keys of apps',
  ),
  stacking: whole(array(id()).required(), 'which windows stand on top'),
  tethered: whole(byId(boolean().required()).required(), 'what is kept at hand in the line'),
  exceptions: whole(byId(exceptionsShape).required(), 'exceptions for apps'),
  attention: whole(byId(waitingShape).required(), 'what was waiting'),
  running: whole(underWayShape.nullable().defined(), 'the run that was under way'),
  answering: whole(answeringShape.nullable().defined()),
  guide: whole(number().integer().min(0).max(GUIDE_STEPS).required()),
  declined: whole(array(string().required()).required(), 'what is not suggested any more'),
  settings: whole(settingsShape.required(), 'the settings'),
}

/** The entries of a table, each with its own name. */
export const entriesOf = <Name extends string, T>(table: Record<Name, T>): [Name, T][] =>
  Object.entries(table) as [Name, T][]

/** All parts there are. */
export const PARTS = [OBJECTS, LISTS, WHOLES].flatMap((some) => Object.keys(some))

/** Some of the parts that hold objects; of those that hold them by id, null is one that is gone. */
export type SomeObjects = {
  [Part in ObjectsPart]?: Readonly<Record<string, State[Part][string] | null>>
} & { [Part in ListPart]?: State[Part] }

/** The ids of a kind that objects hold, their own among them. */
export function held(parts: SomeObjects, named: Named): Set<string> {
  const found = new Set<string>()
  const gather = (kind: Pick<Kind<object>, 'ids'>, objects: readonly (object | null)[]) => {
    for (const one of objects) if (one) for (const id of idsIn(kind, one, named)) found.add(id)
  }
  for (const [part, kind] of entriesOf(OBJECTS)) gather(kind, Object.values(parts[part] ?? {}))
  for (const [part, kind] of entriesOf(LISTS)) gather(kind, parts[part] ?? [])
  return found
}

/** What is wrong with the shape of a whole state, or null. */
export function stateProblem(value: unknown): Problem | null {
  if (!isObject(value)) return { path: '', why: 'must be an object' }
  for (const [part, { shape }] of entriesOf(OBJECTS)) {
    const problem = objectsProblem(value[part], shape)
    if (problem) return { path: `${part}.${problem.path}`, why: problem.why }
  }
  for (const [part, { shape }] of entriesOf(LISTS)) {
    const list = value[part]
    if (!Array.isArray(list)) return { path: part, why: 'must be a list' }
    for (const [at, one] of list.entries()) {
      const problem = problemOf(one, shape.required())
      if (problem) return { path: `${part}[${at}].${problem.path}`, why: problem.why }
    }
  }
  for (const [part, { shape }] of entriesOf(WHOLES)) {
    const problem = problemOf(value[part], shape)
    if (problem) return { path: `${part}${problem.path}`, why: problem.why }
  }
  return null
}
