import fc from 'fast-check'
import { differenceHash, findAlike, hashDistance, isTelling } from './index.ts'

const samples = fc.array(fc.integer({ min: 0, max: 255 }), { minLength: 72, maxLength: 72 })
const hashes = fc.stringMatching(/^[0-9a-f]{16}$/)

describe('the difference hash', () => {
  it('tells where it grows lighter to the right, and nothing else', () => {
    const rising = Array.from({ length: 72 }, (_, n) => (n % 9) * 20)
    expect(differenceHash(rising)).toBe('ffffffffffffffff')
    expect(differenceHash([...rising].reverse())).toBe('0000000000000000')
    expect(() => differenceHash([1, 2])).toThrow(RangeError)
  })

  it('does not change when a picture is made lighter or of more contrast', () => {
    fc.assert(
      fc.property(
        samples,
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 0, max: 90 }),
        (grey, times, more) => {
          expect(differenceHash(grey.map((one) => one * times + more))).toBe(differenceHash(grey))
        },
      ),
    )
  })

  it('has a distance that counts differing signs', () => {
    const naive = (a: string, b: string) => {
      const bits = (hash: string) => BigInt(`0x${hash}`).toString(2).padStart(64, '0')
      return [...bits(a)].filter((bit, n) => bit !== bits(b)[n]).length
    }
    fc.assert(
      fc.property(hashes, hashes, (a, b) => {
        expect(hashDistance(a, b)).toBe(naive(a, b))
        expect(hashDistance(a, a)).toBe(0)
      }),
    )
  })

  it('finds among many what a comparison one by one finds, nearest first', () => {
    fc.assert(
      fc.property(
        hashes,
        fc.array(hashes, { maxLength: 40 }),
        fc.integer({ min: 0, max: 64 }),
        (hash, many, most) => {
          const among = many.map((one) => ({ hash: one }))
          const found = findAlike(hash, among, most)
          expect(new Set(found.map(({ one }) => one))).toEqual(
            new Set(among.filter((one) => hashDistance(hash, one.hash) <= most)),
          )
          const distances = found.map(({ distance }) => distance)
          expect(distances).toEqual([...distances].sort((a, b) => a - b))
        },
      ),
    )
  })

  it('says of an even ground that it tells nothing', () => {
    expect(isTelling('0000000000000000')).toBe(false)
    expect(isTelling('ffffffffffffffff')).toBe(false)
    expect(isTelling('f0f0f0f00f0f0f0f')).toBe(true)
  })
})
