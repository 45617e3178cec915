import fc from 'fast-check'
import { layOutRows } from './rows.ts'

const rules = { height: 108, gap: 12, least: 130, most: 210 }
const ratio = fc.double({ min: 0.2, max: 5, noNaN: true })

describe('rows of mixed widths', () => {
  it('hold everything once, in whole pixels, and end flush but for the last', () => {
    fc.assert(
      fc.property(
        fc.array(ratio, { maxLength: 80 }),
        fc.integer({ min: 130, max: 2400 }),
        (ratios, width) => {
          const rows = layOutRows(ratios, { ...rules, width })
          expect(rows.flat()).toHaveLength(ratios.length)
          for (const [n, row] of rows.entries()) {
            const sum = row.reduce((all, one) => all + one, rules.gap * (row.length - 1))
            expect(row.every((one) => Number.isInteger(one) && one >= Math.min(rules.least, width))).toBe(
              true,
            )
            if (n < rows.length - 1) expect(sum).toBe(width)
            else expect(sum).toBeLessThanOrEqual(width)
          }
        },
      ),
    )
  })

  it('keep wide things wider than narrow ones', () => {
    const [row] = layOutRows([16 / 9, 3 / 4], { ...rules, width: 600 })
    expect(row?.[0]).toBeGreaterThan(row?.[1] ?? 0)
  })

  it('are none without things', () => {
    expect(layOutRows([], { ...rules, width: 600 })).toEqual([])
  })
})
