import { type KeyboardEvent, useEffect, useRef, useState } from 'react'
import { registry } from '@/core/commands/registry'
import type { Bindable } from '@/core/keys/bindable'
import { asPressed, asWritten, LEADER } from '@/core/keys/bindings'
import { clashes, proposal } from '@/core/keys/clashes'
import type { Platform } from '@/core/keys/kept'
import { STROKES_MOST } from '@/core/keys/strokes'
import { dispatch, getState } from '@/store/shelf'
import { layoutMap } from '@/ui/keys/layout'
import { type Layout, strokeOf } from '@/ui/keys/stroke'
import { Keys } from '@/ui/parts/Keys'

/** The platform, as far as the browser tells. */
function platform(): Platform {
  const told = navigator.userAgent
  if (/Mac|iPhone|iPad/.test(told)) return 'mac'
  return told.includes('Windows') ? 'windows' : 'linux'
}

/** Hears keys for a command, tells what speaks against them, and binds them. */
export function Press({ row, onDone }: { row: Bindable; onDone(): void }) {
  const [pressed, setPressed] = useState<string[]>([])
  const place = useRef<HTMLDivElement>(null)
  const layout = useRef<Layout>(undefined)
  useEffect(() => {
    place.current?.focus()
    void layoutMap().then((map) => {
      layout.current = map
    })
  }, [])
  const state = getState()
  const keys = asWritten(pressed, state)
  const asked = {
    keys,
    command: row.command,
    args: row.args,
    platform: platform(),
    named: ({ command }: { command: string }) =>
      (registry.get(command)?.title ?? command).replace(/…$/, ''),
  }
  const against = keys ? clashes(state, asked) : []
  const free = against.length > 0 ? proposal(state, asked) : null
  const never = against.some(({ kind }) => kind === 'malformed' || kind === 'hidden')
  const take = (what: string) => {
    if (!dispatch('keys.bind', { keys: what, command: row.command, args: row.args }, 'key').ok)
      return
    onDone()
  }
  const hear = (event: KeyboardEvent) => {
    const stroke = strokeOf(event.nativeEvent, layout.current)
    if (stroke === null || stroke === 'Tab' || stroke === 'Shift+Tab') return
    event.preventDefault()
    event.stopPropagation()
    if (stroke === 'Escape') return onDone()
    if (stroke === 'Backspace') return setPressed(pressed.slice(0, -1))
    if (stroke === 'Enter') return keys && !never ? take(keys) : undefined
    const most = pressed[0] === LEADER ? STROKES_MOST + 1 : STROKES_MOST
    setPressed(pressed.length < most ? [...pressed, stroke] : [stroke])
  }
  return (
    <div className="mt-1.5 border-2 border-ink border-dashed p-2">
      <div
        role="textbox"
        data-press=""
        aria-label={`Keys for ${row.title}`}
        tabIndex={0}
        ref={place}
        className="flex min-h-7 items-center outline-none"
        onKeyDown={hear}
      >
        {keys ? <Keys keys={pressed.join(' ')} /> : <span className="text-soft">press keys…</span>}
      </div>
      <div role="status" className="mt-1">
        {against.map(({ kind, why }) => (
          <p key={kind} className="text-alarm">
            {why}
          </p>
        ))}
      </div>
      <div className="mt-1.5 flex flex-wrap items-center gap-2">
        {free ? (
          <button type="button" className="btn" onClick={() => take(free)}>
            Free near by: <Keys keys={asPressed(free, state)} />
          </button>
        ) : null}
        <button type="button" className="btn ml-auto" onClick={onDone}>
          Leave <Keys keys="Esc" />
        </button>
        <button
          type="button"
          className="btn btn-main"
          disabled={!keys || never}
          onClick={() => take(keys)}
        >
          {against.some(({ kind }) => kind === 'taken') ? 'Take them over' : 'Bind'}{' '}
          <Keys keys="Enter" />
        </button>
      </div>
    </div>
  )
}
