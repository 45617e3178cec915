// Rights: who made a thing and under which licence it may be used, and the credit line that follows from them.
import { licences } from './valueLists.ts'
import type { CreditLine, Rights } from './schema.ts'

/**
 * Returns the credit line of an item, or null where its owner made it or has not said who did.
 *
 * It names title, author, source and licence, as the Creative Commons licences require.
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

/** Returns whether a text is an address that may be linked. */
function isWebAddress(text: string): boolean {
  return /^https?:\/\/[^\s/]+\.[^\s]+$/i.test(text)
}
