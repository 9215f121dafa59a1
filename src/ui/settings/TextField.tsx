import { useState } from 'react'

/** A text to type; it is taken when it is done. */
export function TextField({
  longest,
  value,
  onSet,
  ...by
}: {
  id: string
  longest: number
  value: string
  onSet: (value: string) => void
  'aria-labelledby': string
  'aria-describedby': string
}) {
  // Nothing is being typed: what it is set to is shown, whoever set it.
  const [being, setBeing] = useState<string | null>(null)
  const take = () => {
    setBeing(null)
    if (being !== null && being !== value) onSet(being)
  }
  return (
    <input
      {...by}
      className="field mt-1.5 w-72"
      maxLength={longest}
      value={being ?? value}
      onChange={(event) => setBeing(event.target.value)}
      onBlur={take}
      onKeyDown={({ key }) => (key === 'Enter' ? take() : undefined)}
    />
  )
}
