/** Whether two lists have the same items in the same order. */
export const sameItems = <T>(a: readonly T[], b: readonly T[]): boolean =>
  a.length === b.length && a.every((item, at) => item === b[at])

/** Whether two objects of one shape have the same values. */
export function sameValues<T extends object>(a: T, b: T): boolean {
  for (const key in b) if (!Object.is(a[key], b[key])) return false
  return true
}
