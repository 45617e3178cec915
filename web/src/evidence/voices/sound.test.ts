import { describe, expect, it } from '@jest/globals'
import fc from 'fast-check'
import { peaksOf } from './peaksOf.ts'

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
