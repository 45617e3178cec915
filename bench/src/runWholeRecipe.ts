// A program: carries a recipe with every step out on a picture of 12 megapixels and prints how many megabytes more it took.
import { readFileSync } from 'node:fs'
import { finish, runRecipe } from '@valise/core/pictures'
import type { RecipeStep } from '@valise/core/pictures'

const size = { width: 4000, height: 3000 }
const corners: [number, number][] = [
  [0.1, 0.1],
  [0.9, 0.12],
  [0.88, 0.9],
  [0.08, 0.86],
]
const steps: RecipeStep[] = [
  { kind: 'square', on: true, corners: corners as never, proportions: 'estimated', byHand: 0 }, // four of them
  { kind: 'even', on: true, strength: 90, levels: 'found' },
  { kind: 'light', on: true, brightness: 10, contrast: 10, warmth: 5, sharpness: 40 },
  {
    kind: 'conceal',
    on: true,
    parts: [{ corners: corners.map(([x, y]) => [x * 300, y * 300]), radius: 0, fill: 'squares', seed: 1 }],
  },
]

const peak = () => Number(/VmHWM:\s+(\d+)/.exec(readFileSync('/proc/self/status', 'utf8'))?.[1]) / 1024

const before = peak()
const data = new Uint8ClampedArray(size.width * size.height * 4).fill(200)
finish(runRecipe({ ...size, data }, { schema: 1, steps }, size))
process.stdout.write(String(peak() - before))
