import { describe, expect, it } from '@jest/globals'
import fc from 'fast-check'
import { peaksOf } from './peaksOf.ts'
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

describe('the peaks of a sound', () => {
  const sound = fc.float32Array({ minLength: 1, maxLength: 500, min: -1, max: 1, noNaN: true })

  it('are one per bar, from 0 to 1, the loudest being 1', () => {
    fc.assert(
      fc.property(sound, fc.integer({ min: 1, max: 80 }), (samples, bars) => {
        const peaks = peaksOf(samples, bars)
        expect(peaks).toHaveLength(bars)
        for (const peak of peaks) expect(peak >= 0 && peak <= 1).toBe(true)
        const isSilent = samples.every((sample) => Math.abs(sample) < 1e-6)
        if (!isSilent && samples.length >= bars) expect(Math.max(...peaks)).toBeCloseTo(1)
      }),
    )
  })

  it('stand where the sound is loud, whichever way it swings', () => {
    const samples = new Float32Array(100)
    samples[35] = -0.5
    samples[80] = 0.25
    expect(peaksOf(samples, 10)).toEqual([0, 0, 0, 1, 0, 0, 0, 0, 0.5, 0])
    expect(peaksOf(new Float32Array(100), 4)).toEqual([0, 0, 0, 0])
  })
})
