import type { FormEvent } from 'react'
import { dealing } from '@/core/commands/desktops/letters'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import { Kite } from '@/parts/Kite'
import { LongList } from '@/parts/LongList'
import { useArrangement, useShelf } from '@/store/useShelf'

/** What dealing the call letters again would change, before it does. */
export function DealDialog() {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const changes = dealing(state)
  const chosen = Object.values(state.desktops).filter(({ letterByHand }) => letterByHand).length
  const kept = state.order.length - changes.length
  return (
    <Dialog
      title="Reassign call letters"
      intro={`By their names, ignoring current letters. ${kept} keep theirs${
        chosen ? `, ${chosen} of them since you chose it` : ''
      }.`}
      width={460}
    >
      <form
        onSubmit={(event: FormEvent) => {
          event.preventDefault()
          if (shelf.dispatch('letters.deal', {}, 'key').ok) shelf.closeView()
        }}
      >
        <LongList label="Changes" className="mt-3 max-h-[46vh]">
          {changes.map(({ desktop: { id, name, hue, letter }, to }) => (
            <li
              key={id}
              className="flex items-center gap-2.5 border-seam border-b border-dashed py-1.5 last:border-0"
            >
              <Kite hue={hue} letter={letter} width={22} />
              <span aria-hidden>→</span>
              <Kite hue={hue} letter={to} filled width={22} />
              <span className="sr-only">{`${letter ?? 'no letter'} becomes ${to ?? 'no letter'}: `}</span>
              <span dir="auto" title={name} className="min-w-0 truncate">
                {name}
              </span>
            </li>
          ))}
        </LongList>
        <Answers ready>Reassign</Answers>
      </form>
    </Dialog>
  )
}
