import { useEffect } from 'react'
import type { WindowId } from '@/core/model/ids'
import { useShelf } from '@/store/useShelf'

/** Chords are about the window that is chosen, as long as what chooses it is open. */
export function useChosen(chosen: WindowId | null): void {
  const shelf = useShelf()
  useEffect(() => {
    shelf.page.setState({ chosen })
    return () => shelf.page.setState({ chosen: null })
  }, [chosen, shelf])
}
