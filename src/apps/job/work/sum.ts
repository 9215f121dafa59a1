import { readValue, writeNumber } from '@/core/formula/value'
import { counted } from '@/core/text/counted'
import { plain } from '@/core/text/plain'
import { figuresOf } from '../../table/looking'
import { type Input, type Step, tableOf } from './outcome'
import { columnOf, type Reading, worked } from './tables'
import type { Work } from './works'

/** So many rows are done at a time. */
const BATCH = 5000

/** What the numbers of a column come to, for each thing that stands in another; or for all rows. */
export function* summed(
  work: Extract<Work, { kind: 'sum' }>,
  inputs: Input[],
  reading: Reading,
): Generator<Step> {
  const table = worked(inputs[0], reading)
  const { forms } = reading
  const column = columnOf(table, work.column)
  const by = work.by ? columnOf(table, work.by) : null
  const groups = new Map<string, { name: string; numbers: number[] }>()
  let skipped = 0
  for (const [at, row] of table.rows.entries()) {
    if (at % BATCH === BATCH - 1) yield { share: at / table.rows.length }
    const cell = row[column] ?? ''
    const value = readValue(cell, forms)
    if (typeof value !== 'number') {
      if (cell.trim()) skipped++
      continue
    }
    const name = by === null ? 'all' : (row[by] ?? '').trim()
    const group = groups.get(plain(name))
    if (group) group.numbers.push(value)
    else groups.set(plain(name), { name, numbers: [value] })
  }
  const number = (value: number) => writeNumber(value, forms.decimal)
  yield {
    share: 1,
    log: `${counted(groups.size, 'row')}; left out ${counted(skipped, 'cell')} without a number`,
    outcome: tableOf(
      [work.by || 'rows', 'count', `sum of ${work.column}`, 'average', 'least', 'most'],
      [...groups.values()].flatMap(({ name, numbers }) => {
        const figures = figuresOf(numbers, 1)
        if (!figures) return []
        const { count, sum, average, least, most } = figures
        return [[name, String(count), ...[sum, average, least, most].map(number)]]
      }),
    ),
  }
}
