import fc from 'fast-check'
import { evenOut, mapLight } from './evenOut.ts'
import {
  applyCurves,
  findLevels,
  histogramOf,
  joinCurves,
  levelCurves,
  lightCurves,
  quantileOf,
} from './levels.ts'
import { sharpen } from './sharpen.ts'
import { copyOf, inkRaster, isSame, paint, rmsBetween } from './testing/rasters.ts'
import { finish } from './work.ts'

const plain = levelCurves({ black: 0, white: 255, middle: 1 })
const dim = (raster: ReturnType<typeof inkRaster>) =>
  paint(raster.width, raster.height, (x, y) => {
    const light = 0.9 - 0.55 * (x / raster.width)
    const at = (y * raster.width + x) * 4
    return [0, 1, 2].map((channel) => (raster.data[at + channel] ?? 0) * light)
  })

describe('levels', () => {
  it('do nothing when nothing is asked of them', () => {
    const picture = inkRaster(60, 40)
    expect(isSame(finish(applyCurves(copyOf(picture), plain)), picture)).toBe(true)
    const calm = lightCurves({ brightness: 0, contrast: 0, warmth: 0, sharpness: 0 })
    expect([...calm.red]).toEqual([...plain.red])
  })

  it('bring black to 0 and white to 255, and never turn lighter to darker', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 120 }),
        fc.integer({ min: 130, max: 255 }),
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        (black, white, middle) => {
          const { green } = levelCurves({ black, white, middle })
          expect([green[black], green[white]]).toEqual([0, 255])
          expect([...green]).toEqual([...green].sort((a, b) => a - b))
        },
      ),
    )
  })

  it('joined do what they do one after the other', () => {
    const [first, then] = [
      levelCurves({ black: 20, white: 200, middle: 1.4 }),
      lightCurves({ brightness: 12, contrast: -30, warmth: 40, sharpness: 0 }),
    ]
    const picture = inkRaster(50, 40)
    const both = finish(applyCurves(copyOf(picture), joinCurves(first, then)))
    const inTurn = finish(applyCurves(finish(applyCurves(copyOf(picture), first)), then))
    expect(isSame(both, inTurn)).toBe(true)
  })

  it('are found so that paper becomes white and ink stays dark', () => {
    const grey = paint(200, 100, (x) => (x % 20 === 0 ? [60, 60, 60] : [170, 170, 170]))
    const levels = findLevels(histogramOf(grey))
    const { green } = levelCurves(levels)
    expect(green[170]).toBe(255)
    expect(green[60]).toBeLessThan(20)
  })

  it('count each pixel once', () => {
    const histogram = histogramOf(inkRaster(70, 30))
    for (const counts of Object.values(histogram))
      expect(counts.reduce((sum: number, one: number) => sum + one, 0)).toBe(2100)
    expect(quantileOf([0, 5, 0, 5], 0.5)).toBe(1)
  })

  it('warm up without touching black and white', () => {
    const { red, blue } = lightCurves({ brightness: 0, contrast: 0, warmth: 100, sharpness: 0 })
    expect([red[0], red[255], blue[0], blue[255]]).toEqual([0, 255, 0, 255])
    expect(red[128]).toBeGreaterThan(blue[128] ?? 255)
  })
})

describe('evening out', () => {
  it('gives a sheet in falling light the same paper everywhere', () => {
    const sheet = inkRaster(480, 360)
    const dark = dim(sheet)
    const lit = finish(evenOut(copyOf(dark), mapLight(dark), 100, plain))
    const paper = (x: number) => lit.data[(2 * 480 + x) * 4] ?? 0
    expect(Math.abs(paper(20) - paper(460))).toBeLessThan(10)
    expect(paper(460)).toBeGreaterThan(230)
    expect(rmsBetween(lit, sheet, 10)).toBeLessThan(rmsBetween(dark, sheet, 10) / 5)
  })

  it('does nothing with no strength', () => {
    const dark = dim(inkRaster(100, 80))
    expect(isSame(finish(evenOut(copyOf(dark), mapLight(dark), 0, plain)), dark)).toBe(true)
  })

  it('works on a single pixel', () => {
    const one = paint(1, 1, () => [90, 90, 90])
    expect(finish(evenOut(copyOf(one), mapLight(one), 100, plain)).data[0]).toBeGreaterThan(200)
  })
})

describe('sharpening', () => {
  it('makes steps steeper and leaves plain ground alone', () => {
    const step = paint(40, 10, (x) => (x < 20 ? [80, 80, 80] : [160, 160, 160]))
    const { data } = finish(sharpen(copyOf(step), 100))
    const at = (x: number) => data[(5 * 40 + x) * 4] ?? 0
    expect([at(5), at(35)]).toEqual([80, 160])
    expect(at(19)).toBeLessThan(80)
    expect(at(20)).toBeGreaterThan(160)
  })
})
