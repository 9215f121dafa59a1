import { createStore, useStore } from 'zustand'
import { jot, jotted } from '@/store/jotted'
import { ofShelf } from '@/store/ofShelf'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'

/** Whether the cloth is down, and the lowering of it on every page of this shelf in the browser. */
const cover = ofShelf(() => createStore(() => ({ down: false, name: '' })))

/** Where it is noted, so that it is down after a reload and in the shelf’s other windows too. */
const notedAt = (name: string): string => `kite-shelf-cover-${name}`

export const useCovered = (): boolean => useStore(cover(useShelf()), ({ down }) => down)

export const isCovered = (shelf: Shelf): boolean => cover(shelf).getState().down

export const lowerCover = (shelf: Shelf): void => put(shelf, true)

export const liftCover = (shelf: Shelf): void => put(shelf, false)

function put(shelf: Shelf, down: boolean): void {
  const { setState, getState } = cover(shelf)
  setState({ down })
  jot('localStorage', notedAt(getState().name), down ? 'down' : null)
}

/** Follows what another page of the shelf does with it. @returns how to stop */
export function followCover(shelf: Shelf, name: string): () => void {
  const look = () =>
    cover(shelf).setState({ name, down: jotted('localStorage', notedAt(name)) !== null })
  const heard = ({ key }: StorageEvent) => key === notedAt(name) && look()
  look()
  addEventListener('storage', heard)
  return () => removeEventListener('storage', heard)
}
