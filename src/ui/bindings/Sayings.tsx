import { Fragment } from 'react'
import { idOf } from '@/core/card/bindable'
import { type Place, type Saying, TOLD_VERBS } from '@/core/card/spoken'
import { asPressed } from '@/core/keys/sets'
import { Keys } from '@/parts/Keys'
import { PanelSection } from '@/parts/PanelSection'
import { useShelf } from '@/store/useShelf'
import { BindingRow } from './BindingRow'

/** The verbs beside each other, a place below the other: each can be given keys, or have them taken away. */
export function Sayings({
  places,
  bound,
  onBind,
}: {
  places: Place[]
  /** The saying that is worked on. */
  bound: string | null
  onBind(id: string | null): void
}) {
  const shelf = useShelf()
  if (places.length === 0) return null
  const begins = (keys: string) => asPressed(keys, shelf.state()).trim().replace(/\+$/, '')
  return (
    <PanelSection name="Verb and place">
      <table className="w-full table-fixed border-collapse">
        <thead>
          <tr className="text-left align-bottom">
            <th className="w-[28%] font-normal text-soft">place</th>
            {TOLD_VERBS.map(({ name, keys }) => (
              <th key={name} className="keys-small pb-1 pl-1 font-semibold">
                {name}
                <span className="mt-0.5 block">
                  <Keys keys={begins(keys)} />
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {places.map(({ to, name, sayings }) => {
            const open = sayings.find((one) => one && idOf(one) === bound)
            return (
              <Fragment key={to}>
                <tr className="border-seam border-t border-dashed">
                  <th scope="row" className="py-1 text-left font-normal">
                    <span dir="auto" title={name} className="block truncate">
                      {name}
                    </span>
                  </th>
                  {sayings.map((one, at) => (
                    <td key={TOLD_VERBS[at]?.name} className="keys-small py-1 pl-1">
                      {one ? (
                        <Cell
                          saying={one}
                          open={one === open}
                          onPush={() => onBind(one === open ? null : idOf(one))}
                        />
                      ) : null}
                    </td>
                  ))}
                </tr>
                {open ? (
                  <tr>
                    <td colSpan={1 + TOLD_VERBS.length}>
                      <ul>
                        <BindingRow
                          row={open}
                          pressing
                          onPress={(wanted) => onBind(wanted ? idOf(open) : null)}
                        />
                      </ul>
                    </td>
                  </tr>
                ) : null}
              </Fragment>
            )
          })}
        </tbody>
      </table>
    </PanelSection>
  )
}

/** What a verb says of a place: its keys without those above, others whole, a dash where there are none. */
function Cell({ saying, open, onPush }: { saying: Saying; open: boolean; onPush(): void }) {
  const shelf = useShelf()
  const { title, begin, keys } = saying
  const told = keys.map((one) => asPressed(one.keys, shelf.state())).join(', ')
  return (
    <button
      type="button"
      className="flex min-h-6 flex-wrap items-center gap-1 border border-transparent hover:border-ink aria-expanded:border-ink"
      aria-label={`${title}: ${told || 'no keys'}`}
      aria-expanded={open}
      onClick={onPush}
    >
      {keys.length === 0 ? <span className="px-2 text-soft">–</span> : null}
      {keys.map(({ keys: one }) => (
        <Keys
          key={one}
          keys={one.startsWith(begin) ? one.slice(begin.length) : asPressed(one, shelf.state())}
        />
      ))}
    </button>
  )
}
