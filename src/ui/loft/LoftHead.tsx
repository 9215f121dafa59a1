import { legible } from '@/core/card/card'
import { Hint, Keys } from '@/parts/Keys'
import { useArrangement, useShelf } from '@/store/useShelf'
import type { Acts } from '@/ui/keys/usePlaceKeys'
import { loftKeys } from './acting'

const SIZES = [
  ['loft:larger', 'Larger windows'],
  ['loft:smaller', 'Smaller windows'],
  ['loft:fit', 'As large as fits'],
] as const

/** Above the shelves: the filter, how they are grouped, how much there is, and the way back. */
export function LoftHead({
  filter,
  onFilter,
  onShelves,
  by,
  marked,
  acts,
  fits,
  bench,
}: {
  filter: string | null
  onFilter(filter: string | null): void
  onShelves(): void
  by: 'desktop' | 'app'
  marked: number
  acts: Acts
  fits: boolean
  /** Whether the bench is there. */
  bench: boolean
}) {
  const shelf = useShelf()
  const desktops = useArrangement((state) => state.order.length)
  const state = useArrangement((now) => now)
  const keysOf = (act: string) => loftKeys(state, act)
  const windows = useArrangement((state) => Object.keys(state.windows).length)
  return (
    <header className="sticky top-0 z-20 -mx-4 flex h-11 items-center gap-4 bg-ground px-4">
      <h2 className="font-bold font-display text-[17px]">Loft</h2>
      {filter === null ? (
        <button type="button" className="head-tool" onClick={() => onFilter('')}>
          <Hint keys={keysOf('loft:filter')}>filter</Hint>
        </button>
      ) : (
        <input
          id="loft-filter"
          // biome-ignore lint/a11y/noAutofocus: it was just asked for
          autoFocus
          aria-label="Filter"
          className="field w-52"
          value={filter}
          onChange={(event) => onFilter(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Escape') onFilter(null)
            else if (event.key === 'Enter' || event.key === 'ArrowDown') onShelves()
            else return
            event.preventDefault()
            event.stopPropagation()
          }}
        />
      )}
      <button
        type="button"
        className="head-tool"
        onClick={() => shelf.dispatch('loft.byApp', {}, 'key')}
      >
        <Hint keys={keysOf('loft.byApp')}>by {by === 'app' ? 'desktop' : 'app'}</Hint>
      </button>
      <fieldset className="flex items-center gap-1.5 text-soft max-[1100px]:hidden">
        <legend className="sr-only">Size of windows</legend>
        {SIZES.map(([act, name]) => (
          <button
            key={act}
            type="button"
            className="head-tool"
            aria-label={name}
            aria-pressed={act === 'loft:fit' ? fits : undefined}
            onClick={acts[act]}
          >
            <Keys keys={legible(keysOf(act) ?? name)} />
          </button>
        ))}
        <span aria-hidden>size{fits ? ', as fits' : ''}</span>
      </fieldset>
      <span role="status" className="min-w-0 truncate text-soft">
        {desktops} desktops · {windows} windows
        {marked ? ` · ${marked} marked: a letter sends them` : ''}
      </span>
      <button
        type="button"
        className="head-tool ml-auto"
        aria-pressed={bench}
        onClick={acts['loft:bench']}
      >
        <Hint keys={keysOf('loft:bench')}>bench</Hint>
      </button>
      <button type="button" className="head-tool" onClick={shelf.closeLoft}>
        <Hint keys={keysOf('loft:leave')}>back</Hint>
      </button>
    </header>
  )
}
