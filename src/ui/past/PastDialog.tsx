import { type KeyboardEvent, useMemo, useRef, useState } from 'react'
import { Band, hoursFor } from '@/apps/log/Band'
import { Steps, stepOf } from '@/apps/log/Steps'
import { useSpan } from '@/apps/log/useSpan'
import { stretchesOf } from '@/core/journal/time'
import type { Window } from '@/core/model/kinds/window'
import type { State } from '@/core/model/state'
import { atMinute, blocksOf, dayOf } from '@/core/plan/plan'
import { amountInWords } from '@/core/settings/choices'
import { SETTINGS } from '@/core/settings/table'
import { Dialog } from '@/parts/Dialog'
import { timeOfDay } from '@/parts/Facts'
import { JustDone } from '@/parts/JustDone'
import { Keys } from '@/parts/Keys'
import { useMedia } from '@/parts/useMedia'
import { useTime } from '@/store/clock'
import { bringBack } from '@/store/documents/catalogue'
import { expected } from '@/store/faults'
import { useArrangement, useShelf } from '@/store/useShelf'
import { Handle } from './Handle'
import { Stood } from './Stood'
import { type PastDay, usePast } from './usePast'

const HOUR = 3_600_000

/** The loft as it stood at any moment of the last days. */
export function PastDialog() {
  const shelf = useShelf()
  const wide = useMedia('(min-width: 1700px)')
  const now = useTime(60_000)
  const kept = useArrangement(({ settings }) => settings.past)
  const [ago, setAgo] = useState(0)
  const midnight = dayOf(atMinute(dayOf(now), -ago * 24 * 60 + 12 * 60))
  const past = usePast(midnight, atMinute(midnight, 24 * 60))
  const [wanted, setWanted] = useState<number | null>(null)
  const known = kept === 0 || past === 'elsewhere' ? null : past
  const last = known?.moments.at(-1)?.at
  const moment = wanted ?? last
  const then = useMemo(
    () => (known && moment !== undefined ? known.at(moment) : null),
    [known, moment],
  )
  // Who goes by pushes keeps the push.
  const [begins, setBegins] = useState(true)
  const go = (by: number, pushed = true) => {
    setBegins(!pushed)
    setAgo(Math.max(0, Math.min(kept, ago + by)))
    setWanted(null)
  }
  const keys = (event: KeyboardEvent) => {
    const by = stepOf(event)
    if (by) go(by, false)
  }
  return (
    <Dialog title="Wind back" width={wide ? 1440 : 1080}>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: the keys of all that is in it */}
      <div className="mt-3 flex h-[min(70vh,1000px)] flex-col gap-3" onKeyDown={keys}>
        <Steps
          says={new Date(midnight + 12 * HOUR).toLocaleDateString('en', {
            weekday: 'long',
            day: 'numeric',
            month: 'long',
          })}
          first={ago >= kept}
          last={ago === 0}
          onStep={go}
        />
        {then && known && moment !== undefined ? (
          <Moment
            midnight={midnight}
            now={now}
            past={known}
            moment={moment}
            then={then}
            begins={begins}
            onMove={setWanted}
          />
        ) : (
          <p className="flex-1 text-soft">
            {kept === 0
              ? 'Earlier arrangements aren’t being kept. You can turn this on in Settings.'
              : past === 'elsewhere'
                ? 'This is available in the main window. Open it there.'
                : past
                  ? 'Nothing changed on this day. As you work, you can come here to see how your desktops looked at any moment, and bring them back.'
                  : 'Reading…'}
          </p>
        )}
        <div className="mt-auto flex items-center gap-4">
          <p className="text-[12px] text-soft">
            {kept
              ? `Kept in this browser for ${amountInWords(SETTINGS.past, kept)} (see Settings).`
              : null}
          </p>
          <JustDone />
          <button type="button" className="btn btn-main ml-auto" onClick={shelf.closeView}>
            Done <Keys keys="Esc" />
          </button>
        </div>
      </div>
    </Dialog>
  )
}

function Moment({
  midnight,
  now,
  past: { moments, said },
  moment,
  then,
  begins,
  onMove,
}: {
  midnight: number
  now: number
  past: PastDay
  moment: number
  then: State
  begins: boolean
  onMove(to: number): void
}) {
  const shelf = useShelf()
  const plan = useArrangement((state) => state.plan)
  const [day] = useSpan(midnight + 12 * HOUR, 1, now, 0) ?? []
  const stretches = day ? stretchesOf(day.events, day.midnight, day.until) : []
  const hours = hoursFor([{ midnight, stretches }])
  const handle = useRef<HTMLDivElement>(null)
  const before = moments.findLast(({ at, say }) => at <= moment && say)
  const says = before?.say ?? 'Before the first change'
  const bring = async (command: string, args: object, windows: readonly (Window | undefined)[]) => {
    // What is brought back is a change too: one stays where one is.
    onMove(moment)
    // A document may have been put away since.
    const documents = windows.flatMap((one) => one?.document ?? [])
    await bringBack(shelf, documents).catch(expected('it is known from then', undefined))
    shelf.dispatchAny(command, args, 'key')
    // What was pushed may be gone.
    handle.current?.focus()
  }
  return (
    <>
      <Handle
        ref={handle}
        from={midnight + hours[0] * HOUR}
        until={midnight + hours[1] * HOUR}
        moments={moments}
        moment={moment}
        says={says}
        begins={begins}
        onMove={onMove}
      >
        <Band
          midnight={midnight}
          hours={hours}
          stretches={stretches}
          blocks={blocksOf(plan, midnight + 12 * HOUR)}
          events={day?.events ?? []}
          low={false}
          onChoose={onMove}
        />
      </Handle>
      <p className="flex min-w-0 items-baseline gap-3">
        <time className="font-mono font-semibold">{timeOfDay(moment)}</time>
        <span className="min-w-0 truncate text-soft" title={says}>
          {says}
        </span>
        <span className="ml-auto flex shrink-0 items-center gap-1.5 text-[12px] text-soft">
          <Keys keys="←" /> <Keys keys="→" /> change by change
        </span>
        <button
          type="button"
          className="btn shrink-0 py-0"
          title="Nothing that is open now is closed"
          onClick={() => void bring('session.reopen', { state: then }, Object.values(then.windows))}
        >
          Bring everything back
        </button>
      </p>
      <Stood
        then={then}
        said={(document) => said(document, moment)}
        onDesktop={(desktop) =>
          void bring(
            'past.desktop',
            { desktop, from: then },
            (then.desktops[desktop]?.windows ?? []).map((id) => then.windows[id]),
          )
        }
        onWindow={(window) =>
          void bring('past.window', { window: window.id, from: then }, [window])
        }
      />
    </>
  )
}
