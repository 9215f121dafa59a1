import { counted } from '@/core/text/counted'
import { plain } from '@/core/text/plain'
import { type Input, type Step, tableOf, WorkProblem } from './outcome'
import { columnOf, type Reading, worked } from './tables'
import type { Work } from './works'

/** So many rows are done at a time. */
const BATCH = 5000
/** A join of more rows than this is one by a column in which much is the same. */
const ROWS_MOST = 200_000

/**
 * Two tables side by side, a row for each two that have the same in their columns. A row of the first
 * that has none in the second stands alone; capitals and accents make no difference.
 */
export function* joined(
  work: Extract<Work, { kind: 'join' }>,
  inputs: Input[],
  reading: Reading,
): Generator<Step> {
  const of = (id: string) => inputs.find((one) => one.id === id)
  const [left, right] = [of(work.left), of(work.right)]
  const [first, second] = [worked(left, reading), worked(right, reading)]
  const a = columnOf(first, work.leftBy)
  const b = columnOf(second, work.rightBy)
  const places = new Map<string, number[]>()
  for (const [at, row] of second.rows.entries()) {
    const key = keyOf(row[b])
    if (!key) continue
    const known = places.get(key)
    if (known) known.push(at)
    else places.set(key, [at])
  }
  const others = second.columns.flatMap((_, at) => (at === b ? [] : [at]))
  const none = others.map(() => '')
  const rows: string[][] = []
  const used = new Set<string>()
  let alone = 0
  for (const [at, row] of first.rows.entries()) {
    const key = keyOf(row[a])
    const found = places.get(key)
    if (found) {
      used.add(key)
      for (const there of found)
        rows.push([...row, ...others.map((column) => second.rows[there]?.[column] ?? '')])
    } else if (row.some(Boolean)) {
      alone++
      rows.push([...row, ...none])
    }
    if (rows.length > ROWS_MOST)
      throw new WorkProblem(
        `More than ${counted(ROWS_MOST, 'row')}. “${work.leftBy}” has the same value many times in both tables: join by another column.`,
      )
    if (at % BATCH === BATCH - 1) yield { share: at / first.rows.length }
  }
  const names = others.map((column) => {
    const name = second.columns[column] ?? ''
    return first.columns.includes(name) ? `${name} (${right?.title})` : name
  })
  yield {
    share: 1,
    log: `${counted(rows.length, 'row')}: ${alone} without a match in ${right?.title}; ${counted(places.size - used.size, 'value')} of ${right?.title} not in ${left?.title}`,
    outcome: tableOf([...first.columns, ...names], rows),
  }
}

const keyOf = (cell = ''): string => plain(cell.trim())
