import { useState } from 'react'
import { amountInWords } from '@/core/settings/choices'
import type { Amount } from '@/core/settings/table'

/** A number to type, or one of those that are offered. What is out of bounds is told, not taken. */
export function AmountField({
  setting,
  value,
  onSet,
  ...by
}: {
  id?: string
  setting: Amount
  value: number
  onSet: (value: number) => void
  'aria-label'?: string
  'aria-labelledby'?: string
  'aria-describedby'?: string
}) {
  // Nothing is being typed: what it is set to is shown, whoever set it.
  const [being, setBeing] = useState<string | null>(null)
  const typed = being ?? String(value)
  const { least, most, unit } = setting
  const number = Number(typed)
  const good = /^\d+$/.test(typed.trim()) && number >= least && number <= most
  const take = () => {
    if (!good) return
    setBeing(null)
    if (number !== value) onSet(number)
  }
  return (
    <div className="mt-1.5">
      <div className="flex flex-wrap items-center gap-1.5">
        <input
          {...by}
          inputMode="numeric"
          className="field w-16 text-right font-mono tabular-nums"
          aria-invalid={!good}
          value={typed}
          onChange={(event) => setBeing(event.target.value)}
          onBlur={take}
          onKeyDown={({ key }) => (key === 'Enter' ? take() : undefined)}
        />
        <span className="mr-2">{unit[1]}</span>
        {setting.offered.map((offered) => (
          <button
            key={offered}
            type="button"
            className="chip"
            aria-pressed={offered === value}
            aria-label={amountInWords(setting, offered)}
            onClick={() => {
              setBeing(null)
              onSet(offered)
            }}
          >
            {offered === 0 ? setting.zero : offered}
          </button>
        ))}
      </div>
      {good ? null : (
        <p role="alert" className="mt-1 text-alarm">
          Type a whole number from {least} to {most}. It is still {amountInWords(setting, value)}.
        </p>
      )}
    </div>
  )
}
