// Schemas as JSON Schema 2020-12 writes them, which OpenAPI 3.1 asks for; our library writes tuples in the older way.

/** Returns the schema with tuples as `prefixItems` (2020-12 core, section 10.3.1.1); the input stays unchanged. */
export function to202012(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(to202012)
  if (typeof value !== 'object' || value === null) return value
  const { items, additionalItems, ...rest } = value as Record<string, unknown>
  const others = Object.fromEntries(Object.entries(rest).map(([key, one]) => [key, to202012(one)]))
  if (!Array.isArray(items))
    return {
      ...others,
      ...(items !== undefined && { items: to202012(items) }),
      ...(additionalItems !== undefined && { additionalItems }),
    }
  return {
    ...others,
    prefixItems: items.map(to202012),
    items: additionalItems === undefined ? true : to202012(additionalItems),
  }
}
