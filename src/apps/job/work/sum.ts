import { readValue, writeNumber } from '@/core/formula/value'
import { counted } from '@/core/text/counted'
import { plain } from '@/core/text/plain'
import { type Input, type Step, tableOf } from './outcome'
import { columnOf, type Reading, worked } from './tables'
import type { Work } from './works'

/** So many rows are done at a time. */
const BATCH = 5000

interface Group {
  name: string
  numbers: number
  sum: number
  least: number
  most: number
}

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
  const groups = new Map<string, Group>()
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
    const key = plain(name)
    const group = groups.get(key)
    if (!group) groups.set(key, { name, numbers: 1, sum: value, least: value, most: value })
    else {
      group.numbers++
      group.sum += value
      group.least = Math.min(group.least, value)
      group.most = Math.max(group.most, value)
    }
  }
  const number = (value: number) => writeNumber(value, forms.decimal)
  yield {
    share: 1,
    log: `${counted(groups.size, 'row')}; ${counted(skipped, 'cell')} without a number left out`,
    outcome: tableOf(
      [work.by || 'rows', 'count', `sum of ${work.column}`, 'average', 'least', 'most'],
      [...groups.values()].map(({ name, numbers, sum, least, most }) => [
        name,
        String(numbers),
        number(sum),
        number(sum / numbers),
        number(least),
        number(most),
      ]),
    ),
  }
}
