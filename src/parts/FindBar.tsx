import { ALargeSmall, ChevronDown, ChevronUp, WholeWord, X } from 'lucide-react'
import { type KeyboardEvent, useEffect, useRef } from 'react'
import type { Asked, Count } from './finding'
import { Tool } from './Tool'

/** Finding in an app, the same in each of them; where it can be, other words are put instead. */
export function FindBar({
  label,
  asked,
  onAsk,
  count,
  onStep,
  onClose,
  replace,
}: {
  label: string
  asked: Asked
  onAsk(asked: Asked): void
  count: Count
  onStep(by: 1 | -1): void
  /** Escape: the keys go back to what was found. */
  onClose(): void
  replace?: { one(): void; all(): void }
}) {
  const field = useRef<HTMLInputElement>(null)
  useEffect(() => field.current?.select(), [])
  const keys = (event: KeyboardEvent) => {
    if (event.key === 'Escape') onClose()
    else if (event.key === 'Enter' && event.target === field.current)
      onStep(event.shiftKey ? -1 : 1)
    else if (event.key === 'Enter' && event.target instanceof HTMLInputElement) replace?.one()
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  const set = (change: Partial<Asked>) => onAsk({ ...asked, ...change })
  const none = count.of === 0
  return (
    <search className="bar flex-wrap gap-1.5" onKeyDown={keys}>
      <input
        ref={field}
        type="search"
        aria-label={label}
        placeholder="find"
        className="field min-h-7 w-28 min-w-0 max-w-80 flex-1"
        value={asked.text}
        onChange={(event) => set({ text: event.target.value })}
      />
      <span role="status" className="shrink-0 font-mono text-[11px] text-soft">
        {asked.text === '' ? '' : none ? 'no matches' : `${count.at || '–'}/${count.of}`}
      </span>
      <Tool label="Previous match, Shift+Enter" disabled={none} onClick={() => onStep(-1)}>
        <ChevronUp size={15} />
      </Tool>
      <Tool label="Next match, Enter" disabled={none} onClick={() => onStep(1)}>
        <ChevronDown size={15} />
      </Tool>
      <Tool
        label="Match case"
        on={asked.caseSensitive}
        onClick={() => set({ caseSensitive: !asked.caseSensitive })}
      >
        <ALargeSmall size={15} />
      </Tool>
      <Tool
        label="Whole words only"
        on={asked.wholeWord}
        onClick={() => set({ wholeWord: !asked.wholeWord })}
      >
        <WholeWord size={15} />
      </Tool>
      {replace ? (
        <>
          <input
            aria-label="Replace with"
            placeholder="replace with"
            className="field min-h-7 w-28 min-w-0 max-w-80 flex-1"
            value={asked.instead}
            onChange={(event) => set({ instead: event.target.value })}
          />
          <Tool label="Replace this match" disabled={none} onClick={replace.one}>
            Replace
          </Tool>
          <Tool label="Replace all matches" disabled={none} onClick={replace.all}>
            All
          </Tool>
        </>
      ) : null}
      <Tool label="Close, Escape" onClick={onClose}>
        <X size={15} />
      </Tool>
    </search>
  )
}
