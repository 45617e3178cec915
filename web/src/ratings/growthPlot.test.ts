import fc from 'fast-check'
import { aroundDays, liftOf, spread, tickDays } from './growthPlot.ts'

describe('the names at the ends of lines', () => {
  it('stand where their lines end, where there is room', () => {
    expect(spread([3, 1, 2], 0.5)).toEqual([3, 1, 2])
  })

  it('are moved apart around their middle where they would cover each other', () => {
    expect(spread([2, 2, 4], 0.5)).toEqual([1.75, 2.25, 4])
  })

  it('never cover each other, and keep their order', () => {
    const heights = fc.array(fc.double({ min: 1, max: 7, noNaN: true }), { maxLength: 8 })
    fc.assert(
      fc.property(heights, fc.double({ min: 0.05, max: 1, noNaN: true }), (some, least) => {
        const moved = spread(some, least)
        const sorted = [...moved].sort((a, b) => a - b)
        for (const [n, height] of sorted.entries())
          if (n > 0) expect(height - (sorted[n - 1] ?? 0)).toBeGreaterThan(least - 1e-9)
        for (const [a, high] of some.entries())
          for (const [b, low] of some.entries())
            if (high > low) expect(moved[a] ?? 0).toBeGreaterThan(moved[b] ?? 0)
      }),
    )
  })
})

it('lines on one step lie beside each other, around it', () => {
  const lifts = [0, 1, 2, 3].map((n) => liftOf(n, 4))
  expect(lifts.reduce((sum, one) => sum + one, 0)).toBeCloseTo(0)
  expect(new Set(lifts).size).toBe(4)
  expect(liftOf(0, 1)).toBe(0)
})

it('a plot begins before its first day and ends after its last one, also where they are the same', () => {
  const [from, until] = aroundDays(['2026-11-03', '2026-02-01'])
  expect([from < '2026-02-01', until > '2026-11-03']).toEqual([true, true])
  expect(aroundDays(['2026-11-03'])).toEqual(['2026-11-01T00:00:00.000Z', '2026-11-05T00:00:00.000Z'])
})

describe('the days below a plot', () => {
  it('are those of the ratings where these are few and near', () => {
    expect(tickDays(['2026-11-03', '2026-11-20', '2026-11-03'], 6)).toEqual(['2026-11-03', '2026-11-20'])
    expect(tickDays([], 6)).toEqual([])
  })

  it('are first days of months over a longer time, never more than fit', () => {
    expect(tickDays(['2025-12-09', '2026-04-30'], 6)).toEqual([
      ...['2026-01-01', '2026-02-01', '2026-03-01', '2026-04-01'],
    ])
    fc.assert(
      fc.property(
        fc.array(fc.date({ min: new Date('2020-01-01'), max: new Date('2030-01-01'), noInvalidDate: true })),
        (some) => {
          const days = tickDays(
            some.map((day) => day.toISOString().slice(0, 10)),
            3,
          )
          expect(days.length).toBeLessThanOrEqual(3)
          expect([...days].sort()).toEqual(days)
        },
      ),
    )
  })
})
