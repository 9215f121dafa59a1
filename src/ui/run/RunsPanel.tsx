import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react'
import { type FormEvent, useEffect, useRef, useState } from 'react'
import type { Run, Stop } from '@/core/model/kinds/run'
import { currentId, focusId } from '@/core/model/selectors'
import { desktopOf, isThere, stopName } from '@/core/runs/runs'
import { Kite } from '@/parts/Kite'
import { PanelSection } from '@/parts/PanelSection'
import { SidePanel } from '@/parts/SidePanel'
import { Tool } from '@/parts/Tool'
import { useArrangement, useShelf } from '@/store/useShelf'
import { forgetNote, keepNote, leaveNote } from './leftNotes'

/** Walks through desktops and windows: made, put in order, with notes, and started. */
export function RunsPanel() {
  const runs = useArrangement((state) => state.runs)
  const [chosen, setChosen] = useState<string | null>(null)
  const run = runs.find(({ id }) => id === chosen) ?? runs.at(-1)
  return (
    <SidePanel title="Runs">
      <p className="mt-1 text-soft">
        A run walks through desktops and windows in order, with nothing else in sight: to present,
        or to record.
      </p>
      <Make onMade={() => setChosen(null)} />
      {run && runs.length > 1 ? (
        <select
          aria-label="Run"
          className="field mt-3 w-full"
          value={run.id}
          onChange={(event) => setChosen(event.target.value)}
        >
          {runs.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      ) : null}
      {run ? <One key={run.id} run={run} /> : null}
    </SidePanel>
  )
}

function Make({ onMade }: { onMade(): void }) {
  const shelf = useShelf()
  const [name, setName] = useState('')
  const make = (event: FormEvent) => {
    event.preventDefault()
    if (!shelf.dispatch('run.make', { name }, 'key').ok) return
    setName('')
    onMade()
  }
  return (
    <form className="mt-3 flex gap-2" onSubmit={make}>
      <input
        aria-label="Name of a new run"
        placeholder="Morning briefing"
        className="field min-w-0 flex-1"
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <button type="submit" className="btn">
        Make
      </button>
    </form>
  )
}

function One({ run }: { run: Run }) {
  const shelf = useShelf()
  const window = useArrangement(focusId)
  const start = (command: string) => {
    shelf.closeView()
    shelf.dispatchAny(command, { run: run.id }, 'key')
  }
  return (
    <PanelSection name={run.name}>
      <div className="mt-3 flex gap-2">
        <button type="button" className="btn btn-main" onClick={() => start('run.start')}>
          Start
        </button>
        <button type="button" className="btn" onClick={() => start('run.record')}>
          Record
        </button>
        <button
          type="button"
          className="btn ml-auto"
          onClick={() => shelf.dispatch('run.remove', { run: run.id }, 'key')}
        >
          Remove
        </button>
      </div>
      <ol className="mt-2">
        {run.stops.map((stop, at) => (
          <Row key={stop.id} run={run} stop={stop} at={at} />
        ))}
      </ol>
      <div className="mt-3 flex gap-2">
        <button
          type="button"
          className="btn"
          onClick={() =>
            shelf.dispatch('run.add', { run: run.id, desktop: currentId(shelf.state()) }, 'key')
          }
        >
          Add this desktop
        </button>
        <button
          type="button"
          className="btn"
          disabled={!window}
          onClick={() => shelf.dispatch('run.add', { run: run.id, window: window ?? '' }, 'key')}
        >
          Add this window
        </button>
      </div>
      <label className="mt-3 flex items-center gap-2">
        <input
          type="checkbox"
          checked={run.back}
          onChange={() => shelf.dispatch('run.ends', { run: run.id }, 'key')}
        />
        at the end, back to where it began
      </label>
    </PanelSection>
  )
}

function Row({ run, stop, at }: { run: Run; stop: Stop; at: number }) {
  const shelf = useShelf()
  const name = useArrangement((state) => stopName(state, stop))
  const there = useArrangement((state) => isThere(state, stop))
  const lives = useArrangement((state) => state.desktops[desktopOf(state, stop)])
  const move = (by: number) => shelf.dispatch('run.move', { run: run.id, stop: stop.id, by }, 'key')
  return (
    <li className="border-seam border-b border-dashed py-1.5 last:border-0">
      <span className="flex items-center gap-1.5">
        <span aria-hidden className="w-5 shrink-0 text-right font-mono text-[11px] text-soft">
          {at + 1}
        </span>
        <Kite hue={lives?.hue ?? 'slate'} letter={lives?.letter ?? null} width={16} />
        <span
          dir="auto"
          title={there ? name : `${name} no longer exists and will be skipped`}
          className={`min-w-0 flex-1 truncate ${there ? '' : 'text-soft line-through'}`}
        >
          {name}
        </span>
        <Tool label={`Earlier: ${name}`} disabled={at === 0} onClick={() => move(-1)}>
          <ArrowUp size={13} aria-hidden />
        </Tool>
        <Tool
          label={`Later: ${name}`}
          disabled={at === run.stops.length - 1}
          onClick={() => move(1)}
        >
          <ArrowDown size={13} aria-hidden />
        </Tool>
        <Tool
          label={`Take out: ${name}`}
          onClick={() => shelf.dispatch('run.drop', { run: run.id, stop: stop.id }, 'key')}
        >
          <Trash2 size={13} aria-hidden />
        </Tool>
      </span>
      <Notes run={run} stop={stop} name={name} />
    </li>
  )
}

/** How long nothing is typed until notes are kept, in milliseconds. */
const PAUSE = 700

/** Kept as they are typed, each pause a step, and however they are left. */
function Notes({ run, stop, name }: { run: Run; stop: Stop; name: string }) {
  const shelf = useShelf()
  const [text, setText] = useState(stop.notes)
  const note = { run: run.id, stop: stop.id, notes: text }
  const keep = useRef(() => {})
  keep.current = () => keepNote(shelf, note)
  // What was undone, or written in another view, is what stands here.
  useEffect(() => setText(stop.notes), [stop.notes])
  // biome-ignore lint/correctness/useExhaustiveDependencies: a pause is counted from the last letter
  useEffect(() => {
    const timer = setTimeout(() => {
      keep.current()
      forgetNote(note)
    }, PAUSE)
    return () => clearTimeout(timer)
  }, [text])
  useEffect(() => {
    const leave = () => keep.current()
    // Before the shelf is written, which hears of it too.
    addEventListener('pagehide', leave, { capture: true })
    return () => {
      removeEventListener('pagehide', leave, { capture: true })
      leave()
    }
  }, [])
  return (
    <textarea
      aria-label={`Notes for ${name}`}
      placeholder="notes"
      rows={text ? 2 : 1}
      maxLength={5000}
      className="field mt-1 ml-6 w-[calc(100%-24px)] resize-y text-[12px]"
      value={text}
      onChange={({ target: { value } }) => {
        setText(value)
        leaveNote({ ...note, notes: value })
      }}
      onBlur={() => keep.current()}
    />
  )
}
