import { Command } from 'cmdk'
import { type ReactNode, useMemo, useState } from 'react'
import { allApps, appOf } from '@/apps/list'
import type { Found } from '@/core/finding/find'
import { partners } from '@/core/finding/partners'
import { rank } from '@/core/finding/rank'
import type { WindowId } from '@/core/model/ids'
import { title, window as windowOf } from '@/core/model/selectors'
import type { State } from '@/core/model/state'
import { Dialog } from '@/parts/Dialog'
import { Keys } from '@/parts/Keys'
import { Kite } from '@/parts/Kite'
import { useShelf } from '@/store/useShelf'

/** How many windows the short list has; more are found by typing. */
const MOST = 8

/** The second window of a pair: those beside it first, then the latest used; a digit or Enter picks, words narrow. */
export function PairDialog({ id }: { id: WindowId }) {
  const shelf = useShelf()
  const [state] = useState(shelf.state)
  const [typed, setTyped] = useState('')
  const all = useMemo(() => partners(state, allApps(state.apps), id), [id, state])
  const shown = (typed.trim() ? rank(all, typed) : all).slice(0, MOST)
  const pick = (found: Found | undefined) => {
    if (!found) return
    shelf.closeView()
    shelf.dispatch('window.pair', { window: id, with: found.id }, 'key')
  }
  return (
    <Dialog title={`Pair “${title(state, windowOf(state, id))}” with…`} width={480}>
      <Command
        label="Window to pair with"
        shouldFilter={false}
        loop
        onKeyDown={(event) => {
          const { key, altKey, ctrlKey, metaKey } = event
          if (typed || altKey || ctrlKey || metaKey || !/^[1-8]$/.test(key)) return
          event.preventDefault()
          pick(shown[Number(key) - 1])
        }}
      >
        <Command.Input
          autoFocus
          className="field mt-3 w-full"
          placeholder="a window, by its title, app or desktop"
          value={typed}
          onValueChange={setTyped}
        />
        <Command.List label="Windows" className="mt-2">
          {shown.map((found, at) => (
            <Partner key={found.id} found={found} state={state} onPick={pick}>
              {/* While one types a digit is part of it. */}
              {typed ? null : <Keys keys={String(at + 1)} />}
            </Partner>
          ))}
        </Command.List>
      </Command>
      {shown.length === 0 ? (
        <p className="px-2 text-soft">No window matches. Try fewer or other words.</p>
      ) : null}
    </Dialog>
  )
}

function Partner({
  found,
  state,
  onPick,
  children,
}: {
  found: Found
  state: State
  onPick(found: Found): void
  children: ReactNode
}) {
  const shelf = useShelf()
  const lives = state.desktops[found.desktop ?? '']
  const Glyph = appOf(shelf, found.app ?? '')?.glyph
  return (
    <Command.Item
      value={found.id}
      onSelect={() => onPick(found)}
      className="flex min-h-8 items-center gap-2.5 px-2 aria-selected:bg-ink/10 aria-selected:shadow-[inset_2px_0_0_var(--ink)]"
    >
      {children}
      {Glyph ? <Glyph size={16} aria-hidden /> : null}
      <span dir="auto" className="min-w-0 flex-1 truncate text-left" title={found.title}>
        {found.title}
      </span>
      {lives ? <Kite hue={lives.hue} letter={lives.letter} width={17} /> : null}
    </Command.Item>
  )
}
