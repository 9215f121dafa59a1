import { callFunction, type Given } from './functions'
import type { Expression, Operator } from './parse'
import { FormulaProblem } from './problem'
import { asNumber, asText, finite, GONE, type Scope } from './scope'
import { compareValues, holds, isComparison, isDay, type Value } from './value'

/**
 * What a formula comes to.
 * @throws FormulaProblem in words, where it comes to nothing
 */
export function evaluate(expression: Expression, scope: Scope): Value {
  switch (expression.kind) {
    case 'value':
      return expression.value
    case 'name':
      return named(expression.name, scope)
    case 'cell':
      return scope.cell(expression.place)
    case 'range':
      throw new FormulaProblem('use a range inside a function such as sum')
    case 'minus':
      return -asNumber(evaluate(expression.of, scope))
    case 'percent':
      return asNumber(evaluate(expression.of, scope)) / 100
    case 'both':
      return both(
        expression.operator,
        evaluate(expression.left, scope),
        evaluate(expression.right, scope),
      )
    case 'call':
      return callFunction(
        expression.name,
        expression.given.map((one) => givenOf(one, scope)),
        scope,
      )
  }
}

/** What is given to a function is worked out when it is asked for: “if” asks for one of two. */
function givenOf(expression: Expression, scope: Scope): Given {
  if (expression.kind !== 'range') return { range: false, value: () => evaluate(expression, scope) }
  return { range: true, values: () => valuesOf(expression, scope) }
}

function* valuesOf(
  { from, to }: Extract<Expression, { kind: 'range' }>,
  { cell, extent }: Scope,
): Generator<Value> {
  const right = Math.min(to.column, extent.columns - 1)
  const bottom = Math.min(to.row, extent.rows - 1)
  for (let row = from.row; row <= bottom; row++)
    for (let column = from.column; column <= right; column++) yield cell({ row, column })
}

const CONSTANTS: Record<string, number> = { pi: Math.PI, e: Math.E }

function named(name: string, scope: Scope): Value {
  const value = scope.name(name) ?? CONSTANTS[name]
  if (value !== undefined) return value
  if (name === GONE) throw new FormulaProblem('a cell it needs was removed')
  throw new FormulaProblem(`“${name}” isn’t defined`)
}

function both(operator: Operator, left: Value, right: Value): Value {
  if (operator === '&') return asText(left) + asText(right)
  if (isComparison(operator)) return holds(compareValues(...alike(left, right)), operator)
  return reckoned(operator, left, right)
}

/** An empty cell beside a number is 0; what differs in the fifteenth figure is the same: 0.1 + 0.2 is 0.3. */
function alike(a: Value, b: Value): [Value, Value] {
  if (typeof a === 'number' && typeof b === 'number')
    return [Number(a.toPrecision(14)), Number(b.toPrecision(14))]
  if (a === '' && typeof b === 'number') return [0, b]
  if (b === '' && typeof a === 'number') return [a, 0]
  return [a, b]
}

function reckoned(operator: '+' | '-' | '*' | '/' | '^', left: Value, right: Value): Value {
  const [a, b] = [asNumber(left), asNumber(right)]
  // A day and so many days is a day; from one day to another it is so many days.
  const days =
    Number(isDay(left)) + (operator === '-' ? -Number(isDay(right)) : Number(isDay(right)))
  switch (operator) {
    case '+':
      return days === 1 ? { day: a + b } : a + b
    case '-':
      return days === 1 ? { day: a - b } : a - b
    case '*':
      return finite(a * b)
    case '/':
      if (b === 0) throw new FormulaProblem('it divides by 0')
      return finite(a / b)
    case '^':
      return finite(a ** b)
  }
}
