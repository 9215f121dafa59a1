import { createContext, useContext, useRef } from 'react'
import { useStore } from 'zustand'
import { useShallow } from 'zustand/react/shallow'
import type { DesktopId } from '@/core/model/ids'
import type { Desktop } from '@/core/model/kinds/desktop'
import { desktop } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import type { PageState } from './page'
import { sameItems } from './same'
import type { Shelf } from './shelf'

const ShelfContext = createContext<Shelf | null>(null)

/** Gives the shelf to all that is drawn in it. */
export const ShelfProvider = ShelfContext.Provider

/** The shelf this is drawn in. */
export function useShelf(): Shelf {
  const shelf = useContext(ShelfContext)
  if (!shelf) throw new Error('There is no shelf around this')
  return shelf
}

/** What a selector picks of the page; draws anew only when that changes. */
export const usePage = <T>(select: (page: PageState) => T): T => useStore(useShelf().page, select)

/** The same of the arrangement. */
export const useArrangement = <T>(select: (state: State) => T): T =>
  usePage(({ session }) => select(session.state))

/** Some fields of a desktop: what else changes of it, such as its focus, draws nothing anew. */
export const useDesktop = <K extends keyof Desktop>(
  id: DesktopId,
  fields: readonly K[],
): Pick<Desktop, K> => useArrangement(useShallow((state) => pick(desktop(state, id), fields)))

const pick = <T, K extends keyof T>(of: T, fields: readonly K[]): Pick<T, K> =>
  Object.fromEntries(fields.map((field) => [field, of[field]])) as Pick<T, K>

/**
 * As `useArrangement` for a list: the same array as long as it lists the same.
 * @param parts what it is made from, where that is little: while none of it changes it is not made anew
 */
export function useList<T>(
  select: (state: State) => readonly T[],
  parts?: readonly (keyof State)[],
): readonly T[] {
  const last = useRef<{ list: readonly T[]; of?: State; by?: typeof select }>({ list: [] })
  return useArrangement((state) => {
    const { list, of, by } = last.current
    if (of && by === select && parts?.every((part) => of[part] === state[part])) return list
    const next = select(state)
    last.current = { list: sameItems(list, next) ? list : next, of: state, by: select }
    return last.current.list
  })
}
