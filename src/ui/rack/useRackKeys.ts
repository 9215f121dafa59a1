import type { KeyboardEvent } from 'react'
import type { Direction } from '@/core/geometry/direction'
import { focusContent, isByKey } from '@/parts/focus'
import { rowOf, walkRack } from '@/parts/walking'
import { useShelf } from '@/store/useShelf'
import { usePlaceKeys } from '@/ui/keys/usePlaceKeys'

/** The keys of the rack, about the desktop whose row has the focus. */
export function useRackKeys(): (event: KeyboardEvent) => void {
  const shelf = useShelf()
  const acts = {
    'rack:walk': ({ to }: { to: Direction }) => walkRack(to),
    'rack:go': () => (document.activeElement as HTMLElement | null)?.click(),
    'rack:leave': () => focusContent(shelf),
  }
  const hear = usePlaceKeys('rack', acts, () => ({
    desktop: rowOf(document.activeElement)?.dataset.desktopRow ?? null,
  }))
  return (event) => {
    const typed = event.target instanceof HTMLInputElement
    if (typed || event.altKey || event.ctrlKey || event.metaKey) return
    // Letters typed after a push are not meant for the row.
    if (isByKey(shelf) || event.key.length > 1) hear(event)
  }
}
