import fc from 'fast-check'
import { conceal } from './conceal.ts'
import { IDENTITY, scaling } from './matrix.ts'
import { pixelsOf, type Raster, shrink } from './raster.ts'
import { runRecipe } from './runRecipe.ts'
import type { ConcealedRegion, RecipeStep } from './schema.ts'
import { randomFrom } from './testing/random.ts'
import { copyOf, inkRaster, isSame, paint } from './testing/rasters.ts'
import { finish } from './work.ts'

const box = (values: Partial<ConcealedRegion> = {}): ConcealedRegion => ({
  corners: [
    [30.3, 20.6],
    [90.2, 24],
    [88, 44.5],
    [28, 41],
  ],
  radius: 0,
  fill: 'squares',
  seed: 7,
  ...values,
})
const brush = box({
  corners: [
    [30, 30],
    [60, 50],
    [90, 20],
  ],
  radius: 6,
})

/** The same picture but for what lies under a part. */
function withOtherSecret(picture: Raster, hidden: Set<number>, seed: number): Raster {
  const random = randomFrom(seed)
  const other = copyOf(picture)
  for (const at of hidden) other.data.set([random() * 255, random() * 255, random() * 255, 255], at * 4)
  return other
}

function changedBy(picture: Raster, region: ConcealedRegion): Set<number> {
  const [before, after] = [pixelsOf(picture), pixelsOf(conceal(copyOf(picture), [region], IDENTITY))]
  return new Set([...before.keys()].filter((at) => before[at] !== after[at]))
}

/** A colour that nothing paints, so that each pixel that was painted differs. */
const magenta = paint(120, 80, () => [255, 0, 255])

describe('concealing', () => {
  it('leaves nothing that depends on what was there, in any fill, shape and step after it', () => {
    const later: RecipeStep[] = [
      { kind: 'turn', on: true, quarters: 1, degrees: 2, mirrored: false },
      { kind: 'even', on: true, strength: 90, levels: 'found' },
      { kind: 'light', on: true, brightness: 10, contrast: 20, warmth: -10, sharpness: 80 },
    ]
    fc.assert(
      fc.property(
        fc.constantFrom(box(), box({ fill: 'cover' }), brush),
        fc.boolean(),
        fc.nat(),
        (region, isLit, seed) => {
          const picture = inkRaster(120, 80)
          const other = withOtherSecret(picture, changedBy(magenta, region), seed)
          const steps: RecipeStep[] = [
            ...(isLit ? later : []),
            { kind: 'conceal', on: true, parts: [region] },
          ]
          const make = (one: Raster) => finish(runRecipe(copyOf(one), { schema: 1, steps }, picture))
          expect(isSame(make(picture), make(other))).toBe(true)
        },
      ),
      { numRuns: 30 },
    )
  })

  it('covers every pixel that an outline touches, and none far from it', () => {
    const changed = changedBy(magenta, box({ fill: 'cover' }))
    for (let y = 0; y < 80; y += 1) {
      for (let x = 0; x < 120; x += 1) {
        // The outline's upper side runs from 20.6 to 24, its lower from 41 to 44.5.
        const isWithin = x >= 31 && x < 87 && y >= 25 && y < 40
        const isFar = x < 26 || x > 92 || y < 19 || y > 46
        if (isWithin) expect(changed.has(y * 120 + x)).toBe(true)
        if (isFar) expect(changed.has(y * 120 + x)).toBe(false)
      }
    }
  })

  it('follows a brush without a gap at its bends', () => {
    const changed = changedBy(magenta, brush)
    for (const [x, y] of [
      [30, 30],
      [45, 40],
      [60, 50],
      [75, 35],
      [90, 20],
      [60, 54],
    ] as const)
      expect(changed.has(y * 120 + x)).toBe(true)
    expect(changed.has(10 * 120 + 30)).toBe(false)
  })

  it('takes the colour of the surroundings, but not of what another part hides', () => {
    const red = paint(120, 80, (x) => (x >= 100 ? [255, 0, 0] : [100, 110, 120]))
    const hidesRed = box({
      corners: [
        [100, 0],
        [120, 0],
        [120, 80],
        [100, 80],
      ],
      fill: 'cover',
    })
    const beside = box({
      corners: [
        [60, 20],
        [99, 20],
        [99, 60],
        [60, 60],
      ],
    })
    const { data } = conceal(copyOf(red), [beside, hidesRed], IDENTITY)
    const at = (40 * 120 + 80) * 4
    expect(Math.abs((data[at] ?? 0) - (data[at + 1] ?? 0))).toBeLessThanOrEqual(12)
  })

  it('reaches further in a smaller picture, whose pixels mix what lies near', () => {
    const large = paint(400, 200, (x, y) =>
      x >= 100 && x < 200 && y >= 50 && y < 100 ? [0, 0, 0] : [255, 255, 255],
    )
    const small = shrink(large, 133)
    const region = box({
      corners: [
        [100, 50],
        [200, 50],
        [200, 100],
        [100, 100],
      ],
      fill: 'squares',
    })
    const steps: RecipeStep[] = [{ kind: 'conceal', on: true, parts: [region] }]
    const { data } = finish(runRecipe(small, { schema: 1, steps }, large))
    // Nothing mixed from the black part is left: all that is not white has a colour of the squares about white.
    expect(Math.min(...data)).toBeGreaterThan(150)
  })

  it('keeps a cover the same colour whatever is done to the light', () => {
    const steps: RecipeStep[] = [
      { kind: 'conceal', on: true, parts: [box({ fill: 'cover' })] },
      { kind: 'light', on: true, brightness: 80, contrast: 30, warmth: 60, sharpness: 0 },
    ]
    const result = finish(runRecipe(inkRaster(120, 80), { schema: 1, steps }, { width: 120, height: 80 }))
    expect([...result.data.slice((32 * 120 + 60) * 4, (32 * 120 + 60) * 4 + 3)]).toEqual([28, 43, 51])
  })

  it('covers once what a broad brush goes over again and again', () => {
    const scribble = Array.from({ length: 400 }, (_, n): [number, number] => [
      n * 3.7,
      500 + 300 * Math.sin(n / 9),
    ])
    const parts = Array.from({ length: 5 }, () => box({ corners: scribble, radius: 400, fill: 'cover' }))
    const { data } = conceal(
      paint(1500, 1000, () => [255, 0, 255]),
      parts,
      IDENTITY,
    )
    const middle = (500 * 1500 + 750) * 4
    expect([...data.slice(middle, middle + 3)]).toEqual([28, 43, 51])
  })

  it('does not mind parts beyond the picture', () => {
    const outside = box({
      corners: [
        [-50, -50],
        [-10, -50],
        [-10, -10],
      ],
    })
    const picture = inkRaster(40, 40)
    expect(isSame(conceal(copyOf(picture), [outside], scaling(1, 1)), picture)).toBe(true)
  })
})
