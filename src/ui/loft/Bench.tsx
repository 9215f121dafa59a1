import type { ReactNode } from 'react'
import { useShallow } from 'zustand/react/shallow'
import { appOf } from '@/apps/list'
import { shownFrame } from '@/core/model/selectors'
import { Fact, HomeFact, timeOfDay } from '@/parts/Facts'
import { useArrangement, useShelf } from '@/store/useShelf'
import { Likeness } from '@/ui/window/Likeness'
import type { LoftRow } from './rows'
import type { Choice } from './walking'

export const BENCH_ID = 'bench'

/** Beside the shelves: the chosen window large, its facts, and what can be done with its keys. */
export function Bench({
  width,
  choice: { window: id },
  row,
  children,
}: {
  width: number
  choice: Choice
  row: LoftRow | undefined
  /** What can be done with it. */
  children: ReactNode
}) {
  const shelf = useShelf()
  const window = useArrangement((state) => state.windows[id ?? ''])
  const size = useArrangement(useShallow((state) => window && shownFrame(state, window)))
  const name = useArrangement((state) => state.documents[window?.document ?? '']?.title)
  const lives = useArrangement((state) => state.desktops[window?.desktop ?? '']?.name)
  return (
    <aside
      id={BENCH_ID}
      aria-label="Bench"
      tabIndex={0}
      className="fixed top-0 right-0 bottom-(--line) z-30 flex flex-col gap-3 overflow-auto border-t-(length:--title) border-t-transparent border-l border-l-seam bg-panel p-4"
      style={{ width }}
    >
      {window ? (
        <Likeness
          id={window.id}
          within={{ width: width - 32, height: Math.round((width - 32) * 0.76) }}
          live
        />
      ) : null}
      <h3 dir="auto" className="font-bold font-display text-[17px] leading-tight">
        {name ?? row?.name}
      </h3>
      {row?.is === 'stowed' ? (
        <p dir="auto" className="text-soft">
          stowed · {row.holds || 'nothing on it'}
        </p>
      ) : null}
      {window ? (
        <dl className="grid grid-cols-[70px_1fr] gap-y-1">
          <Fact name="app">{appOf(shelf, window.app)?.name ?? window.app}</Fact>
          <Fact name="on">{lives ?? 'every desktop'}</Fact>
          <Fact name="home">
            <HomeFact id={window.id} />
          </Fact>
          <Fact name="size">
            {size?.width} × {size?.height}
            {window.minimised ? ', minimised' : window.maximised ? ', maximised' : ''}
          </Fact>
          <Fact name="opened">{timeOfDay(window.openedAt)}</Fact>
        </dl>
      ) : null}
      {children}
    </aside>
  )
}
