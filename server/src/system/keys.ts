// The server's own secrets, in a file of mode 600 outside the database.
import {
  createHash,
  createHmac,
  createPrivateKey,
  createPublicKey,
  randomBytes,
  sign,
  verify,
} from 'node:crypto'
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { errorCodeOf } from './errorCode.ts'

export interface ServerKeys {
  /** A keyed digest, for what must be found again but not read: addresses, names in rate limits. */
  digest(purpose: string, text: string): string
  /** An Ed25519 signature over a text (RFC 8032), in base64url. */
  sign(text: string): string
  /** Whether a signature over a text is one of these keys. */
  isSigned(text: string, signature: string): boolean
  /** The key that signatures are checked with: SPKI in PEM. It may be known to everybody. */
  readonly publicKey: string
}

/** Reads the key file of a data folder, or creates it. */
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
  const digest = (purpose: string, text: string) =>
    createHmac('sha256', secret).update(`${purpose}\0${text}`).digest()
  const signingKey = createPrivateKey({
    key: Buffer.concat([ED25519_PKCS8, digest('sign', '')]),
    format: 'der',
    type: 'pkcs8',
  })
  return {
    digest: (purpose, text) => digest(purpose, text).toString('base64url'),
    sign: (text) => sign(null, Buffer.from(text), signingKey).toString('base64url'),
    isSigned: (text, signature) =>
      verify(null, Buffer.from(text), createPublicKey(signingKey), Buffer.from(signature, 'base64url')),
    publicKey: createPublicKey(signingKey).export({ format: 'pem', type: 'spki' }).toString(),
  }
}

/** What stands before the 32 bytes of a private key in PKCS #8 (RFC 8410). */
const ED25519_PKCS8 = Buffer.from('302e020100300506032b657004220420', 'hex')

/** Makes a secret for a cookie or a link: 256 bits, URL-safe. */
export function newToken(): string {
  return randomBytes(32).toString('base64url')
}

/** Returns the hash of a token that is stored: enough to find it, too little to use it. */
export function hashToken(token: string): string {
  return createHash('sha256').update(token).digest('base64url')
}
