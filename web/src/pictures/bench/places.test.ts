import { EMPTY_RECIPE, IDENTITY, resolveGeometry, scaling } from '@valise/core/pictures'
import type { Mark } from '@valise/core/pictures'
import { fitShape, moveBox, resizeBox } from './boxes.ts'
import { boundsOfMark, isOfTool, moveMark, moveMarkEnd } from './marks.ts'
import { boxBetween, cornersOf, moveCorner, movePoints, regionInView, overlapsAny } from './regions.ts'
import { cornersAsTaken, squareStepOf } from './squaring.ts'
import { levelledBy, plainCrop, plainTurn, ratioOf, turnedBy } from './steps.ts'
import { withStep } from './recipeChanges.ts'

const picture = { width: 400, height: 300 }

describe('boxes', () => {
  it('stay in the picture, whatever is asked of them', () => {
    const box = { x: 50, y: 50, width: 100, height: 80 }
    expect(moveBox(box, { x: -500, y: 500 }, picture)).toEqual({ ...box, x: 0, y: 220 })
    expect(resizeBox(box, 'e', { x: 900, y: 0 }, picture, null)).toEqual({ ...box, width: 350 })
    expect(resizeBox(box, 'n', { x: 0, y: 400 }, picture, null).height).toBe(2)
  })

  it('hold their shape at the corner that does not move', () => {
    const box = { x: 100, y: 100, width: 100, height: 50 }
    const larger = resizeBox(box, 'se', { x: 300, y: 110 }, picture, 2)
    expect(larger).toEqual({ x: 100, y: 100, width: 200, height: 100 })
    const upward = resizeBox(box, 'nw', { x: -900, y: -900 }, picture, 2)
    expect([upward.x + upward.width, upward.y + upward.height]).toEqual([200, 150])
    expect(upward.width / upward.height).toBe(2)
    expect(fitShape({ x: 0, y: 0, ...picture }, 1)).toEqual({ x: 50, y: 0, width: 300, height: 300 })
  })

  it('lie or stand as they did when a shape is chosen', () => {
    const step = { ...plainCrop, shape: '4:3' as const }
    expect(ratioOf(step, picture)).toBeCloseTo(4 / 3)
    expect(ratioOf({ ...step, box: { x: 0, y: 0, width: 0.2, height: 1 } }, picture)).toBeCloseTo(3 / 4)
    expect(ratioOf(plainCrop, picture)).toBeNull()
  })
})

describe('concealed parts', () => {
  const box = boxBetween({ x: 30, y: 40 }, { x: 10, y: 20 })

  it('are boxes with a fixed opposite corner, or leaning shapes of which one corner moves', () => {
    expect(box[0]).toEqual({ x: 10, y: 20 })
    expect(moveCorner(box, 0, { x: 0, y: 0 })).toEqual(boxBetween({ x: 0, y: 0 }, { x: 30, y: 40 }))
    const leaning = box.map((point, n) => (n === 1 ? { ...point, y: 25 } : point))
    expect(moveCorner(leaning, 0, { x: 0, y: 0 }).filter((point, n) => point !== leaning[n])).toHaveLength(1)
    expect(movePoints(box, { x: 5, y: 0 })[0]).toEqual({ x: 15, y: 20 })
  })

  it('come to the original and back, strokes with their width', () => {
    const half = scaling(0.5, 0.5)
    const stroke = {
      corners: [
        [100, 100],
        [200, 100],
      ] as [number, number][],
      radius: 20,
      fill: 'cover' as const,
      seed: 1,
    }
    expect(regionInView(stroke, half)).toEqual({
      points: [
        { x: 50, y: 50 },
        { x: 100, y: 50 },
      ],
      radius: 10,
    })
    expect(cornersOf([{ x: 50, y: 50 }], scaling(2, 2))).toEqual([[100, 100]])
    expect(
      cornersOf(
        Array.from({ length: 900 }, (_, x) => ({ x, y: 0 })),
        IDENTITY,
      ).length,
    ).toBeLessThanOrEqual(400)
  })
})

