// Numbers that look like chance and are the same for the same seed, for generated pictures.

/** Makes a generator of numbers from 0 up to 1 (mulberry32, T. Ettinger, 2017). */
export function randomFrom(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state)
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296
  }
}

const FIELD = 256

/** Makes smooth value noise over the plane, -1 to 1. */
export function noiseFrom(seed: number): (x: number, y: number) => number {
  const random = randomFrom(seed)
  const values = Float32Array.from({ length: FIELD * FIELD }, () => random() * 2 - 1)
  const soft = (t: number) => t * t * (3 - 2 * t)
  return (x, y) => {
    const [left, top] = [Math.floor(x), Math.floor(y)]
    const [across, down] = [soft(x - left), soft(y - top)]
    const row = (top & (FIELD - 1)) * FIELD
    const next = ((top + 1) & (FIELD - 1)) * FIELD
    const [column, beside] = [left & (FIELD - 1), (left + 1) & (FIELD - 1)]
    const upper = (values[row + column] as number) * (1 - across) + (values[row + beside] as number) * across
    const lower =
      (values[next + column] as number) * (1 - across) + (values[next + beside] as number) * across
    return upper * (1 - down) + lower * down
  }
}
