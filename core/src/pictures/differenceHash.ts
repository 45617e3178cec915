// Near-duplicates: a hash of what a picture looks like, and how far two of them are from each other.

/** The width of the grey picture that is hashed: one column more than bits in a row. */
export const HASH_WIDTH = 9
export const HASH_HEIGHT = 8

/** Two pictures are similar when at most this many of 64 bits differ; measured on bursts and on unrelated pictures. */
const MOST_DIFFERENCE = 7

/**
 * Computes the difference hash of a picture shrunk to 9 by 8 grey samples (0 to 255, row by row): 16 hex digits.
 *
 * Each bit says whether a sample is darker than its right neighbour (dHash, after N. Krawetz, "Kind of Like That",
 * 2013).
 *
 * @throws RangeError when there are not 72 samples
 */
export function differenceHash(grey: ArrayLike<number>): string {
  if (grey.length !== HASH_WIDTH * HASH_HEIGHT) throw new RangeError(`72 samples, not ${grey.length}`)
  let hash = ''
  for (let row = 0; row < HASH_HEIGHT; row += 1) {
    let signs = 0
    for (let column = 0; column < HASH_WIDTH - 1; column += 1) {
      const at = row * HASH_WIDTH + column
      signs = signs * 2 + ((grey[at] ?? 0) < (grey[at + 1] ?? 0) ? 1 : 0)
    }
    hash += signs.toString(16).padStart(2, '0')
  }
  return hash
}

/** Returns how many of the 64 bits of two hashes differ. */
export function hashDistance(a: string, b: string): number {
  return signsIn(hexAt(a, 0) ^ hexAt(b, 0)) + signsIn(hexAt(a, 8) ^ hexAt(b, 8))
}

/** Returns the items similar to a hash with their distances, nearest first. */
export function findAlike<T extends { readonly hash: string }>(
  hash: string,
  among: readonly T[],
  most = MOST_DIFFERENCE,
): { readonly one: T; readonly distance: number }[] {
  const [high, low] = [hexAt(hash, 0), hexAt(hash, 8)]
  return among
    .map((one) => ({
      one,
      distance: signsIn(high ^ hexAt(one.hash, 0)) + signsIn(low ^ hexAt(one.hash, 8)),
    }))
    .filter(({ distance }) => distance <= most)
    .sort((a, b) => a.distance - b.distance)
}

/**
 * Returns whether a hash distinguishes its picture: an even surface has hardly any bit set and would match every
 * other even surface.
 */
export function isTelling(hash: string): boolean {
  const signs = signsIn(hexAt(hash, 0)) + signsIn(hexAt(hash, 8))
  return signs >= 6 && signs <= 58
}

function hexAt(hash: string, at: number): number {
  return Number.parseInt(hash.slice(at, at + 8), 16)
}

/** Ones among 32 bits, counted in parallel (Warren, "Hacker's Delight", 5–1). */
function signsIn(bits: number): number {
  let sum = bits - ((bits >>> 1) & 0x55555555)
  sum = (sum & 0x33333333) + ((sum >>> 2) & 0x33333333)
  sum = (sum + (sum >>> 4)) & 0x0f0f0f0f
  return Math.imul(sum, 0x01010101) >>> 24
}
