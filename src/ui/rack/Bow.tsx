import { appOf } from '@/apps/list'
import type { WindowId } from '@/core/model/types'
import { dispatch, useArrangement } from '@/store/shelf'

/** A window on a desktop's tail: its app's glyph, hollow when minimised. A click goes there. */
export function Bow({ id }: { id: WindowId }) {
  const app = useArrangement((state) => state.windows[id]?.app ?? '')
  const minimised = useArrangement((state) => state.windows[id]?.minimised)
  const focused = useArrangement((state) => state.focus === id)
  const title = useArrangement(
    ({ windows, documents }) => documents[windows[id]?.document ?? '']?.title,
  )
  const Glyph = appOf(app)?.glyph
  const name = minimised ? `${title}, minimised` : title
  return (
    <button
      type="button"
      tabIndex={-1}
      data-bow={id}
      aria-label={name}
      title={name}
      className={`bow ${minimised ? 'bow-hollow' : ''} ${focused ? 'bow-focused' : ''}`}
      onClick={() => dispatch('window.focus', { window: id })}
    >
      {Glyph ? <Glyph size={16} aria-hidden /> : null}
    </button>
  )
}
