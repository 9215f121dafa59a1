import { createStore, useStore } from 'zustand'
import { ofShelf } from './ofShelf'
import type { Shelf } from './shelf'
import { useShelf } from './useShelf'

/** Whether the shelf is kept, is being written, or cannot be. */
export type Saving = { state: 'saved' | 'saving' } | { state: 'failed'; why: string }

/** Apart from the shelf: it changes with every change, and only the Line looks at it. */
export const saving = ofShelf(() =>
  createStore<{ saving: Saving }>(() => ({ saving: { state: 'saved' } })),
)

export const useSaving = (): Saving => useStore(saving(useShelf()), ({ saving }) => saving)

export const useCannotSave = (): boolean =>
  useStore(saving(useShelf()), ({ saving }) => saving.state === 'failed')

export function setSaving(shelf: Shelf, next: Saving): void {
  const before = saving(shelf).getState().saving
  if (next.state === 'failed' || next.state !== before.state)
    saving(shelf).setState({ saving: next })
}
