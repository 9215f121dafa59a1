import { useEffect, useState } from 'react'
import { keysFor } from '@/core/keys/bindings'
import { currentId } from '@/core/model/selectors'
import { CommandButton } from '@/parts/CommandButton'
import { Emblem } from '@/parts/Emblem'
import { timeOfDay } from '@/parts/Facts'
import { Keys } from '@/parts/Keys'
import { Kite } from '@/parts/Kite'
import { after } from '@/store/clock'
import { useAmiss } from '@/store/health'
import { useSaving } from '@/store/saving'
import { useArrangement, useDesktop, usePage, useShelf } from '@/store/useShelf'
import { Waits } from '@/ui/attention/Waits'
import { incoming, isTaken, takeIn } from '@/ui/files/takeIn'
import { PART_NAMES } from '@/ui/health/words'
import { Planned } from '@/ui/plan/Planned'
import { Tethers } from '@/ui/tethers/Tethers'
import { Pending } from './Pending'

/** The strip at the bottom: where you are, what just happened, whether it is kept, the time. */
export function Line() {
  const pending = usePage((page) => page.pending)
  const layer = usePage((page) => page.layer)
  const shelf = useShelf()
  return (
    <section
      aria-label="Line"
      onDragOver={(event) => {
        if (!isField(event.target) && isTaken(event.dataTransfer)) event.preventDefault()
      }}
      onDrop={(event) => {
        if (!isField(event.target) && takeIn(shelf, incoming(event.dataTransfer)))
          event.preventDefault()
      }}
      className="flex h-(--line) min-w-0 shrink-0 items-center gap-3 border-seam border-t bg-panel px-3"
    >
      <Where />
      {layer ? (
        <span className="flex shrink-0 items-center gap-2 border border-ink border-dashed px-2">
          <b>Keys are commands</b> <Keys keys="Escape" /> ends it
        </span>
      ) : null}
      {pending ? <Pending keys={pending} /> : <Happened />}
      <span className="flex-1" />
      <Tethers />
      <Planned />
      <Waits />
      <SaveState />
      <Parted>
        <CommandButton command="line.open" label="find" />
      </Parted>
      {/* What has no room goes to a line below, out of sight. The first of a line never does: it is empty. */}
      <span className="-ml-3 flex h-[22px] min-w-0 shrink-[99] flex-wrap gap-3 overflow-hidden">
        <span className="h-[22px]" />
        <Parted>
          <CommandButton command="shelf.keys" label="keys" />
        </Parted>
      </span>
      <Parted>
        <Clock />
      </Parted>
    </section>
  )
}

/** A reply that is being written takes what is dropped into it. */
const isField = (target: EventTarget): boolean => target instanceof HTMLInputElement

export function Where() {
  const shelf = useShelf()
  const { name, hue, letter, emblem } = useDesktop(useArrangement(currentId), [
    'name',
    'hue',
    'letter',
    'emblem',
  ])
  const marker = useArrangement((state) => state.settings.marker)
  return (
    <span className="flex min-w-0 max-w-64 shrink-0 items-center gap-2">
      <Kite hue={hue} letter={letter} filled width={19} />
      {marker === 'name' ? null : <Emblem name={emblem} size={16} />}
      {marker === 'emblem' && emblem ? null : (
        // biome-ignore lint/a11y/noStaticElementInteractions: by key it is renamed like any desktop
        <b
          dir="auto"
          title={name}
          className="truncate font-bold font-display text-[14px]"
          onDoubleClick={() => shelf.dispatch('desktop.askName')}
        >
          {name}
        </b>
      )}
    </span>
  )
}

function Parted({ children }: { children: React.ReactNode }) {
  return (
    <span className="flex h-[22px] shrink-0 items-center border-seam border-l-[1.5px] border-dashed pl-3">
      {children}
    </span>
  )
}

/** What happened last, in words, with undo, and the key for it when it was done by pointer. */
export function Happened() {
  const shelf = useShelf()
  const said = usePage((page) => page.said)
  const undo = useArrangement((state) => keysFor(state, 'history.undo'))
  if (!said) return null
  return (
    <span
      className="flex min-w-28 items-center gap-2 text-soft"
      data-said={said.refused ? 'refused' : 'done'}
    >
      {said.refused ? <b className="shrink-0 font-mono text-alarm">!</b> : null}
      <span className={`truncate ${said.refused ? 'text-ink' : ''}`} title={said.text}>
        {said.text}
      </span>
      {said.step ? (
        <button
          type="button"
          title={undo}
          // By key it is a chord: Tab from what is typed must not lead to what takes it back.
          tabIndex={-1}
          className="shrink-0 border-current border-b border-dashed text-ink leading-[1.15]"
          onClick={() => shelf.dispatch('history.undo')}
        >
          undo
        </button>
      ) : null}
      {said.nextTime ? (
        <span className="flex shrink-0 items-center gap-1.5 max-[1100px]:hidden">
          next time <Keys keys={said.nextTime} />
        </span>
      ) : null}
    </span>
  )
}

/** So long a change takes to be kept before that is told: of every moment it would be a flicker. */
const LONG = 600

function SaveState() {
  const shelf = useShelf()
  const saving = useSaving()
  const long = useLasts(saving.state === 'saving', LONG)
  if (saving.state === 'failed')
    return (
      <span role="alert" className="flex min-w-0 items-center gap-2 text-alarm">
        <span className="truncate" title={saving.why}>
          Cannot save. {saving.why}
        </span>
        <button
          type="button"
          className="underline decoration-dashed"
          onClick={() => shelf.dispatch('shelf.export')}
        >
          export
        </button>
      </span>
    )
  return (
    <>
      <span className="shrink-0 text-soft" data-saving={saving.state}>
        {long ? 'saving' : 'saved'}
      </span>
      <Amiss />
    </>
  )
}

/** What is not as it should be of all that is relied on. */
function Amiss() {
  const shelf = useShelf()
  const part = useAmiss()
  if (!part) return null
  return (
    <button
      type="button"
      title="See what is wrong and what to do"
      className="flex shrink-0 items-center gap-1.5 border-current border-b border-dashed text-alarm leading-[1.15]"
      onClick={() => shelf.dispatch('shelf.health')}
    >
      <b className="font-mono">!</b>
      {PART_NAMES[part]}
    </button>
  )
}

/** Whether something goes on for that long already, in milliseconds. */
function useLasts(goesOn: boolean, time: number): boolean {
  const [lasts, setLasts] = useState(false)
  useEffect(() => {
    if (!goesOn) return setLasts(false)
    const timer = setTimeout(() => setLasts(true), time)
    return () => clearTimeout(timer)
  }, [goesOn, time])
  return goesOn && lasts
}

/** The time, woken once a minute. */
export function Clock() {
  const shelf = useShelf()
  const [now, setNow] = useState(() => shelf.clock())
  useEffect(
    () => after(shelf, 60_000 - (now % 60_000) + 20, () => setNow(shelf.clock())),
    [shelf, now],
  )
  return <time className="font-mono text-[12px] tabular-nums">{timeOfDay(now)}</time>
}
