import { decideRecipe } from './decideRecipe.ts'
import { findFaults } from './findFaults.ts'
import { invert, mapPoint, rectangleToQuad } from './matrix.ts'
import { findPrivateRegions, proposeRecipe } from './proposeRecipe.ts'
import { shrink } from './raster.ts'
import { runRecipe, stepOf } from './runRecipe.ts'
import { drawNoSheet, drawSheet } from './testing/drawSheet.ts'
import { copyOf, paint } from './testing/rasters.ts'
import { upgradeRecipe } from './upgradeRecipe.ts'
import { finish } from './work.ts'

const seeds = [60_001, 60_002, 60_003, 60_004, 60_005, 60_006]
const kinds = ['plain', 'wood', 'cloth', 'papers', 'shadow', 'pale'] as const
const photos = seeds.map((seed, n) => drawSheet(seed, kinds[n] ?? 'plain', 1200))

describe('the proposal for a photo of a sheet', () => {
  it('makes it straight, white, and the name gone', () => {
    let covered = 0
    for (const { raster, corners, name } of photos) {
      const { recipe, faults } = proposeRecipe(raster, raster, 1)
      expect(decideRecipe(raster, recipe)).toEqual({ allowed: true })
      expect(faults).toEqual([])
      const result = finish(runRecipe(copyOf(raster), recipe, raster))
      const paper = [...result.data].filter((_, at) => at % 4 === 1).sort((a, b) => a - b)
      expect(paper[paper.length >> 1]).toBeGreaterThan(250)
      const onSheet = invert(rectangleToQuad({ width: 1, height: 1 }, corners))
      const boxes = (stepOf(recipe.steps, 'conceal')?.parts ?? []).map((region) => {
        const points = region.corners.map(([x, y]) => mapPoint(onSheet, { x, y }))
        return [Math.min(...points.map(({ x }) => x)), Math.max(...points.map(({ x }) => x))] as const
      })
      if (boxes.some(([left, right]) => left < name[0] + 0.03 && right > name[2] - 0.03)) covered += 1
    }
    expect(covered).toBeGreaterThanOrEqual(5)
  })

  it('is the same from a smaller picture of the photo', () => {
    const { raster } = photos[0] ?? drawSheet(1, 'plain')
    const [large, small] = [proposeRecipe(raster, raster, 1), proposeRecipe(shrink(raster, 800), raster, 1)]
    large.corners?.forEach(({ x, y }, n) => {
      expect(Math.abs(x - (small.corners?.[n]?.x ?? 0))).toBeLessThan(4)
      expect(Math.abs(y - (small.corners?.[n]?.y ?? 0))).toBeLessThan(4)
    })
  })

  it('proposes nothing where there is no sheet', () => {
    const raster = drawNoSheet(60_010, 800)
    expect(proposeRecipe(raster, raster, 1)).toMatchObject({ corners: null, recipe: { steps: [] } })
  })

  it('proposes lines near the edges and none of the middle', () => {
    const { raster } = photos[0] ?? drawSheet(1, 'plain')
    const { recipe } = proposeRecipe(raster, raster, 1)
    const square = recipe.steps.filter(({ kind }) => kind === 'square')
    const parts = findPrivateRegions(raster, raster, square, 9)
    expect(parts.length).toBeGreaterThan(0)
    expect(parts.length).toBeLessThanOrEqual(12)
    expect(
      findPrivateRegions(
        paint(300, 200, () => [240, 240, 240]),
        { width: 300, height: 200 },
        [],
        9,
      ),
    ).toEqual([])
  })
})

describe('what no editing can mend', () => {
  const { raster } = photos[1] ?? drawSheet(1, 'wood')

  it('is told: a blurred photo', () => {
    expect(findFaults(blurred(raster, 7), null)).toEqual(['blurred'])
    expect(findFaults(raster, null)).toEqual([])
  })

  it('is told: a photo taken in the dark', () => {
    const dark = { ...raster, data: raster.data.map((value, at) => (at % 4 === 3 ? 255 : value / 6)) }
    expect(findFaults(dark, null)).toContain('too-dark')
  })

  it('is not told of a picture without anything in it', () => {
    expect(
      findFaults(
        paint(200, 200, () => [200, 200, 200]),
        null,
      ),
    ).toEqual([])
    expect(
      findFaults(
        paint(1, 1, () => [200, 200, 200]),
        null,
      ),
    ).toEqual([])
  })

  /** Means of fields of `2 reach + 1`, twice. */
  function blurred(picture: typeof raster, reach: number): typeof raster {
    let [from, to] = [copyOf(picture), copyOf(picture)]
    const { width, height } = picture
    for (const step of [4, width * 4, 4, width * 4]) {
      for (let at = 0; at < width * height * 4; at += 1) {
        let [sum, count] = [0, 0]
        for (let off = -reach; off <= reach; off += 1) {
          const value = from.data[at + off * step]
          if (value === undefined) continue
          sum += value
          count += 1
        }
        to.data[at] = sum / count
      }
      ;[from, to] = [to, from]
    }
    return from
  }
})

describe('recipes of other versions', () => {
  it('are refused when they are newer', () => {
    expect(upgradeRecipe({ schema: 1, steps: [] } as never)).toEqual({ schema: 1, steps: [] })
    expect(() => upgradeRecipe({ schema: 2 })).toThrow(expect.objectContaining({ reason: 'recipe-newer' }))
  })
})
