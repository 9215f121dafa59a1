import { Play, SkipForward, Trash2 } from 'lucide-react'
import { type FormEvent, type PointerEvent, useEffect, useRef, useState } from 'react'
import { currentId } from '@/core/model/selectors'
import type { Block } from '@/core/model/types'
import { atMinute, blockAt, blocksOf, dayOf } from '@/core/plan/plan'
import { dispatch, useArrangement } from '@/store/shelf'
import { timeOfDay } from '@/ui/parts/Facts'
import { Kite } from '@/ui/parts/Kite'
import { PanelSection } from '@/ui/parts/PanelSection'
import { SidePanel } from '@/ui/parts/SidePanel'
import { usePlanTime } from './usePlan'

/** The blocks of a day, typed or drawn, beside the desktop. */
export function PlanPanel() {
  const now = usePlanTime()
  const plan = useArrangement((state) => state.plan)
  const [ahead, setAhead] = useState(0)
  const day = atMinute(dayOf(now), ahead * 24 * 60 + 12 * 60)
  const blocks = blocksOf(plan, day)
  const on = blockAt(plan, now)
  return (
    <SidePanel title="Plan of the day">
      <div className="mt-1 flex items-center gap-2">
        <button
          type="button"
          className="btn"
          aria-label="The day before"
          onClick={() => setAhead(ahead - 1)}
        >
          ‹
        </button>
        <span role="status" className="flex-1 text-center font-semibold">
          {new Date(day).toLocaleDateString('en', {
            weekday: 'long',
            day: 'numeric',
            month: 'long',
          })}
        </span>
        <button
          type="button"
          className="btn"
          aria-label="The day after"
          onClick={() => setAhead(ahead + 1)}
        >
          ›
        </button>
      </div>
      <Typed day={day} />
      <Strip day={day} blocks={blocks} now={now} />
      <PanelSection name="Blocks">
        {blocks.length === 0 ? (
          <p className="mt-1.5 text-soft">None yet. Type one above, or draw it on the strip.</p>
        ) : null}
        <ol>
          {blocks.map((block) => (
            <Row key={block.id} block={block} on={block === on} />
          ))}
        </ol>
      </PanelSection>
      {ahead === 0 && blocks.length > 0 ? (
        <div className="mt-3 flex gap-2">
          <button type="button" className="btn" onClick={() => dispatch('plan.late', {}, 'key')}>
            All 15 min later
          </button>
          <button
            type="button"
            className="btn"
            onClick={() => dispatch('plan.late', { minutes: -15 }, 'key')}
          >
            Earlier
          </button>
        </div>
      ) : null}
    </SidePanel>
  )
}

function Typed({ day }: { day: number }) {
  const [text, setText] = useState('')
  const add = (event: FormEvent) => {
    event.preventDefault()
    if (dispatch('plan.add', { text, day }, 'key').ok) setText('')
  }
  return (
    <form className="mt-3" onSubmit={add}>
      <input
        // biome-ignore lint/a11y/noAutofocus: it is what the panel is opened for
        autoFocus
        aria-label="A block"
        placeholder="9:30-11 Model"
        className="field w-full"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
    </form>
  )
}

/** Hours the strip shows, and its height for each of them in CSS pixels. */
const FROM = 6
const TO = 22
const HOUR = 22
const HOURS = [6, 8, 10, 12, 14, 16, 18, 20]
/** What is drawn snaps to so many minutes. */
const SNAP = 15

