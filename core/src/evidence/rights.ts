// Rights: who made a thing and under which licence it may be used, and the credit line that follows from them.
import { licences } from './valueLists.ts'
import type { CreditLine, Rights } from './schema.ts'

/**
 * The credit that a thing needs wherever it is shown, or null for what its owner made or has not declared.
 *
 * It names title, author, source and licence, as the Creative Commons licences ask for.
 */
export function creditLine(title: string, rights: Rights): CreditLine | null {
  if (rights.state !== 'licensed') return null
  const { name, address } = licences[rights.licence]
  return {
    title,
    maker: rights.maker,
    source: rights.source,
    sourceAddress: isWebAddress(rights.source) ? rights.source : null,
    licence: rights.licence,
    licenceName: name,
    licenceAddress: address,
  }
}

/** Whether a text is an address that may be a link. */
export function isWebAddress(text: string): boolean {
  return /^https?:\/\/[^\s/]+\.[^\s]+$/i.test(text)
}
