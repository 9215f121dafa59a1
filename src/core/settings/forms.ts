import type { Forms } from '@/core/formula/value'
import type { Settings } from './table'

/**
 * How numbers and dates are written, as it is set or as is usual in a language.
 * @param language a tag such as `en-GB`
 */
export function formsOf(
  { numbers, days }: Pick<Settings, 'numbers' | 'days'>,
  language: string,
): Forms {
  const usual = usualIn(language)
  return {
    decimal: numbers === 'browser' ? usual.decimal : numbers === 'comma' ? ',' : '.',
    order: days === 'browser' ? usual.order : days === 'month' ? 'mdy' : 'dmy',
    day: days === 'browser' ? usual.day : days === 'month' ? 'slashes' : (days as Forms['day']),
  }
}

const known = new Map<string, Forms>()

function usualIn(language: string): Forms {
  const forms = known.get(language) ?? worked(language)
  known.set(language, forms)
  return forms
}

function worked(language: string): Forms {
  const number = new Intl.NumberFormat(language).formatToParts(1.5)
  const date = new Intl.DateTimeFormat(language, { calendar: 'gregory' }).formatToParts(0)
  const parts = date.map(({ type }) => type)
  const between = date.find(({ type }) => type === 'literal')?.value.trim()
  return {
    decimal: number.some(({ type, value }) => type === 'decimal' && value === ',') ? ',' : '.',
    order: parts.indexOf('month') < parts.indexOf('day') && parts[0] !== 'year' ? 'mdy' : 'dmy',
    day: between === '/' && parts[0] !== 'year' ? 'slashes' : between === '.' ? 'dots' : 'iso',
  }
}
