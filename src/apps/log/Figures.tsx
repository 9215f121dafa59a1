import { Trash2 } from 'lucide-react'
import { Fragment, lazy, Suspense, useState } from 'react'
import type { Figures as Given, Spent } from '@/core/insight/figures'
import type { Interrupted } from '@/core/insight/interruptions'
import { desktopName } from '@/core/journal/words'
import type { Hue } from '@/core/model/kinds/look'
import { DesktopName } from '@/parts/DesktopName'
import { timeOfDay } from '@/parts/Facts'
import { useArrangement, useShelf } from '@/store/useShelf'
import { lengthOf } from './Lines'

const TimeChart = lazy(() => import('./TimeChart'))

/** The figures of a span, in the margin of its log, beside those of the period before if wanted. */
export function Figures({
  figures,
  before,
  compares,
  onCompare,
  onStrikeApp,
}: {
  figures: Given
  before: Given | null
  compares: boolean
  onCompare(on: boolean): void
  /** Takes all that is told of an app out of the log. */
  onStrikeApp(app: string): void
}) {
  const shelf = useShelf()
  const desktops = useArrangement((state) => state.desktops)
  const nameOf = (id: string) => desktopName({ desktops }, id)
  const appOf = (id: string) => shelf.appFacts(id)?.name ?? id
  const bars = figures.desktops.map(({ id, time }) => ({
    name: nameOf(id),
    minutes: Math.round(time / 60_000),
    hue: (desktops[id]?.hue ?? 'slate') as Hue,
  }))
  // A bar each, and the axis with its name.
  const height = 20 * bars.length + 60
  const facts = FACTS.map(([name, of]) => ({
    name,
    now: of(figures, nameOf),
    former: before && of(before, nameOf),
  }))
  return (
    <section
      aria-label="Figures"
      // Scrolled by key.
      tabIndex={0}
      className="flex min-h-0 flex-col gap-3 overflow-y-auto text-[13px] @max-[760px]:overflow-visible"
    >
      <label className="flex items-center gap-1.5 text-soft">
        <input
          type="checkbox"
          checked={compares}
          onChange={(event) => onCompare(event.target.checked)}
        />
        compare with the period before
      </label>
      {before && before.present === 0 ? (
        <p className="text-soft">Nothing was logged in the period before.</p>
      ) : null}
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 [&>dd]:text-right [&>dd]:tabular-nums [&>dt]:text-soft">
        {facts.map(({ name, now, former }) => (
          <Fragment key={name}>
            <dt>{name}</dt>
            <dd>
              {now}
              {former === null ? null : <span className="block text-soft">before: {former}</span>}
            </dd>
          </Fragment>
        ))}
      </dl>
      {bars.length > 0 ? (
        <Suspense fallback={<div className="shrink-0" style={{ height }} />}>
          <TimeChart bars={bars} height={height} />
        </Suspense>
      ) : null}
      <Table
        caption="Time by desktop"
        of={figures.desktops}
        before={before?.desktops}
        present={figures.present}
        name={(id) => <DesktopName id={id} width={13} />}
      />
      <Table
        caption="Time by app"
        of={figures.apps}
        before={before?.apps}
        present={figures.present}
        name={(id) => <AppName name={appOf(id)} onStrike={() => onStrikeApp(id)} />}
      />
      <Interruptions of={figures.interrupted} name={appOf} />
    </section>
  )
}

/** What is told of a span, each in words. */
const FACTS: [name: string, of: (figures: Given, nameOf: (id: string) => string) => string][] = [
  ['time present', ({ present }) => lengthOf(present)],
  [
    'switches',
    ({ switches, perHour }) =>
      `${switches}${perHour === null ? '' : `, ${perHour.toFixed(1)} per hour`}`,
  ],
  [
    'longest stretch',
    ({ longest }, nameOf) =>
      longest
        ? `${lengthOf(longest.end - longest.start)} from ${timeOfDay(longest.start)}, ${nameOf(longest.desktop)}`
        : '–',
  ],
  [
    'by keyboard',
    ({ byKey }) =>
      byKey.all ? `${Math.round((byKey.byKey / byKey.all) * 100)} % of ${byKey.all}` : '–',
  ],
]

/** An app; what is told of it is deleted when that was said twice. */
function AppName({ name, onStrike }: { name: string; onStrike(): void }) {
  const [sure, setSure] = useState(false)
  return (
    <span className="group flex items-center gap-1">
      <span className="truncate">{name}</span>
      <button
        type="button"
        className={`${sure ? 'shrink-0 text-[12px] text-alarm underline decoration-dashed' : 'grid size-5 place-items-center opacity-0 focus-visible:opacity-100 group-hover:opacity-100'}`}
        aria-label={
          sure ? `Delete everything about ${name} for good` : `Delete ${name} from the log`
        }
        title={sure ? undefined : `Delete ${name} from the log`}
        onBlur={() => setSure(false)}
        onClick={() => (sure ? onStrike() : setSure(true))}
      >
        {sure ? 'Delete for good' : <Trash2 size={12} aria-hidden />}
      </button>
    </span>
  )
}

/** What one left a desktop for because it asked, and how long it took to be back: a fact, no score. */
function Interruptions({ of, name }: { of: readonly Interrupted[]; name(id: string): string }) {
  if (of.length === 0) return null
  return (
    <table className="w-full">
      <caption className="text-left font-semibold">Interruptions and how long they took</caption>
      <tbody>
        {of.map(({ app, times, back }) => (
          <tr key={app} className="border-seam border-t border-dashed">
            <th scope="row" className="py-0.5 text-left font-normal">
              {name(app)}
            </th>
            <td className="w-12 text-right tabular-nums">{times} ×</td>
            <td className="w-28 whitespace-nowrap text-right text-soft tabular-nums">
              {back === null ? 'not within 1 h' : `half within ${lengthOf(back)}`}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function Table({
  caption,
  of,
  before,
  present,
  name,
}: {
  caption: string
  of: readonly Spent[]
  /** What it was in the period before, where that is told. */
  before: readonly Spent[] | undefined
  present: number
  name(id: string): React.ReactNode
}) {
  if (of.length === 0) return null
  const then = (id: string) => before?.find((one) => one.id === id)?.time ?? 0
  return (
    <table className="w-full">
      <caption className="text-left font-semibold">{caption}</caption>
      {before ? (
        <thead className="text-[12px] text-soft">
          <tr>
            <td />
            <th className="text-right font-normal">time</th>
            <th className="text-right font-normal">before</th>
          </tr>
        </thead>
      ) : null}
      <tbody>
        {of.map(({ id, time }) => (
          <tr key={id} className="border-seam border-t border-dashed">
            <th scope="row" className="max-w-0 py-0.5 text-left font-normal">
              {name(id)}
            </th>
            <td className="w-20 whitespace-nowrap text-right tabular-nums">{lengthOf(time)}</td>
            <td
              className={`whitespace-nowrap text-right text-soft tabular-nums ${before ? 'w-20' : 'w-12'}`}
            >
              {before
                ? then(id)
                  ? lengthOf(then(id))
                  : '–'
                : `${Math.round((time / Math.max(1, present)) * 100)} %`}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
