import { useState } from 'react'
import { atMinute, blockAt, blocksOf, dayOf } from '@/core/plan/plan'
import { Field, Problem, useCommandForm } from '@/parts/form'
import { PanelSection } from '@/parts/PanelSection'
import { SidePanel } from '@/parts/SidePanel'
import { useTime } from '@/store/clock'
import { useArrangement, useShelf } from '@/store/useShelf'
import { Done } from './Done'
import { PlanRow } from './PlanRow'
import { Strip } from './Strip'
import { useDone } from './useDone'
import { usePlanTime } from './usePlan'

/** The blocks of a day, typed or drawn, beside the desktop. */
export function PlanPanel() {
  const shelf = useShelf()
  const now = usePlanTime()
  const plan = useArrangement((state) => state.plan)
  const [ahead, setAhead] = useState(0)
  const day = atMinute(dayOf(now), ahead * 24 * 60 + 12 * 60)
  const blocks = blocksOf(plan, day)
  const on = blockAt(plan, now)
  const minute = useTime(60_000)
  const done = useDone(day, minute)
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
      <Strip day={day} blocks={blocks} done={done} now={minute} />
      <PanelSection name="Blocks">
        {blocks.length === 0 ? (
          <p className="mt-1.5 text-soft">None yet. Type one above, or draw it on the strip.</p>
        ) : null}
        <ol>
          {blocks.map((block) => (
            <PlanRow key={block.id} block={block} on={block === on} />
          ))}
        </ol>
      </PanelSection>
      {ahead === 0 && blocks.length > 0 ? (
        <div className="mt-3 flex gap-2">
          <button
            type="button"
            className="btn"
            onClick={() => shelf.dispatch('plan.late', {}, 'key')}
          >
            All 15 min later
          </button>
          <button
            type="button"
            className="btn"
            onClick={() => shelf.dispatch('plan.late', { minutes: -15 }, 'key')}
          >
            Earlier
          </button>
        </div>
      ) : null}
      {ahead <= 0 ? <Done day={day} blocks={blocks} done={done} /> : null}
      <div className="mt-3 flex gap-2">
        <button
          type="button"
          className="btn"
          onClick={() => shelf.dispatch('plan.import', {}, 'key')}
        >
          From a calendar…
        </button>
        <button
          type="button"
          className="btn"
          disabled={plan.length === 0}
          onClick={() => shelf.dispatch('plan.export', {}, 'key')}
        >
          Export
        </button>
      </div>
    </SidePanel>
  )
}

function Typed({ day }: { day: number }) {
  const shelf = useShelf()
  const form = useCommandForm(
    'plan',
    { text: '' },
    ({ text }) => shelf.dispatch('plan.add', { text, day }, 'key'),
    true,
  )
  return (
    <form className="mt-3 flex flex-col gap-1" {...form.ways}>
      <Field form={form} name="text" label="A block" autoFocus placeholder="9:30-11 Model" />
      <Problem form={form} />
    </form>
  )
}
