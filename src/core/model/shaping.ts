import {
  type AnyObject,
  array,
  boolean,
  type ISchema,
  mixed,
  number,
  type ObjectSchema,
  object,
  type Schema,
  string,
  ValidationError,
} from 'yup'
import { LONGEST } from '@/core/geometry/rect'
import { whyInvalid } from '@/core/text/invalid'

/** What the shapes of objects are made of, and how a value is held against one. */

/** Where something is wrong, and what, in words that follow where it is. */
export interface Problem {
  path: string
  why: string
}

export const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Every object has these names: as ids they would stand for something else. */
export const isId = (text: string): boolean => text !== '' && !(text in Object.prototype)

/** An id: a text that is not among the names all objects have. */
export const id = () =>
  string()
    .required()
    .max(200)
    .test('id', 'is not an id', (value) => isId(value))
/** As `id`, where there may be none; for arguments of commands too. */
export const maybeId = () =>
  string()
    .max(200)
    .test('id', 'is not an id', (value) => value == null || isId(value))

export const coordinate = () => number().required().min(-1e6).max(1e6)
export const length = () => number().required().positive().max(LONGEST)
/** Milliseconds since 1970, as far as dates go. */
export const moment = () => number().required().min(0).max(8.64e15)
export const maybeMoment = () => number().min(0).max(8.64e15)
export const flag = () => boolean().required()
export const percent = () => number().integer().min(0).max(100)
/** A place in a list. */
export const place = () => number().integer().required().min(0)
/** Cells of the pad, ends included: a span that ends within the first one ends below 0. */
const first = number().min(0).max(3).required()
const last = number().min(-1).max(2).required()
export const span = { top: first, left: first, bottom: last, right: last }
export const frame = { x: coordinate(), y: coordinate(), width: length(), height: length() }

/** The shape of objects. */
export type Shape = ObjectSchema<AnyObject, AnyObject, AnyObject>

/** The fields of an object, each of them: one that is forgotten does not compile. */
export const fields = <T extends object>(
  all: {
    // biome-ignore lint/suspicious/noExplicitAny: what a field takes is said by its own shape
    [Field in keyof Required<T>]: ISchema<any, any, any, any>
  },
): Shape => object(all as Record<string, Schema>)

/** Objects by their ids. @param named whether each has the id it stands at itself too */
export const byId = (schema: Schema, named = false) =>
  mixed()
    .meta({ byId: schema })
    .test('by id', (value, { createError, path }) => {
      const problem = value === undefined ? null : objectsProblem(value, schema, named)
      return problem ? createError({ path: `${path}.${problem.path}`, message: problem.why }) : true
    })

/** What was taken out of a list, with its place there. */
export const taken = (item: Schema) => array(object({ at: place(), item }).required()).required()

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
export const laterArguments = () =>
  mixed().test(
    'arguments',
    'must be an object with the arguments of the command',
    (value) =>
      value === undefined ||
      (isObject(value) && isJson(value) && JSON.stringify(value).length <= ARGUMENTS_MOST),
  )

export const shortened = (text: string, most: number): string =>
  text.length > most ? `${text.slice(0, most)}…` : text

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

/** What is wrong with a part that holds objects by id: each has the shape, and its id as its key. */
export function objectsProblem(value: unknown, schema: Schema, named = true): Problem | null {
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
