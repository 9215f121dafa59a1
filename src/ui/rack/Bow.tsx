import { memo } from 'react'
import { appOf } from '@/apps/list'
import { focusId } from '@/core/model/selectors'
import type { State, WindowId } from '@/core/model/types'
import { useLevel, useWaiting } from '@/store/attention'
import { useReport } from '@/store/reports'
import { useList, useShelf } from '@/store/useShelf'

/** What a bow shows of each window, in a flat list that is cheap to compare. */
const facts = (state: State, ids: WindowId[]): (string | boolean)[] =>
  ids.flatMap((id) => {
    const window = state.windows[id]
    if (!window) return []
    const title = state.documents[window.document]?.title ?? ''
    return [id, window.app, title, window.minimised, focusId(state) === id, window.document]
  })

/** How many bows have room on a tail; where there are more, the last place is their number. */
const MOST = 5

/** The bows of a tail. One look at the state serves them all. */
export const Bows = memo(function Bows({ ids, most = MOST }: { ids: WindowId[]; most?: number }) {
  const shown = ids.length > most ? ids.slice(0, most - 1) : ids
  const list = useList((state) => facts(state, shown))
  const bows = Array.from({ length: list.length / 6 }, (_, at) => {
    const [id, app, title, minimised, focused, document] = list.slice(at * 6, at * 6 + 6)
    return (
      <Bow
        key={String(id)}
        id={String(id)}
        app={String(app)}
        title={String(title)}
        minimised={minimised === true}
        focused={focused === true}
        document={String(document)}
      />
    )
  })
  return shown === ids ? (
    bows
  ) : (
    <>
      {bows}
      <More ids={ids.slice(most - 1)} />
    </>
  )
})

/** The windows there is no room for: how many, which, and whether one of them wants attention. */
function More({ ids }: { ids: WindowId[] }) {
  const shelf = useShelf()
  const list = useList((state) => facts(state, ids))
  const at = (field: number) => ids.map((_, index) => String(list[index * 6 + field] ?? ''))
  const waiting = useWaiting(at(5))
  const focused = list.some((value, index) => index % 6 === 4 && value === true)
  return (
    <button
      type="button"
      tabIndex={-1}
      data-more=""
      aria-haspopup="menu"
      title={at(2).join('\n')}
      onClick={({ currentTarget }) => shelf.openMenuBelow(currentTarget, { windows: ids })}
      className={`bow-more ${waiting ? 'bow-more-asking' : ''} ${focused ? 'bow-more-focused' : ''}`}
    >
      +{ids.length}
      <span className="sr-only">
        more: {at(2).join(', ')}
        {waiting ? `; ${waiting} want attention` : ''}
      </span>
    </button>
  )
}

interface BowProps {
  id: WindowId
  app: string
  title: string
  minimised: boolean
  focused: boolean
  document: string
}

/** A window on a desktop's tail: its app's glyph, hollow when minimised. A click goes there. */
const Bow = memo(function Bow({ id, app, title, minimised, focused, document }: BowProps) {
  const shelf = useShelf()
  const attention = useLevel(document)
  const { outside } = useReport(document) ?? {}
  const Glyph = appOf(shelf, app)?.glyph
  const name = [
    title,
    minimised && 'minimised',
    outside && 'open in its own window',
    attention && 'wants attention',
  ]
    .filter(Boolean)
    .join(', ')
  return (
    <button
      type="button"
      tabIndex={-1}
      data-bow={id}
      aria-label={name}
      title={name}
      className={`bow ${minimised ? 'bow-hollow' : ''} ${focused ? 'bow-focused' : ''} ${attention ? 'bow-asking' : ''}`}
      onClick={() => shelf.dispatch('window.focus', { window: id })}
      onContextMenu={(event) => {
        event.stopPropagation()
        shelf.openMenu(event, { window: id })
      }}
    >
      {Glyph ? <Glyph size={16} aria-hidden /> : null}
    </button>
  )
})
