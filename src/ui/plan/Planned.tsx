import { useEffect, useMemo, useRef } from 'react'
import { keysFor } from '@/core/keys/bindings'
import { currentId } from '@/core/model/selectors'
import { blockAfter, blockAt, offered } from '@/core/plan/plan'
import { timeOfDay } from '@/parts/Facts'
import { Keys } from '@/parts/Keys'
import { Kite } from '@/parts/Kite'
import { useArrangement, useShelf } from '@/store/useShelf'
import { usePlanTime } from './usePlan'

/** How long nothing is typed until one goes by oneself, in milliseconds. */
const PAUSE = 4000

/** In the line: what is planned next, and the switch when its block has begun. */
export function Planned() {
  const now = usePlanTime()
  const plan = useArrangement((state) => state.plan)
  const on = useMemo(() => blockAt(plan, now), [plan, now])
  const nextId = useMemo(() => blockAfter(plan, now)?.id, [plan, now])
  // By its id: where one goes draws nothing anew here as long as the same is planned.
  const dueId = useArrangement((state) =>
    on ? offered({ plan: [on], desktops: state.desktops }, currentId(state), now)?.id : undefined,
  )
  return dueId || nextId ? (
    <Block key={dueId ?? nextId} id={dueId ?? nextId ?? ''} due={!!dueId} />
  ) : null
}

function Block({ id, due }: { id: string; due: boolean }) {
  const shelf = useShelf()
  const block = useArrangement(({ plan }) => plan.find((one) => one.id === id))
  const lives = useArrangement(({ desktops }) => desktops[block?.desktop ?? ''])
  const keys = useArrangement((state) => keysFor(state, 'plan.go'))
  useGoing(due && block?.goes ? block.id : null)
  if (!block || !lives) return null
  if (!due)
    return (
      <button
        type="button"
        title={`${block.title ? `${block.title}: ` : ''}${lives.name} at ${timeOfDay(block.start)}, as planned`}
        className="flex shrink-0 items-center gap-1.5 text-soft hover:text-ink max-[1150px]:hidden"
        onClick={() => shelf.dispatch('plan.open')}
      >
        <Kite hue={lives.hue} letter={lives.letter} width={14} />
        <span className="font-mono text-[12px]">{timeOfDay(block.start)}</span>
      </button>
    )
  return (
    <span role="status" className="flex min-w-0 shrink-0 items-center gap-2">
      <button
        type="button"
        className="flex min-w-0 items-center gap-2 hover:underline"
        onClick={() => shelf.dispatch('plan.go')}
      >
        <Kite hue={lives.hue} letter={lives.letter} width={15} />
        <span dir="auto" className="max-w-24 truncate" title={block.title ?? lives.name}>
          {lives.name}
        </span>
        <span className="text-soft max-[1500px]:hidden">is planned</span>
        {keys ? <Keys keys={keys} /> : null}
      </button>
      <button
        type="button"
        className="text-soft hover:text-ink"
        onClick={() => shelf.dispatch('plan.leave', { block: block.id })}
      >
        not now
      </button>
    </span>
  )
}

/** Goes where a block says by itself, as soon as nothing is typed or asked for a while. */
function useGoing(block: string | null): void {
  const shelf = useShelf()
  const typed = useRef(0)
  useEffect(() => {
    const hear = () => {
      typed.current = performance.now()
    }
    addEventListener('keydown', hear, { capture: true })
    addEventListener('pointerdown', hear, { capture: true })
    return () => {
      removeEventListener('keydown', hear, { capture: true })
      removeEventListener('pointerdown', hear, { capture: true })
    }
  }, [])
  useEffect(() => {
    if (block === null) return
    const timer = setInterval(() => {
      const { view, loft, menu, pending } = shelf.page.getState()
      if (view || loft || menu || pending || performance.now() - typed.current < PAUSE) return
      clearInterval(timer)
      shelf.dispatch('plan.go', {}, 'app')
    }, 1000)
    return () => clearInterval(timer)
  }, [block, shelf])
}
