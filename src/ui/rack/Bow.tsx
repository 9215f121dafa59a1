import { memo } from 'react'
import { appOf } from '@/apps/list'
import type { WindowId } from '@/core/model/ids'
import { focusId } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { useLevel, useWaiting } from '@/store/attention'
import { useReport } from '@/store/reports'
import { useArrangement, useList, useShelf } from '@/store/useShelf'
import { useHeldLook } from '@/ui/window/closely'

/** What a bow shows of each window, in a flat list that is cheap to compare. */
function useFacts(ids: WindowId[]): readonly (string | boolean)[] {
  return useList(
    ({ windows, documents }) =>
      ids.flatMap((id) => {
        const window = windows[id]
        if (!window) return []
        const title = documents[window.document]?.title ?? ''
        return [id, window.app, title, window.minimised, window.document]
      }),
    FACTS_OF,
  )
}

const FACTS_OF: (keyof State)[] = ['windows', 'documents']

/** The one of these windows that has the focus. */
const useFocused = (ids: WindowId[]): WindowId | null =>
  useArrangement((state) => ids.find((id) => id === focusId(state)) ?? null)

/** How many bows have room on a tail; where there are more, the last place is their number. */
const MOST = 5

/** The bows of a tail. One look at the state serves them all. */
export const Bows = memo(function Bows({ ids, most = MOST }: { ids: WindowId[]; most?: number }) {
  const shown = ids.length > most ? ids.slice(0, most - 1) : ids
  const list = useFacts(shown)
  const focus = useFocused(shown)
  const bows = Array.from({ length: list.length / 5 }, (_, at) => {
    const [id, app, title, minimised, document] = list.slice(at * 5, at * 5 + 5)
    return (
      <Bow
        key={String(id)}
        id={String(id)}
        app={String(app)}
        title={String(title)}
        minimised={minimised === true}
        focused={id === focus}
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
  const list = useFacts(ids)
  const at = (field: number) => ids.map((_, index) => String(list[index * 5 + field] ?? ''))
  const waiting = useWaiting(at(4))
  const focused = useFocused(ids) !== null
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
      {...useHeldLook(id)}
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