describe('a part that was found', () => {
  const square = (x: number) => ({
    corners: boxBetween({ x, y: 0 }, { x: x + 10, y: 10 }).map((at): [number, number] => [at.x, at.y]),
    ...{ radius: 0, fill: 'cover' as const, seed: 1 },
  })

  it('counts as concealed where most of it is', () => {
    expect(overlapsAny(square(0), [square(50), square(4)])).toBe(true)
    expect(overlapsAny(square(0), [square(6), square(50)])).toBe(false)
  })
})

describe('turning and squaring', () => {
  it('goes round in quarters', () => {
    const turned = withStep(EMPTY_RECIPE, turnedBy(EMPTY_RECIPE, -1))
    expect(turned.steps[0]).toMatchObject({ quarters: 3 })
    expect(turnedBy(turned, 1)).toMatchObject({ quarters: 0 })
  })

  it('levels the line that was traced, lying or standing', () => {
    const level = levelledBy(picture, EMPTY_RECIPE, [
      { x: 0, y: 100 },
      { x: 100, y: 110 },
    ])
    expect(level.degrees).toBeCloseTo(-5.7, 1)
    const upright = levelledBy(picture, EMPTY_RECIPE, [
      { x: 100, y: 0 },
      { x: 110, y: 200 },
    ])
    expect(upright.degrees).toBeCloseTo(2.9, 1)
    // The line lies level in what comes of it.
    const { toResult } = resolveGeometry(picture, [level])
    const y = (x: number, from: number) => toResult[3] * x + toResult[4] * from + toResult[5]
    expect(Math.abs(y(0, 100) - y(100, 110))).toBeLessThan(0.3)
  })

  it('finds the corners in the picture as taken again, whatever was done before', () => {
    const turned = withStep(EMPTY_RECIPE, { ...plainTurn, quarters: 1 })
    const corners = [
      { x: 40, y: 30 },
      { x: 360, y: 40 },
      { x: 350, y: 280 },
      { x: 30, y: 270 },
    ] as const
    const recipe = withStep(turned, squareStepOf(picture, turned, corners))
    cornersAsTaken(picture, recipe).forEach(({ x, y }, n) => {
      expect(x).toBeCloseTo(corners[n]?.x ?? 0, 6)
      expect(y).toBeCloseTo(corners[n]?.y ?? 0, 6)
    })
  })
})

describe('marks', () => {
  const arrow: Mark = { id: 'a', kind: 'arrow', from: [10, 10], to: [50, 40], colour: 'ink', width: 2 }
  const pin: Mark = {
    id: 'p',
    kind: 'pin',
    at: [100, 100],
    region: [
      [90, 90],
      [110, 90],
      [110, 110],
    ],
    note: '',
  }
  const words: Mark = { id: 't', kind: 'text', at: [5, 5], words: 'two\nlines', size: 10, colour: 'ink' }

  it('move as a whole, a pin with what it points at', () => {
    expect(moveMark(arrow, { x: 1, y: 2 })).toMatchObject({ from: [11, 12], to: [51, 42] })
    expect(moveMark(pin, { x: -10, y: 0 })).toMatchObject({
      at: [90, 100],
      region: [
        [80, 90],
        [100, 90],
        [100, 110],
      ],
    })
    expect(moveMark(words, { x: 1, y: 1 })).toMatchObject({ at: [6, 6] })
    expect(moveMarkEnd(arrow, 'to', { x: 9, y: 9 })).toMatchObject({ from: [10, 10], to: [9, 9] })
    expect(moveMarkEnd(pin, 'to', { x: 9, y: 9 })).toBe(pin)
  })

  it('can be taken hold of where they are, with the tool that makes them', () => {
    expect(boundsOfMark(arrow, 8)).toEqual({ x: 6, y: 6, width: 48, height: 38 })
    expect(boundsOfMark(pin, 8)).toEqual({ x: 92, y: 92, width: 16, height: 16 })
    expect(boundsOfMark(words, 8).height).toBe(24)
    expect([
      isOfTool(arrow, 'draw'),
      isOfTool(pin, 'point'),
      isOfTool(words, 'write'),
      isOfTool(pin, 'draw'),
    ]).toEqual([true, true, true, false])
  })
})
