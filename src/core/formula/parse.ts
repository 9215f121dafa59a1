import { FormulaProblem } from './problem'
import { type CellPlace, columnOf, placeOf, type Token, tokensOf } from './tokens'
import { type Comparison, readValue, type Value } from './value'

export type Operator = '+' | '-' | '*' | '/' | '^' | '&' | Comparison

export type Expression =
  | { kind: 'value'; value: Value }
  | { kind: 'name'; name: string }
  | { kind: 'cell'; place: CellPlace }
  | { kind: 'range'; from: CellPlace; to: CellPlace }
  | { kind: 'call'; name: string; given: Expression[] }
  | { kind: 'minus'; of: Expression }
  | { kind: 'percent'; of: Expression }
  | { kind: 'both'; operator: Operator; left: Expression; right: Expression }

const WRITTEN: Record<string, Operator> = { '×': '*', '÷': '/', '−': '-', '==': '=', '!=': '<>' }

/** How tightly an operator holds what stands beside it. */
const HOLDS: Record<string, number> = {
  '=': 1,
  '<>': 1,
  '<': 1,
  '<=': 1,
  '>': 1,
  '>=': 1,
  '&': 2,
  '+': 3,
  '-': 3,
  '*': 4,
  '/': 4,
  '^': 6,
}
const MINUS_HOLDS = 5

/** A formula nested deeper than this is refused. */
const DEPTH_MOST = 200

/** The last row a whole column goes to. */
const LAST_ROW = 9_999_999

/**
 * Reads a formula, without the sign it begins with: numbers, days (“2026-12-31”), texts in quotes, cells (“B2”, “$B$2”), ranges
 * (“B2:C9”, “B:B”), functions, + − × ÷ ^ % & and comparisons. As in sums on paper, × goes before +; a
 * minus before a power belongs to the whole of it.
 * @throws FormulaProblem
 */
export function parseFormula(formula: string, decimal: '.' | ',' = '.'): Expression {
  const parser = new Parser(tokensOf(formula, decimal), decimal)
  return parser.all()
}

class Parser {
  private next = 0
  private depth = 0
  constructor(
    private readonly tokens: Token[],
    private readonly decimal: '.' | ',',
  ) {}

  all(): Expression {
    if (this.tokens.length === 0) throw new FormulaProblem('there is nothing to work out')
    const whole = this.expression(0)
    const left = this.peek()
    if (left) throw new FormulaProblem(`“${left.text}” isn’t expected here`)
    return whole
  }

  private peek(): Token | undefined {
    return this.tokens[this.next]
  }

  private takeSign(...signs: string[]): boolean {
    const token = this.peek()
    if (token?.kind !== 'sign' || !signs.includes(token.text)) return false
    this.next++
    return true
  }

  private expression(least: number): Expression {
    if (++this.depth > DEPTH_MOST) throw new FormulaProblem('it is nested too deeply')
    let left = this.first()
    for (;;) {
      if (this.takeSign('%')) {
        left = { kind: 'percent', of: left }
        continue
      }
      const token = this.peek()
      const operator = token?.kind === 'sign' ? (WRITTEN[token.text] ?? token.text) : ''
      const holds = HOLDS[operator]
      if (holds === undefined || holds < least) break
      this.next++
      // What stands at the right of a power belongs to it: 2^3^2 is 2^9.
      const right = this.expression(operator === '^' ? holds : holds + 1)
      left = { kind: 'both', operator: operator as Operator, left, right }
    }
    this.depth--
    return left
  }

  private first(): Expression {
    if (this.takeSign('-', '−')) return { kind: 'minus', of: this.expression(MINUS_HOLDS) }
    if (this.takeSign('+')) return this.expression(MINUS_HOLDS)
    if (this.takeSign('(')) {
      const within = this.expression(0)
      if (!this.takeSign(')')) throw new FormulaProblem('a bracket is not closed')
      return within
    }
    const token = this.peek()
    if (!token) throw new FormulaProblem('it ends too early')
    this.next++
    switch (token.kind) {
      case 'number':
        return { kind: 'value', value: Number(token.text.replace(',', '.')) }
      case 'day':
        return { kind: 'value', value: readValue(token.text) }
      case 'text':
        return { kind: 'value', value: token.text.slice(1, -1).replaceAll('""', '"') }
      case 'cell':
        return this.cells(token)
      case 'column':
        return this.columns(token)
      case 'name':
        return this.named(token)
      default:
        throw new FormulaProblem(`“${token.text}” isn’t expected here`)
    }
  }

  private cells(token: Token): Expression {
    const from = placeOf(token.text)
    if (!this.takeSign(':')) return { kind: 'cell', place: from }
    const end = this.tokens[this.next++]
    if (end?.kind !== 'cell') throw new FormulaProblem(`“${token.text}:” has no end`)
    return rangeOf(from, placeOf(end.text))
  }

  private columns(token: Token): Expression {
    this.takeSign(':')
    const end = this.tokens[this.next++]
    if (end?.kind !== 'column') throw new FormulaProblem(`“${token.text}:” has no end`)
    return rangeOf(
      { row: 0, column: columnOf(token.text) },
      { row: LAST_ROW, column: columnOf(end.text) },
    )
  }

  private named({ text }: Token): Expression {
    const name = text.toLowerCase()
    if (!this.takeSign('(')) {
      if (name === 'true' || name === 'false') return { kind: 'value', value: name === 'true' }
      return { kind: 'name', name }
    }
    const given: Expression[] = []
    if (this.takeSign(')')) return { kind: 'call', name, given }
    do given.push(this.expression(0))
    while (this.takeSign(';', this.decimal === '.' ? ',' : ';'))
    if (!this.takeSign(')')) throw new FormulaProblem(`the bracket of ${text} is not closed`)
    return { kind: 'call', name, given }
  }
}

const rangeOf = (a: CellPlace, b: CellPlace): Expression => ({
  kind: 'range',
  from: { row: Math.min(a.row, b.row), column: Math.min(a.column, b.column) },
  to: { row: Math.max(a.row, b.row), column: Math.max(a.column, b.column) },
})
