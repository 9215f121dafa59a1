import { closeLoft, useArrangement } from '@/store/shelf'
import { Keys } from '@/ui/parts/Keys'

const SIZE_KEYS = [
  ['+', 'Larger windows'],
  ['-', 'Smaller windows'],
  ['0', 'As large as fits'],
] as const

/** Above the shelves: the filter, how they are grouped, how much there is, and the way back. */
export function LoftHead({
  filter,
  onFilter,
  onShelves,
  by,
  onGroup,
  marked,
  sizes,
  fits,
}: {
  filter: string | null
  onFilter(filter: string | null): void
  onShelves(): void
  by: 'desktop' | 'app'
  onGroup(): void
  marked: number
  /** What changes how large windows are drawn, by its key. */
  sizes: Record<string, () => void>
  fits: boolean
}) {
  const desktops = useArrangement((state) => state.order.length)
  const windows = useArrangement((state) => Object.keys(state.windows).length)
  return (
    <header className="sticky top-0 z-20 -mx-4 flex h-11 items-center gap-4 bg-ground px-4">
      <h2 className="font-bold font-display text-[17px]">Loft</h2>
      {filter === null ? (
        <button type="button" className="head-tool" onClick={() => onFilter('')}>
          <Keys keys="/" /> filter
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
      <button type="button" className="head-tool" onClick={onGroup}>
        <Keys keys="; G" /> by {by === 'app' ? 'desktop' : 'app'}
      </button>
      <fieldset className="flex items-center gap-1.5 text-soft max-[1100px]:hidden">
        <legend className="sr-only">Size of windows</legend>
        {SIZE_KEYS.map(([key, name]) => (
          <button
            key={key}
            type="button"
            className="head-tool"
            aria-label={name}
            aria-pressed={key === '0' ? fits : undefined}
            onClick={sizes[key]}
          >
            <Keys keys={key} />
          </button>
        ))}
        <span aria-hidden>size{fits ? ', as fits' : ''}</span>
      </fieldset>
      <span role="status" className="min-w-0 truncate text-soft">
        {desktops} desktops · {windows} windows
        {marked ? ` · ${marked} marked: a letter sends them` : ''}
      </span>
      <button type="button" className="head-tool ml-auto" onClick={closeLoft}>
        <Keys keys="Escape" /> back
      </button>
    </header>
  )
}