/** The day as a strip: blocks in their hues, the time it is; a block is drawn by dragging down it. */
function Strip({ day, blocks, now }: { day: number; blocks: Block[]; now: number }) {
  const desktops = useArrangement((state) => state.desktops)
  const here = useArrangement(currentId)
  const strip = useRef<HTMLDivElement>(null)
  const [drawn, setDrawn] = useState<[from: number, to: number] | null>(null)
  const [shown, setShown] = useState(now)
  useEffect(() => {
    const timer = setInterval(() => setShown(Date.now()), 60_000)
    return () => clearInterval(timer)
  }, [])
  const midnight = dayOf(day)
  const y = (moment: number) => ((moment - midnight) / 3_600_000 - FROM) * HOUR
  const minute = ({ clientY }: PointerEvent) => {
    const top = strip.current?.getBoundingClientRect().top ?? 0
    const minutes = ((clientY - top) / HOUR + FROM) * 60
    return Math.max(FROM * 60, Math.min(TO * 60, Math.round(minutes / SNAP) * SNAP))
  }
  const end = () => {
    if (drawn && drawn[0] !== drawn[1]) {
      const [from, to] = drawn.toSorted((a, b) => a - b) as [number, number]
      const made = { desktop: here, start: atMinute(midnight, from), end: atMinute(midnight, to) }
      dispatch('plan.put', { blocks: [made] })
    }
    setDrawn(null)
  }
  const box = (from: number, to: number) => {
    const top = Math.max(0, from)
    return { top, height: Math.max(4, Math.min(to, (TO - FROM) * HOUR) - top) }
  }
  return (
    <div
      ref={strip}
      aria-hidden
      title="Drag to plan the current desktop"
      className="relative mt-3 cursor-crosshair touch-none border border-seam bg-ground/60"
      style={{ height: (TO - FROM) * HOUR }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        setDrawn([minute(event), minute(event)])
      }}
      onPointerMove={(event) => drawn && setDrawn([drawn[0], minute(event)])}
      onPointerUp={end}
      onPointerCancel={() => setDrawn(null)}
    >
      {HOURS.map((hour) => (
        <span
          key={hour}
          className="absolute inset-x-0 border-seam border-t border-dashed pl-1 font-mono text-[10px] text-soft leading-none"
          style={{ top: (hour - FROM) * HOUR }}
        >
          {hour}:00
        </span>
      ))}
      {blocks.map(({ id, desktop: of, start, end: until, skipped }) => (
        <span
          key={id}
          className={`absolute right-1 left-12 overflow-hidden border-b border-l-4 border-b-seam bg-panel px-1.5 text-[12px] leading-[18px] hue-${desktops[of]?.hue ?? 'slate'} border-hue ${skipped ? 'line-through opacity-50' : ''}`}
          style={box(y(start), y(until))}
        >
          {desktops[of]?.name}
        </span>
      ))}
      {drawn ? (
        <span
          className="absolute right-1 left-12 border-2 border-ink border-dashed"
          style={box(
            y(atMinute(midnight, Math.min(...drawn))),
            y(atMinute(midnight, Math.max(...drawn))),
          )}
        />
      ) : null}
      {shown >= midnight && shown < midnight + 24 * 3_600_000 ? (
        <span className="absolute inset-x-0 border-alarm border-t-2" style={{ top: y(shown) }} />
      ) : null}
    </div>
  )
}

function Row({ block, on }: { block: Block; on: boolean }) {
  const lives = useArrangement((state) => state.desktops[block.desktop])
  if (!lives) return null
  const { id, start, end, skipped, goes } = block
  const about = `${lives.name} at ${timeOfDay(start)}`
  return (
    <li
      className={`flex items-center gap-2 border-seam border-b border-dashed py-1.5 last:border-0 ${on ? 'font-semibold' : ''}`}
    >
      <Kite hue={lives.hue} letter={lives.letter} filled={on} width={18} />
      <span className={`min-w-0 flex-1 truncate ${skipped ? 'line-through' : ''}`} title={about}>
        <span className="font-mono text-[12px]">
          {timeOfDay(start)}–{timeOfDay(end)}
        </span>{' '}
        <span dir="auto">{lives.name}</span>
      </span>
      <label className="flex items-center gap-1 text-[12px] text-soft">
        <input
          type="checkbox"
          checked={goes === true}
          aria-label={`Go by itself: ${about}`}
          onChange={() => dispatch('plan.goes', { block: id }, 'key')}
        />
        by itself
      </label>
      <button
        type="button"
        aria-label={`${skipped ? 'Plan again' : 'Skip'}: ${about}`}
        className="grid size-6 place-items-center text-soft hover:text-ink"
        onClick={() => dispatch('plan.skip', { block: id }, 'key')}
      >
        {skipped ? <Play size={12} aria-hidden /> : <SkipForward size={12} aria-hidden />}
      </button>
      <button
        type="button"
        aria-label={`Remove: ${about}`}
        className="grid size-6 place-items-center text-soft hover:text-ink"
        onClick={() => dispatch('plan.remove', { block: id }, 'key')}
      >
        <Trash2 size={13} aria-hidden />
      </button>
    </li>
  )
}
