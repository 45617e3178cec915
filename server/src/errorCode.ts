// The code that Node and the database drivers put on their errors.

/** The code of an error, or ''. It looks at the shape: errors of native parts may come from another realm. */
export function errorCodeOf(error: unknown): string {
  const hasCode = typeof error === 'object' && error !== null && 'code' in error
  return hasCode && typeof error.code === 'string' ? error.code : ''
}
