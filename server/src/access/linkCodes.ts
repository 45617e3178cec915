// The code in the address of a visitor link: which pass it is, and a secret made from the server's key. Nothing of it is stored.
import { timingSafeEqual } from 'node:crypto'
import type { ServerKeys } from '../system/index.ts'

const ID_BYTES = 16
const SECRET_BYTES = 16

export interface LinkCode {
  readonly passId: string
  readonly secret: string
}

/**
 * Makes the code of a link: the id of its pass and the first 128 bits of HMAC-SHA256 over id and generation.
 *
 * The code can be shown again at any time; raising the generation makes a new one, and the old one stops working.
 */
export function makeLinkCode(keys: ServerKeys, passId: string, generation: number): string {
  const id = Buffer.from(passId.replaceAll('-', ''), 'hex').toString('base64url')
  return `${id}${secretOf(keys, passId, generation)}`
}

/** Parses a code; null for anything else. */
export function readLinkCode(code: string): LinkCode | null {
  if (!/^[\w-]{44}$/.test(code)) return null
  const hex = Buffer.from(code.slice(0, 22), 'base64url').toString('hex')
  if (hex.length !== ID_BYTES * 2) return null
  const passId = hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5')
  return { passId, secret: code.slice(22) }
}

export function isRightCode(keys: ServerKeys, { passId, secret }: LinkCode, generation: number): boolean {
  const right = Buffer.from(secretOf(keys, passId, generation))
  const given = Buffer.from(secret)
  return given.length === right.length && timingSafeEqual(given, right)
}

function secretOf(keys: ServerKeys, passId: string, generation: number): string {
  const digest = Buffer.from(keys.digest('visitor link', `${passId}\0${generation}`), 'base64url')
  return digest.subarray(0, SECRET_BYTES).toString('base64url')
}
