import { array, boolean, lazy, mixed, number, object, type Schema, string } from 'yup'
import { problemOf } from '@/core/model/shaping'

/** The pieces contents of apps are made of, so that each says in its own schema what it takes. */

export const text = () => string().defined()
export const count = () => number().integer().min(0).required()
export const flag = () => boolean()
/** Milliseconds since 1970, as far as dates go; and how long something takes. */
export const moment = () => number().min(0).max(8.64e15).required()
/** A file as a data address of a kind: `image/`. */
export const data = (kind: string) =>
  text().test(
    'data',
    `must be a data address of “${kind}”`,
    (value) => value?.startsWith(`data:${kind}`) === true,
  )

/** A list whose items have ids, each its own. */
export const listById = <T extends Schema>(item: T) =>
  array(item.required())
    .required()
    .test('ids', 'has the same id twice', (list) => {
      const ids = (list ?? []).map((one) => (one as { id?: unknown }).id)
      return new Set(ids).size === ids.length
    })

/** One of several shapes, by what `kind` says. */
export const byKind = (kinds: Record<string, Schema>) =>
  lazy((value: { kind?: unknown } | null | undefined) => {
    const kind = String(value?.kind)
    return Object.hasOwn(kinds, kind)
      ? (kinds[kind] as Schema)
      : object({ kind: string().oneOf(Object.keys(kinds)).required() }).required()
  })

/** Rows of texts, each of as many; looked at by hand, for there may be very many. */
export const rows = () =>
  mixed().test('rows', (value, { createError, parent, path }) => {
    const width = (parent as { columns?: unknown[] }).columns?.length
    if (!Array.isArray(value)) return createError({ message: 'must be a list of rows' })
    const at = value.findIndex(
      (row) =>
        !Array.isArray(row) ||
        row.length !== width ||
        row.some((cell: unknown) => typeof cell !== 'string'),
    )
    return at < 0
      ? true
      : createError({ path: `${path}[${at}]`, message: `must be a list of ${width} texts` })
  })

/** What documents of an app hold: the shape, held against whatever comes in, and what is in an empty one. */
export interface Contents<Content> {
  shape: Pick<Schema, 'validateSync'>
  empty: Content
}

/** A content as its app knows it; it was held against the shape where it came in. */
export const asContent = <Content>({ empty }: Contents<Content>, given: unknown): Content =>
  (given as Content | null | undefined) ?? empty

/** Why something is not what an app can show, or null. Nothing at all is an empty document. */
export function contentProblem(
  contents: Pick<Contents<unknown>, 'shape'> | undefined,
  content: unknown,
): string | null {
  if (content === null || content === undefined) return null
  if (!contents) return 'it has content, and this app keeps none'
  const problem = problemOf(content, contents.shape)
  return problem && `${problem.path ? `“${problem.path}” ` : 'it '}${problem.why}`
}
