import { ArrowDown, ArrowUp, Pencil, Trash2 } from 'lucide-react'
import { type FormEvent, useState } from 'react'
import { APPS, allApps, appOf } from '@/apps/list'
import { clashes } from '@/core/homes/clashes'
import { explain } from '@/core/homes/explain'
import { momentOf } from '@/core/homes/matching'
import { homeInWords } from '@/core/homes/words'
import { keysFor } from '@/core/keys/bindings'
import type { Home } from '@/core/model/kinds/home'
import { currentId, openDesktop } from '@/core/model/selectors'
import { minuteOf } from '@/core/text/clock'
import { CommandButton } from '@/parts/CommandButton'
import { Dialog } from '@/parts/Dialog'
import { Tool } from '@/parts/Tool'
import type { Shelf } from '@/store/shelf'
import { useArrangement, useShelf } from '@/store/useShelf'
import { freshHome, keepHome } from './HomeDialog'
import { HomeFields } from './HomeFields'
import { draftOf, type HomeDraft, useHomeDraft } from './useHomeDraft'

const pluralOf = (shelf: Shelf, app: string): string => appOf(shelf, app)?.plural ?? app

/** All homes in order: on or off, changed, moved, removed, tried out; and which never win. */
export function HomesDialog() {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const [editing, setEditing] = useState<string | null>(null)
  const hints = new Map(clashes(state.homes).map((clash) => [clash.home, clash]))
  return (
    <Dialog
      title="Homes"
      intro="Where windows open. Of all that match, the one with the most conditions wins; a title counts two; among equals the earlier one."
      width={760}
    >
      {state.homes.length === 0 ? (
        <p className="mt-4 text-soft">
          None yet. Add one here, or set that of a window with {keysFor(state, 'home.ask')}.
        </p>
      ) : null}
      <ol aria-label="Homes in order" className="mt-3 border-seam border-t border-dashed">
        {state.homes.map((home, at) => (
          <li key={home.id} className="border-seam border-b border-dashed py-1.5">
            {editing === home.id ? (
              <Editor first={draftOf(home)} id={home.id} onDone={() => setEditing(null)} />
            ) : (
              <div className="flex items-center gap-2">
                <span className="w-6 text-right font-mono text-[12px] text-soft">{at + 1}</span>
                <input
                  type="checkbox"
                  aria-label={`On: ${homeInWords(home, pluralOf(shelf, home.app), state)}`}
                  checked={home.on}
                  onChange={() => keepHome(shelf, { ...home, on: !home.on }, home.id)}
                />
                <span className={`min-w-0 flex-1 ${home.on ? '' : 'text-soft line-through'}`}>
                  {homeInWords(home, pluralOf(shelf, home.app), state)}
                  <Hint clash={hints.get(home.id)} homes={state.homes} />
                </span>
                <Tool
                  label="Move up"
                  disabled={at === 0}
                  onClick={() => shelf.dispatch('home.reorder', { id: home.id, by: -1 })}
                >
                  <ArrowUp size={14} />
                </Tool>
                <Tool
                  label="Move down"
                  disabled={at === state.homes.length - 1}
                  onClick={() => shelf.dispatch('home.reorder', { id: home.id, by: 1 })}
                >
                  <ArrowDown size={14} />
                </Tool>
                <Tool label="Change" onClick={() => setEditing(home.id)}>
                  <Pencil size={14} />
                </Tool>
                <Tool label="Remove" onClick={() => shelf.dispatch('home.remove', { id: home.id })}>
                  <Trash2 size={14} />
                </Tool>
              </div>
            )}
          </li>
        ))}
      </ol>
      <Adding />
      <TryOut />
      <div className="mt-4 flex items-center gap-2">
        <CommandButton command="home.askPutRight" label="Put windows right…" className="btn" />
        <button type="button" className="btn btn-main ml-auto" onClick={shelf.closeView}>
          Done
        </button>
      </div>
    </Dialog>
  )
}

function Hint({
  clash,
  homes,
}: {
  clash: ReturnType<typeof clashes>[number] | undefined
  homes: Home[]
}) {
  if (!clash) return null
  const by = homes.findIndex(({ id }) => id === clash.by) + 1
  return (
    <b className="ml-2 font-semibold text-alarm">
      {clash.kind === 'equal'
        ? `Same conditions as home ${by}, which comes first`
        : `Never applies: home ${by} always wins`}
    </b>
  )
}

/** Adds a home for the windows of an app, whether or not any is open. */
function Adding() {
  const apps = useArrangement((state) => state.apps)
  const here = useArrangement((state) => openDesktop(state, currentId(state)))
  const [app, setApp] = useState('')
  return app ? (
    <Editor first={freshHome(app, here)} onDone={() => setApp('')} />
  ) : (
    <label className="mt-2 flex items-center gap-2">
      Add a home for
      <select className="field" value="" onChange={(event) => setApp(event.target.value)}>
        <option value="">choose an app</option>
        {allApps(apps).map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  )
}

/** A home as it is changed, or made where it has no id. */
function Editor({ first, id, onDone }: { first: HomeDraft; id?: string; onDone(): void }) {
  const shelf = useShelf()
  const { draft, set, home } = useHomeDraft(first, id)
  const keep = (event: FormEvent) => {
    event.preventDefault()
    if (typeof home !== 'string' && keepHome(shelf, home, id)) onDone()
  }
  return (
    <form onSubmit={keep} className="px-2 pb-2">
      <HomeFields draft={draft} home={home} plural={pluralOf(shelf, first.app)} set={set} />
      <div className="mt-3 flex justify-end gap-2">
        <button type="button" className="btn" onClick={onDone}>
          Leave as it was
        </button>
        <button type="submit" className="btn btn-main">
          Keep
        </button>
      </div>
    </form>
  )
}

/** “A window of … titled … at …”: where it would open and why. */
function TryOut() {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const [app, setApp] = useState(APPS[0]?.id ?? '')
  const [title, setTitle] = useState('')
  const [clock, setClock] = useState('')
  const now = momentOf(shelf.clock())
  const minute = clock.trim() ? minuteOf(clock) : now.minute
  const found =
    minute === null
      ? null
      : explain(state, { app, title }, { day: now.day, minute }, pluralOf(shelf, app))
  return (
    <section aria-label="Try out" className="mt-4 bg-ink/5 p-3">
      <div className="flex flex-wrap items-center gap-2">
        A window of
        <select
          aria-label="App"
          className="field"
          value={app}
          onChange={(event) => setApp(event.target.value)}
        >
          {allApps(state.apps).map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        titled
        <input
          aria-label="Title"
          className="field w-44"
          value={title}
          onChange={(event) => setTitle(event.target.value)}
        />
        at
        <input
          aria-label="Time"
          className="field w-20 font-mono"
          placeholder="now"
          value={clock}
          onChange={(event) => setClock(event.target.value)}
        />
      </div>
      <div role="status" className="mt-2">
        {found ? (
          <>
            <p className="font-semibold">{found.why}</p>
            {found.losers.map(({ home, why }) => (
              <p key={home.id} className="text-soft">
                Not “{homeInWords(home, pluralOf(shelf, app), state)}”: {why}.
              </p>
            ))}
          </>
        ) : (
          <p className="text-alarm">That isn’t a time of day. Write it as 06:30.</p>
        )}
      </div>
    </section>
  )
}
