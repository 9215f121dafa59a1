import type { Shelf } from './shelf'

/**
 * What a module has for each shelf, as long as that lives: made when it is first asked for. Nothing of
 * one shelf is seen from another, and nothing is left of one that is gone.
 */
export function ofShelf<T>(make: (shelf: Shelf) => T): (shelf: Shelf) => T {
  const made = new WeakMap<Shelf, T>()
  return (shelf) => {
    if (!made.has(shelf)) made.set(shelf, make(shelf))
    return made.get(shelf) as T
  }
}
