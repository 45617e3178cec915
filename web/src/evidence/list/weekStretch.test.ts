import { expect, it } from '@jest/globals'
import { addDays } from '@valise/core/time'
import fc from 'fast-check'
import { chosenStretch, moveEdge, weekAt } from './weekStretch.ts'

const weeks = Array.from({ length: 20 }, (_, n) => ({ week: addDays('2026-07-06', 7 * n), count: n }))
const place = fc.nat(weeks.length - 1)

it('a stretch of the ribbon and the days of a query say the same', () => {
  fc.assert(
    fc.property(place, place, (a, b) => {
      const [first, last] = [Math.min(a, b), Math.max(a, b)]
      const from = weeks[first]?.week ?? null
      const until = addDays(weeks[last]?.week ?? '', 6)
      expect(chosenStretch(weeks, from, until)).toEqual({ first, last })
    }),
  )
})

it('without days all weeks are chosen, and days outside the ribbon end at its edges', () => {
  expect(chosenStretch(weeks, null, null)).toEqual({ first: 0, last: 19 })
  expect(chosenStretch(weeks, '2020-01-01', '2030-01-01')).toEqual({ first: 0, last: 19 })
  // A Wednesday lies in the week of its Monday.
  expect(chosenStretch(weeks, '2026-07-15', '2026-07-15')).toEqual({ first: 1, last: 1 })
  // Days the wrong way round are still a stretch.
  expect(chosenStretch(weeks, '2026-08-03', '2026-07-13')).toEqual({ first: 1, last: 4 })
})

it('edges meet and never cross, and stay in the ribbon', () => {
  fc.assert(
    fc.property(place, place, fc.integer({ min: -5, max: 30 }), (a, b, to) => {
      const stretch = { first: Math.min(a, b), last: Math.max(a, b) }
      for (const edge of ['first', 'last'] as const) {
        const moved = moveEdge(stretch, edge, to, weeks.length)
        expect(moved.first).toBeLessThanOrEqual(moved.last)
        expect(moved.first).toBeGreaterThanOrEqual(0)
        expect(moved.last).toBeLessThan(weeks.length)
        const other = edge === 'first' ? 'last' : 'first'
        expect(moved[other]).toBe(stretch[other])
      }
    }),
  )
})

it('each week has the same width, and beyond the edges are the first and the last', () => {
  expect([0, 49, 50, 999].map((x) => weekAt(x, 1000, 20))).toEqual([0, 0, 1, 19])
  expect([-40, 4000].map((x) => weekAt(x, 1000, 20))).toEqual([0, 19])
})
