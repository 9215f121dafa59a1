import { type ReactNode, useMemo } from 'react'
import { registry } from '@/core/commands/registry'
import type { Matrix } from '@/core/insight/matrix'
import { type Suggestion, suggestionsFrom } from '@/core/insight/suggestions'
import type { JournalEvent } from '@/core/journal/events'
import { keysFor } from '@/core/keys/bindings'
import { lightestFree, strokesOf } from '@/core/keys/free'
import { asPressed } from '@/core/keys/sets'
import { counted } from '@/core/text/counted'
import { timeOfDay } from '@/parts/Facts'
import { Keys } from '@/parts/Keys'
import { platform } from '@/parts/platform'
import { useArrangement, useShelf } from '@/store/useShelf'
import { lengthOf } from './Lines'
import { Order } from './Order'

/** So many stand here at a time. */
const MOST = 3

/** What would save steps, each with what speaks for it; nothing is done by itself. */
export function Suggestions({
  events,
  matrix,
  days,
}: {
  events: readonly JournalEvent[]
  matrix: Matrix
  days: number
}) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const all = useMemo(() => {
    const { order, desktops, homes, declined, windows } = state
    const open = order.filter((id) => desktops[id]?.kind === 'open')
    const letters = Object.fromEntries(open.map((id) => [id, desktops[id]?.letter ?? null]))
    const stand = Object.fromEntries(
      Object.values(windows).flatMap(({ id, desktop }) => (desktop ? [[id, desktop]] : [])),
    )
    const strokes = (command: string) => strokesOf(state, command)
    const there = { desktops: open, homes, declined, letters, windows: stand, strokes }
    return suggestionsFrom(events, there, shelf.clock())
  }, [events, state, shelf])
  const ordering = !state.declined.includes('order')
  return (
    <ul aria-label="Suggestions" className="flex min-h-0 flex-col gap-5 overflow-y-auto">
      {ordering ? (
        <li>
          <Order matrix={matrix} days={days}>
            <NotAgain id="order" />
          </Order>
        </li>
      ) : null}
      {all.slice(0, MOST - (ordering ? 1 : 0)).map((suggestion) => (
        <li key={suggestion.id} className="border-seam border-t border-dashed pt-3">
          <One suggestion={suggestion} />
        </li>
      ))}
      {!ordering && all.length === 0 ? (
        <li className="text-soft">Nothing to suggest. A longer span may tell more.</li>
      ) : null}
    </ul>
  )
}

function One({ suggestion }: { suggestion: Suggestion }) {
  return suggestion.kind === 'keys' ? (
    <LighterKeys suggestion={suggestion} />
  ) : (
    <OfDesktop suggestion={suggestion} />
  )
}

function OfDesktop({ suggestion }: { suggestion: Exclude<Suggestion, { kind: 'keys' }> }) {
  const shelf = useShelf()
  const name = useArrangement((state) => state.desktops[suggestion.desktop]?.name) ?? ''
  const act = (command: string, args: object) => shelf.dispatchAny(command, args, 'key')
  if (suggestion.kind === 'stow')
    return (
      <Offer
        id={suggestion.id}
        act="Stow desktop"
        onTake={() => act('desktop.stow', { desktop: suggestion.desktop })}
      >
        <p>
          You haven’t looked at <bdi className="font-bold">{name}</bdi>{' '}
          {suggestion.last === null ? 'in all the time shown' : `since ${dayOf(suggestion.last)}`}.
          Stow it to get it out of the way; it comes back as it was.
        </p>
      </Offer>
    )
  if (suggestion.kind === 'group') return <Together suggestion={suggestion} name={name} />
  if (suggestion.kind === 'letter') return <Lighter suggestion={suggestion} name={name} />
  if (suggestion.kind === 'quiet')
    return (
      <Offer
        id={suggestion.id}
        act="Make it quiet…"
        onTake={() => act('desktop.askQuiet', { desktop: suggestion.desktop })}
      >
        <p>
          From {suggestion.hour}:00 to {suggestion.hour + 1}:00 you were interrupted{' '}
          {suggestion.times} times on {counted(suggestion.days, 'day')}, for{' '}
          {lengthOf(suggestion.away)} in all, mostly on <bdi className="font-bold">{name}</bdi>.
          While it is quiet, only alarms come through.
        </p>
      </Offer>
    )
  const { app, desktop, there, all } = suggestion
  const plural = shelf.appFacts(app)?.plural ?? app
  return (
    <Offer id={suggestion.id} act="Set as home" onTake={() => act('home.setFor', { app, desktop })}>
      <p>
        You opened {plural} on <bdi className="font-bold">{name}</bdi> {there.length} of {all}{' '}
        times. Give them a home there and they open there from anywhere.
      </p>
      <details className="mt-1 text-[12px] text-soft">
        <summary>Show times</summary>
        {there.map((at) => `${dayOf(at)} ${timeOfDay(at)}`).join(' · ')}
      </details>
    </Offer>
  )
}

