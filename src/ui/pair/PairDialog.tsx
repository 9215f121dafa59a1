import { useMemo, useState } from 'react'
import { appOf } from '@/apps/list'
import { byUse, title, window as windowOf } from '@/core/model/selectors'
import type { Window, WindowId } from '@/core/model/types'
import type { Shelf } from '@/store/shelf'
import { useShelf } from '@/store/useShelf'
import { Dialog } from '@/ui/parts/Dialog'
import { Keys } from '@/ui/parts/Keys'
import { Kite } from '@/ui/parts/Kite'

/** How many windows the short list has; more are found by typing. */
const MOST = 8

/** The second window of a pair: the latest used first, a digit or Enter picks, letters narrow. */
export function PairDialog({ id }: { id: WindowId }) {
  const shelf = useShelf()
  const state = shelf.state()
  const [typed, setTyped] = useState('')
  const [at, setAt] = useState(0)
  const others = useMemo(() => candidates(shelf, id), [id, shelf])
  const wanted = typed.trim().toLowerCase()
  const shown = others
    .filter((one) => title(state, one).toLowerCase().includes(wanted))
    .slice(0, MOST)
  const pick = (one: Window | undefined) => {
    if (!one) return
    shelf.closeView()
    shelf.dispatch('window.pair', { window: id, with: one.id }, 'key')
  }
  return (
    <Dialog title={`Pair “${title(state, windowOf(state, id))}” with…`} width={480}>
      <input
        autoFocus
        role="combobox"
        aria-expanded="true"
        aria-controls="pair-list"
        aria-activedescendant={shown[at] ? `pair-${shown[at].id}` : undefined}
        aria-label="Window to pair with"
        className="field mt-3 w-full"
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value)
          setAt(0)
        }}
        onKeyDown={(event) => {
          const { key } = event
          if (key === 'ArrowDown') setAt(Math.min(at + 1, shown.length - 1))
          else if (key === 'ArrowUp') setAt(Math.max(at - 1, 0))
          else if (key === 'Enter') pick(shown[at])
          else if (!typed && /^[1-8]$/.test(key)) pick(shown[Number(key) - 1])
          else return
          event.preventDefault()
        }}
      />
      <div id="pair-list" role="listbox" aria-label="Windows" className="mt-2">
        {shown.map((one, index) => {
          const lives = state.desktops[one.desktop]
          const Glyph = appOf(shelf, one.app)?.glyph
          return (
            // biome-ignore lint/a11y/useKeyWithClickEvents: the field above has the keys
            <div
              key={one.id}
              id={`pair-${one.id}`}
              role="option"
              tabIndex={-1}
              aria-selected={index === at}
              className="flex min-h-8 items-center gap-2.5 px-2 aria-selected:bg-ink/10 aria-selected:shadow-[inset_2px_0_0_var(--ink)]"
              onClick={() => pick(one)}
            >
              <Keys keys={String(index + 1)} />
              {Glyph ? <Glyph size={16} aria-hidden /> : null}
              <span className="min-w-0 flex-1 truncate" title={title(state, one)}>
                {title(state, one)}
              </span>
              {lives ? <Kite hue={lives.hue} letter={lives.letter} width={17} /> : null}
            </div>
          )
        })}
      </div>
      {shown.length === 0 ? <p className="px-2 text-soft">No window is called that.</p> : null}
    </Dialog>
  )
}

/** Windows that can share a desktop: those with no largest size that fill none yet. */
function candidates(shelf: Shelf, id: WindowId): Window[] {
  const state = shelf.state()
  return byUse(state).filter(
    (one) =>
      one.id !== id &&
      !one.limits.maxWidth &&
      !one.limits.maxHeight &&
      (one.desktop === 'every' || state.desktops[one.desktop]?.kind === 'open'),
  )
}
