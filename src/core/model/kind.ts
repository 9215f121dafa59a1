import type { Shape } from './shaping'

/** What has an id that others hold. */
export type Named = 'desktop' | 'window' | 'document' | 'display' | 'app' | 'home' | 'block' | 'run'

/** What an id is to be; the same where it stays. */
export type Rename = (kind: Named, id: string) => string

/** All the shelf must know of one kind of object; it stands in one file of `kinds/`. */
export interface Kind<T extends object> {
  /** What one is called, and several. */
  words: readonly [one: string, many: string]
  /** Each of its fields as it has to be. */
  shape: Shape
  /**
   * One with every id it holds, its own among them, put through `as`: what renames, what gathers all
   * that is needed for it, and what looks for what is gone goes the same way.
   */
  ids(one: T, as: Rename): T
  /** One that an earlier version wrote, as it is now. */
  older?(given: Record<string, unknown>): Record<string, unknown>
}

/** The ids of a kind that an object holds. */
export function idsIn<T extends object>(
  kind: Pick<Kind<T>, 'ids'>,
  one: T,
  named: Named,
): string[] {
  const found = new Set<string>()
  kind.ids(one, (of, id) => {
    if (of === named) found.add(id)
    return id
  })
  return [...found]
}

/** The same with each key given another name. */
export const renamedKeys = <T>(
  all: Readonly<Record<string, T>>,
  name: (one: string) => string,
  change: (one: T) => T = (one) => one,
): Record<string, T> =>
  Object.fromEntries(Object.entries(all).map(([one, given]) => [name(one), change(given)]))
