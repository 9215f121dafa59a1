import { LISTS, OBJECTS, WHOLES } from '@/core/model/parts'
import { jsonSchema } from './jsonSchema'
import { settingsFileShape } from './settingsFile'
import { shelfFileShape } from './shelfFile'

const DRAFT = 'https://json-schema.org/draft/2020-12/schema'

const mapped = <T extends object>(parts: T, to: (part: T[keyof T]) => object): object =>
  Object.fromEntries(Object.entries(parts).map(([name, schema]) => [name, to(schema)]))

/** The state of a shelf, part by part. */
function stateSchema(): object {
  const properties = {
    ...mapped(OBJECTS, ({ shape }) => ({
      type: 'object',
      additionalProperties: jsonSchema(shape),
    })),
    ...mapped(LISTS, ({ shape }) => ({ type: 'array', items: jsonSchema(shape) })),
    ...mapped(WHOLES, ({ shape }) => jsonSchema(shape)),
  }
  return { type: 'object', properties, required: Object.keys(properties) }
}

/** The JSON Schemas of the files Kite Shelf writes, by their names. */
export const PUBLISHED: Record<string, () => object> = {
  settings: () => ({
    $schema: DRAFT,
    title: 'Settings, homes, keys and sequences of Kite Shelf',
    ...jsonSchema(settingsFileShape),
  }),
  shelf: () => {
    const file = jsonSchema(shelfFileShape) as { properties: object; required: string[] }
    return {
      $schema: DRAFT,
      title: 'A shelf file of Kite Shelf',
      ...file,
      properties: { ...file.properties, state: stateSchema() },
      required: [...file.required, 'state'],
    }
  },
}
