import { isFormula, type Sheet } from '@/core/formula/sheet'
import { lettersOf } from '@/core/formula/tokens'
import { type Forms, writeNumber } from '@/core/formula/value'
import type { TableContent } from './content'
import type { Cells } from './edits'
import { figuresOf } from './looking'
import type { Place } from './useSelection'

/** Below the cells: which cell one is at, its formula, and what the numbers in a range come to. */
export function Figures({
  table,
  shown,
  sheet,
  forms,
  active,
  range,
}: {
  table: TableContent
  /** Rows on screen, by their place among all. */
  shown: number[]
  sheet: Sheet
  forms: Forms
  active: Place
  range: Cells
}) {
  const row = shown[active.row]
  const text = row === undefined ? '' : (table.rows[row]?.[active.column] ?? '')
  const worked = row !== undefined && isFormula(text) ? sheet.at(row, active.column) : null
  const named = row !== undefined && active.column >= 0
  const figures = figuresOf(
    valuesIn(sheet, shown.slice(Math.max(0, range.top), range.bottom + 1), range),
  )
  const told = (value: number) => writeNumber(value, forms.decimal)
  return (
    <div className="flex min-h-6 items-center gap-3 border-seam border-t border-dashed px-2.5 font-mono text-[11px] text-soft">
      <span className="shrink-0">{named ? `${lettersOf(active.column)}${row + 1}` : ''}</span>
      {worked ? (
        <span className="min-w-0 truncate text-ink">
          {text}
          {'problem' in worked ? <em className="pl-2 text-alarm">{worked.problem}</em> : null}
        </span>
      ) : null}
      <span role="status" className="ml-auto shrink-0 truncate">
        {figures
          ? `sum ${told(figures.sum)} · average ${told(figures.average)} · ${told(figures.least)} to ${told(figures.most)} · ${figures.count} numbers`
          : ''}
      </span>
    </div>
  )
}

function* valuesIn(sheet: Sheet, rows: number[], { left, right }: Cells) {
  for (const row of rows)
    for (let column = left; column <= right; column++) {
      const worked = sheet.at(row, column)
      if ('value' in worked) yield worked.value
    }
}
