// Equality of values as JSON has them.
/** Returns whether two JSON values are equal, whatever the order of their keys. */
export function isSame(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  if (Array.isArray(a) !== Array.isArray(b)) return false
  const entries = Object.entries(a).filter(([, value]) => value !== undefined)
  const others = new Map(Object.entries(b).filter(([, value]) => value !== undefined))
  return (
    entries.length === others.size &&
    entries.every(([key, value]) => others.has(key) && isSame(value, others.get(key)))
  )
}
