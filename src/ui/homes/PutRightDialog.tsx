import { type FormEvent, useMemo, useState } from 'react'
import { appOf } from '@/apps/list'
import { momentOf } from '@/core/homes/matching'
import { putRightPlan } from '@/core/homes/putRight'
import { where, whose } from '@/core/homes/words'
import type { WindowId } from '@/core/model/ids'
import { title, window as windowOf } from '@/core/model/selectors'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import { Kite } from '@/parts/Kite'
import { LongList } from '@/parts/LongList'
import { useArrangement, useShelf } from '@/store/useShelf'

/** The moves that bring every window home, with their reasons, each to be left out. */
export function PutRightDialog() {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const plan = useMemo(() => putRightPlan(state, momentOf(shelf.clock())), [state, shelf])
  const [left, setLeft] = useState<ReadonlySet<WindowId>>(new Set())
  const chosen = plan.map(({ window }) => window).filter((id) => !left.has(id))
  const go = (event: FormEvent) => {
    event.preventDefault()
    shelf.closeView()
    if (chosen.length) shelf.dispatch('home.putRight', { windows: chosen }, 'key')
  }
  return (
    <Dialog
      title="Put right"
      intro={`${plan.length === 1 ? '1 window is' : `${plan.length} windows are`} away from home. What is ticked goes there in one step; undo brings it back.`}
      width={600}
    >
      <form onSubmit={go}>
        <LongList label="Windows away from home" className="mt-3 max-h-[46vh]">
          {plan.map(({ window: id, home, to }) => {
            const window = windowOf(state, id)
            const from = state.desktops[window.desktop]
            const target = state.desktops[to ?? '']
            return (
              <li key={id} className="border-seam border-b border-dashed">
                <label className="flex items-center gap-2.5 py-1.5">
                  <input
                    type="checkbox"
                    checked={!left.has(id)}
                    onChange={() => {
                      const next = new Set(left)
                      if (!next.delete(id)) next.add(id)
                      setLeft(next)
                    }}
                  />
                  <span className="min-w-0 flex-1">
                    <b className="block truncate font-semibold" title={title(state, window)}>
                      {title(state, window)}
                    </b>
                    <span className="text-soft">
                      {whose(home, appOf(shelf, home.app)?.plural ?? '', state)} open{' '}
                      {where(home, state)}
                    </span>
                  </span>
                  {from ? <Kite hue={from.hue} letter={from.letter} width={20} /> : null}
                  <span aria-hidden className="text-soft">
                    →
                  </span>
                  {target ? <Kite hue={target.hue} letter={target.letter} width={20} /> : null}
                  <span className="w-24 truncate" title={target?.name ?? home.name}>
                    {target?.name ?? home.name ?? 'every desktop'}
                  </span>
                </label>
              </li>
            )
          })}
        </LongList>
        <Answers ready disabled={chosen.length === 0}>
          Put {chosen.length === 1 ? '1 window' : `${chosen.length} windows`} right
        </Answers>
      </form>
    </Dialog>
  )
}
