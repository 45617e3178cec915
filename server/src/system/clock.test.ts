import { describe, expect, it } from '@jest/globals'
import { withoutSmallStepsBack } from './clock.ts'

describe('the clock', () => {
  it('stands still where the machine steps back a little, and follows where it was wrong by more', () => {
    const readings = [1000, 1003, 1001, 1002, 1004, 900_000, 5000, 5001]
    const read = withoutSmallStepsBack(() => readings.shift() ?? 0)
    expect(Array.from({ length: 8 }, read)).toEqual([1000, 1003, 1003, 1003, 1004, 900_000, 5000, 5001])
  })
})
