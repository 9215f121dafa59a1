import { lazy, Suspense } from 'react'
import { allApps } from '@/apps/list'
import type { Figures as Given, Spent } from '@/core/insight/figures'
import { desktopName } from '@/core/journal/words'
import type { Hue } from '@/core/model/kinds/look'
import { DesktopName } from '@/parts/DesktopName'
import { timeOfDay } from '@/parts/Facts'
import { useArrangement } from '@/store/useShelf'
import { lengthOf } from './Lines'

const TimeChart = lazy(() => import('./TimeChart'))

/** The figures of a span, in the margin of its log. */
export function Figures({ figures }: { figures: Given }) {
  const desktops = useArrangement((state) => state.desktops)
  const apps = useArrangement((state) => state.apps)
  const { present, switches, perHour, longest, byKey } = figures
  const nameOf = (id: string) => desktopName({ desktops }, id)
  const appOf = (id: string) => allApps(apps).find((app) => app.id === id)?.name ?? id
  const bars = figures.desktops.map(({ id, time }) => ({
    name: nameOf(id),
    minutes: Math.round(time / 60_000),
    hue: (desktops[id]?.hue ?? 'slate') as Hue,
  }))
  return (
    <section
      aria-label="Figures"
      // Scrolled by key.
      tabIndex={0}
      className="flex min-h-0 flex-col gap-3 overflow-y-auto text-[13px]"
    >
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 [&>dd]:text-right [&>dd]:tabular-nums [&>dt]:text-soft">
        <dt>time present</dt>
        <dd>{lengthOf(present)}</dd>
        <dt>switches</dt>
        <dd>
          {switches}
          {perHour === null ? '' : `, ${perHour.toFixed(1)} per hour`}
        </dd>
        <dt>longest stretch</dt>
        <dd>
          {longest
            ? `${lengthOf(longest.end - longest.start)} from ${timeOfDay(longest.start)}, ${nameOf(longest.desktop)}`
            : '–'}
        </dd>
        <dt>by keyboard</dt>
        <dd>
          {byKey.all ? `${Math.round((byKey.byKey / byKey.all) * 100)} % of ${byKey.all}` : '–'}
        </dd>
      </dl>
      {bars.length > 0 ? (
        <Suspense fallback={<div style={{ height: 24 * bars.length + 24 }} />}>
          <TimeChart bars={bars} />
        </Suspense>
      ) : null}
      <Table
        caption="Time by desktop"
        of={figures.desktops}
        present={present}
        name={(id) => <DesktopName id={id} width={13} />}
      />
      <Table caption="Time by app" of={figures.apps} present={present} name={appOf} />
    </section>
  )
}

function Table({
  caption,
  of,
  present,
  name,
}: {
  caption: string
  of: readonly Spent[]
  present: number
  name(id: string): React.ReactNode
}) {
  if (of.length === 0) return null
  return (
    <table className="w-full">
      <caption className="text-left font-semibold">{caption}</caption>
      <tbody>
        {of.map(({ id, time }) => (
          <tr key={id} className="border-seam border-t border-dashed">
            <th scope="row" className="max-w-0 py-0.5 text-left font-normal">
              {name(id)}
            </th>
            <td className="w-20 whitespace-nowrap text-right tabular-nums">{lengthOf(time)}</td>
            <td className="w-12 text-right text-soft tabular-nums">
              {Math.round((time / Math.max(1, present)) * 100)} %
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
