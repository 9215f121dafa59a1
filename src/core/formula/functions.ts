import { FormulaProblem } from './problem'
import { asNumber, asText, finite, type Scope } from './scope'
import { type Comparison, isDay, meets, PLAIN, partsOfDay, readValue, type Value } from './value'

/** What is given to a function: one value, or those of a range. */
export type Given = { range: false; value(): Value } | { range: true; values(): Iterable<Value> }

type Work = (given: Given[], scope: Scope) => Value

/** How many a function is given, at least and at most. */
interface Known {
  least: number
  most: number
  work: Work
}

const one = (given: Given | undefined): Value => {
  if (!given) throw new FormulaProblem('a value is missing in the brackets')
  if (given.range) throw new FormulaProblem('a range can’t be used here')
  return given.value()
}
const number = (given: Given | undefined): number => asNumber(one(given))
const text = (given: Given | undefined): string => asText(one(given))

/** Of a range only the numbers and days count; whatever else is given has to be a number. */
function* numbers(given: Given[]): Generator<number> {
  for (const each of given) {
    if (!each.range) {
      yield asNumber(each.value())
      continue
    }
    for (const value of each.values())
      if (typeof value === 'number' || isDay(value)) yield asNumber(value)
  }
}

const some = (given: Given[]): number[] => {
  const all = [...numbers(given)]
  if (all.length === 0) throw new FormulaProblem('there are no numbers')
  return all
}

const sum = (all: Iterable<number>): number => {
  let total = 0
  for (const each of all) total += each
  return finite(total)
}

/** The first of some that is a day makes the smallest, largest or mean of them a day. */
const dayIfDays = (given: Given[], result: number): Value => {
  for (const each of given)
    for (const value of each.range ? each.values() : [each.value()])
      if (typeof value === 'number' || isDay(value)) return isDay(value) ? { day: result } : result
  return result
}

function median(all: number[]): number {
  const sorted = all.toSorted((a, b) => a - b)
  const middle = Math.floor(sorted.length / 2)
  const upper = sorted[middle] ?? 0
  return sorted.length % 2 ? upper : ((sorted[middle - 1] ?? 0) + upper) / 2
}

/** Half of the last figure goes away from 0, as on paper. */
function rounded(value: number, places: number): number {
  const shift = 10 ** Math.trunc(places)
  const scaled = Number((Math.abs(value) * shift).toPrecision(15))
  return (Math.sign(value) * Math.round(scaled)) / shift
}

/** “>5”, “<>x”, “x”: what values have to be to count. */
function condition(asked: Value): (value: Value) => boolean {
  const [, operator = '=', rest = ''] =
    typeof asked === 'string' ? (/^(<=|>=|<>|<|>|=)?(.*)$/su.exec(asked) ?? []) : []
  const wanted = typeof asked === 'string' ? readValue(rest, PLAIN) : asked
  return (value) => meets(value, operator as Comparison, wanted)
}

const valuesOf = (given: Given | undefined): Value[] =>
  given?.range ? [...given.values()] : [one(given)]

const fits = (least: number, most: number, work: Work): Known => ({ least, most, work })
const several = (work: Work): Known => fits(1, 255, work)
const ofNumber = (work: (value: number) => number): Known =>
  fits(1, 1, ([value]) => finite(work(number(value))))

const FUNCTIONS: Record<string, Known> = {
  sum: several((given) => sum(numbers(given))),
  average: several((given) => {
    const all = some(given)
    return dayIfDays(given, sum(all) / all.length)
  }),
  count: several((given) => [...numbers(given)].length),
  counta: several((given) => given.flatMap(valuesOf).filter((value) => value !== '').length),
  min: several((given) =>
    dayIfDays(
      given,
      some(given).reduce((a, b) => Math.min(a, b)),
    ),
  ),
  max: several((given) =>
    dayIfDays(
      given,
      some(given).reduce((a, b) => Math.max(a, b)),
    ),
  ),
  median: several((given) => dayIfDays(given, median(some(given)))),
  product: several((given) => finite(some(given).reduce((a, b) => a * b))),
  countif: fits(2, 2, ([range, asked]) => valuesOf(range).filter(condition(one(asked))).length),
  sumif: fits(2, 3, ([range, asked, added]) => {
    const [from, to] = [valuesOf(range), valuesOf(added ?? range)]
    const wanted = condition(one(asked))
    const counted = to.filter((value, at) => typeof value === 'number' && wanted(from[at] ?? ''))
    return sum(counted as number[])
  }),
  if: fits(2, 3, ([asked, then, otherwise]) => {
    if (asNumber(one(asked)) !== 0) return one(then)
    return otherwise ? one(otherwise) : ''
  }),
  iferror: fits(2, 2, ([value, otherwise]) => {
    try {
      return one(value)
    } catch (error) {
      if (error instanceof FormulaProblem) return one(otherwise)
      throw error
    }
  }),
  and: several((given) => given.every((each) => number(each) !== 0)),
  or: several((given) => given.some((each) => number(each) !== 0)),
  not: fits(1, 1, ([value]) => number(value) === 0),
  round: fits(1, 2, ([value, places]) => rounded(number(value), places ? number(places) : 0)),
  floor: ofNumber(Math.floor),
  ceil: ofNumber(Math.ceil),
  int: ofNumber(Math.floor),
  abs: ofNumber(Math.abs),
  sqrt: ofNumber(Math.sqrt),
  exp: ofNumber(Math.exp),
  ln: ofNumber(Math.log),
  log: ofNumber(Math.log10),
  sin: ofNumber(Math.sin),
  cos: ofNumber(Math.cos),
  tan: ofNumber(Math.tan),
  power: fits(2, 2, ([value, by]) => finite(number(value) ** number(by))),
  mod: fits(2, 2, ([value, by]) => {
    const divisor = number(by)
    if (divisor === 0) throw new FormulaProblem('it divides by 0')
    return number(value) - divisor * Math.floor(number(value) / divisor)
  }),
  concat: several((given) => given.flatMap(valuesOf).map(asText).join('')),
  len: fits(1, 1, ([value]) => [...text(value)].length),
  upper: fits(1, 1, ([value]) => text(value).toUpperCase()),
  lower: fits(1, 1, ([value]) => text(value).toLowerCase()),
  trim: fits(1, 1, ([value]) => text(value).trim().replace(/\s+/g, ' ')),
  left: fits(2, 2, ([value, count]) => [...text(value)].slice(0, number(count)).join('')),
  right: fits(2, 2, ([value, count]) => {
    const letters = [...text(value)]
    return letters.slice(Math.max(0, letters.length - number(count))).join('')
  }),
  today: fits(0, 0, (_, { today }) => ({ day: today })),
  year: fits(1, 1, ([value]) => partsOfDay(number(value))[0]),
  month: fits(1, 1, ([value]) => partsOfDay(number(value))[1]),
  day: fits(1, 1, ([value]) => partsOfDay(number(value))[2]),
}

/** Other names of the same. */
const ALSO: Record<string, string> = {
  avg: 'average',
  mean: 'average',
  ceiling: 'ceil',
  concatenate: 'concat',
  log10: 'log',
  pow: 'power',
}

export function callFunction(called: string, given: Given[], scope: Scope): Value {
  const name = ALSO[called] ?? called
  const known = Object.hasOwn(FUNCTIONS, name) ? FUNCTIONS[name] : undefined
  if (!known) throw new FormulaProblem(`there is no function “${called}”`)
  if (given.length < known.least) throw new FormulaProblem(`${called} needs more values`)
  if (given.length > known.most) throw new FormulaProblem(`${called} has too many values`)
  return known.work(given, scope)
}
