import type { ValidationError } from 'yup'

const KINDS: Record<string, string> = {
  string: 'text',
  number: 'a number',
  boolean: 'true or false',
  object: 'an object',
  array: 'a list',
  date: 'a date',
}

/** How a value is shown in a sentence; it may be anything, of any size. */
function shown(value: unknown): string {
  const text = typeof value === 'string' ? `“${value}”` : String(value)
  return text.length > 40 ? `${text.slice(0, 40)}…` : text
}

/**
 * What is wrong with a value, in a sentence without its subject: “is missing”, “must be text”. The
 * checks' own library speaks of types; checks of ours bring their own words.
 */
export function whyInvalid(error: ValidationError): string {
  const { type, params = {}, message } = error
  const value = params.originalValue ?? params.value
  switch (type) {
    case 'required':
    case 'optionality':
    case 'defined':
      return 'is missing'
    case 'nullable':
      return 'can’t be empty'
    case 'typeError':
      return `must be ${KINDS[String(params.type)] ?? 'something else'}${
        value === null || typeof value === 'object' ? '' : `, not ${shown(value)}`
      }`
    case 'oneOf':
      return `can’t be ${shown(value)}`
    case 'min':
      return atBounds(error, 'least', params.min)
    case 'max':
      return atBounds(error, 'most', params.max)
    case 'integer':
      return 'must be a whole number'
    case 'length':
      return `must have ${params.length} items`
    case 'matches':
      return `can’t be ${shown(value)}`
    case 'noUnknown':
      return `has parts that are not known: ${shown(params.unknown)}`
    default:
      return message
  }
}

function atBounds(
  { params = {} }: ValidationError,
  bound: 'least' | 'most',
  limit: unknown,
): string {
  const { value, more, less } = params
  if (more !== undefined) return `must be more than ${more}`
  if (less !== undefined) return `must be less than ${less}`
  if (typeof value === 'string') return `must have at ${bound} ${limit} characters`
  if (Array.isArray(value))
    return `must have at ${bound} ${limit} ${limit === 1 ? 'item' : 'items'}`
  return `must be at ${bound} ${limit}`
}
