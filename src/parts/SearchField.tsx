import { Search } from 'lucide-react'

/** Where one types what a panel shall list; how much it found is told to who does not see it. */
export function SearchField({
  label,
  placeholder,
  query,
  onType,
  found,
}: {
  label: string
  placeholder: string
  query: string
  onType(query: string): void
  /** “3 settings” */
  found: string
}) {
  return (
    <>
      <label className="flex items-center gap-2">
        <Search size={15} aria-hidden className="shrink-0 text-soft" />
        <input
          type="search"
          className="field min-w-0 flex-1"
          placeholder={placeholder}
          aria-label={label}
          value={query}
          onChange={(event) => onType(event.target.value)}
        />
      </label>
      <p role="status" className="sr-only">
        {query ? `${found} found` : ''}
      </p>
    </>
  )
}
