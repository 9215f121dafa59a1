import { useEffect, useState } from 'react'
import { allApps, appOf } from '@/apps/list'
import { appGroups, cardGroups, firstPage, keyCard, searchCard } from '@/core/card/card'
import { cardIntro } from '@/core/card/markdown'
import { shareByKey } from '@/core/journal/share'
import { focusId } from '@/core/model/selectors'
import { counted } from '@/core/text/counted'
import { CommandButton } from '@/parts/CommandButton'
import { Dialog } from '@/parts/Dialog'
import { KeyGroups } from '@/parts/KeyGroups'
import { SearchField } from '@/parts/SearchField'
import { useToday } from '@/store/journal'
import { useArrangement, useShelf } from '@/store/useShelf'

/** The keys that matter, all of them on one page, or those that are looked for: as they are now. */
export function KeyCard({ print = false }: { print?: boolean }) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const [query, setQuery] = useState('')
  const [whole, setWhole] = useState(print)
  const appName = (id: string) => appOf(shelf, id)?.name ?? id
  const card = keyCard(state, appName)
  const focused = state.windows[focusId(state) ?? '']?.app
  const groups = query
    ? searchCard(card, query, appGroups(state, allApps(state.apps)))
    : whole
      ? cardGroups(card)
      : [
          ...firstPage(state, card, appName),
          // Of the window that has the keys.
          ...(focused ? appGroups(state, [appOf(shelf, focused)]) : []),
        ]
  useEffect(() => {
    if (print) window.print()
  }, [print])
  return (
    <Dialog
      title="Keys"
      intro={cardIntro(state.settings.keys)}
      width={whole || query ? 1600 : 760}
      printed
    >
      <div className="card-tools mt-1 flex items-center gap-3">
        <div className="w-80">
          <SearchField
            label="Find keys"
            placeholder="find keys, or what they do"
            query={query}
            onType={setQuery}
            found={counted(
              groups.reduce((sum, { rows }) => sum + rows.length, 0),
              'key',
            )}
          />
        </div>
        <button
          type="button"
          className="chip"
          aria-pressed={whole}
          onClick={() => setWhole((was) => !was)}
        >
          all keys
        </button>
      </div>
      {/* Reached and scrolled by keys where the screen is too low for it. */}
      <section
        aria-label="All keys"
        tabIndex={0}
        className="card-sheet mt-2 max-h-[calc(100vh-186px)] overflow-auto outline-none"
      >
        {groups.length === 0 ? <p className="text-soft">No keys match.</p> : null}
        <KeyGroups
          groups={groups}
          className={
            whole || query
              ? 'columns-5 max-[1150px]:columns-4 max-[900px]:columns-3 min-[1600px]:columns-6'
              : 'key-groups-large columns-2'
          }
        />
      </section>
      <div className="card-tools mt-2 flex gap-5 text-[12px]">
        <CommandButton command="app.launch" args={{ app: 'keycard' }} label="keep it in a window" />
        <CommandButton command="keys.print" label="print" />
        <CommandButton command="keys.markdown" label="as Markdown" />
        <CommandButton command="keys.open" label="bind keys" />
        <CommandButton command="keys.practise" label="practise" />
        <Share />
      </div>
    </Dialog>
  )
}

/** How much of the day was done by keyboard. */
function Share() {
  const { byKey, all } = shareByKey(useToday())
  if (all === 0) return null
  return (
    <span className="ml-auto text-soft">
      today {Math.round((byKey / all) * 100)} % by keyboard, {byKey} of {all}
    </span>
  )
}
