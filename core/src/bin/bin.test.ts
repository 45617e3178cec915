import { binEndsAt } from './index.ts'

it('the bin keeps thirty days', () => {
  expect(binEndsAt('2026-11-26T10:42:00.000Z')).toBe('2026-12-26T10:42:00.000Z')
})
