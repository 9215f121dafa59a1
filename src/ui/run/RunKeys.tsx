import { useEffect, useState } from 'react'
import { keysIn } from '@/core/keys/places'
import type { Running } from '@/core/run/run'
import { dispatch, getState, shelf } from '@/store/shelf'
import { usePlaceKeys } from '@/ui/keys/usePlaceKeys'
import { Keys } from '@/ui/parts/Keys'
import { NotesOf } from './NotesOf'

/** How long it is told at the start how to go on, in milliseconds. */
const TOLD = 6000

/**
 * The keys of a run, on the page that shows it: single ones, as a presenter's remote has them. Who
 * wants to work in a window takes them in hand until Escape.
 */
export function RunKeys({ running }: { running: Running }) {
  const [hands, setHands] = useState(false)
  const [notes, setNotes] = useState(false)
  const [told, setTold] = useState(true)
  useEffect(() => {
    const timer = setTimeout(() => setTold(false), TOLD)
    return () => clearTimeout(timer)
  }, [])
  const go = (command: string) => () => {
    setTold(false)
    const outcome = dispatch(command, {}, 'key')
    if (!outcome.ok) shelf.setState({ announced: outcome.reason })
  }
  const hear = usePlaceKeys('run', {
    'run.next': go('run.next'),
    'run.back': go('run.back'),
    'run:notes': () => setNotes(!notes),
    'run:hands': () => setHands(true),
  })
  useEffect(() => {
    const down = (event: KeyboardEvent) => {
      const { view, loft, menu, pending } = shelf.getState()
      if (view || loft || menu || pending) return
      if (hands) {
        if (event.key !== 'Escape') return
        event.preventDefault()
        event.stopPropagation()
        setHands(false)
        return
      }
      // Chords go wherever they go; what would be typed goes nowhere, for nobody means to type now.
      if (event.altKey || event.ctrlKey || event.metaKey || hear(event)) return
      if (event.key.length > 1 && event.key !== 'Enter') return
      event.preventDefault()
      event.stopPropagation()
    }
    addEventListener('keydown', down, { capture: true })
    return () => removeEventListener('keydown', down, { capture: true })
  })
  useLeavingScreen()
  const state = getState()
  return (
    <>
      {notes ? (
        <section aria-label="Notes" className="run-card bottom-4 left-4 w-[360px]">
          <NotesOf running={running} />
        </section>
      ) : null}
      {told || hands ? (
        <p role="status" className="run-card top-4 left-1/2 -translate-x-1/2 px-3 py-1.5">
          {hands ? (
            <>
              The keys are the window’s; <Keys keys="Escape" /> goes on with the run
            </>
          ) : (
            <>
              {running.nth} of {running.of}
              <Keys keys={keysIn(state, 'run', 'run.next') ?? ''} /> next
              <Keys keys={keysIn(state, 'run', 'run.back') ?? ''} /> back
              <Keys keys={keysIn(state, 'run', 'run:notes') ?? ''} /> notes
              <Keys keys={keysIn(state, 'run', 'run:hands') ?? ''} /> work in the window
              <Keys keys={keysIn(state, 'run', 'run.end') ?? ''} /> end
            </>
          )}
        </p>
      ) : null}
    </>
  )
}

/** A run fills the screen where the browser lets it; who leaves that by Escape ends the run as well. */
function useLeavingScreen(): void {
  useEffect(() => {
    const filled = document.fullscreenElement === null
    if (filled) void document.documentElement.requestFullscreen?.().catch(() => {})
    let was = false
    const changed = () => {
      if (document.fullscreenElement) was = true
      else if (was) dispatch('run.end', {}, 'key')
    }
    addEventListener('fullscreenchange', changed)
    return () => {
      removeEventListener('fullscreenchange', changed)
      if (filled && document.fullscreenElement) void document.exitFullscreen()
    }
  }, [])
}
