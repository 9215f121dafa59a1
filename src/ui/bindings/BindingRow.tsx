import { Plus, X } from 'lucide-react'
import type { Bindable } from '@/core/card/bindable'
import { asPressed } from '@/core/keys/sets'
import { Keys } from '@/parts/Keys'
import { useShelf } from '@/store/useShelf'
import { Press } from './Press'
import { useBack } from './useBack'

/** A command with the keys it has; each can be taken away, and others given. */
export function BindingRow({
  row,
  pressing,
  onPress,
}: {
  row: Bindable
  pressing: boolean
  onPress(wanted: boolean): void
}) {
  const shelf = useShelf()
  const { title, keys, command, place } = row
  const button = useBack(pressing)
  return (
    <li className="border-seam border-b border-dashed py-1.5 last:border-0" data-command={command}>
      <div className="flex items-center gap-2">
        <span className="min-w-0 flex-1">{title}</span>
        <span className="flex flex-col items-end gap-1">
          {keys.map(({ keys: one, own }) => (
            <span key={one} className="flex items-center gap-1">
              {own ? <span className="text-[11px] text-soft">own</span> : null}
              <Keys keys={place ? one : asPressed(one, shelf.state())} />
              <button
                type="button"
                className="grid size-5 place-items-center text-soft hover:text-ink"
                aria-label={`Take ${one} away from ${title}`}
                onClick={() =>
                  shelf.dispatch('keys.unbind', { keys: one, ...(place && { place }) }, 'key')
                }
              >
                <X size={12} aria-hidden />
              </button>
            </span>
          ))}
        </span>
        <button
          ref={button}
          type="button"
          className="grid size-6 shrink-0 place-items-center border border-seam hover:border-ink"
          aria-label={`Keys for ${title}`}
          aria-expanded={pressing}
          onClick={() => onPress(!pressing)}
        >
          <Plus size={13} aria-hidden />
        </button>
      </div>
      {pressing ? <Press row={row} onDone={() => onPress(false)} /> : null}
    </li>
  )
}
