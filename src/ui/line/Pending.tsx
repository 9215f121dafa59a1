import { appOf } from '@/apps/list'
import { asPressed, LEADER, PREFIXES, VERBS } from '@/core/keys/bindings'
import { keyCard } from '@/core/keys/card'
import { desktop } from '@/core/model/selectors'
import type { State } from '@/core/model/types'
import { useArrangement } from '@/store/shelf'
import { Keys } from '@/ui/parts/Keys'
import { Kite } from '@/ui/parts/Kite'

/** The start of a sequence was heard: what may follow, above the Line until it does. */
export function Pending({ keys }: { keys: string }) {
  const state = useArrangement((now) => now)
  const places = VERBS.some((verb) => verb.keys === `${keys} `)
  const card = keyCard(state, (id) => appOf(id)?.name ?? id)
  const pressed = `${asPressed(keys, state)} `
  // After the leader anything may follow: the verbs are told, and where all keys stand.
  const rows =
    keys === LEADER
      ? [...card.verbs.slice(1), { keys: `${pressed}Shift+/`, does: 'all keys' }]
      : card.groups.flatMap((group) => group.rows)
  return (
    <span role="status" className="flex items-center gap-2">
      <b>{PREFIXES[keys] ?? 'Go to'}</b>
      <span className="text-soft">a key follows, Escape leaves</span>
      <span className="rise fixed bottom-[44px] left-2 z-40 flex max-w-[calc(100vw-16px)] gap-x-6 border-2 border-ink bg-panel p-3">
        {places || keys === LEADER ? <Places state={state} /> : null}
        {places ? null : (
          <span
            className={`grid content-start gap-x-6 gap-y-1.5 ${keys === LEADER ? '' : 'grid-cols-[auto_auto]'}`}
          >
            {rows
              .filter((row) => row.keys.startsWith(pressed))
              .map((row) => (
                <span key={row.keys} className="flex items-center gap-2">
                  <Keys keys={row.keys.slice(pressed.length)} />
                  {row.does}
                </span>
              ))}
          </span>
        )}
      </span>
    </span>
  )
}

/** How many desktops stand below each other before another column begins. */
const COLUMN = 12

/** Where to: the desktops that have a letter, and the other places. */
function Places({ state }: { state: State }) {
  const called = state.order.map((id) => desktop(state, id)).filter(({ letter }) => letter)
  return (
    <span className="flex flex-col gap-1.5">
      <span
        className="grid grid-flow-col gap-x-5 gap-y-1.5"
        style={{ gridTemplateRows: `repeat(${Math.min(COLUMN, called.length)}, auto)` }}
      >
        {called.map(({ id, letter, hue, name }) => (
          <span key={id} className="flex items-center gap-2">
            <Kite hue={hue} letter={letter} width={19} />
            <span dir="auto" className="max-w-52 truncate">
              {name}
            </span>
          </span>
        ))}
      </span>
      <span className="mt-1 flex items-center gap-2 text-soft">
        <Keys keys="] [ \ =" /> next, previous, last, new
      </span>
    </span>
  )
}
