import { appOf } from '@/apps/list'
import { asPressed, bindings, PREFIXES } from '@/core/keys/bindings'
import { keyCard } from '@/core/keys/card'
import { desktop } from '@/core/model/selectors'
import { useArrangement } from '@/store/shelf'
import { Keys } from '@/ui/parts/Keys'
import { Kite } from '@/ui/parts/Kite'

/** The start of a sequence was heard: what may follow, above the Line until it does. */
export function Pending({ keys }: { keys: string }) {
  const state = useArrangement((now) => now)
  const sends = [...bindings(state).values()].some(
    (bound) => bound.keys.startsWith(`${keys} `) && bound.args?.to,
  )
  const pressed = asPressed(keys, state)
  const rows = keyCard(state, (id) => appOf(id)?.name ?? id)
    .groups.flatMap((group) => group.rows)
    .filter((row) => row.keys.startsWith(`${pressed} `))
  return (
    <span role="status" className="flex items-center gap-2">
      <b>{PREFIXES[keys] ?? 'Say it'}</b>
      <span className="text-soft">a key follows, Escape leaves</span>
      <span className="rise fixed bottom-[44px] left-2 z-40 block border-2 border-ink bg-panel p-3">
        {sends ? (
          <span className="flex flex-col gap-1.5">
            {state.order.map((id) => {
              const { letter, hue, name } = desktop(state, id)
              return (
                <span key={id} className="flex items-center gap-2">
                  <Kite hue={hue} letter={letter} width={19} />
                  {name}
                </span>
              )
            })}
            <span className="mt-1 flex items-center gap-2 text-soft">
              <Keys keys="] [ \ =" /> next, previous, last, new
            </span>
          </span>
        ) : (
          <span className="grid grid-cols-[auto_auto] gap-x-6 gap-y-1.5">
            {rows.map((row) => (
              <span key={row.keys} className="flex items-center gap-2">
                <Keys keys={row.keys.slice(pressed.length + 1)} />
                {row.does}
              </span>
            ))}
          </span>
        )}
      </span>
    </span>
  )
}
