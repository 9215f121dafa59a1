import { Check } from 'lucide-react'
import { useEffect, useRef } from 'react'
import { keysFor } from '@/core/keys/bindings'
import { Keys } from '@/parts/Keys'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'
import { useSeat } from '@/ui/area/seat'
import { STEPS } from './steps'
import { useFreeCorner } from './useFreeCorner'

/** The first five minutes, on the person's own shelf: each step is ticked by what happens. */
export function Guide() {
  const at = useArrangement((state) => state.guide)
  const covered = usePage(({ loft, view }) => loft || view?.view === 'unstack')
  // Displays in browser windows of their own show the same shelf; it is told once.
  const { fixed } = useSeat()
  useTicks(at)
  if (at === 0 || at > STEPS.length || fixed) return null
  return covered ? null : <Sheet at={at} />
}

/** The step after one; none after the last. */
const after = (at: number): number => (at + 1) % (STEPS.length + 1)

/** Goes on to the next step when this one was done. */
function useTicks(at: number): void {
  const shelf = useShelf()
  useEffect(() => {
    const step = STEPS[at - 1]
    if (!step) return
    let then = shelf.page.getState()
    let over = false
    return shelf.page.subscribe((now) => {
      if (over) return
      over = step.done(now, then)
      if (over) queueMicrotask(() => shelf.dispatch('guide.go', { step: after(at) }, 'app'))
      // What opens and closes is told from one moment to the next; what is made, from the start.
      else if (now.loft !== then.loft || now.view !== then.view)
        then = { ...then, loft: now.loft, view: now.view }
    })
  }, [at, shelf])
}

function Sheet({ at }: { at: number }) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const sheet = useRef<HTMLElement>(null)
  useFreeCorner(sheet)
  useEffect(() => {
    sheet.current?.querySelector(`li:nth-child(${at})`)?.scrollIntoView({ block: 'nearest' })
  }, [at])
  return (
    <section ref={sheet} aria-label="First five minutes" className="lesson">
      <h2 className="flex items-baseline gap-2 font-display font-semibold text-[14.5px]">
        First five minutes
        <span className="font-normal font-sans text-[12px] text-soft">
          {at} of {STEPS.length}
        </span>
      </h2>
      <ol className="mt-2 flex flex-col gap-1">
        {STEPS.map(({ does, command, args, next, pointer }, index) => (
          <li
            key={does}
            aria-current={index + 1 === at ? 'step' : undefined}
            className={index + 1 === at ? 'lesson-now' : 'flex gap-2 text-soft'}
          >
            {index + 1 === at ? (
              <>
                {does}
                <span className="mt-1 flex flex-wrap items-center gap-1.5">
                  <Keys keys={keysFor(state, command, args) ?? ''} />
                  {next ? (
                    <>
                      <span className="text-soft">then</span> <Keys keys={next} />
                    </>
                  ) : null}
                </span>
                <span className="mt-1 block font-normal text-soft">or {pointer}</span>
              </>
            ) : (
              <button
                type="button"
                className="flex min-w-0 items-center gap-2 text-left hover:text-ink"
                title={does}
                onClick={() => shelf.dispatch('guide.go', { step: index + 1 })}
              >
                <span className="grid size-4 shrink-0 place-items-center font-mono text-[11px]">
                  {index + 1 < at ? <Check size={13} aria-label="done" /> : index + 1}
                </span>
                <span className="truncate">{does.split('. ')[0]?.replace(/\.$/, '')}</span>
              </button>
            )}
          </li>
        ))}
      </ol>
      <div className="mt-2 flex gap-2">
        <button
          type="button"
          className="btn"
          onClick={() => shelf.dispatch('guide.go', { step: 0 })}
        >
          Leave
        </button>
        <button
          type="button"
          className="btn ml-auto"
          onClick={() => shelf.dispatch('guide.go', { step: after(at) })}
        >
          Skip this step
        </button>
      </div>
    </section>
  )
}
