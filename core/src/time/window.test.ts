import fc from 'fast-check'
import {
  doOverlap,
  endOfUnion,
  isEmptyWindow,
  isWithin,
  meetWindows,
  toInstant,
  windowState,
} from './index.ts'
import type { TimeWindow } from './index.ts'

const at = (n: number) => toInstant(n * 1000)
const edge = fc.option(fc.integer({ min: 0, max: 12 }).map(at))
const windows = fc.record({ from: edge, until: edge })
const moments = Array.from({ length: 16 }, (_, n) => at(n - 1))

describe('half-open windows', () => {
  it('hold their first moment and not their last', () => {
    const window = { from: at(2), until: at(5) }
    expect([at(1), at(2), at(4), at(5)].map((moment) => windowState(window, moment))).toEqual([
      'to-come',
      'running',
      'running',
      'ended',
    ])
  })

  it('are open where no edge is given', () => {
    expect(isWithin({ from: null, until: null }, at(7))).toBe(true)
  })

  it('are empty when they hold no moment', () => {
    expect(isEmptyWindow({ from: at(5), until: at(5) })).toBe(true)
    expect(isEmptyWindow({ from: at(5), until: at(6) })).toBe(false)
  })

  it('overlap exactly when some moment lies in both', () => {
    const holdsMoments = (window: TimeWindow) => !isEmptyWindow(window)
    fc.assert(
      fc.property(windows.filter(holdsMoments), windows.filter(holdsMoments), (a, b) => {
        const shared = moments.some((moment) => isWithin(a, moment) && isWithin(b, moment))
        expect(doOverlap(a, b)).toBe(shared)
        expect(doOverlap(b, a)).toBe(shared)
      }),
    )
  })

  it('meet in exactly the moments that lie in both', () => {
    fc.assert(
      fc.property(windows, windows, (a, b) => {
        for (const moment of moments)
          expect(isWithin(meetWindows(a, b), moment)).toBe(isWithin(a, moment) && isWithin(b, moment))
      }),
    )
  })

  it('end together at the first moment that none of them holds', () => {
    fc.assert(
      fc.property(fc.array(windows, { maxLength: 5 }), fc.integer({ min: 0, max: 12 }), (all, n) => {
        const isHeld = (moment: string) => all.some((window) => isWithin(window, moment))
        const first = Array.from({ length: 15 }, (_, step) => at(n + step)).find((moment) => !isHeld(moment))
        expect(endOfUnion(all, at(n))).toBe(first ?? null)
      }),
    )
  })
})
