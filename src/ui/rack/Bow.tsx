import { memo } from 'react'
import { useShallow } from 'zustand/react/shallow'
import { appOf } from '@/apps/list'
import type { State, WindowId } from '@/core/model/types'
import { dispatch, useArrangement } from '@/store/shelf'

/** What a bow shows of each window, in a flat list that is cheap to compare. */
const facts = (state: State, ids: WindowId[]): (string | boolean)[] =>
  ids.flatMap((id) => {
    const window = state.windows[id]
    if (!window) return []
    const title = state.documents[window.document]?.title ?? ''
    return [id, window.app, title, window.minimised, state.focus === id]
  })

/** The bows of a tail. One look at the state serves them all. */
export function Bows({ ids }: { ids: WindowId[] }) {
  const list = useArrangement(useShallow((state: State) => facts(state, ids)))
  return Array.from({ length: list.length / 5 }, (_, at) => {
    const [id, app, title, minimised, focused] = list.slice(at * 5, at * 5 + 5)
    return (
      <Bow
        key={String(id)}
        id={String(id)}
        app={String(app)}
        title={String(title)}
        minimised={minimised === true}
        focused={focused === true}
      />
    )
  })
}

interface BowProps {
  id: WindowId
  app: string
  title: string
  minimised: boolean
  focused: boolean
}

/** A window on a desktop's tail: its app's glyph, hollow when minimised. A click goes there. */
const Bow = memo(function Bow({ id, app, title, minimised, focused }: BowProps) {
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
})
