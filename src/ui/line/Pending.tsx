import { Fragment, useEffect, useMemo, useState } from 'react'
import { appOf } from '@/apps/list'
import { followers } from '@/core/card/card'
import { PLACES, PREFIXES, VERBS } from '@/core/keys/bindings'
import { asPressed, LEADER } from '@/core/keys/sets'
import type { DesktopId } from '@/core/model/ids'
import { desktop } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { Keys } from '@/parts/Keys'
import { Kite } from '@/parts/Kite'
import { useArrangement, useShelf } from '@/store/useShelf'
import { isPossible } from '@/ui/keys/possible'

/** How long a first stroke waits for its card, where it is not shown at once, in milliseconds. */
const MOMENT = 400

/** The start of a sequence was heard: what may follow, above the line until it does. */
export function Pending({ keys }: { keys: string }) {
  const hints = useArrangement((state) => state.settings.hints)
  const state = useArrangement((now) => now)
  const [shown, setShown] = useState(hints === 'now')
  useEffect(() => {
    if (hints !== 'later') return
    const timer = setTimeout(() => setShown(true), MOMENT)
    return () => clearTimeout(timer)
  }, [hints])
  return (
    <span role="status" className="flex min-w-0 items-center gap-2 whitespace-nowrap">
      <b className="shrink-0">
        {PREFIXES[keys] ?? (keys === LEADER ? 'Go to' : asPressed(keys, state))}
      </b>
      <span className="truncate text-soft">a key follows, Escape leaves</span>
      {shown ? <Card keys={keys} /> : null}
    </span>
  )
}

/** After the leader anything may follow: the verbs are told, and where all keys stand. */
const AFTER_LEADER = [
  {
    name: 'Or',
    rows: [
      ...VERBS.slice(1).map(({ keys, name, says }) => ({
        keys: `${keys.slice('Alt+'.length)}…`,
        does: `${name}: ${says}`,
      })),
      { keys: 'Shift+/', does: 'all keys' },
    ],
  },
]

function Card({ keys }: { keys: string }) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const verb = VERBS.find((one) => one.keys === `${keys} ` || one.keys === `${keys}+`)
  // To try all of them takes a moment: once for a state.
  const following = useMemo(() => {
    if (verb) return []
    if (keys === LEADER) return AFTER_LEADER
    const appName = (id: string) => appOf(shelf, id)?.name ?? id
    return followers(state, keys, appName, ({ command, args }) => isPossible(shelf, command, args))
  }, [state, keys, verb, shelf])
  const desktops = called(state, keys)
  return (
    <span className="rise fixed bottom-[44px] left-2 z-40 flex max-w-[calc(100vw-16px)] gap-x-6 border-2 border-ink bg-panel p-3">
      {verb || keys === LEADER || desktops.length > 0 ? (
        <Places
          state={state}
          ids={verb || keys === LEADER ? state.order : desktops}
          command={verb?.command ?? 'desktop.go'}
          others={!!verb || keys === LEADER}
        />
      ) : null}
      {following.length > 0 ? (
        <span className={keys === LEADER ? 'hints hints-few' : 'hints'}>
          {following.map(({ name, rows }) => (
            <Fragment key={name}>
              <b className="font-display">{name}</b>
              {rows.map((row) => (
                <span key={row.keys} className="hint" title={row.does}>
                  <Keys keys={row.keys} />
                  <span className="min-w-0 truncate">{row.does}</span>
                </span>
              ))}
            </Fragment>
          ))}
        </span>
      ) : null}
    </span>
  )
}

/** The desktops whose letter begins with the stroke that was heard last. */
function called(state: State, keys: string): DesktopId[] {
  const stroke = /^(?:Alt\+|.* )(?:Shift\+)?(\p{Lu})$/u.exec(keys)?.[1]
  return state.order.filter((id) => {
    const { letter } = desktop(state, id)
    return stroke && letter && letter.length > 1 && letter.startsWith(stroke)
  })
}

/** How many desktops stand below each other before another column begins. */
const COLUMN = 14

/** Where to: the desktops, to be pushed or said by their letter, and the other places. */
function Places({
  state,
  ids,
  command,
  others,
}: {
  state: State
  ids: DesktopId[]
  command: string
  /** Whether the other places may follow too. */
  others: boolean
}) {
  const shelf = useShelf()
  const all = ids.map((id) => desktop(state, id))
  const beside = PLACES.filter(({ key }) => state.columns > 1 || !key.startsWith('Page'))
  const push = (to: DesktopId) => {
    shelf.page.setState({ pending: '' })
    shelf.dispatchAny(command, { to })
  }
  return (
    <span className="flex flex-col gap-1.5">
      <span
        className="grid grid-flow-col gap-x-5 gap-y-1.5"
        style={{ gridTemplateRows: `repeat(${Math.min(COLUMN, all.length)}, auto)` }}
      >
        {all.map(({ id, letter, hue, name, emblem }) => (
          <button
            key={id}
            type="button"
            tabIndex={-1}
            title={name}
            className="flex min-w-0 items-center gap-2 text-left hover:underline"
            onClick={() => push(id)}
          >
            <Kite hue={hue} letter={letter} emblem={emblem} width={19} />
            <span dir="auto" className="max-w-52 truncate">
              {name}
            </span>
          </button>
        ))}
      </span>
      {others ? (
        <span className="mt-1 flex items-center gap-2 text-soft">
          <Keys keys={beside.map(({ key }) => key).join(' ')} />{' '}
          {beside.map(({ to }) => to).join(', ')}
        </span>
      ) : null}
    </span>
  )
}
