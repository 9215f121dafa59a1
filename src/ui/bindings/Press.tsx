import { type KeyboardEvent, useEffect, useRef, useState } from 'react'
import type { Bindable } from '@/core/card/bindable'
import { WHERE_HEARD, wordsIn } from '@/core/card/card'
import { registry } from '@/core/commands/registry'
import { type Clash, clashes, proposal } from '@/core/keys/clashes'
import { asPressed, asWritten, LEADER } from '@/core/keys/sets'
import { STROKES_MOST } from '@/core/keys/strokes'
import { KEY_PLACES, type KeyPlace } from '@/core/model/kinds/binding'
import type { State } from '@/core/model/state'
import { Keys } from '@/parts/Keys'
import { platform } from '@/parts/platform'
import { useShelf } from '@/store/useShelf'
import { layout } from '@/ui/keys/layout'
import { mouseStroke, plainStrokes, strokeOf } from '@/ui/keys/stroke'

/** What keys cannot be bound with. */
const NEVER: Clash['kind'][] = ['malformed', 'typed', 'hidden']

/** What is typed as one writes keys. */
const strokesIn = (typed: string): string[] =>
  typed
    .trim()
    .replace(/^Alt Alt /, 'Alt+')
    .split(/ +/)

/** What speaks against keys, others that are free, and whether they cannot be taken at all. */
function judged(
  state: State,
  { command, args }: Bindable,
  keys: string,
  place: KeyPlace | undefined,
): { against: Clash[]; free: string | null; never: boolean } {
  const named = (other: { command: string; args?: Record<string, unknown> }) =>
    (place && wordsIn(place, other.command, other.args)) ||
    (registry.get(other.command)?.title ?? other.command).replace(/…$/, '')
  const asked = { keys, place, command, args, platform: platform(), named }
  const against = keys ? clashes(state, asked) : []
  return {
    against,
    free: against.length > 0 ? proposal(state, asked) : null,
    never: against.some(({ kind }) => NEVER.includes(kind)),
  }
}

/** Hears keys for a command, tells what speaks against them, and binds them. */
export function Press({ row, onDone }: { row: Bindable; onDone(): void }) {
  const shelf = useShelf()
  const [pressed, setPressed] = useState<string[]>([])
  const place = useRef<HTMLDivElement>(null)
  const [where, setWhere] = useState(row.place)
  const [typed, setTyped] = useState('')
  useEffect(() => place.current?.focus(), [])
  const state = shelf.state()
  const strokes = typed.trim() ? strokesIn(typed) : pressed
  const keys = where ? strokes.join(' ') : asWritten(strokes, state)
  const { against, free, never } = judged(state, row, keys, where)
  const take = (what: string) => {
    const { command, args } = row
    const given = { keys: what, ...(where && { place: where }), command, args }
    if (shelf.dispatch('keys.bind', given, 'key').ok) onDone()
  }
  const hear = (event: KeyboardEvent) => {
    const stroke = where
      ? (plainStrokes(event.nativeEvent, layout(shelf))[0] ?? null)
      : strokeOf(event.nativeEvent, layout(shelf))
    if (stroke === null || stroke === 'Tab' || stroke === 'Shift+Tab') return
    event.preventDefault()
    event.stopPropagation()
    if (stroke === 'Escape') return onDone()
    if (stroke === 'Backspace') return setPressed(pressed.slice(0, -1))
    if (stroke === 'Enter') return keys && !never ? take(keys) : undefined
    setTyped('')
    const most = pressed[0] === LEADER ? STROKES_MOST + 1 : STROKES_MOST
    setPressed(pressed.length < most ? [...pressed, stroke] : [stroke])
  }
  return (
    <div className="mt-1.5 border-2 border-ink border-dashed p-2">
      <div
        role="textbox"
        data-own-escape=""
        aria-label={`Keys for ${row.title}`}
        tabIndex={0}
        ref={place}
        className="flex min-h-7 items-center outline-none"
        onKeyDown={hear}
        onMouseDown={(event) => {
          const stroke = mouseStroke(event)
          if (!stroke) return
          event.preventDefault()
          event.stopPropagation()
          setTyped('')
          setPressed([stroke])
        }}
      >
        {keys ? (
          <Keys keys={strokes.join(' ')} />
        ) : (
          <span className="text-soft">press keys, or a mouse button…</span>
        )}
      </div>
      <div role="status" className="mt-1">
        {against.map(({ kind, why }) => (
          <p key={kind} className="text-alarm">
            {why}
          </p>
        ))}
      </div>
      <input
        aria-label={`Keys for ${row.title}, typed`}
        placeholder="or type them, such as Alt+G A"
        className="field mt-1.5 h-7 w-full"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return
          event.preventDefault()
          if (keys && !never) take(keys)
        }}
      />
      <div className="mt-1.5 flex flex-wrap items-center justify-end gap-2">
        {row.place ? null : (
          <WhereHeard
            where={where}
            onChange={(to) => {
              setPressed([])
              setWhere(to)
              place.current?.focus()
            }}
          />
        )}
        {free ? (
          <button type="button" className="btn" onClick={() => take(free)}>
            Available nearby: <Keys keys={where ? free : asPressed(free, state)} />
          </button>
        ) : null}
        <button type="button" className="btn" onClick={onDone}>
          Leave <Keys keys="Esc" />
        </button>
        <button
          type="button"
          className="btn btn-main"
          disabled={!keys || never}
          onClick={() => take(keys)}
        >
          {against.some(({ kind }) => kind === 'taken') ? 'Reassign' : 'Bind'} <Keys keys="Enter" />
        </button>
      </div>
    </div>
  )
}

/** Whether keys are heard everywhere or in one view only. */
function WhereHeard({
  where,
  onChange,
}: {
  where: KeyPlace | undefined
  onChange(where: KeyPlace | undefined): void
}) {
  return (
    <label className="flex items-center gap-1.5">
      heard
      <select
        className="field h-7"
        value={where ?? ''}
        onChange={({ target }) => onChange((target.value || undefined) as KeyPlace | undefined)}
      >
        <option value="">everywhere</option>
        {KEY_PLACES.map((one) => (
          <option key={one} value={one}>
            {WHERE_HEARD[one]}
          </option>
        ))}
      </select>
    </label>
  )
}
