// The server's own secrets, in a file of mode 600 outside the database.
import { createHash, createHmac, randomBytes } from 'node:crypto'
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { errorCodeOf } from './errorCode.ts'

export interface ServerKeys {
  /** A keyed digest, for what must be found again but not read: addresses, names in rate limits. */
  digest(purpose: string, text: string): string
}

/** Reads the key file of a data folder, and makes it where there is none yet. */
export function openKeys(dataFolder: string): ServerKeys {
  const file = join(dataFolder, 'server.keys')
  try {
    writeFileSync(file, `${randomBytes(32).toString('hex')}\n`, { mode: 0o600, flag: 'wx' })
  } catch (error) {
    if (errorCodeOf(error) !== 'EEXIST') throw error
  }
  return makeKeys(Buffer.from(readFileSync(file, 'utf8').trim(), 'hex'))
}

export function makeKeys(secret: Buffer): ServerKeys {
  if (secret.length !== 32)
    throw new Error('server.keys does not hold a key of 32 bytes; restore it from a backup')
  return {
    digest: (purpose, text) => createHmac('sha256', secret).update(`${purpose}\0${text}`).digest('base64url'),
  }
}

/** A new secret for a cookie or a link: 256 bits, safe in addresses. */
export function newToken(): string {
  return randomBytes(32).toString('base64url')
}

/** What is stored of a token: enough to find it, too little to use it. */
export function hashToken(token: string): string {
  return createHash('sha256').update(token).digest('base64url')
}
