import { useMemo, useState } from 'react'
import { appGroups, keyCard, searchCard } from '@/core/card/card'
import { KeyGroups } from '@/parts/KeyGroups'
import { useArrangement, useShelf } from '@/store/useShelf'

/** The key card to keep in sight: as the keys are now, found by typing. */
export default function KeyCardWindow() {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const [query, setQuery] = useState('')
  const card = useMemo(
    () => keyCard(state, (id) => shelf.appFacts(id)?.name ?? id),
    [state, shelf.appFacts],
  )
  // Of the apps that have windows.
  const apps = [...new Set(Object.values(state.windows).map(({ app }) => app))]
  const own = appGroups(state, apps.map(shelf.appFacts))
  const found = searchCard(card, query, own)
  return (
    <div className="flex h-full flex-col">
      <div className="border-seam border-b p-2">
        <input
          data-autofocus
          type="search"
          aria-label="Find keys"
          placeholder="find keys, or what they do"
          className="field w-full"
          value={query}
          onChange={(event) => setQuery(event.target.value)}
        />
      </div>
      <section
        aria-label="All keys"
        tabIndex={0}
        className="min-h-0 flex-1 overflow-auto p-3 text-[13px]"
      >
        {found.length > 0 ? (
          <KeyGroups groups={found} className="[columns:300px]" />
        ) : (
          <p className="text-soft">No keys match.</p>
        )}
      </section>
    </div>
  )
}
