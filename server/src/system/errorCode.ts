// The code that Node and the database drivers put on their errors.

/** Returns the code of an error, or ''. It checks the shape: errors of native modules may come from another realm. */
export function errorCodeOf(error: unknown): string {
  const hasCode = typeof error === 'object' && error !== null && 'code' in error
  return hasCode && typeof error.code === 'string' ? error.code : ''
}

/** Of the file system, of SQLite, of PostgreSQL, and our own. */
const diskFullCodes = [
  ...['ENOSPC', 'EDQUOT'],
  ...['SQLITE_FULL', 'SQLITE_IOERR_WRITE', 'SQLITE_IOERR_SHMSIZE', 'SQLITE_IOERR_TRUNCATE'],
  ...['53100', 'no-space'],
]

/** Returns whether a write failed because the disk, or this user's quota of it, is full. */
export function isDiskFull(error: unknown): boolean {
  return diskFullCodes.includes(errorCodeOf(error))
}
