// What Ajv needs beyond the core's schemas: unions are checked by their tag, and blank text is empty.

type Schema = Readonly<Record<string, unknown>>

/**
 * Replaces each `anyOf` of tagged objects with `oneOf` and a `discriminator` (OpenAPI 3.1), which Ajv checks by the
 * tag and the branch that it names.
 */
export function withDiscriminators<T>(schema: T): T {
  return mapSchemas(schema, ({ anyOf, ...rest }) => {
    const tag = Array.isArray(anyOf) ? tagOf(anyOf) : null
    if (tag === null) return anyOf === undefined ? rest : { ...rest, anyOf }
    return { ...rest, type: 'object', discriminator: { propertyName: tag }, required: [tag], oneOf: anyOf }
  }) as T
}

/** A visible character: not white space, not a character without a shape, not the Braille blank. */
export const SEEN = '[^\\p{White_Space}\\p{Default_Ignorable_Code_Point}\\p{Cc}\\u2800]'

/** Makes texts that must not be empty refuse blanks, too. */
export function withoutBlanks<T>(schema: T): T {
  return mapSchemas(schema, (one) => {
    const isWanted = one['type'] === 'string' && Number(one['minLength'] ?? 0) > 0
    return isWanted && one['pattern'] === undefined ? { ...one, pattern: SEEN } : one
  }) as T
}

function mapSchemas(schema: unknown, change: (schema: Schema) => Schema): unknown {
  if (Array.isArray(schema)) return schema.map((one) => mapSchemas(one, change))
  if (!isSchema(schema)) return schema
  return change(
    Object.fromEntries(Object.entries(schema).map(([name, value]) => [name, mapSchemas(value, change)])),
  )
}

/** The property that has another constant in every branch, or null where there is none. */
function tagOf(branches: readonly unknown[]): string | null {
  const [first] = branches
  if (branches.length < 2 || !branches.every(isObjectSchema) || !isObjectSchema(first)) return null
  const names = Object.keys(first.properties).filter((name) => {
    const values = branches.map((branch) => constantOf(branch, name))
    return values.every((value) => typeof value === 'string') && new Set(values).size === branches.length
  })
  return names[0] ?? null
}

interface ObjectSchema extends Schema {
  readonly properties: Schema
  readonly required?: readonly string[]
}

function constantOf({ properties, required = [] }: ObjectSchema, name: string): unknown {
  const property = properties[name]
  return isSchema(property) && required.includes(name) ? property['const'] : undefined
}

function isObjectSchema(schema: unknown): schema is ObjectSchema {
  return isSchema(schema) && schema['type'] === 'object' && isSchema(schema['properties'])
}

function isSchema(value: unknown): value is Schema {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}
