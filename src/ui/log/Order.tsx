import { type ReactNode, useEffect, useMemo, useState } from 'react'
import type { Matrix } from '@/core/insight/matrix'
import { type bestOrder, stepsOf } from '@/core/insight/order'
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
  const found = useBest(between)
  if (!found) return <p className="text-soft">Working out an order…</p>
  const now = stepsOf(between, [...order.keys()])
  const then = stepsOf(between, found)
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
      <div className="flex gap-10">
        <Column name="Now" ids={order} />
        <Column name="Suggested" ids={better} before={order} />
      </div>
    </div>
  )
}

function Column({
  name,
  ids,
  before,
}: {
  name: string
  ids: readonly DesktopId[]
  /** As they stand now; those that move are marked. */
  before?: readonly DesktopId[]
}) {
  return (
    <section aria-label={name}>
      <h3 className="font-semibold">{name}</h3>
      <ol className="mt-1 flex flex-col gap-1">
        {ids.map((id, at) => (
          <li key={id} className="flex items-center gap-2">
            <DesktopName id={id} width={15} className="max-w-56" />
            {before && before.indexOf(id) !== at ? (
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
function useBest(between: readonly (readonly number[])[]): number[] | null {
  const shelf = useShelf()
  const [best, setBest] = useState<{ of: typeof between; order: number[] } | null>(null)
  useEffect(() => {
    const left = new AbortController()
    offPage(
      ORDERS,
      { shelf, signal: left.signal },
      async (api) => await api.bestOrder(between),
      (why) => new Error(why),
    )
      .then((order) => left.signal.aborted || setBest({ of: between, order }))
      .catch(expected('the log was left'))
    return () => left.abort()
  }, [between, shelf])
  return best?.of === between ? best.order : null
}

/** “2 earlier”. */
const moved = (by: number): string => `${Math.abs(by)} ${by > 0 ? 'earlier' : 'later'}`
