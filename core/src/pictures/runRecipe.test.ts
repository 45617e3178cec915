import { fitPixels } from './raster.ts'
import { runRecipe } from './runRecipe.ts'
import type { PictureRecipe, RecipeStep } from './schema.ts'
import { copyOf, inkRaster, isSame, rmsBetween, smoothRaster } from './testing/rasters.ts'
import { finish } from './work.ts'

const original = { width: 240, height: 180 }
const turn: RecipeStep = { kind: 'turn', on: true, quarters: 1, degrees: 0, mirrored: false }
const light: RecipeStep = { kind: 'light', on: true, brightness: 20, contrast: 10, warmth: 5, sharpness: 30 }
const even: RecipeStep = { kind: 'even', on: true, strength: 80, levels: 'found' }
const conceal: RecipeStep = {
  kind: 'conceal',
  on: true,
  parts: [
    {
      corners: [
        [20, 20],
        [80, 20],
        [80, 40],
        [20, 40],
      ],
      radius: 0,
      fill: 'squares',
      seed: 3,
    },
  ],
}
const run = (steps: RecipeStep[], picture = inkRaster(240, 180), size = original) =>
  finish(runRecipe(copyOf(picture), { schema: 1, steps } satisfies PictureRecipe, size))

describe('carrying out a recipe', () => {
  it('gives the picture itself for an empty recipe, and for one whose steps are off', () => {
    const picture = inkRaster(240, 180)
    expect(isSame(run([]), picture)).toBe(true)
    const off = [turn, light, even, conceal].map((step) => ({ ...step, on: false }))
    expect(isSame(run(off), picture)).toBe(true)
  })

  it('gives the same whichever of moving, lighting and concealing was done first', () => {
    const one = run([turn, light, even, conceal])
    for (const order of [
      [conceal, even, light, turn],
      [even, conceal, turn, light],
    ])
      expect(isSame(run(order), one)).toBe(true)
  })

  it('turns four times by a quarter into itself', () => {
    let picture = inkRaster(240, 180)
    for (let n = 0; n < 4; n += 1) picture = run([turn], picture, picture)
    expect(isSame(picture, inkRaster(240, 180))).toBe(true)
  })

  it('looks the same on a smaller picture', () => {
    const large = smoothRaster(480, 360)
    const small = smoothRaster(480, 360)
    const steps = [turn, { ...light, sharpness: 0 }]
    const result = run(steps, large, { width: 480, height: 360 })
    const again = run(steps, small, { width: 960, height: 720 })
    expect(again).toMatchObject({ width: result.width, height: result.height })
    expect(rmsBetween(result, again)).toBe(0)
  })

  it('never makes more pixels than can be worked on', () => {
    expect(fitPixels({ width: 12_000, height: 12_000 })).toEqual({ width: 4898, height: 4898 })
    expect(fitPixels({ width: 10, height: 10 })).toEqual({ width: 10, height: 10 })
  })

  it('works on a picture of one pixel', () => {
    const one = { width: 1, height: 1, data: Uint8ClampedArray.from([100, 100, 100, 255]) }
    expect(run([turn, even, light, conceal], one, one)).toMatchObject({ width: 1, height: 1 })
  })
})
