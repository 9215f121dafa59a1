import { useEffect, useRef, useState } from 'react'
import { keysFor } from '@/core/keys/bindings'
import { strokesOfLetter } from '@/core/keys/letters'
import { type Go, median, nextGo, ROUND, slowest } from '@/core/keys/practice'
import { asPressed } from '@/core/keys/sets'
import { currentId, desktop } from '@/core/model/selectors'
import { Keys } from '@/parts/Keys'
import { Kite } from '@/parts/Kite'
import { keepRound, practised } from '@/store/practice'
import type { Shelf } from '@/store/shelf'
import { useArrangement, useShelf } from '@/store/useShelf'

/** How long one looks for the letter before it is told, in milliseconds. */
const TOLD_AFTER = 3000

/** Twenty goes on one's own desktops: each asked for by its name, reached by its letter. */
export function Practice() {
  const shelf = useShelf()
  const [goes, setGoes] = useState<Go[]>([])
  const [to, setTo] = useState(() => target(shelf, []))
  const since = useRef(performance.now())
  const place = useRef<HTMLDivElement>(null)
  const over = goes.length >= ROUND || to === null
  useEffect(() => place.current?.focus(), [])
  useEffect(
    () =>
      shelf.onDone((events) => {
        if (over) return
        const gone = events.some((event) => event.kind === 'switch' && event.by === 'key')
        if (!gone || currentId(shelf.state()) !== to) return
        const time = Math.round(performance.now() - since.current)
        const next = [...goes, { to, time }]
        since.current = performance.now()
        setGoes(next)
        setTo(target(shelf, next))
        if (next.length === ROUND)
          keepRound({ at: shelf.clock(), median: median(next.map((one) => one.time)) })
      }),
    [goes, to, over, shelf.state, shelf.onDone, shelf],
  )
  return (
    <div
      ref={place}
      role="dialog"
      aria-label="Practice"
      tabIndex={-1}
      className="rise fixed top-[9%] left-1/2 z-40 w-[380px] -translate-x-1/2 border-2 border-ink bg-panel p-5 outline-none"
      onKeyDown={(event) => {
        if (event.key === 'Escape') shelf.closeView()
      }}
    >
      {over || !to ? (
        <Figures
          goes={goes}
          onAgain={() => {
            since.current = performance.now()
            setGoes([])
            setTo(target(shelf, []))
            place.current?.focus()
          }}
        />
      ) : (
        <Asked key={goes.length} id={to} nth={goes.length + 1} last={goes.at(-1)?.time} />
      )}
    </div>
  )
}

const target = (shelf: Shelf, goes: Go[]): string | null => {
  const state = shelf.state()
  const called = state.order.filter((id) => desktop(state, id).letter)
  return nextGo(called, currentId(state), goes, Math.random())
}

function Asked({ id, nth, last }: { id: string; nth: number; last: number | undefined }) {
  const state = useArrangement((now) => now)
  const { name, hue, letter } = desktop(state, id)
  const [told, setTold] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setTold(true), TOLD_AFTER)
    return () => clearTimeout(timer)
  }, [])
  return (
    <>
      <p className="flex items-center text-soft">
        Go to
        <span className="ml-auto font-mono text-[12px]">
          {last === undefined ? '' : `${seconds(last)} · `}
          {nth} of {ROUND}
        </span>
      </p>
      <p role="status" className="mt-2 flex items-center gap-3">
        <Kite hue={hue} letter={told ? letter : null} filled width={34} />
        <b dir="auto" title={name} className="min-w-0 truncate font-bold font-display text-[24px]">
          {name}
        </b>
        {told && letter ? (
          <span className="ml-auto">
            <Keys keys={asPressed(`Alt+${strokesOfLetter(letter)}`, state)} />
          </span>
        ) : null}
      </p>
      <p className="mt-3 flex items-center gap-2 text-soft">
        <Keys keys="Esc" /> leave
      </p>
    </>
  )
}

const seconds = (time: number): string => `${(time / 1000).toFixed(1)} s`

function Figures({ goes, onAgain }: { goes: Go[]; onAgain(): void }) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const [before] = useState(() => practised().slice(0, goes.length >= ROUND ? -1 : undefined))
  const best = Math.min(...before.map((one) => one.median))
  const slow = slowest(goes)
  const carry = keysFor(state, 'shelf.keys')
  return (
    <>
      <h2 className="font-bold font-display text-[19px]">
        {goes.length > 0
          ? `${seconds(median(goes.map(({ time }) => time)))} a go`
          : 'There is nowhere else to go'}
      </h2>
      <p className="mt-1 text-soft">
        {before.length > 0
          ? `The last round: ${seconds(before.at(-1)?.median ?? 0)}. The best: ${seconds(best)}.`
          : 'The first round. The next is told beside it.'}
      </p>
      {slow.length > 0 ? (
        <ul aria-label="The slow ones" className="mt-3">
          {slow.map(({ to, time }) => {
            const { name, hue, letter } = desktop(state, to)
            return (
              <li key={to} className="flex items-center gap-2.5 py-1">
                <Kite hue={hue} letter={letter} width={20} />
                <span dir="auto" title={name} className="min-w-0 flex-1 truncate">
                  {name}
                </span>
                {seconds(time)}
              </li>
            )
          })}
        </ul>
      ) : null}
      <div className="mt-4 flex items-center justify-end gap-2">
        {carry ? (
          <span className="mr-auto flex items-center gap-2 text-soft">
            <Keys keys={carry} /> all keys
          </span>
        ) : null}
        <button type="button" className="btn" onClick={shelf.closeView}>
          Leave <Keys keys="Esc" />
        </button>
        <button
          type="button"
          className="btn btn-main"
          disabled={goes.length === 0}
          // biome-ignore lint/a11y/noAutofocus: the round ended here, and Enter begins the next
          autoFocus
          onClick={onAgain}
        >
          Again <Keys keys="Enter" />
        </button>
      </div>
    </>
  )
}
