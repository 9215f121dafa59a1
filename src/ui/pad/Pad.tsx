import { type KeyboardEvent, useEffect, useRef, useState } from 'react'
import { PAD, spanOf } from '@/core/geometry/pad'
import { window as windowOf } from '@/core/model/selectors'
import type { WindowId } from '@/core/model/types'
import { closeView, dispatch, getState, useShelf } from '@/store/shelf'

const STEP = 24

/** The desktop ruled 3×3: one letter places the window into that ninth, a second spans to there. */
export function Pad() {
  const id = useShelf(({ view }) => (view?.view === 'pad' ? view.window : null))
  return id ? <Ruled id={id} /> : null
}

function Ruled({ id }: { id: WindowId }) {
  const [first, setFirst] = useState<number | null>(null)
  // All of one visit is one step of undo.
  const [visit] = useState(() => `pad ${crypto.getRandomValues(new Uint32Array(1))}`)
  const pad = useRef<HTMLDivElement>(null)
  useEffect(() => pad.current?.focus(), [])
  const run = (command: string, args: object = {}) =>
    dispatch(command, { window: id, ...args }, 'key', visit)
  const choose = (cell: number) => {
    run('window.place', spanOf(first ?? cell, cell))
    if (first === null) setFirst(cell)
    else closeView()
  }
  const step = (dx: number, dy: number, grow: boolean) => {
    const { x, y, width, height } = windowOf(getState(), id).frame
    if (grow)
      run('window.resize', { width: Math.max(1, width + dx), height: Math.max(1, height + dy) })
    else run('window.move', { x: x + dx, y: y + dy })
  }
  const keys = (event: KeyboardEvent) => {
    const { key, shiftKey } = event
    const cell = PAD.indexOf(key.toUpperCase())
    const steps: Record<string, [number, number]> = {
      ArrowLeft: [-STEP, 0],
      ArrowRight: [STEP, 0],
      ArrowUp: [0, -STEP],
      ArrowDown: [0, STEP],
    }
    const by = steps[key]
    if (by) step(...by, shiftKey)
    else if (cell >= 0 && key.length === 1) choose(cell)
    else if (key.toUpperCase() === 'F') {
      run('window.maximise')
      closeView()
    } else if (key === 'Escape' || key === 'Enter') closeView()
    else return
    event.preventDefault()
  }
  return (
    <div
      ref={pad}
      role="dialog"
      aria-label="Pad"
      tabIndex={-1}
      className="absolute inset-0 z-[2147483002] grid grid-cols-3 grid-rows-3 gap-2 p-2 outline-none"
      onKeyDown={keys}
      onBlur={(event) => event.currentTarget.contains(event.relatedTarget) || closeView()}
    >
      {[...PAD].map((letter, cell) => (
        <button
          key={letter}
          type="button"
          tabIndex={-1}
          aria-label={`Place at ${letter}`}
          className={`border-2 border-dashed p-2 text-left hover:bg-ink/10 ${
            first === cell ? 'border-ink bg-ink/15' : 'border-ink/60'
          }`}
          onPointerDown={(event) => event.preventDefault()}
          onClick={() => choose(cell)}
        >
          <span className="inline-grid size-9 place-items-center border border-ink bg-panel font-bold font-mono text-lg">
            {letter}
          </span>
        </button>
      ))}
      <p className="-translate-x-1/2 absolute bottom-5 left-1/2 border border-edge bg-panel px-3 py-1">
        {first === null ? 'A letter places' : 'Another letter spans to there, Enter keeps'} · arrows
        step · Shift and arrows grow · <b>F</b> fills · Escape leaves
      </p>
    </div>
  )
}
