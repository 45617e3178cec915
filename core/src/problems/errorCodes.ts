// The kinds of refusal a person can act on; the server gives each one HTTP status.

export const errorCodes = [
  'signed-out',
  'forbidden',
  'not-found',
  'not-allowed',
  'conflict',
  'gone',
  'stale',
  'too-large',
  'unsupported',
  'invalid',
  'needs-revision',
  'too-many',
  'unexpected',
  'busy',
  'no-space',
] as const

export type ErrorCode = (typeof errorCodes)[number]
