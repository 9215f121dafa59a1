import { useShallow } from 'zustand/react/shallow'
import { appOf } from '@/apps/list'
import { shownFrame } from '@/core/model/selectors'
import { useArrangement } from '@/store/shelf'
import { Fact, HomeFact, timeOfDay } from '@/ui/parts/Facts'
import { Keys } from '@/ui/parts/Keys'
import { Likeness } from '@/ui/parts/Likeness'
import type { LoftRow } from './rows'
import type { Choice } from './walking'

/** Something that can be done with the choice; without `run` it takes a letter. */
export interface Act {
  keys: string
  does: string
  run?: (() => void) | null | undefined
}

export const BENCH_ID = 'bench'

/** Beside the shelves: the chosen window large, its facts, and what can be done with its keys. */
export function Bench({
  choice: { window: id },
  row,
  acts,
}: {
  choice: Choice
  row: LoftRow | undefined
  acts: Act[]
}) {
  const window = useArrangement((state) => state.windows[id ?? ''])
  const size = useArrangement(useShallow((state) => window && shownFrame(state, window)))
  const name = useArrangement((state) => state.documents[window?.document ?? '']?.title)
  const lives = useArrangement((state) => state.desktops[window?.desktop ?? '']?.name)
  return (
    <aside
      id={BENCH_ID}
      aria-label="Bench"
      tabIndex={0}
      className="fixed top-0 right-0 bottom-9 z-30 flex w-[320px] flex-col gap-3 overflow-auto border-seam border-l bg-panel p-4 max-[1000px]:hidden"
    >
      {window ? <Likeness id={window.id} within={{ width: 288, height: 220 }} live /> : null}
      <h3 dir="auto" className="font-bold font-display text-[17px] leading-tight">
        {name ?? row?.name}
      </h3>
      {window ? (
        <dl className="grid grid-cols-[70px_1fr] gap-y-1">
          <Fact name="app">{appOf(window.app)?.name ?? window.app}</Fact>
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
      <ul className="mt-1 flex flex-col border-seam border-t-[1.5px] border-dashed pt-2">
        {acts.map((act) => (
          <Action key={act.keys} {...act} />
        ))}
      </ul>
    </aside>
  )
}

function Action({ keys, does, run }: Act) {
  const shown = (
    <>
      <span className="flex w-20 shrink-0 justify-end">
        <Keys keys={keys} />
      </span>
      {does}
    </>
  )
  const letter = keys.endsWith('…')
  return (
    <li>
      {letter ? (
        <span className="flex min-h-6 items-center gap-2.5">{shown}</span>
      ) : (
        <button
          type="button"
          tabIndex={-1}
          disabled={!run}
          className="flex min-h-6 w-full items-center gap-2.5 text-left hover:bg-ink/8 disabled:opacity-45"
          onClick={() => {
            run?.()
            document.getElementById('loft')?.focus()
          }}
        >
          {shown}
        </button>
      )}
    </li>
  )
}
