import { keysFor } from '@/core/keys/bindings'
import { currentId } from '@/core/model/selectors'
import { CommandButton } from '@/parts/CommandButton'
import { Keys } from '@/parts/Keys'
import { Kite } from '@/parts/Kite'
import { useWaits } from '@/store/attention'
import { useArrangement, useShelf } from '@/store/useShelf'
import { useQuiet } from './useQuiet'
import { Since } from './WaitingDialog'

/**
 * In the line: what waits and how long, the way back from answering, and whether it is quiet here.
 * `wide`: there is room for what the first says, however narrow the window is.
 */
export function Waits({ wide = false }: { wide?: boolean }) {
  const shelf = useShelf()
  const { list } = useWaits()
  const answering = useArrangement((state) => state.answering !== null)
  const quiet = useQuiet(useArrangement(currentId))
  const [first] = list
  return (
    <>
      {answering ? (
        <CommandButton command="attention.back" label="back" className="shrink-0" />
      ) : null}
      {quiet ? (
        <button
          type="button"
          className="shrink-0 text-soft hover:text-ink"
          title="Only alarms and what you named come through here"
          onClick={() => shelf.dispatch('desktop.askQuiet')}
        >
          quiet
        </button>
      ) : null}
      {first ? <First key={first.document} document={first.document} wide={wide} /> : null}
    </>
  )
}

function First({ document, wide }: { document: string; wide: boolean }) {
  const shelf = useShelf()
  const { list } = useWaits()
  const first = list.find((one) => one.document === document)
  const lives = useArrangement(
    (state) => state.desktops[state.windows[first?.window ?? '']?.desktop ?? ''],
  )
  const keys = useArrangement((state) => keysFor(state, 'attention.next'))
  if (!first) return null
  const says = first.says || first.title
  return (
    <span className="flex shrink-0 items-center gap-2" data-waits={list.length}>
      <button
        type="button"
        title={`${says}${keys ? ` · ${keys}` : ''}`}
        className="flex min-w-0 items-center gap-2 hover:underline"
        onClick={() => shelf.dispatch('attention.next')}
      >
        {lives ? <Kite hue={lives.hue} letter={lives.letter} width={15} /> : null}
        <span
          dir="auto"
          className={`truncate ${wide ? 'max-w-52' : 'max-w-32 max-[1100px]:hidden min-[1500px]:max-w-52'} ${first.level === 'alarm' ? 'font-semibold text-alarm' : ''}`}
        >
          {says}
        </span>
        <Since at={first.since} />
      </button>
      <button
        type="button"
        aria-label={`${list.length} wait`}
        title="Waiting: answer or put off"
        className="shrink-0 border border-alarm px-1.5 font-mono font-semibold text-[12px] text-alarm leading-4"
        onClick={() => shelf.dispatch('attention.list')}
      >
        {list.length}
      </button>
    </span>
  )
}

/** What came while it was quiet, told when one has left; put away, answered, or walked. */
export function Digest() {
  const shelf = useShelf()
  const { untold } = useWaits()
  const desktops = useArrangement((state) => state.desktops)
  const windows = useArrangement((state) => state.windows)
  const answer = useArrangement((state) => keysFor(state, 'attention.next'))
  const walk = useArrangement((state) => keysFor(state, 'attention.list'))
  if (untold.length === 0) return null
  return (
    <section
      aria-label="Digest"
      className="rise flex flex-col gap-2 border-2 border-ink bg-panel px-3 py-2"
    >
      <p role="status" className="font-semibold">
        {untold.length === 1 ? '1 thing waited' : `${untold.length} things waited`} for you
      </p>
      <ul className="flex flex-col gap-1">
        {untold.slice(0, 4).map(({ document, window, says, title }) => {
          const lives = desktops[windows[window]?.desktop ?? '']
          return (
            <li key={document} className="flex items-center gap-2">
              {lives ? <Kite hue={lives.hue} letter={lives.letter} width={16} /> : null}
              <span dir="auto" className="min-w-0 flex-1 truncate" title={says || title}>
                {says || title}
              </span>
            </li>
          )
        })}
        {untold.length > 4 ? <li className="text-soft">and {untold.length - 4} more</li> : null}
      </ul>
      <p className="flex flex-wrap justify-end gap-2">
        <button type="button" className="btn" onClick={() => shelf.dispatch('attention.next')}>
          Answer {answer ? <Keys keys={answer} /> : null}
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => {
            shelf.dispatch('attention.told')
            shelf.dispatch('attention.list')
          }}
        >
          Go through them {walk ? <Keys keys={walk} /> : null}
        </button>
        <button type="button" className="btn" onClick={() => shelf.dispatch('attention.told')}>
          Put away
        </button>
      </p>
    </section>
  )
}
