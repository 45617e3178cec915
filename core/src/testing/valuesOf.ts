// Random values of a JSON Schema, so that a property test covers whatever the schemas allow without being told.
import fc from 'fast-check'
import type { Static, TSchema } from 'typebox'

interface JsonSchema {
  readonly type?: string
  readonly const?: unknown
  readonly enum?: readonly unknown[]
  readonly anyOf?: readonly JsonSchema[]
  readonly properties?: Readonly<Record<string, JsonSchema>>
  readonly required?: readonly string[]
  readonly items?: JsonSchema
  readonly pattern?: string
  readonly format?: string
  readonly minLength?: number
  readonly maxLength?: number
  readonly minimum?: number
  readonly maximum?: number
  readonly minItems?: number
  readonly maxItems?: number
  readonly description?: string
}

const LONGEST = 24
const MOST = 4
const LARGEST = 1_000

/** What could be taken for markup, and words of several scripts. */
const awkward = fc.constantFrom('<script>', '"quoted"', 'saltmarsh', 'estuario', '濕地', '')

/**
 * Returns random values of a schema.
 *
 * @param known values of subschemas that say less than is allowed, by their description
 * @throws Error for a keyword that it does not know, which is better than to leave something out silently
 */
export function valuesOf<T extends TSchema>(
  schema: T,
  known: Readonly<Record<string, fc.Arbitrary<unknown>>> = {},
): fc.Arbitrary<Static<T>> {
  // A schema of TypeBox is the JSON Schema that it describes, and its static type that of its values.
  return arbitraryOf(schema as JsonSchema, known) as fc.Arbitrary<Static<T>>
}

const days = fc
  .date({ min: new Date('2000-01-01'), max: new Date('2099-12-31'), noInvalidDate: true })
  .map((day) => day.toISOString().slice(0, 10))

type Known = Readonly<Record<string, fc.Arbitrary<unknown>>>

function arbitraryOf(schema: JsonSchema, known: Known): fc.Arbitrary<unknown> {
  const given = schema.description === undefined ? undefined : known[schema.description]
  if (given) return given
  if ('const' in schema) return fc.constant(schema.const)
  if (schema.enum) return fc.constantFrom(...schema.enum)
  if (schema.anyOf) return fc.oneof(...schema.anyOf.map((one) => arbitraryOf(one, known)))
  const make = schema.type === undefined ? undefined : byType[schema.type]
  if (!make) throw new Error(`no values for the schema ${JSON.stringify(schema).slice(0, 200)}`)
  return make(schema, known)
}

const byType: Readonly<Record<string, (schema: JsonSchema, known: Known) => fc.Arbitrary<unknown>>> = {
  null: () => fc.constant(null),
  boolean: () => fc.boolean(),
  string: ({ pattern, format, minLength = 0, maxLength = LONGEST }) => {
    if (format === 'uuid') return fc.uuid()
    if (format === 'date') return days
    if (pattern !== undefined) return fc.stringMatching(new RegExp(pattern))
    const plain = fc.string({ minLength, maxLength: Math.min(maxLength, minLength + LONGEST) })
    return minLength === 0 ? fc.oneof(awkward, plain) : plain
  },
  integer: ({ minimum = 0, maximum = minimum + LARGEST }) => fc.integer({ min: minimum, max: maximum }),
  number: ({ minimum = 0, maximum = minimum + LARGEST }) =>
    fc.double({ min: minimum, max: maximum, noNaN: true }),
  array: ({ items = {}, minItems = 0, maxItems = MOST }, known) =>
    fc.array(arbitraryOf(items, known), {
      minLength: minItems,
      maxLength: Math.min(maxItems, minItems + MOST),
    }),
  object: ({ properties = {}, required = [] }, known) => {
    const values = Object.entries(properties).map(([name, one]) => [name, arbitraryOf(one, known)] as const)
    return fc.record(Object.fromEntries(values), { requiredKeys: [...required] })
  },
}
