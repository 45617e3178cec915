import { compare, toRow } from './compare.ts'

const measured = { name: 'n', limit: 2, unit: 'ms', references: [1, 2, 3] }

describe('a row of the bench', () => {
  it('is the median of the paired ratios, judged by its lower quartile', () => {
    const row = toRow({ ...measured, ratios: [1.9, 2.4, 2.0, 2.2, 2.1] })
    expect(row).toMatchObject({ ratio: 2.1, median: 2.1, quartiles: [2.0, 2.2], reference: 2, within: true })
    expect(toRow({ ...measured, ratios: [2.2, 2.3, 2.4, 2.5, 2.6] }).within).toBe(false)
  })

  it('says when it is too noisy, and then never that it is within', () => {
    expect(toRow({ ...measured, ratios: [0.5, 0.6, 1, 1.9, 2] }).within).toBe('too noisy')
  })

  it('compares in pairs, at least fifteen, with each going first as often', async () => {
    const order: string[] = []
    const ours = () => (order.push('ours'), 3)
    const reference = () => (order.push('reference'), 2)
    const row = await compare({ name: 'n', limit: 2, unit: 'ms', ours, reference, pairs: 4, warmUp: 2 })
    expect(row.ratio).toBe(1.5)
    expect(order).toHaveLength(2 * 17)
    const firsts = order.filter((_, place) => place % 2 === 0)
    expect(firsts.filter((who) => who === 'ours').length).toBeGreaterThanOrEqual(8)
    expect(firsts.filter((who) => who === 'reference').length).toBeGreaterThanOrEqual(8)
  })
})
