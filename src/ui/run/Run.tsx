import { useEffect } from 'react'
import type { Running } from '@/core/runs/runs'
import { useShelf } from '@/store/useShelf'
import { usePlaceKeys } from '@/ui/keys/usePlaceKeys'
import { NotesOf } from './NotesOf'
import { RunKeys } from './RunKeys'
import { useRunning, useRunsHere } from './useRunning'

/** A run that goes on: its keys on the page that shows it, notes and time on every other. */
export function Run() {
  const running = useRunning()
  const here = useRunsHere()
  if (!running) return null
  return here ? <RunKeys key={running.run.id} running={running} /> : <Notes running={running} />
}

/** What a presenter's remote says; it reaches whichever page is in front. */
const REMOTE = new Set(['PageUp', 'PageDown'])

function Notes({ running }: { running: Running }) {
  const shelf = useShelf()
  const hear = usePlaceKeys('run', {})
  useEffect(() => {
    const down = (event: KeyboardEvent) => {
      if (REMOTE.has(event.key) && !event.defaultPrevented) hear(event)
    }
    addEventListener('keydown', down, { capture: true })
    return () => removeEventListener('keydown', down, { capture: true })
  })
  return (
    <section aria-label="Notes" className="run-card top-4 right-4 w-[min(460px,calc(100vw-32px))]">
      <NotesOf running={running} />
      <div className="mt-3 flex gap-2">
        <button type="button" className="btn" onClick={() => shelf.dispatch('run.back')}>
          Back
        </button>
        <button type="button" className="btn btn-main" onClick={() => shelf.dispatch('run.next')}>
          Next
        </button>
        <button type="button" className="btn ml-auto" onClick={() => shelf.dispatch('run.end')}>
          End
        </button>
      </div>
    </section>
  )
}
