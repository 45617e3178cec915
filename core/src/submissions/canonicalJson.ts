// JSON in the one form of RFC 8785 (JSON Canonicalization Scheme), so that the same content has the same checksum.

/** A JSON value. */
export type JsonValue =
  null | boolean | number | string | readonly JsonValue[] | { readonly [key: string]: JsonValue | undefined }

/**
 * Returns the canonical JSON (RFC 8785): no spaces, keys sorted by UTF-16 units, numbers and strings as in
 * ECMAScript. Keys with the value undefined are omitted.
 *
 * @throws RangeError for numbers that JSON cannot represent and for strings with a lone surrogate
 */
export function toCanonicalJson(value: JsonValue): string {
  if (value === null || typeof value === 'boolean') return String(value)
  if (typeof value === 'number') {
    if (!Number.isFinite(value)) throw new RangeError('JSON has no such number')
    return JSON.stringify(value)
  }
  if (typeof value === 'string') return quoted(value)
  if (isList(value)) return `[${value.map(toCanonicalJson).join(',')}]`
  const members = Object.keys(value)
    .sort()
    .flatMap((key) => {
      const member = value[key]
      return member === undefined ? [] : [`${quoted(key)}:${toCanonicalJson(member)}`]
    })
  return `{${members.join(',')}}`
}

function isList(value: JsonValue): value is readonly JsonValue[] {
  return Array.isArray(value)
}

function quoted(text: string): string {
  // In Unicode mode a pair is one sign, so this finds only a half that stands alone.
  if (/\p{Surrogate}/u.test(text)) throw new RangeError('text with a lone surrogate')
  return JSON.stringify(text)
}
