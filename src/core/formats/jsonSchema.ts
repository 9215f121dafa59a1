import type { Schema, SchemaDescription, SchemaObjectDescription } from 'yup'

/** A JSON Schema, as far as it is made here (draft 2020-12). */
type JsonSchema = Record<string, unknown>

/** Limits of texts, numbers and lists, by what Yup calls them. */
function limits({ type, tests }: SchemaDescription): JsonSchema {
  const [least, most] =
    type === 'string'
      ? ['minLength', 'maxLength']
      : type === 'array'
        ? ['minItems', 'maxItems']
        : ['minimum', 'maximum']
  const found: JsonSchema = {}
  for (const { name, params = {} } of tests) {
    const { min, max, more, length, regex } = params as Record<string, unknown>
    // One that refers to another field cannot be said.
    if (typeof min === 'number') found[least as string] = min
    if (typeof max === 'number') found[most as string] = max
    if (typeof more === 'number') found.exclusiveMinimum = more
    if (typeof length === 'number')
      Object.assign(found, { [least as string]: length, [most as string]: length })
    if (regex instanceof RegExp) found.pattern = regex.source
    if (name === 'integer') found.type = 'integer'
  }
  return found
}

const TYPES = ['string', 'number', 'boolean', 'object', 'array']

function described(about: SchemaDescription): JsonSchema {
  const { type, nullable, oneOf } = about
  const made: JsonSchema = { ...(TYPES.includes(type) && { type }), ...limits(about) }
  if (oneOf.length > 0) made.enum = oneOf
  const of = (about.meta as { byId?: Schema } | undefined)?.byId
  if (of) Object.assign(made, { type: 'object', additionalProperties: jsonSchema(of) })
  if ('innerType' in about && about.innerType)
    made.items = described(about.innerType as SchemaDescription)
  if ('fields' in about) {
    const fields = Object.entries((about as SchemaObjectDescription).fields) as [
      string,
      SchemaDescription,
    ][]
    made.properties = Object.fromEntries(fields.map(([name, field]) => [name, described(field)]))
    const needed = fields.filter(([, { optional }]) => !optional).map(([name]) => name)
    if (needed.length > 0) made.required = needed
  }
  return nullable ? { anyOf: [made, { type: 'null' }] } : made
}

/** The JSON Schema of what a check lets through; what only code can check is left out. */
export const jsonSchema = (schema: Schema): JsonSchema => described(schema.describe())
