import { array, boolean, number, object, type Schema, string, type ValidationError } from 'yup'
import { whyInvalid } from './invalid'

function why(schema: Schema, value: unknown): string {
  try {
    schema.validateSync(value, { strict: true })
    return ''
  } catch (error) {
    return whyInvalid(error as ValidationError)
  }
}

test.each<[schema: Schema, value: unknown, words: string]>([
  [string(), 5, 'must be text, not 5'],
  [string(), {}, 'must be text'],
  [string().required(), undefined, 'is missing'],
  [string().defined(), undefined, 'is missing'],
  [string(), null, 'can’t be empty'],
  [string().max(3), 'four', 'must have at most 3 characters'],
  [string().oneOf(['a']), 'x'.repeat(90), `can’t be “${'x'.repeat(39)}…`],
  [string().matches(/^a/), 'b', 'can’t be “b”'],
  [number(), '7', 'must be a number, not “7”'],
  [number(), Number.NaN, 'must be a number, not NaN'],
  [number().min(2), 1, 'must be at least 2'],
  [number().positive(), -1, 'must be more than 0'],
  [number().integer(), 1.5, 'must be a whole number'],
  [boolean(), 'yes', 'must be true or false, not “yes”'],
  [array(), 'list', 'must be a list, not “list”'],
  [array().min(1), [], 'must have at least 1 item'],
  [object({ a: string() }).noUnknown(), { b: 1 }, 'has parts that are not known: “b”'],
  [number().test('own', 'is a leap second', () => false), 1, 'is a leap second'],
])('case %#', (schema, value, words) => {
  expect(why(schema, value)).toBe(words)
})

test('nothing the library would say of itself is left', () => {
  const schemas = [string(), number(), boolean(), array(), object()].flatMap((one) => [
    one,
    one.required(),
    one.defined(),
  ])
  for (const schema of schemas)
    for (const value of [null, undefined, 1, 'x', [], {}, true, Number.NaN])
      expect(why(schema, value)).not.toMatch(/this|`|cast|final value/)
})
