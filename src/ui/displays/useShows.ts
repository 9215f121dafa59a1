import type { DisplayId } from '@/core/model/ids'
import { currentId, desktop } from '@/core/model/selectors'
import { useArrangement } from '@/store/useShelf'

/** What a display shows, in words. */
export function useShows(id: DisplayId): string {
  return useArrangement(
    (state) => desktop(state, state.presence[id]?.shows ?? currentId(state)).name,
  )
}
