// The peak of each of so many equal stretches of a sound, the loudest being 1.
export function peaksOf(samples: Float32Array, bars: number): number[] {
  const peaks = Array.from({ length: bars }, (_, bar) => {
    const from = Math.floor((bar * samples.length) / bars)
    const until = Math.floor(((bar + 1) * samples.length) / bars)
    let peak = 0
    for (let n = from; n < until; n += 1) peak = Math.max(peak, Math.abs(samples[n] ?? 0))
    return peak
  })
  const loudest = Math.max(...peaks, Number.EPSILON)
  return peaks.map((peak) => peak / loudest)
}
