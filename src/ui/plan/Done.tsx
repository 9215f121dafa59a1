import type { Stretch } from '@/core/journal/time'
import { spell } from '@/core/journal/words'
import type { Block } from '@/core/model/kinds/block'
import { compared } from '@/core/plan/done'
import { atMinute, dayOf } from '@/core/plan/plan'
import { DesktopName } from '@/parts/DesktopName'
import { PanelSection } from '@/parts/PanelSection'

const inWords = (time: number): string => (time > 0 ? spell(Math.round(time / 60_000)) : '–')

/** What was planned for a day and what was done on it, desktop by desktop. */
export function Done({
  day,
  blocks,
  done,
}: {
  day: number
  blocks: readonly Block[]
  done: readonly Stretch[]
}) {
  const midnight = dayOf(day)
  const rows = compared(blocks, done, midnight, atMinute(midnight, 24 * 60))
  if (rows.length === 0) return null
  return (
    <PanelSection name="Planned and done">
      <table className="mt-1 w-full text-[12px]">
        <thead>
          <tr className="text-right text-soft [&>th]:font-normal">
            <th scope="col" className="text-left">
              desktop
            </th>
            <th scope="col">planned</th>
            <th scope="col">done</th>
            <th scope="col">on schedule</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ desktop, planned, done: spent, kept }) => (
            <tr
              key={desktop}
              className="border-seam border-t border-dashed text-right tabular-nums"
            >
              <th scope="row" className="max-w-0 py-1 text-left font-normal">
                <DesktopName id={desktop} />
              </th>
              <td className="w-16 whitespace-nowrap">{inWords(planned)}</td>
              <td className="w-16 whitespace-nowrap">{inWords(spent)}</td>
              <td className="w-16 whitespace-nowrap">{planned ? inWords(kept) : ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </PanelSection>
  )
}
