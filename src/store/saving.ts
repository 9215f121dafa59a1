import { createStore, useStore } from 'zustand'

/** Whether the shelf is kept, is being written, or cannot be. */
export type Saving = { state: 'saved' | 'saving' } | { state: 'failed'; why: string }

/** Apart from the shelf: it changes with every change, and only the Line looks at it. */
const store = createStore<{ saving: Saving }>(() => ({ saving: { state: 'saved' } }))

export const useSaving = (): Saving => useStore(store, ({ saving }) => saving)

export function setSaving(saving: Saving): void {
  const before = store.getState().saving
  if (saving.state === 'failed' || saving.state !== before.state) store.setState({ saving })
}
