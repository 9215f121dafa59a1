import { type KeyboardEvent, useEffect, useRef, useState } from 'react'
import { putOff } from '@/core/attention/waiting'
import { spell } from '@/core/journal/words'
import { typedMoment } from '@/core/plan/typed'
import { Dialog } from '@/parts/Dialog'
import { timeOfDay } from '@/parts/Facts'
import { Keys } from '@/parts/Keys'
import { Kite } from '@/parts/Kite'
import { useInSight } from '@/parts/useInSight'
import { useWaits } from '@/store/attention'
import { useTime } from '@/store/clock'
import { useArrangement, usePage, useShelf } from '@/store/useShelf'

/** All that waits, walked by keys: gone to, put off, or let go in one stroke each. */
export function WaitingDialog() {
  const shelf = useShelf()
  const { list, held } = useWaits()
  const state = useArrangement((now) => now)
  const [at, setAt] = useState(0)
  const [again, setAgain] = useState('10 min')
  const [asked, setAsked] = useState(false)
  const box = useRef<HTMLDivElement>(null)
  const index = Math.max(0, Math.min(at, list.length - 1))
  const chosen = list[index]
  const later = putOff(state, shelf.clock())
  const until = typedMoment(again, shelf.clock())
  // biome-ignore lint/correctness/useExhaustiveDependencies: the list takes the keys back when the time was typed
  useEffect(() => {
    if (!asked) box.current?.focus()
  }, [asked, list.length])
  const go = () => {
    shelf.closeView()
    if (chosen) shelf.dispatch('window.focus', { window: chosen.window }, 'key')
  }
  const off = () => {
    if (!chosen || until === null) return
    shelf.dispatch('attention.putOff', { document: chosen.document, until }, 'key')
    setAsked(false)
  }
  const keys = (event: KeyboardEvent) => {
    if (event.altKey || event.ctrlKey || event.metaKey) return
    const acts: Record<string, () => void> = {
      ArrowDown: () => setAt(Math.min(index + 1, list.length - 1)),
      ArrowUp: () => setAt(Math.max(0, index - 1)),
      Enter: go,
      p: off,
      t: () => setAsked(true),
      l: () => chosen && shelf.dispatch('attention.letGo', { document: chosen.document }, 'key'),
    }
    const act = acts[event.key.length === 1 ? event.key.toLowerCase() : event.key]
    if (!act) return
    act()
    event.preventDefault()
  }
  return (
    <Dialog
      title="Waiting"
      intro={list.length > 0 ? 'Alarms first, then what waits longest.' : 'Nothing is waiting.'}
      width={560}
    >
      <div
        ref={box}
        role="listbox"
        aria-label="Waiting"
        aria-activedescendant={chosen ? `asking-${chosen.document}` : undefined}
        tabIndex={0}
        className="mt-3 max-h-[46vh] overflow-auto outline-none"
        onKeyDown={keys}
      >
        {list.map((one, row) => (
          <Row
            key={one.document}
            asking={one}
            chosen={row === index}
            onGo={go}
            onOver={() => setAt(row)}
          />
        ))}
      </div>
      {later.length + held > 0 ? (
        <p className="mt-2 text-soft">
          {held ? `${held} held back while it is quiet. ` : ''}
          {later
            .map(({ says, title, until: time }) => `${says || title} at ${timeOfDay(time ?? 0)}`)
            .join('; ')}
        </p>
      ) : null}
      <div className="mt-4 flex flex-wrap items-center gap-x-4 gap-y-2 border-seam border-t border-dashed pt-3">
        <Way keys="Enter" does="go there" off={!chosen} onDo={go} />
        <Way
          keys="L"
          does="let it go"
          off={!chosen}
          onDo={() =>
            chosen && shelf.dispatch('attention.letGo', { document: chosen.document }, 'key')
          }
        />
        <Way keys="P" does="put it off for" off={!chosen || until === null} onDo={off} />
        <label className="flex items-center gap-2">
          <span className="sr-only">Put off for, or until</span>
          <input
            ref={(field) => {
              if (asked) field?.focus()
            }}
            className="field h-7 w-20"
            value={again}
            aria-invalid={until === null}
            onChange={(event) => setAgain(event.target.value)}
            onFocus={(event) => event.target.select()}
            onKeyDown={(event) => {
              if (event.key !== 'Enter') return
              off()
              event.preventDefault()
            }}
          />
          <Keys keys="T" />
        </label>
        {until === null ? (
          <span role="alert" className="text-alarm">
            Type a span such as 10 min, or a time such as 16:00.
          </span>
        ) : null}
      </div>
    </Dialog>
  )
}

function Way({
  keys,
  does,
  off,
  onDo,
}: {
  keys: string
  does: string
  off: boolean
  onDo(): void
}) {
  return (
    <button
      type="button"
      className="flex items-center gap-2 hover:underline disabled:opacity-45"
      disabled={off}
      onClick={onDo}
    >
      <Keys keys={keys} /> {does}
    </button>
  )
}

function Row({
  asking: { document, window, level, says, title, since },
  chosen,
  onGo,
  onOver,
}: {
  asking: ReturnType<typeof useWaits>['list'][number]
  chosen: boolean
  onGo(): void
  onOver(): void
}) {
  const lives = useArrangement((state) => state.desktops[state.windows[window]?.desktop ?? ''])
  const element = useInSight<HTMLDivElement>(chosen)
  return (
    <div
      ref={element}
      id={`asking-${document}`}
      role="option"
      aria-selected={chosen}
      tabIndex={-1}
      className="flex min-h-11 items-center gap-3 px-2 aria-selected:bg-ink/10 aria-selected:shadow-[inset_2px_0_0_var(--ink)]"
      onPointerMove={onOver}
      onClick={onGo}
      onKeyDown={() => {}}
    >
      {lives ? <Kite hue={lives.hue} letter={lives.letter} width={20} /> : <span className="w-5" />}
      <span className="flex min-w-0 flex-1 flex-col leading-tight">
        <span dir="auto" className="truncate font-semibold" title={says || title}>
          {says || title}
        </span>
        <span dir="auto" className="truncate text-[12px] text-soft" title={title}>
          {title}, on {lives?.name ?? 'every desktop'}
        </span>
      </span>
      {level === 'info' ? null : (
        <b className={`text-[12px] ${level === 'alarm' ? 'text-alarm' : ''}`}>{level}</b>
      )}
      <Since at={since} />
    </div>
  )
}

/** How long something waits, looked at again every minute. */
export function Since({ at }: { at: number }) {
  // What opens or closes is a reason to look at the time.
  const view = usePage((page) => page.view)
  const now = useTime(60_000, view)
  const minutes = Math.max(0, Math.floor((now - at) / 60_000))
  return <span className="shrink-0 text-[12px] text-soft">{minutes ? spell(minutes) : 'now'}</span>
}
