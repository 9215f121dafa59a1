/** What a cell, or a formula, comes to. */
export type Value = number | string | boolean | Day

/** A day, as its number since 1970-01-01. */
export interface Day {
  day: number
}

export const isDay = (value: Value): value is Day => typeof value === 'object'

/** How numbers and days are written where it could be read in two ways. */
export interface Forms {
  decimal: '.' | ','
  /** Of day, month and year where slashes are between. */
  order: 'dmy' | 'mdy'
  /** How a day that was worked out is written. */
  day: 'iso' | 'slashes' | 'dots'
}

export const PLAIN: Forms = { decimal: '.', order: 'dmy', day: 'iso' }

const DAY_MS = 86_400_000

/** The number of a day, or null where there is no such day. */
export function dayNumber(year: number, month: number, day: number): number | null {
  const date = new Date(0)
  date.setUTCFullYear(year, month - 1, day)
  const is = date.getUTCFullYear() === year && date.getUTCMonth() === month - 1
  return is && date.getUTCDate() === day ? Math.round(date.getTime() / DAY_MS) : null
}

/**
 * The number of the day it is, by the local clock.
 * @param moment in milliseconds since 1970
 */
export function dayOf(moment: number): number {
  const date = new Date(moment)
  return Math.round(Date.UTC(date.getFullYear(), date.getMonth(), date.getDate()) / DAY_MS)
}

/** Year, month (from 1) and day of a day’s number. */
export function partsOfDay(number: number): [year: number, month: number, day: number] {
  const date = new Date(number * DAY_MS)
  return [date.getUTCFullYear(), date.getUTCMonth() + 1, date.getUTCDate()]
}

/**
 * What is written in a cell: a number with or without separators, a currency or a percent sign; a day as
 * 2026-12-31, 31.12.2026 or with slashes; else the text itself. Figures that begin with a nought, such as
 * those of a telephone, are text.
 */
export function readValue(text: string, forms: Forms = PLAIN): Value {
  const trimmed = text.trim()
  return readNumber(trimmed, forms.decimal) ?? readDay(trimmed, forms.order) ?? text
}

const CURRENCY = '[$€£¥₹₽₩]|[A-Z]{3}'
const NUMBER = new RegExp(
  `^([-+−])?\\s*(?:${CURRENCY})?\\s*([-+−])?(\\d[\\d.,'’ \\u00a0\\u202f]*|[.,]\\d+)\\s*(%|${CURRENCY})?$`,
)

/** @returns null where it is no number */
function readNumber(text: string, decimal: Forms['decimal']): number | null {
  const match = NUMBER.exec(text)
  if (!match) return null
  const [, before, after, figures = '', unit] = match
  if (before && after) return null
  const plain = plainFigures(figures.trim(), decimal)
  if (plain === null) return null
  const size = Number(plain) / (unit === '%' ? 100 : 1)
  return /[-−]/.test(before ?? after ?? '') ? -size : size
}

/** Figures with a point and nothing between thousands; null where they are not written like a number. */
function plainFigures(text: string, decimal: Forms['decimal']): string | null {
  const points = [...text].filter((letter) => letter === '.').length
  const commas = [...text].filter((letter) => letter === ',').length
  let mark: string | null = null
  if (points && commas) mark = text.lastIndexOf('.') > text.lastIndexOf(',') ? '.' : ','
  else if (points + commas === 1) {
    const only = points ? '.' : ','
    // “1,234” may be either; everything else has one reading.
    if (only === decimal || !/^[1-9]\d{0,2}[.,]\d{3}$/.test(text)) mark = only
  }
  const [whole = '', part, ...more] = mark ? text.split(mark) : [text]
  if (more.length || (part !== undefined && !/^\d+$/.test(part))) return null
  const grouped = /^\d{1,3}(?:([.,'’ \u00a0\u202f])\d{3})(?:\1\d{3})*$/.test(whole)
  if (whole !== '' && !grouped && !/^\d+$/.test(whole)) return null
  const digits = whole.replace(/\D/g, '')
  if (/^0\d/.test(digits) || digits.length > 15) return null
  return part === undefined ? digits : `${digits || '0'}.${part}`
}

function readDay(text: string, order: Forms['order']): Day | null {
  const iso = /^(\d{4})-(\d{2})-(\d{2})$/.exec(text)
  const dots = /^(\d{1,2})\.\s?(\d{1,2})\.\s?(\d{4})$/.exec(text)
  const slashes = /^(\d{1,2})\/(\d{1,2})\/(\d{4})$/.exec(text)
  const [, a = '', b = '', c = ''] = iso ?? dots ?? slashes ?? []
  if (!c) return null
  const [year, month, day] = iso ? [a, b, c] : slashes && order === 'mdy' ? [c, a, b] : [c, b, a]
  const number = dayNumber(Number(year), Number(month), Number(day))
  return number === null ? null : { day: number }
}

/** What was worked out, as it is shown; numbers to twelve figures. */
export function writeValue(value: Value, forms: Forms = PLAIN): string {
  if (typeof value === 'number') return writeNumber(value, forms.decimal)
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  return typeof value === 'string' ? value : writeDay(value.day, forms)
}

export const writeNumber = (value: number, decimal: Forms['decimal'] = '.'): string =>
  String(Number(value.toPrecision(12)))
    .replace('.', decimal)
    .replace('-', '−')

function writeDay(number: number, { day: form, order }: Forms): string {
  const [year, month, day] = partsOfDay(number)
  const [mm, dd] = [month, day].map((part) => String(part).padStart(2, '0')) as [string, string]
  if (form === 'dots') return `${dd}.${mm}.${year}`
  if (form === 'slashes') return order === 'mdy' ? `${mm}/${dd}/${year}` : `${dd}/${mm}/${year}`
  return `${String(year).padStart(4, '0')}-${mm}-${dd}`
}

const collator = new Intl.Collator(undefined, { numeric: true, sensitivity: 'base' })

const rank = (value: Value): number =>
  typeof value === 'number' ? 0 : isDay(value) ? 1 : typeof value === 'boolean' ? 2 : 3

/** Numbers by size, then days, then yes and no, then texts as one’s language sorts them. */
export function compareValues(a: Value, b: Value): number {
  if (typeof a === 'number' && typeof b === 'number') return a - b
  if (typeof a === 'string' && typeof b === 'string') return collator.compare(a, b)
  if (typeof a === 'object' && typeof b === 'object') return a.day - b.day
  return rank(a) - rank(b) || Number(a) - Number(b)
}

const COMPARISONS = ['<=', '>=', '<>', '=', '<', '>'] as const
export type Comparison = (typeof COMPARISONS)[number]

export const isComparison = (operator: string): operator is Comparison =>
  (COMPARISONS as readonly string[]).includes(operator)

/**
 * Whether a comparison is true.
 * @param difference of what stands at its left from what stands at its right, as `compareValues` tells it
 */
export function holds(difference: number, comparison: Comparison): boolean {
  switch (comparison) {
    case '=':
      return difference === 0
    case '<>':
      return difference !== 0
    case '<':
      return difference < 0
    case '<=':
      return difference <= 0
    case '>':
      return difference > 0
    case '>=':
      return difference >= 0
  }
}

/** Whether a value is as wanted; one of another kind is only ever “not the same”. */
export const meets = (value: Value, comparison: Comparison, wanted: Value): boolean =>
  typeof value === typeof wanted
    ? holds(compareValues(value, wanted), comparison)
    : comparison === '<>'
