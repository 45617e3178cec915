import { findCorners } from './findCorners.ts'
import { drawSheet } from './testing/drawSheet.ts'
import { measureCorners } from './testing/measureCorners.ts'
import { paint } from './testing/rasters.ts'

const WIDTH = 480

describe('finding the corners of a sheet', () => {
  it('is right for nine of ten drawn sheets, and proposes none where there is none', () => {
    const { sheets, all, classes, pictures, proposedInNone } = measureCorners(0.4)
    expect(sheets).toBe(80)
    expect(all).toBeGreaterThanOrEqual(0.9)
    // No class of clutter may be paid for by the others.
    for (const share of Object.values(classes)) expect(share).toBeGreaterThanOrEqual(0.7)
    expect(pictures).toBe(40)
    expect(proposedInNone).toBeLessThanOrEqual(2)
  }, 300_000)

  it('tells when the sheet runs out of the picture', () => {
    const { raster, corners } = drawSheet(70, 'plain', WIDTH)
    const left = Math.round(Math.min(...corners.map(({ x }) => x)) + 60)
    const cut = paint(WIDTH - left, raster.height, (x, y) => {
      const at = (y * WIDTH + x + left) * 4
      return [raster.data[at] ?? 0, raster.data[at + 1] ?? 0, raster.data[at + 2] ?? 0]
    })
    expect(findCorners(raster)).toMatchObject({ runsOut: false })
    expect(findCorners(cut)).toMatchObject({ runsOut: true })
  })

  it('takes no beach for a sheet that runs out of the picture, and white paper there for one', () => {
    const scene = (ground: readonly [number, number, number]) =>
      paint(WIDTH, 360, (x, y) =>
        y > 210 && x < 300 ? [...ground] : y > 210 ? [90, 80, 70] : [110, 140, 150],
      )
    expect(findCorners(scene([196, 164, 112]))).toBeNull()
    expect(findCorners(scene([238, 232, 220]))).toMatchObject({ runsOut: true })
  })

  it('finds nothing in pictures of one pixel, one row, or one colour', () => {
    for (const [width, height] of [
      [1, 1],
      [300, 1],
      [200, 150],
    ] as const)
      expect(findCorners(paint(width, height, () => [120, 130, 110]))).toBeNull()
  })
})
