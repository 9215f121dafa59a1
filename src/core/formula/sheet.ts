import { evaluate } from './evaluate'
import { type Expression, parseFormula } from './parse'
import { FormulaProblem } from './problem'
import type { Scope } from './scope'
import { type CellPlace, lettersOf } from './tokens'
import { type Forms, readValue, type Value } from './value'

/** What a cell comes to, or why it comes to nothing. */
export type Worked = { value: Value } | { problem: string }

/** So deep cells that need each other are worked out at once; deeper ones one after the other. */
const DEPTH_MOST = 100

/** How many formulas are kept read. */
const KEPT_MOST = 20_000

/** A cell has to be worked out first. */
class First extends Error {
  constructor(readonly place: CellPlace) {
    super()
  }
}

const read = new Map<string, Expression | FormulaProblem>()

function expressionOf(formula: string): Expression {
  let expression = read.get(formula)
  if (!expression) {
    try {
      expression = parseFormula(formula)
    } catch (error) {
      if (!(error instanceof FormulaProblem)) throw error
      expression = error
    }
    if (read.size >= KEPT_MOST) read.clear()
    read.set(formula, expression)
  }
  if (expression instanceof FormulaProblem) throw expression
  return expression
}

/** Whether what is written in a cell is a formula: an equals sign, and something after it. */
export const isFormula = (text: string): boolean => text.startsWith('=') && text.trim().length > 1

/** The cells of a table with what they come to: each is worked out once, when it is asked for. */
export class Sheet {
  private readonly worked = new Map<number, Worked>()
  private readonly underWay = new Set<number>()
  private readonly scope: Scope
  private depth = 0

  /**
   * @param rows what is written in the cells, row by row
   * @param columns how many columns there are
   * @param today the number of the day it is
   */
  constructor(
    private readonly rows: readonly (readonly string[])[],
    private readonly columns: number,
    private readonly forms: Forms,
    today: number,
  ) {
    this.scope = {
      cell: (place) => this.needed(place),
      extent: { rows: rows.length, columns },
      name: () => undefined,
      today,
    }
  }

  /** What a cell comes to. */
  at(row: number, column: number): Worked {
    const text = this.rows[row]?.[column] ?? ''
    if (!isFormula(text)) return { value: readValue(text, this.forms) }
    const known = this.worked.get(this.keyOf({ row, column }))
    if (known) return known
    // Long chains of cells are walked without going deeper with each.
    const waiting: CellPlace[] = [{ row, column }]
    const waits = new Set<number>([this.keyOf({ row, column })])
    for (;;) {
      const place = waiting.at(-1) as CellPlace
      this.depth = 0
      try {
        const result = this.work(place)
        waiting.pop()
        waits.delete(this.keyOf(place))
        if (waiting.length === 0) return result
      } catch (error) {
        if (!(error instanceof First)) throw error
        const key = this.keyOf(error.place)
        if (waits.has(key)) this.worked.set(key, CIRCLE)
        else {
          waits.add(key)
          waiting.push(error.place)
        }
      }
    }
  }

  private keyOf({ row, column }: CellPlace): number {
    return row * this.columns + column
  }

  private needed(place: CellPlace): Value {
    const { row, column } = place
    if (row >= this.rows.length || column >= this.columns)
      throw new FormulaProblem(`there is no cell ${nameOf(place)}`)
    const text = this.rows[row]?.[column] ?? ''
    if (!isFormula(text)) return readValue(text, this.forms)
    const worked = this.worked.get(this.keyOf(place)) ?? this.work(place)
    if ('value' in worked) return worked.value
    throw new FormulaProblem(
      worked === CIRCLE ? CIRCLE.problem : `${nameOf(place)}: ${last(worked.problem)}`,
    )
  }

  private work(place: CellPlace): Worked {
    const key = this.keyOf(place)
    if (this.underWay.has(key)) return CIRCLE
    if (this.depth >= DEPTH_MOST) throw new First(place)
    this.underWay.add(key)
    this.depth++
    let result: Worked
    try {
      const text = this.rows[place.row]?.[place.column] ?? ''
      result = { value: evaluate(expressionOf(text.slice(1)), this.scope) }
    } catch (error) {
      if (!(error instanceof FormulaProblem)) throw error
      result = error.message === CIRCLE.problem ? CIRCLE : { problem: error.message }
    } finally {
      this.depth--
      this.underWay.delete(key)
    }
    this.worked.set(key, result)
    return result
  }
}

const CIRCLE = { problem: 'it refers to itself' }

const nameOf = ({ row, column }: CellPlace): string => `${lettersOf(column)}${row + 1}`

/** The cell where a problem began, not all those it came through. */
const last = (problem: string): string => problem.replace(/^(?:[A-Z]+\d+: )+/, '')
