import { useEffect, useState } from 'react'
import { createPortal } from 'react-dom'
import { calledBy } from '@/core/keys/called'
import { currentId } from '@/core/model/selectors'
import { blockAfter } from '@/core/plan/plan'
import { timeOfDay } from '@/parts/Facts'
import { Kite } from '@/parts/Kite'
import { useTethers } from '@/store/tethers'
import { useArrangement, useList, useShelf } from '@/store/useShelf'
import { Waits } from '@/ui/attention/Waits'
import { pressHere } from '@/ui/keys/frames'
import { Clock, Happened, Where } from '@/ui/line/Line'
import { usePlanTime } from '@/ui/plan/usePlan'
import { tethersNow } from '@/ui/tethers/list'
import { One, type Replying, replyTo } from '@/ui/tethers/Tethers'
import { useAfloat } from './afloat'

/** The line in a small window above every program of the machine: drawn there, of this page all the same. */
export function Afloat() {
  const page = useAfloat()
  return page ? createPortal(<Floating page={page} />, page.document.body) : null
}

function Floating({ page }: { page: Window }) {
  useKeysOf(page)
  useForward(page)
  return (
    <main aria-label="Line" className="flex h-dvh flex-col gap-2.5 overflow-auto bg-panel p-3">
      <div className="flex min-w-0 items-center gap-3">
        <Where />
        <span className="ml-auto flex shrink-0 items-center gap-3">
          <Clock />
          <button type="button" className="btn" onClick={() => window.focus()}>
            Go to the shelf
          </button>
        </span>
      </div>
      <Desktops />
      <div className="flex flex-wrap items-center gap-x-3 gap-y-2 empty:hidden">
        <Waits wide />
        <Next />
      </div>
      <AllTethers />
      <div className="mt-auto flex min-w-0 border-seam border-t border-dashed pt-2 empty:hidden">
        <Happened />
      </div>
    </main>
  )
}

/** All desktops in their order, each by its letter or by a push. */
function Desktops() {
  const shelf = useShelf()
  const order = useArrangement((state) => state.order)
  const desktops = useArrangement((state) => state.desktops)
  const here = useArrangement(currentId)
  return (
    <ul aria-label="Desktops" className="flex flex-wrap gap-1">
      {order.flatMap((id) => {
        const desktop = desktops[id]
        if (!desktop) return []
        return (
          <li key={id}>
            <button
              type="button"
              aria-label={`${desktop.name}${desktop.letter ? `, ${desktop.letter}` : ''}`}
              aria-current={id === here || undefined}
              title={desktop.name}
              className={`grid h-8 min-w-8 place-items-center border px-1 ${id === here ? 'border-ink' : 'border-transparent hover:border-seam'}`}
              onClick={() => shelf.dispatch('desktop.go', { to: id })}
            >
              <Kite hue={desktop.hue} letter={desktop.letter} filled={id === here} width={17} />
            </button>
          </li>
        )
      })}
    </ul>
  )
}

/** What is planned next. */
function Next() {
  const now = usePlanTime()
  const block = useArrangement(({ plan }) => blockAfter(plan, now))
  const lives = useArrangement(({ desktops }) => desktops[block?.desktop ?? ''])
  if (!block || !lives) return null
  return (
    <span className="flex min-w-0 items-center gap-1.5 text-soft">
      <Kite hue={lives.hue} letter={lives.letter} width={14} />
      <span className="font-mono text-[12px]">{timeOfDay(block.start)}</span>
      <span dir="auto" className="truncate">
        {block.title || lives.name}
      </span>
    </span>
  )
}

function AllTethers() {
  const shelf = useShelf()
  const tethers = useTethers()
  const ids = useList((state) => tethersNow(shelf, state, tethers).map(({ window }) => window))
  const [replying, setReplying] = useState<Replying | null>(null)
  if (ids.length === 0) return null
  return (
    <ul aria-label="Tethers" className="flex flex-wrap gap-1.5">
      {tethersNow(shelf, shelf.state(), tethers).map((one, at) => (
        <One
          key={one.window}
          shown={one}
          nth={at + 1}
          wide
          replying={replying?.document === one.document ? replying : null}
          onReply={(wanted) => setReplying(wanted ? replyTo(one) : null)}
        />
      ))}
    </ul>
  )
}

/** Letters of two are pressed within that, in milliseconds. */
const TOGETHER = 1500

/** A call letter goes to its desktop; what is a chord is said as on the page. */
function useKeysOf(page: Window): void {
  const shelf = useShelf()
  useEffect(() => {
    const listening = new AbortController()
    let before = { letters: '', at: 0 }
    const hear = (event: KeyboardEvent) => {
      const { type, key, code, altKey, ctrlKey, metaKey, target } = event
      // What is written as a reply is text.
      const writes = (target as Element).matches?.('input') && !altKey
      const { pending, layer } = shelf.page.getState()
      const leads = ctrlKey && code === 'Period'
      if (writes || event.getModifierState('AltGraph')) return
      if ((ctrlKey || metaKey) && !altKey && !leads) return
      if (altKey || key === 'Alt' || leads || pending || layer) {
        event.preventDefault()
        pressHere(event)
      } else if (type === 'keydown' && key.length === 1 && key !== ' ') {
        const again = event.timeStamp - before.at < TOGETHER ? before.letters : ''
        const letters = again + key
        before = { letters, at: event.timeStamp }
        const called = calledBy(shelf.state(), letters) ?? calledBy(shelf.state(), key)
        if (called === 'more') return
        before.letters = ''
        if (called) shelf.dispatch('desktop.go', { to: called.desktop })
      }
    }
    for (const type of ['keydown', 'keyup'] as const)
      page.addEventListener(type, hear, { signal: listening.signal })
    return () => listening.abort()
  }, [page, shelf])
}

/** Whoever goes somewhere from there, or is asked something on the page, wants to be there: it comes forward. */
function useForward(page: Window): void {
  const shelf = useShelf()
  useEffect(() => {
    const forward = () => page.document.hasFocus() && window.focus()
    const offDone = shelf.onDone((events) => {
      if (events.some(({ kind }) => kind === 'switch' || kind === 'focus')) forward()
    })
    const offPage = shelf.page.subscribe(({ view, loft }, before) => {
      if ((view !== before.view && view) || (loft && !before.loft)) forward()
    })
    return () => {
      offDone()
      offPage()
    }
  }, [page, shelf])
}
