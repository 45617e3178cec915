import { describe, expect, it } from '@jest/globals'
import fc from 'fast-check'
import { toPlayTime } from './playTime.ts'

describe('how long something plays', () => {
  it('is said as people say it', () => {
    const said = [0, 400, 999, 61_000, 102_000, 3_600_000, 3_729_000].map(toPlayTime)
    expect(said).toEqual(['0:00', '0:00', '0:01', '1:01', '1:42', '1:00:00', '1:02:09'])
  })

  it('is the nearest second, however long', () => {
    fc.assert(
      fc.property(fc.nat(360_000_000), (milliseconds) => {
        const parts = toPlayTime(milliseconds).split(':').map(Number)
        const seconds = parts.reduce((sum, clause) => sum * 60 + clause, 0)
        expect(seconds).toBe(Math.round(milliseconds / 1000))
        for (const clause of parts.slice(1)) expect(clause).toBeLessThan(60)
      }),
    )
  })
})
