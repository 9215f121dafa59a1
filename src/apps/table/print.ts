import type { Sheet } from '@/core/formula/sheet'
import type { Forms } from '@/core/formula/value'
import { print } from '@/parts/print'
import type { TableContent } from './content'
import { textAt } from './looking'

/** Prints the rows on screen, in their order, with the names of the columns on every sheet. */
export function printTable(
  content: TableContent,
  shown: number[],
  { sheet, forms }: { sheet: Sheet; forms: Forms },
  title: string,
): void {
  const table = document.createElement('table')
  const head = table.createTHead().insertRow()
  for (const name of content.columns) {
    const cell = document.createElement('th')
    cell.textContent = name
    head.append(cell)
  }
  const body = table.createTBody()
  for (const row of shown) {
    const line = body.insertRow()
    for (const column of content.columns.keys()) {
      const cell = line.insertCell()
      cell.textContent = textAt(content, sheet, forms, row, column)
      const worked = sheet.at(row, column)
      if ('value' in worked && typeof worked.value === 'number') cell.className = 'text-right'
    }
  }
  print([table], title)
}