type Of<Kind extends Suggestion['kind']> = Extract<Suggestion, { kind: Kind }>

function Together({ suggestion, name }: { suggestion: Of<'group'>; name: string }) {
  const shelf = useShelf()
  const { id, windows, desktop, times } = suggestion
  const state = shelf.state()
  const titled = windows.map((window) => {
    const { document = '', desktop: on } = state.windows[window] ?? {}
    const there = on && on !== desktop ? ` (${state.desktops[on]?.name})` : ''
    return `“${state.documents[document]?.title ?? ''}”${there}`
  })
  const others = windows.filter((window) => state.windows[window]?.desktop !== desktop)
  return (
    <Offer
      id={id}
      act="Send them there"
      onTake={() => shelf.dispatchAny('window.sendAll', { windows: others, to: desktop }, 'key')}
    >
      <p>
        You went from one of these windows to another and back within five minutes {times} times. If
        they were all on <bdi className="font-bold">{name}</bdi>, you would not have to switch.
      </p>
      <p className="mt-1 text-[12px] text-soft">{titled.join(' · ')}</p>
    </Offer>
  )
}

function Lighter({ suggestion, name }: { suggestion: Of<'letter'>; name: string }) {
  const shelf = useShelf()
  const { id, desktop, other, letter, times } = suggestion
  const names = shelf.state().desktops
  const two = names[desktop]?.letter ?? ''
  return (
    <Offer
      id={id}
      act="Swap letters"
      onTake={() => shelf.dispatchAny('desktop.letter', { desktop, letter, swap: true }, 'key')}
    >
      <p>
        You went to <bdi className="font-bold">{name}</bdi> ({two}) {times[0]} times by key, and to{' '}
        <bdi className="font-bold">{names[other]?.name}</bdi> ({letter}) {times[1]} times. Swap
        their letters and the first one takes a single stroke.
      </p>
    </Offer>
  )
}

function LighterKeys({ suggestion }: { suggestion: Of<'keys'> }) {
  const shelf = useShelf()
  const state = useArrangement((now) => now)
  const { id, command, times } = suggestion
  const free = lightestFree(state, command, platform())
  const title = registry.get(command)?.title.replace(/…$/, '') ?? command
  const now = keysFor(state, command)
  const bind = () => shelf.dispatch('keys.bind', { keys: free ?? '', command, args: {} }, 'key')
  const choose = () => shelf.dispatch('keys.open', { find: title }, 'key')
  return (
    <Offer
      id={id}
      act={free ? 'Use these keys' : 'Bind keys…'}
      onTake={() => void (free ? bind() : choose())}
    >
      <p>
        You used “{title}” {times} times. {now ? 'Its keys are ' : 'It has no keys'}
        {now ? <Keys keys={now} /> : null}
        {free ? (
          <>
            ; <Keys keys={asPressed(free, state)} /> is free{now ? ' and quicker to press' : ''}.
          </>
        ) : (
          '; you can choose a single stroke for it.'
        )}
      </p>
    </Offer>
  )
}

function Offer({
  id,
  act,
  onTake,
  children,
}: {
  id: string
  act: string
  onTake(): void
  children: ReactNode
}) {
  return (
    <>
      {children}
      <p className="mt-2 flex gap-2">
        <button type="button" className="btn" onClick={onTake}>
          {act}
        </button>
        <NotAgain id={id} />
      </p>
    </>
  )
}

function NotAgain({ id }: { id: string }) {
  const shelf = useShelf()
  return (
    <button
      type="button"
      className="btn"
      onClick={() => shelf.dispatch('log.decline', { suggestion: id }, 'key')}
    >
      Don’t suggest again
    </button>
  )
}

const dayOf = (at: number): string =>
  new Date(at).toLocaleDateString('en', { weekday: 'short', day: 'numeric', month: 'short' })
