import { useEffect, useState } from 'react'
import { keysIn } from '@/core/keys/places'
import type { Running } from '@/core/runs/runs'
import { Keys } from '@/parts/Keys'
import { expected } from '@/store/faults'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { type Acts, usePlaceKeys } from '@/ui/keys/usePlaceKeys'
import { NotesOf } from './NotesOf'

/** How long it is told how to go on, at the start and when the pointer moves, in milliseconds. */
const TOLD = 4000

/** Keys with a name that change what has the focus. */
const CHANGES = new Set(['Enter', 'Tab', 'Backspace', 'Delete'])

/**
 * The keys of a run, on the page that shows it: single ones, as a presenter's remote has them. Who
 * wants to work in a window takes them in hand until Escape.
 */
export function RunKeys({ running }: { running: Running }) {
  const shelf = useShelf()
  const [hands, setHands] = useState(false)
  const [notes, setNotes] = useState(false)
  const [told, hide] = useTold()
  const acts: Acts = {
    'run.next': () => go(shelf, 'run.next'),
    'run.back': () => go(shelf, 'run.back'),
    'run:notes': () => setNotes(!notes),
    'run:hands': () => setHands(true),
  }
  const hear = usePlaceKeys('run', acts)
  useEffect(() => {
    const down = (event: KeyboardEvent) => {
      const { view, loft, menu, pending } = shelf.page.getState()
      if (view || loft || menu || pending || event.defaultPrevented) return
      if (hands) {
        if (event.key !== 'Escape') return
        event.preventDefault()
        event.stopPropagation()
        setHands(false)
        return
      }
      // Chords go wherever they go; what would be typed goes nowhere, for nobody means to type now.
      if (event.altKey || event.ctrlKey || event.metaKey) return
      if (hear(event)) {
        hide()
        return
      }
      if (event.key.length > 1 && !CHANGES.has(event.key)) return
      event.preventDefault()
      event.stopPropagation()
    }
    addEventListener('keydown', down, { capture: true })
    return () => removeEventListener('keydown', down, { capture: true })
  })
  useLeavingScreen()
  // Whatever else was open stands in the way of what is to be seen.
  useEffect(
    () => shelf.page.setState({ loft: false, loftBehind: false, view: null, menu: null }),
    [shelf.page.setState],
  )
  const state = shelf.state()
  const act = (command: string, says: string) => (
    <button
      type="button"
      tabIndex={-1}
      className="flex items-center gap-1.5 hover:underline"
      onClick={() => (acts[command] ? acts[command]({}) : shelf.dispatchAny(command))}
    >
      <Keys keys={keysIn(state, 'run', command) ?? ''} /> {says}
    </button>
  )
  return (
    <>
      {notes ? (
        <section aria-label="Notes" className="run-card bottom-4 left-4 w-[360px]">
          <NotesOf running={running} />
        </section>
      ) : null}
      {told || hands ? (
        <div role="status" className="run-card run-told">
          {hands ? (
            <>
              Typing goes to the window;
              <button
                type="button"
                className="flex items-center gap-1.5"
                onClick={() => setHands(false)}
              >
                <Keys keys="Escape" /> goes on with the run
              </button>
            </>
          ) : (
            <>
              {running.nth} of {running.of}
              {act('run.back', 'back')}
              {act('run.next', 'next')}
              {act('run:notes', 'notes')}
              {act('run:hands', 'work in the window')}
              {act('run.end', 'end')}
            </>
          )}
        </div>
      ) : null}
    </>
  )
}

function go(shelf: Shelf, command: 'run.next' | 'run.back'): void {
  const outcome = shelf.dispatch(command, {}, 'key')
  if (!outcome.ok) shelf.page.setState({ announced: outcome.reason })
}

/** Whether it is told how to go on: at the start, and for a while when the pointer moves. */
function useTold(): [told: boolean, hide: () => void] {
  const [told, setTold] = useState(true)
  useEffect(() => {
    let timer = setTimeout(() => setTold(false), TOLD)
    const moved = () => {
      clearTimeout(timer)
      setTold(true)
      timer = setTimeout(() => setTold(false), TOLD)
    }
    addEventListener('pointermove', moved)
    addEventListener('pointerdown', moved)
    return () => {
      clearTimeout(timer)
      removeEventListener('pointermove', moved)
      removeEventListener('pointerdown', moved)
    }
  }, [])
  return [told, () => setTold(false)]
}

/** A run fills the screen where the browser lets it; who leaves that by Escape ends the run as well. */
function useLeavingScreen(): void {
  const shelf = useShelf()
  useEffect(() => {
    const filled = document.fullscreenElement === null
    if (filled)
      void document.documentElement.requestFullscreen?.().catch(expected('a run goes on without'))
    let was = false
    const changed = () => {
      if (document.fullscreenElement) was = true
      else if (was) shelf.dispatch('run.end', {}, 'key')
    }
    addEventListener('fullscreenchange', changed)
    return () => {
      removeEventListener('fullscreenchange', changed)
      if (filled && document.fullscreenElement) void document.exitFullscreen()
    }
  }, [shelf])
}
