import { compose, IDENTITY, invert, moving, type Quad, rectangleToQuad, scaling } from './matrix.ts'
import { alignRaster, makeRaster, pixelsOf } from './raster.ts'
import { inkRaster, isSame, rmsBetween, similarity, smoothRaster } from './testing/rasters.ts'
import { warp } from './warp.ts'
import { finish } from './work.ts'

const size = { width: 480, height: 360 }
const quads: Quad[] = [
  [
    { x: 20, y: 12 },
    { x: 450, y: 30 },
    { x: 470, y: 350 },
    { x: 6, y: 330 },
  ],
  [
    { x: 60, y: 0 },
    { x: 480, y: 20 },
    { x: 430, y: 340 },
    { x: 0, y: 360 },
  ],
]

/** There at four times the pixels and back, so that what is lost is the map's own. */
function thereAndBack(picture: ReturnType<typeof makeRaster>, quad: Quad) {
  const large = { width: size.width * 3, height: size.height * 3 }
  const map = compose(scaling(1 / 3, 1 / 3), rectangleToQuad(size, quad))
  return finish(warp(finish(warp(picture, large, map)), size, invert(map)))
}

describe('warping', () => {
  it('along a map and back gives a smooth picture again, within 0.7 grey levels', () => {
    for (const [seed, quad] of quads.entries()) {
      const picture = smoothRaster(size.width, size.height, seed + 1)
      expect(rmsBetween(picture, thereAndBack(picture, quad), 60)).toBeLessThanOrEqual(0.7)
    }
  })

  it('along a map and back leaves writing as it was, with a similarity of 0.95', () => {
    for (const [seed, quad] of quads.entries()) {
      const picture = inkRaster(size.width, size.height, seed + 1)
      expect(similarity(picture, thereAndBack(picture, quad), 60)).toBeGreaterThanOrEqual(0.95)
    }
  })

  it('does nothing along no map, and moves by whole pixels without loss', () => {
    const picture = inkRaster(64, 48)
    expect(isSame(finish(warp(picture, picture, IDENTITY)), picture)).toBe(true)
    const moved = finish(warp(picture, { width: 40, height: 30 }, moving(10, 12)))
    expect(pixelsOf(moved)[5 * 40 + 7]).toBe(pixelsOf(picture)[17 * 64 + 17])
  })

  it('gives the mean between two pixels, in every channel', () => {
    const pair = { width: 2, height: 1, data: Uint8ClampedArray.from([0, 100, 200, 255, 100, 200, 0, 55]) }
    const [r, g, b, a] = finish(warp(pair, { width: 1, height: 1 }, moving(0.5, 0))).data
    expect([r, g, b, a]).toEqual([50, 150, 100, 155])
  })

  it('goes on with the outermost pixels beyond the edge', () => {
    const picture = smoothRaster(20, 20)
    const beyond = finish(warp(picture, { width: 4, height: 4 }, moving(-50, -50)))
    expect(new Set(pixelsOf(beyond))).toEqual(new Set([pixelsOf(picture)[0]]))
  })

  it('tells how far it is, and can be left', () => {
    const steps = [...warp(smoothRaster(32, 200), { width: 32, height: 200 }, IDENTITY)]
    expect(steps.length).toBeGreaterThan(2)
    expect(steps.at(-1)).toBe(1)
    expect(steps).toEqual([...steps].sort((a, b) => a - b))
  })

  it('takes samples that begin anywhere once they are aligned', () => {
    const bytes = new Uint8Array(17)
    const odd = { width: 2, height: 2, data: bytes.subarray(1) }
    expect(() => pixelsOf(odd)).toThrow(RangeError)
    expect(pixelsOf(alignRaster(odd))).toHaveLength(4)
    expect(() => makeRaster({ width: 0, height: 3 })).toThrow(RangeError)
  })
})
