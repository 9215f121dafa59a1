import { useState } from 'react'
import { searchSettings } from '@/core/settings/search'
import { changedSettings, SECTIONS, type SettingName, settingOf } from '@/core/settings/table'
import { counted } from '@/core/text/counted'
import { PanelSection } from '@/parts/PanelSection'
import { SearchField } from '@/parts/SearchField'
import { SidePanel } from '@/parts/SidePanel'
import { pointBefore } from '@/store/opening/opened'
import { useArrangement, useShelf } from '@/store/useShelf'
import { exportSettings, importSettings } from './files'
import { SettingRow } from './SettingRow'
import { searchWays, Ways } from './Ways'

/** All settings, found by typing. What is changed holds at once, and each change can be undone. */
export function SettingsPanel({ find = '' }: { find?: string }) {
  const [query, setQuery] = useState(find)
  const found = searchSettings(query)
  const ways = searchWays(query)
  return (
    <SidePanel title="Settings">
      <SearchField
        label="Find a setting"
        placeholder="find a setting"
        query={query}
        onType={setQuery}
        found={counted(found.length + ways.length, 'setting')}
      />
      {SECTIONS.map((section) => (
        <Section
          key={section}
          name={section}
          settings={found.filter((name) => settingOf(name).section === section)}
        />
      ))}
      <Ways ways={ways} />
      {found.length + ways.length === 0 ? (
        <p className="mt-4 text-soft">
          No settings match.{' '}
          <button
            type="button"
            className="underline decoration-dashed"
            onClick={() => setQuery('')}
          >
            Show all
          </button>
        </p>
      ) : null}
      <Files />
    </SidePanel>
  )
}

function Section({ name, settings }: { name: string; settings: SettingName[] }) {
  if (settings.length === 0) return null
  return (
    <PanelSection name={name}>
      {settings.map((setting) => (
        <SettingRow key={setting} name={setting} />
      ))}
    </PanelSection>
  )
}

/** What concerns all of them together. */
function Files() {
  const shelf = useShelf()
  const changed = useArrangement((state) => changedSettings(state.settings).length)
  return (
    <div className="mt-5 flex flex-wrap items-center gap-2 border-seam border-t border-dashed pt-3">
      <button type="button" className="btn" onClick={() => exportSettings(shelf)}>
        Export
      </button>
      <button type="button" className="btn" onClick={() => void importSettings(shelf)}>
        Import…
      </button>
      <button
        type="button"
        className="btn ml-auto"
        disabled={changed === 0}
        onClick={() =>
          void pointBefore(shelf, 'Before all settings were reset').then(() =>
            shelf.dispatch('settings.reset', {}, 'key'),
          )
        }
      >
        Reset all{changed > 0 ? ` (${changed})` : ''}
      </button>
      <p className="w-full text-soft">
        A settings file holds settings, homes and keys, to take along to another shelf.
      </p>
    </div>
  )
}
