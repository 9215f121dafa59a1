import { useEffect } from 'react'
import { appOf } from '@/apps/list'
import { shareByKey } from '@/core/journal/share'
import { cardGroups, keyCard } from '@/core/keys/card'
import { cardIntro } from '@/core/keys/markdown'
import { useToday } from '@/store/journal'
import { useArrangement, useShelf } from '@/store/useShelf'
import { CommandButton } from '@/ui/parts/CommandButton'
import { Dialog } from '@/ui/parts/Dialog'
import { KeyGroups } from '@/ui/parts/KeyGroups'

/** All keys on one page, made from the bindings as they are now. */
export function KeyCard({ print = false }: { print?: boolean }) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const card = keyCard(state, (id) => appOf(shelf, id)?.name ?? id)
  useEffect(() => {
    if (print) window.print()
  }, [print])
  return (
    <Dialog title="Keys" intro={cardIntro(state.settings.keys)} width={1600} printed>
      {/* Reached and scrolled by keys where the screen is too low for it. */}
      <section
        aria-label="All keys"
        tabIndex={0}
        className="card-sheet mt-2 max-h-[calc(100vh-176px)] overflow-auto outline-none"
      >
        <KeyGroups
          groups={cardGroups(card)}
          className="columns-5 max-[1150px]:columns-4 max-[900px]:columns-3 min-[1600px]:columns-6"
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
