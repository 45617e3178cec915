// How many of 200 drawn sheets have their corners found, by class of clutter, and in how many pictures of none one is.
import { findCorners } from '../findCorners.ts'
import type { Quad } from '../matrix.ts'
import { cornerError, orderCorners } from '../quad.ts'
import { clutterKinds, drawNoSheet, drawSheet } from './drawSheet.ts'

/** Shares of sheets whose corners are found within 1 % of the diagonal, averaged over the four. */
export interface Measured {
  readonly sheets: number
  readonly all: number
  readonly classes: Readonly<Record<string, number>>
  readonly pictures: number
  readonly proposedInNone: number
}

/** The finder was tuned on seeds below 1,000; these were never looked at one by one. */
const FIRST_SEED = 50_000
const [SHEETS, NO_SHEETS, WIDTH] = [200, 100, 480]

/**
 * @param fraction the share of sheets and pictures that is measured; tests take some, the bench takes all
 */
export function measureCorners(fraction = 1): Measured {
  const [sheets, pictures] = [Math.round(SHEETS * fraction), Math.round(NO_SHEETS * fraction)]
  const counts = new Map<string, { found: number; of: number }>()
  for (let n = 0; n < sheets; n += 1) {
    const clutter = clutterKinds[n % clutterKinds.length] ?? 'plain'
    const { raster, corners } = drawSheet(FIRST_SEED + n, clutter, WIDTH)
    const sheet = findCorners(raster)
    const { found, of } = counts.get(clutter) ?? { found: 0, of: 0 }
    const isRight = sheet !== null && errorOf(corners, sheet.corners) <= 0.01
    counts.set(clutter, { found: found + Number(isRight), of: of + 1 })
  }
  const none = Array.from({ length: pictures }, (_, n) => findCorners(drawNoSheet(FIRST_SEED + n, WIDTH)))
  return {
    sheets,
    all: [...counts.values()].reduce((sum, { found }) => sum + found, 0) / sheets,
    classes: Object.fromEntries([...counts].map(([kind, { found, of }]) => [kind, found / of])),
    pictures,
    proposedInNone: none.filter(Boolean).length,
  }
}

/** The mean distance of the corners, whichever of them is called the first. */
function errorOf(truth: Quad, found: Quad): number {
  const turned = [0, 1, 2, 3].map((by) => [0, 1, 2, 3].map((n) => found[(n + by) % 4]) as unknown as Quad)
  return Math.min(...turned.map((quad) => cornerError(orderCorners(truth), quad)))
}
