// The code that Node and the database drivers put on their errors.

/** The code of an error, or ''. It looks at the shape: errors of native parts may come from another realm. */
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

/** Whether something could not be written because the disk, or this user's share of it, is full. */
export function isDiskFull(error: unknown): boolean {
  return diskFullCodes.includes(errorCodeOf(error))
}
