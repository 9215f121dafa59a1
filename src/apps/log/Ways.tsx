import { useState } from 'react'
import { type Matrix, waysOf } from '@/core/insight/matrix'
import { desktopName } from '@/core/journal/words'
import { effort } from '@/core/keys/effort'
import type { DesktopId } from '@/core/model/ids'
import { DesktopMark, DesktopName } from '@/parts/DesktopName'
import { useArrangement } from '@/store/useShelf'

/** How often one went from each desktop to each other, and between which most often. */
export function Ways({ matrix, days }: { matrix: Matrix; days: number }) {
  const desktops = useArrangement((state) => state.desktops)
  // As they stand, or the column whose numbers the rows are sorted by.
  const [by, setBy] = useState<DesktopId | null>(null)
  const nameOf = (id: DesktopId) => desktopName({ desktops }, id)
  const ways = waysOf(matrix)
  const [most] = ways
  if (!most) return <p className="text-soft">No switches yet.</p>
  const highest = Math.max(...matrix.counts.flat())
  const column = by === null ? -1 : matrix.desktops.indexOf(by)
  const countOf = (row: number, at: number) => matrix.counts[row]?.[at] ?? 0
  const rows = [...matrix.desktops.keys()].sort((a, b) =>
    column < 0 ? a - b : countOf(b, column) - countOf(a, column),
  )
  return (
    <div className="min-h-0 overflow-auto">
      <p className="mb-3">
        You switched most often between <bdi className="font-bold">{nameOf(most.between[0])}</bdi>{' '}
        and <bdi className="font-bold">{nameOf(most.between[1])}</bdi>: {most.count} times. Select a
        column to sort by it.
      </p>
      <div className="flex flex-wrap items-start gap-10">
        <table className="border-separate border-spacing-0.5 text-[13px]">
          <caption className="sr-only">Switches, from the row to the column</caption>
          <thead>
            <tr>
              <td className="pr-3 text-right text-[12px] text-soft">from ↓ to →</td>
              {matrix.desktops.map((id) => (
                <th key={id} scope="col" aria-sort={by === id ? 'descending' : undefined}>
                  <button
                    type="button"
                    aria-label={`to ${nameOf(id)}`}
                    title={`to ${nameOf(id)}`}
                    aria-pressed={by === id}
                    className={`grid size-9 place-items-center ${by === id ? 'outline-2 outline-ink' : 'hover:bg-ink/6'}`}
                    onClick={() => setBy(by === id ? null : id)}
                  >
                    <DesktopMark id={id} width={15} />
                  </button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => {
              const from = matrix.desktops[row] ?? ''
              return (
                <tr key={from}>
                  <th scope="row" className="pr-3 text-left font-normal">
                    <DesktopName id={from} width={15} className="max-w-44" />
                  </th>
                  {matrix.desktops.map((to, at) => {
                    const count = countOf(row, at)
                    return (
                      <td
                        key={to}
                        title={`${nameOf(from)} to ${nameOf(to)}: ${count}`}
                        className="h-8 w-12 border border-seam text-center tabular-nums"
                        // Never so dark that the figure could not be read on it.
                        style={{
                          background: `color-mix(in srgb, var(--ink) ${Math.round((count / highest) * 30)}%, transparent)`,
                        }}
                      >
                        {count || ''}
                      </td>
                    )
                  })}
                </tr>
              )
            })}
          </tbody>
        </table>
        <Costs ways={ways} days={days} nameOf={nameOf} />
      </div>
    </div>
  )
}

/** What the ways cost a day by the keys that lead to the neighbours. */
function Costs({
  ways,
  days,
  nameOf,
}: {
  ways: ReturnType<typeof waysOf>
  days: number
  nameOf(id: DesktopId): string
}) {
  const order = useArrangement((state) => state.order)
  return (
    <table className="text-[13px] [&_td]:px-3 [&_td]:py-0.5 [&_td]:text-right [&_td]:tabular-nums">
      <caption className="text-left font-semibold">
        Cost a day when stepping from neighbour to neighbour
      </caption>
      <thead>
        <tr className="text-right text-soft [&>th]:px-3 [&>th]:font-normal">
          <th scope="col" className="!pl-0 text-left">
            between
          </th>
          <th scope="col">times</th>
          <th scope="col">keystrokes</th>
          <th scope="col">seconds</th>
        </tr>
      </thead>
      <tbody>
        {ways.slice(0, SHOWN).map(({ between: [one, other], count }) => {
          const apart = Math.abs(order.indexOf(one) - order.indexOf(other))
          const known = order.includes(one) && order.includes(other)
          const strokes = (count * apart) / days
          return (
            <tr key={`${one} ${other}`} className="border-seam border-t border-dashed">
              <th scope="row" className="text-left font-normal">
                <bdi>{nameOf(one)}</bdi> and <bdi>{nameOf(other)}</bdi>
              </th>
              <td>{(count / days).toFixed(1)}</td>
              <td>{known ? strokes.toFixed(1) : '–'}</td>
              <td>{known ? (strokes * effort('Alt+.')).toFixed(1) : '–'}</td>
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}

/** So many ways are listed. */
const SHOWN = 12
