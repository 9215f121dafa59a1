import { evaluate } from '@/core/formula/evaluate'
import { type Expression, parseFormula } from '@/core/formula/parse'
import { FormulaProblem } from '@/core/formula/problem'
import type { Scope } from '@/core/formula/scope'
import { lettersOf } from '@/core/formula/tokens'
import { type Forms, readValue, type Value, writeValue } from '@/core/formula/value'

/** What a line comes to, or why it comes to nothing; null for what is no sum: a remark, an empty line. */
export type Result = { shown: string; value: Value } | { problem: string } | null

/** “snow = 12 + 4”: a name for what comes after it. */
const NAMED = /^\s*(\p{L}[\p{L}\p{N}_]*)\s*(?:=|:)(?!=)\s*(.+)$/u

/** What stands for the line before, and for all lines since one that is empty. */
const BEFORE = 'last'
const TOTAL = 'total'

/**
 * What each line comes to: sums, with names for what they came to (“snow = 12”), the one before as “last” and
 * all since an empty line as “total”. After # comes a remark.
 * @param today the number of the day it is
 */
export function worked(text: string, forms: Forms, today: number): Result[] {
  const names = new Map<string, Value>()
  let since: number[] = []
  const known = (name: string): Value => {
    const value = names.get(name)
    if (value === undefined) throw new FormulaProblem(`“${name}” isn’t defined`)
    return value
  }
  return text.split('\n').map((line) => {
    const sum = line.replace(/#.*$/, '').trim()
    if (sum === '') {
      if (line.trim() === '') since = []
      return null
    }
    const [, name, rest] = NAMED.exec(sum) ?? []
    const scope: Scope = {
      // A name such as “a1” is one like others here.
      cell: ({ row, column }) => known(`${lettersOf(column)}${row + 1}`.toLowerCase()),
      extent: { rows: 0, columns: 0 },
      name: (asked) => names.get(asked),
      today,
    }
    names.set(
      TOTAL,
      since.reduce((all, one) => all + one, 0),
    )
    try {
      const value = comesTo(rest ?? sum, forms, scope)
      if (name) names.set(name.toLowerCase(), value)
      names.set(BEFORE, value)
      if (typeof value === 'number') since.push(value)
      return { value, shown: writeValue(value, forms) }
    } catch (error) {
      if (error instanceof FormulaProblem) return { problem: error.message }
      throw error
    }
  })
}

/** A number or a day as people write it, else a formula. An operator at the beginning goes on from the line before. */
function comesTo(text: string, forms: Forms, scope: Scope): Value {
  const goesOn = /^(?:[+*×/÷^]|[-−]\s)/.test(text) && scope.name(BEFORE) !== undefined
  const plain = goesOn ? text : readValue(text, forms)
  if (typeof plain !== 'string') return plain
  const formula = parseFormula(goesOn ? `${BEFORE} ${text}` : text, forms.decimal)
  return evaluate(withPercent(formula), scope)
}

/** As on any calculator: what is added or taken off in percent is of what it is added to. */
function withPercent(sum: Expression): Expression {
  if (sum.kind !== 'both') return sum
  const { operator, right } = sum
  const left = withPercent(sum.left)
  if (right.kind !== 'percent' || (operator !== '+' && operator !== '-')) return { ...sum, left }
  return { ...sum, left, right: { kind: 'both', operator: '*', left, right } }
}
