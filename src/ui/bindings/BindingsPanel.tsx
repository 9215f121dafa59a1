import { useMemo, useState } from 'react'
import { APPS, appOf } from '@/apps/list'
import { type Bindable, bindable, idOf, searchBindable, switchedOff } from '@/core/card/bindable'
import { WHERE_HEARD } from '@/core/card/card'
import { sayings, searchSayings } from '@/core/card/spoken'
import { GROUPS } from '@/core/commands/command'
import { asPressed } from '@/core/keys/sets'
import { isWay } from '@/core/keys/ways'
import { KEY_PLACES } from '@/core/model/kinds/binding'
import { counted } from '@/core/text/counted'
import { Keys } from '@/parts/Keys'
import { PanelSection } from '@/parts/PanelSection'
import { SearchField } from '@/parts/SearchField'
import { SidePanel } from '@/parts/SidePanel'
import { useArrangement, useShelf } from '@/store/useShelf'
import { AppKeys, foundKeys } from './AppKeys'
import { BindingRow } from './BindingRow'
import { Sayings } from './Sayings'

/** Every command with its keys: bound by pressing, switched off, and set back. */
export function BindingsPanel({ find = '' }: { find?: string }) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const [query, setQuery] = useState(find)
  const [bound, setBound] = useState<string | null>(null)
  const all = searchBindable(
    bindable(state, (id) => appOf(shelf, id)?.name ?? id),
    query,
  )
  const places = searchSayings(
    useMemo(() => sayings(state), [state]),
    query,
  )
  const ofApps = APPS.map((app) => ({ app, rows: foundKeys(state, app, query) }))
  const inApps = ofApps.reduce((sum, { rows }) => sum + rows.length, 0)
  const changed = state.bindings.filter(({ keys }) => !isWay(keys)).length
  return (
    <SidePanel title="Bind keys">
      <SearchField
        label="Find a command"
        placeholder="find a command, or its keys"
        query={query}
        onType={setQuery}
        found={`${counted(all.length + inApps, 'command')}, ${counted(places.length, 'place')}`}
      />
      <Sayings places={places} bound={bound} onBind={setBound} />
      {GROUPS.map((group) => (
        <Group
          key={group}
          name={group}
          rows={all.filter((one) => one.group === group)}
          bound={bound}
          onBind={setBound}
        />
      ))}
      {KEY_PLACES.map((place) => (
        <Group
          key={place}
          name={`Only ${WHERE_HEARD[place]}`}
          rows={all.filter((one) => one.group === place)}
          bound={bound}
          onBind={setBound}
        />
      ))}
      {ofApps.map(({ app, rows }) => (
        <AppKeys key={app.id} app={app} rows={rows} bound={bound} onBind={setBound} />
      ))}
      {all.length + places.length + inApps === 0 ? (
        <p className="mt-4 text-soft">No commands match.</p>
      ) : null}
      <Off keys={switchedOff(state)} />
      <div className="mt-5 flex items-center gap-2 border-seam border-t border-dashed pt-3">
        <p className="text-soft">Settings files hold your keys too.</p>
        <button
          type="button"
          className="btn ml-auto"
          disabled={changed === 0}
          onClick={() => shelf.dispatch('keys.reset', {}, 'key')}
        >
          Reset all{changed > 0 ? ` (${changed})` : ''}
        </button>
      </div>
    </SidePanel>
  )
}

function Group({
  name,
  rows,
  bound,
  onBind,
}: {
  name: string
  rows: Bindable[]
  /** The row that waits for keys. */
  bound: string | null
  onBind(id: string | null): void
}) {
  if (rows.length === 0) return null
  return (
    <PanelSection name={name}>
      <ul>
        {rows.map((row) => (
          <BindingRow
            key={idOf(row)}
            row={row}
            pressing={bound === idOf(row)}
            onPress={(wanted) => onBind(wanted ? idOf(row) : null)}
          />
        ))}
      </ul>
    </PanelSection>
  )
}

/** Keys that would do something, and do not since they were switched off. */
function Off({ keys }: { keys: ReturnType<typeof switchedOff> }) {
  const shelf = useShelf()
  if (keys.length === 0) return null
  return (
    <PanelSection name="Switched off">
      <ul className="mt-1.5 flex flex-wrap gap-2">
        {keys.map(({ keys: one, place }) => (
          <li key={`${place} ${one}`}>
            <button
              type="button"
              className="btn"
              title={`Switch ${one} on again`}
              onClick={() =>
                shelf.dispatch('keys.reset', { keys: one, ...(place && { place }) }, 'key')
              }
            >
              <Keys keys={place ? one : asPressed(one, shelf.state())} />{' '}
              {place ? WHERE_HEARD[place] : ''} on again
            </button>
          </li>
        ))}
      </ul>
    </PanelSection>
  )
}
