import { wrap } from 'comlink'
import { type ReactNode, useEffect, useMemo, useState } from 'react'
import type { Matrix } from '@/core/insight/matrix'
import { type bestOrder, stepsOf } from '@/core/insight/order'
import { effort } from '@/core/keys/effort'
import type { DesktopId } from '@/core/model/ids'
import { Kite } from '@/parts/Kite'
import { expected } from '@/store/faults'
import { useArrangement, useShelf } from '@/store/useShelf'

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
  if (!found) return <p className="text-soft">Working it out…</p>
  const now = stepsOf(between, [...order.keys()])
  const then = stepsOf(between, found)
  const better = found.flatMap((at) => order[at] ?? [])
  if (then >= now)
    return (
      <p>
        Desktops stand in the best order there is for the way you go between them
        {now > 0 ? `: ${now} steps from neighbour to neighbour.` : '; nothing is known of it yet.'}
      </p>
    )
  const saved = Math.round((now - then) / days)
  const seconds = Math.round(saved * effort('Alt+.'))
  return (
    <div className="flex flex-col gap-3">
      <p>
        From neighbour to neighbour your ways take <b>{now}</b> steps as desktops stand now, and{' '}
        <b>{then}</b> in the order at the right: {saved} strokes less a day, about {seconds}{' '}
        seconds. Who goes by call letters saves nothing.
      </p>
      <div className="flex gap-10">
        <Column name="Now" ids={order} />
        <Column name="Suggested" ids={better} before={order} />
      </div>
      <p className="flex gap-2">
        <button
          type="button"
          className="btn btn-main"
          onClick={() => shelf.dispatch('desktops.order', { order: better }, 'key')}
        >
          Put them in this order
        </button>
        {children}
      </p>
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
  const desktops = useArrangement((state) => state.desktops)
  return (
    <section aria-label={name}>
      <h3 className="font-semibold">{name}</h3>
      <ol className="mt-1 flex flex-col gap-1">
        {ids.map((id, at) => (
          <li key={id} className="flex items-center gap-2">
            <Kite
              hue={desktops[id]?.hue ?? 'slate'}
              letter={desktops[id]?.letter ?? null}
              width={15}
            />
            <span dir="auto" className="max-w-56 truncate" title={desktops[id]?.name}>
              {desktops[id]?.name}
            </span>
            {before && before.indexOf(id) !== at ? (
              <span className="text-[12px] text-soft">{moved(before.indexOf(id) - at)}</span>
            ) : null}
          </li>
        ))}
      </ol>
    </section>
  )
}

/** The best order, worked out beside the page; null until it is known. */
function useBest(between: readonly (readonly number[])[]): number[] | null {
  const [best, setBest] = useState<{ of: typeof between; order: number[] } | null>(null)
  useEffect(() => {
    const worker = new Worker(new URL('./order.worker.ts', import.meta.url))
    const there = wrap<{ bestOrder: typeof bestOrder }>(worker)
    void there
      .bestOrder(between)
      .then((order) => setBest({ of: between, order }))
      .catch(expected('the log was left'))
    return () => worker.terminate()
  }, [between])
  return best?.of === between ? best.order : null
}

/** “2 earlier”. */
const moved = (by: number): string => `${Math.abs(by)} ${by > 0 ? 'earlier' : 'later'}`
