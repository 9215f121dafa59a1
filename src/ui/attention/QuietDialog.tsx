import { isQuiet } from '@/core/attention/waiting'
import type { DesktopId } from '@/core/model/ids'
import { desktop } from '@/core/model/selectors'
import { blockAt } from '@/core/plan/plan'
import { typedMoment } from '@/core/plan/typed'
import { Answers } from '@/parts/Answers'
import { Dialog } from '@/parts/Dialog'
import { timeOfDay } from '@/parts/Facts'
import { Field, Problem, useCommandForm } from '@/parts/form'
import { useArrangement, useShelf } from '@/store/useShelf'

/** Until when a desktop is quiet, and what comes through all the same. */
export function QuietDialog({ id }: { id: DesktopId }) {
  const shelf = useShelf()
  const { name, quiet } = useArrangement((state) => desktop(state, id))
  const plan = useArrangement((state) => state.plan)
  const now = shelf.clock()
  const on = isQuiet({ quiet }, now)
  const block = blockAt(plan, now)
  const blockEnd = block?.desktop === id ? timeOfDay(block.end) : null
  const first = {
    until: on && quiet?.until ? timeOfDay(quiet.until) : '',
    lets: (quiet?.lets ?? []).join(', '),
  }
  const form = useCommandForm(`quiet ${id}`, first, ({ until, lets }) => {
    const end = until.trim() ? typedMoment(until, shelf.clock()) : undefined
    if (end === null) {
      const message = 'Type a time such as 16:00, or a span such as 45 min.'
      form.setError('until', { message }, { shouldFocus: true })
      return null
    }
    const patterns = lets
      .split(',')
      .map((one) => one.trim())
      .filter(Boolean)
    const given = { desktop: id, lets: patterns, ...(end !== undefined && { until: end }) }
    return shelf.dispatch('desktop.quiet', given, 'key')
  })
  return (
    <Dialog
      title={`Quiet on ${name}`}
      intro="While you are on it, only alarms come through and what you name. The rest is told when you leave."
      width={460}
    >
      <form className="mt-4 flex flex-col gap-3" {...form.ways}>
        <Field
          form={form}
          name="until"
          label="until"
          placeholder="as long as I like; or 16:00, or 45 min"
        />
        {blockEnd && form.watch('until') !== blockEnd ? (
          <button
            type="button"
            className="ml-[90px] self-start text-soft underline decoration-dashed hover:text-ink"
            onClick={() => form.setValue('until', blockEnd)}
          >
            until its block of the plan ends, at {blockEnd}
          </button>
        ) : null}
        <Field
          form={form}
          name="lets"
          label="let through"
          placeholder="apps, titles, words, with commas between"
        />
        <Problem form={form} />
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
          <Answers>{on ? 'Set' : 'Make it quiet'}</Answers>
        </div>
      </form>
    </Dialog>
  )
}
