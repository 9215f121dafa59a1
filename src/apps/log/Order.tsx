import { type ReactNode, useEffect, useMemo, useState } from 'react'
import type { Matrix } from '@/core/insight/matrix'
import { apartIn, type bestOrder, stepsOf } from '@/core/insight/order'
import { effort } from '@/core/keys/effort'
import type { DesktopId } from '@/core/model/ids'
import { DesktopName } from '@/parts/DesktopName'
import { expected } from '@/store/faults'
import { type OffPage, offPage } from '@/store/offPage'
import { useArrangement, useShelf } from '@/store/useShelf'
import { lengthOf } from './Lines'

/** An order in which desktops one goes between are neighbours, beside the one there is. */
export function Order({
  matrix,
  days,
  children,
}: {
  matrix: Matrix
  days: number
  /** What stands beside the button that takes it. */
  children: ReactNode
}) {
  const shelf = useShelf()
  const order = useArrangement((state) => state.order)
  const between = useMemo(() => {
    const at = (id: DesktopId) => matrix.desktops.indexOf(id)
    return order.map((from) => order.map((to) => matrix.counts[at(from)]?.[at(to)] ?? 0))
  }, [matrix, order])
  const columns = useArrangement((state) => state.columns)
  const wrap = useArrangement(({ settings }) => settings.wrap)
  const wrapRows = useArrangement(({ settings }) => settings.wrapRows)
  const layout = useMemo(() => ({ columns, wrap, wrapRows }), [columns, wrap, wrapRows])
  const found = useBest(between, layout)
  if (!found) return <p className="text-soft">Working out an order…</p>
  const apart = apartIn(order.length, layout)
  const now = stepsOf(between, [...order.keys()], apart)
  const then = stepsOf(between, found, apart)
  const better = found.flatMap((at) => order[at] ?? [])
  if (then >= now)
    return (
      <p>
        {now > 0
          ? 'Your desktops are already in the best order for how you switch.'
          : 'There are no switches yet to suggest an order from.'}
      </p>
    )
  const saved = Math.round((now - then) / days)
  const time = lengthOf(saved * effort('Alt+.') * 1000)
  return (
    <div className="flex flex-col gap-3">
      <p>
        Stepping from neighbour to neighbour took <b>{now.toLocaleString('en')}</b> steps in this
        period. In the order on the right it would have taken <b>{then.toLocaleString('en')}</b>:{' '}
        {saved.toLocaleString('en')} fewer keystrokes a day, about {time}. Call letters don’t
        change.
      </p>
      <p className="flex gap-2">
        <button
          type="button"
          className="btn btn-main"
          onClick={() => shelf.dispatch('desktops.order', { order: better }, 'key')}
        >
          Use this order
        </button>
        {children}
      </p>
      <div className="flex flex-wrap gap-x-10 gap-y-4">
        <Column name="Now" ids={order} columns={columns} />
        <Column name="Suggested" ids={better} columns={columns} before={order} />
      </div>
    </div>
  )
}

function Column({
  name,
  ids,
  columns,
  before,
}: {
  name: string
  ids: readonly DesktopId[]
  /** How many stand in a row. */
  columns: number
  /** As they stand now; those that move are marked. */
  before?: readonly DesktopId[]
}) {
  return (
    <section aria-label={name}>
      <h3 className="font-semibold">{name}</h3>
      <ol
        className="mt-1 grid max-w-full gap-x-6 gap-y-1 overflow-x-auto"
        style={{ gridTemplateColumns: `repeat(${columns}, auto)` }}
      >
        {ids.map((id, at) => (
          <li key={id} className="flex items-center gap-2">
            <DesktopName id={id} width={15} className={columns > 3 ? 'max-w-28' : 'max-w-56'} />
            {before && columns === 1 && before.indexOf(id) !== at ? (
              <span className="text-[12px] text-soft">{moved(before.indexOf(id) - at)}</span>
            ) : null}
          </li>
        ))}
      </ol>
    </section>
  )
}

const ORDERS: OffPage<{ bestOrder: typeof bestOrder }> = {
  worker: () => new Worker(new URL('./order.worker.ts', import.meta.url), { type: 'module' }),
  onPage: () => import('@/core/insight/order'),
}

/** The best order, worked out off the page; null until it is known. */
function useBest(
  between: readonly (readonly number[])[],
  layout: Parameters<typeof bestOrder>[1],
): number[] | null {
  const shelf = useShelf()
  const [best, setBest] = useState<{ of: [unknown, unknown]; order: number[] } | null>(null)
  useEffect(() => {
    const left = new AbortController()
    offPage(
      ORDERS,
      { shelf, signal: left.signal },
      async (api) => await api.bestOrder(between, layout),
      (why) => new Error(why),
    )
      .then((order) => left.signal.aborted || setBest({ of: [between, layout], order }))
      .catch(expected('the log was left'))
    return () => left.abort()
  }, [between, layout, shelf])
  return best?.of[0] === between && best.of[1] === layout ? best.order : null
}

/** “2 earlier”. */
const moved = (by: number): string => `${Math.abs(by)} ${by > 0 ? 'earlier' : 'later'}`
