import { useState } from 'react'
import { appOf } from '@/apps/list'
import type { WindowId } from '@/core/model/ids'
import { title } from '@/core/model/selectors'
import { Dialog } from '@/parts/Dialog'
import { LongList } from '@/parts/LongList'
import { type KeptSession, useSessions } from '@/store/sessions'
import { useArrangement, useShelf } from '@/store/useShelf'

/** Earlier arrangements: one is reopened whole, or windows are picked from it. */
export function SessionsDialog() {
  const sessions = useSessions()
  const [at, setAt] = useState(0)
  const chosen = sessions[at]
  return (
    <Dialog
      title="Earlier sessions"
      intro="The shelf as it was when the browser was closed, and once an hour. Nothing that is open now is taken away."
      width={680}
    >
      {chosen ? (
        <div className="mt-4 flex min-h-0 gap-4">
          <ul aria-label="Sessions" className="w-52 shrink-0">
            {sessions.map((session, index) => (
              <li key={session.at}>
                <button
                  type="button"
                  aria-current={index === at ? 'true' : undefined}
                  className="w-full px-2 py-1.5 text-left hover:bg-ink/6 aria-[current]:bg-ink/10 aria-[current]:font-semibold"
                  onClick={() => setAt(index)}
                >
                  {new Date(session.at).toLocaleString([], {
                    weekday: 'short',
                    day: 'numeric',
                    month: 'short',
                    hour: '2-digit',
                    minute: '2-digit',
                    hourCycle: 'h23',
                  })}
                  <span className="block font-normal text-soft">
                    {session.state.order.length} desktops,{' '}
                    {Object.keys(session.state.windows).length} windows
                  </span>
                </button>
              </li>
            ))}
          </ul>
          <Content key={chosen.at} session={chosen} />
        </div>
      ) : (
        <p className="mt-4 text-soft">
          None yet. The first is kept when you come back to the shelf after a change.
        </p>
      )}
    </Dialog>
  )
}

function Content({ session: { state } }: { session: KeptSession }) {
  const shelf = useShelf()
  const open = useArrangement((now) => now.windows)
  const [ticked, setTicked] = useState<ReadonlySet<WindowId>>(new Set())
  const all = Object.values(state.windows)
  const run = (command: string, args: object) => {
    shelf.closeView()
    shelf.dispatchAny(command, args, 'key')
  }
  return (
    <div className="flex min-w-0 flex-1 flex-col">
      <LongList label="Windows of the session" className="max-h-[min(18rem,40vh)]">
        {all.map((one) => {
          const there = !!open[one.id]
          const Glyph = appOf(shelf, one.app)?.glyph
          return (
            <li key={one.id}>
              <label className="flex items-center gap-2 py-1">
                <input
                  type="checkbox"
                  disabled={there}
                  checked={ticked.has(one.id)}
                  onChange={() => {
                    const next = new Set(ticked)
                    if (!next.delete(one.id)) next.add(one.id)
                    setTicked(next)
                  }}
                />
                {Glyph ? <Glyph size={15} aria-hidden className="shrink-0" /> : null}
                <span className="min-w-0 flex-1 truncate" title={title(state, one)}>
                  {title(state, one)}
                </span>
                <span className="shrink-0 text-soft">
                  {there ? 'open' : (state.desktops[one.desktop]?.name ?? 'every desktop')}
                </span>
              </label>
            </li>
          )
        })}
      </LongList>
      <div className="mt-3 flex justify-end gap-2">
        <button
          type="button"
          className="btn"
          disabled={ticked.size === 0}
          onClick={() => run('session.windows', { windows: [...ticked], from: state })}
        >
          Reopen selected
        </button>
        <button
          type="button"
          className="btn btn-main"
          onClick={() => run('session.reopen', { state })}
        >
          Reopen whole session
        </button>
      </div>
    </div>
  )
}
