// Unions of objects that name their kind: checked by that name alone, so that a wrong value is refused by one branch.

type Schema = Readonly<Record<string, unknown>>

/**
 * The schema with each `anyOf` of tagged objects as `oneOf` with a `discriminator` (OpenAPI 3.1), which Ajv checks by
 * looking at the tag and at nothing but the branch it names.
 */
export function withDiscriminators<T>(schema: T): T {
  return convert(schema) as T
}

function convert(schema: unknown): unknown {
  if (Array.isArray(schema)) return schema.map(convert)
  if (!isSchema(schema)) return schema
  const converted = Object.fromEntries(Object.entries(schema).map(([name, value]) => [name, convert(value)]))
  const { anyOf, ...rest } = converted
  const tag = Array.isArray(anyOf) ? tagOf(anyOf) : null
  if (tag === null) return converted
  return { ...rest, type: 'object', discriminator: { propertyName: tag }, required: [tag], oneOf: anyOf }
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
