import { type ReactNode, useState } from 'react'

/**
 * The stitched edge of what is chosen. Selectors that look into elements (`:has`) are not used
 * for it: with them every focus would be looked for in the whole page.
 */
const edge = (chosen: boolean): string =>
  `focus-within:outline-2 focus-within:outline-ink ${
    chosen ? 'border-2 border-ink border-dashed' : 'border-seam'
  }`

/** Several things of which one is chosen, each drawn as it will look. */
export function Choices<T extends string | number>({
  name,
  of,
  chosen,
  onChoose,
  children,
  className,
  each,
  says = String,
}: {
  name: string
  of: readonly T[]
  chosen: T
  onChoose(choice: T): void
  children(choice: T): ReactNode
  /** How they stand together, and how large each is. */
  className: string
  each: string
  says?: (choice: T) => string
}) {
  return (
    <div role="radiogroup" aria-label={name} className={className}>
      {of.map((choice) => (
        <label
          key={choice}
          title={says(choice)}
          className={`grid place-items-center border ${edge(choice === chosen)} ${each}`}
        >
          <input
            type="radio"
            name={name}
            aria-label={says(choice)}
            className="sr-only"
            checked={choice === chosen}
            onChange={() => onChoose(choice)}
          />
          {children(choice)}
        </label>
      ))}
    </div>
  )
}

/** A part of the panel under its name. */
export function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section aria-label={name} className="mt-4 first:mt-0">
      <h3 className="mb-1.5 font-semibold">{name}</h3>
      {children}
    </section>
  )
}

/** A number set by a slider, told beside it. What is dragged is one step, when it is let go. */
export function Slider({
  name,
  value,
  least,
  most,
  unit,
  onSet,
}: {
  name: string
  value: number
  least: number
  most: number
  unit: string
  onSet(value: number): void
}) {
  const [held, setHeld] = useState<number | null>(null)
  const take = () => {
    if (held !== null && held !== value) onSet(held)
    setHeld(null)
  }
  const shown = held ?? value
  return (
    <label className="flex items-center gap-3">
      <span className="w-20 shrink-0 text-soft">{name}</span>
      <input
        type="range"
        className="min-w-0 flex-1"
        aria-label={name}
        min={least}
        max={most}
        value={shown}
        onChange={(event) => setHeld(Number(event.target.value))}
        onPointerUp={take}
        onKeyUp={take}
        onBlur={take}
      />
      <span className="w-14 shrink-0 text-right font-mono tabular-nums">
        {shown}
        {unit}
      </span>
    </label>
  )
}
