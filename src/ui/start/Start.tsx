import { useState } from 'react'
import { allApps } from '@/apps/list'
import { isBare } from '@/core/commands/shelf/start'
import { useArrangement, useShelf } from '@/store/useShelf'
import { useSeat } from '@/ui/area/seat'

/** On a shelf where nothing was made yet: three ways to begin. */
export function Start() {
  const bare = useArrangement(isBare)
  const wanted = useArrangement((state) => state.settings.start)
  const { fixed } = useSeat()
  return bare && wanted && !fixed ? <Ways /> : null
}

/** The contexts that are typed, one a line. */
const linesOf = (typed: string): string[] => [
  ...new Set(
    typed
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean),
  ),
]

function Ways() {
  const shelf = useShelf()
  const [typed, setTyped] = useState('')
  const [homes, setHomes] = useState<Record<string, string>>({})
  const [problem, setProblem] = useState('')
  const names = linesOf(typed)
  const make = () => {
    const chosen = Object.entries(homes).flatMap(([app, name]) =>
      names.includes(name) ? { app, name } : [],
    )
    const outcome = shelf.dispatch('start.contexts', { names, homes: chosen }, 'key')
    if (!outcome.ok) return setProblem(outcome.reason)
    shelf.dispatch('guide.go', { step: 1 }, 'app')
  }
  return (
    <section aria-label="Where to begin" className="start">
      <h2 className="font-bold font-display text-lg">Where do you begin?</h2>
      <form
        className="mt-3"
        onSubmit={(event) => {
          event.preventDefault()
          make()
        }}
      >
        <label className="block font-semibold" htmlFor="start-contexts">
          With the contexts of your day
        </label>
        <p id="start-help" className="text-soft">
          One per line, then Ctrl+Enter. Each becomes a desktop with its letter and its look.
        </p>
        <textarea
          id="start-contexts"
          aria-describedby="start-help"
          className="field mt-1.5 block w-full resize-y py-1.5"
          rows={5}
          placeholder={'Clients\nAccounts\nWriting'}
          value={typed}
          onChange={(event) => {
            setTyped(event.target.value)
            setProblem('')
          }}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey)) return
            event.preventDefault()
            if (names.length > 0) make()
          }}
        />
        {names.length > 0 ? <Homes names={names} homes={homes} onSet={setHomes} /> : null}
        {problem ? (
          <p role="alert" className="mt-1.5 text-alarm">
            {problem}
          </p>
        ) : null}
        <button type="submit" className="btn btn-main mt-2" disabled={names.length === 0}>
          {names.length > 1 ? `Make ${names.length} desktops` : 'Make the desktop'}
        </button>
      </form>
      <div className="mt-4 flex flex-wrap gap-2 border-seam border-t border-dashed pt-3">
        <button
          type="button"
          className="btn"
          onClick={() => shelf.dispatch('settings.set', { start: false }, 'key')}
        >
          Start empty
        </button>
        <a className="btn" href="/demo">
          See the demo
        </a>
        <button
          type="button"
          className="btn"
          onClick={() => shelf.dispatch('guide.go', { step: 1 })}
        >
          Five minutes by keyboard
        </button>
      </div>
    </section>
  )
}

/** Where the windows of each app open, if that shall be always the same. */
function Homes({
  names,
  homes,
  onSet,
}: {
  names: string[]
  homes: Record<string, string>
  onSet(homes: Record<string, string>): void
}) {
  const shelf = useShelf()
  return (
    <details className="mt-2">
      <summary className="font-semibold">Where apps live</summary>
      <div className="mt-1.5 grid grid-cols-[auto_minmax(0,1fr)] items-center gap-x-3 gap-y-1">
        {allApps(shelf.state().apps).map(({ id, name }) => (
          <label key={id} className="contents">
            {name}
            <select
              className="field min-w-0"
              value={homes[id] ?? ''}
              onChange={(event) => onSet({ ...homes, [id]: event.target.value })}
            >
              <option value="">the current desktop</option>
              {names.map((one) => (
                <option key={one}>{one}</option>
              ))}
            </select>
          </label>
        ))}
      </div>
    </details>
  )
}
