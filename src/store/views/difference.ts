/**
 * What makes one value of another, so that only what changed goes from view to view. Values are what
 * JSON knows; anything else (bytes, a date) is sent whole.
 */
export type Difference =
  | { is: 'whole'; value: unknown }
  /** A text: what stands between the first `from` letters and the last `to`. */
  | { is: 'text'; from: number; to: number; put: string }
  /** A list: what stands between the first `from` items and the last `to`. */
  | { is: 'list'; from: number; to: number; put: readonly unknown[] }
  /** A list as long as before in which one item changed. */
  | { is: 'item'; at: number; change: Difference }
  | { is: 'parts'; parts: Readonly<Record<string, Difference>>; gone: readonly string[] }

/** @returns null where both are the same */
export function difference(before: unknown, after: unknown): Difference | null {
  if (Object.is(before, after)) return null
  if (typeof before === 'string' && typeof after === 'string') {
    const { from, to } = ends(before, after)
    return { is: 'text', from, to, put: after.slice(from, after.length - to) }
  }
  if (Array.isArray(before) && Array.isArray(after)) return listDifference(before, after)
  if (isParts(before) && isParts(after)) return partsDifference(before, after)
  return { is: 'whole', value: after }
}

/** What a value becomes with what was told of it. */
export function changedBy(before: unknown, change: Difference): unknown {
  switch (change.is) {
    case 'whole':
      return change.value
    case 'text': {
      const text = before as string
      return text.slice(0, change.from) + change.put + text.slice(text.length - change.to)
    }
    case 'list': {
      const list = before as unknown[]
      return [...list.slice(0, change.from), ...change.put, ...list.slice(list.length - change.to)]
    }
    case 'item':
      return (before as unknown[]).map((item, at) =>
        at === change.at ? changedBy(item, change.change) : item,
      )
    case 'parts': {
      const parts = new Map(Object.entries(before as Parts))
      for (const name of change.gone) parts.delete(name)
      for (const [name, one] of Object.entries(change.parts))
        parts.set(name, changedBy(parts.get(name), one))
      return Object.fromEntries(parts)
    }
  }
}

type Parts = Record<string, unknown>

function listDifference(before: unknown[], after: unknown[]): Difference | null {
  const { from, to } = ends(before, after, (a, b) => difference(a, b) === null)
  if (from === before.length && from === after.length) return null
  const one = before.length === after.length && from + to === after.length - 1
  const change = one && difference(before[from], after[from])
  if (change) return { is: 'item', at: from, change }
  return { is: 'list', from, to, put: after.slice(from, after.length - to) }
}

function partsDifference(before: Parts, after: Parts): Difference | null {
  const parts = Object.keys(after).flatMap((name) => {
    // What is there without a value is not the same as what is not there.
    const change: Difference | null = Object.hasOwn(before, name)
      ? difference(before[name], after[name])
      : { is: 'whole', value: after[name] }
    return change ? [[name, change] as const] : []
  })
  const gone = Object.keys(before).filter((name) => !Object.hasOwn(after, name))
  if (parts.length + gone.length === 0) return null
  return { is: 'parts', parts: Object.fromEntries(parts), gone }
}

/** How much of two texts or lists is the same at the beginning, and how much of the rest at the end. */
function ends<T>(
  before: ArrayLike<T>,
  after: ArrayLike<T>,
  same: (a: T, b: T) => boolean = Object.is,
): { from: number; to: number } {
  const most = Math.min(before.length, after.length)
  let from = 0
  while (from < most && same(before[from] as T, after[from] as T)) from++
  let to = 0
  while (
    to < most - from &&
    same(before[before.length - 1 - to] as T, after[after.length - 1 - to] as T)
  )
    to++
  return { from, to }
}

const isParts = (value: unknown): value is Parts =>
  typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype
