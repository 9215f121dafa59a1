import { type FormEvent, useState } from 'react'
import { isQuiet } from '@/core/attention/waiting'
import type { DesktopId } from '@/core/model/ids'
import { desktop } from '@/core/model/selectors'
import { blockAt } from '@/core/plan/plan'
import { typedMoment } from '@/core/plan/typed'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import { timeOfDay } from '@/parts/Facts'
import { useArrangement, useShelf } from '@/store/useShelf'

/** Until when a desktop is quiet, and what comes through all the same. */
export function QuietDialog({ id }: { id: DesktopId }) {
  const shelf = useShelf()
  const { name, quiet } = useArrangement((state) => desktop(state, id))
  const on = isQuiet({ quiet }, shelf.clock())
  const [until, setUntil] = useState(on && quiet?.until ? timeOfDay(quiet.until) : '')
  const [lets, setLets] = useState((quiet?.lets ?? []).join(', '))
  const plan = useArrangement((state) => state.plan)
  const block = blockAt(plan, shelf.clock())
  const blockEnd = block?.desktop === id ? timeOfDay(block.end) : null
  const end = until.trim() ? typedMoment(until, shelf.clock()) : undefined
  const set = (event: FormEvent) => {
    event.preventDefault()
    if (end === null) return
    const patterns = lets
      .split(',')
      .map((one) => one.trim())
      .filter(Boolean)
    const given = { desktop: id, lets: patterns, ...(end !== undefined && { until: end }) }
    if (shelf.dispatch('desktop.quiet', given, 'key').ok) shelf.closeView()
  }
  return (
    <Dialog
      title={`Quiet on ${name}`}
      intro="While you are on it, only alarms come through and what you name. The rest is told when you leave."
      width={460}
    >
      <form className="mt-4 flex flex-col gap-3" onSubmit={set}>
        <label className="grid grid-cols-[110px_1fr] items-center gap-2">
          until
          <input
            className="field"
            placeholder="as long as I like; or 16:00, or 45 min"
            value={until}
            aria-invalid={end === null}
            onChange={(event) => setUntil(event.target.value)}
          />
        </label>
        {blockEnd && until !== blockEnd ? (
          <button
            type="button"
            className="ml-[118px] self-start text-soft underline decoration-dashed hover:text-ink"
            onClick={() => setUntil(blockEnd)}
          >
            until its block of the plan ends, at {blockEnd}
          </button>
        ) : null}
        <label className="grid grid-cols-[110px_1fr] items-center gap-2">
          let through
          <input
            className="field"
            placeholder="apps, titles, words, with commas between"
            value={lets}
            onChange={(event) => setLets(event.target.value)}
          />
        </label>
        {end === null ? (
          <p role="alert" className="text-alarm">
            Type a time such as 16:00, or a span such as 45 min.
          </p>
        ) : null}
        <div className="flex items-center">
          {on ? (
            <button
              type="button"
              className="btn mt-4"
              onClick={() => {
                shelf.dispatch('desktop.quiet', { desktop: id }, 'key')
                shelf.closeView()
              }}
            >
              End it
            </button>
          ) : null}
          <span className="flex-1" />
          <Answers disabled={end === null}>{on ? 'Set' : 'Make it quiet'}</Answers>
        </div>
      </form>
    </Dialog>
  )
}
