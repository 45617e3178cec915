import fc from 'fast-check'
import { decideRecipe } from './decideRecipe.ts'
import { boxToOriginal, resolveGeometry, toOriginalPoint, toResultPoint } from './geometry.ts'
import { compose, IDENTITY, invert, mapPoint, type Quad, rectangleToQuad } from './matrix.ts'
import { cornerError, findQuadFault, orderCorners, proportionsOf } from './quad.ts'
import type { CropStep, RecipeStep, SquareStep, TurnStep } from './schema.ts'

const original = { width: 4000, height: 3000 }
const turn = (values: Partial<TurnStep>): TurnStep => ({
  kind: 'turn',
  on: true,
  quarters: 0,
  degrees: 0,
  mirrored: false,
  ...values,
})
const crop = (box: CropStep['box'], on = true): CropStep => ({ kind: 'crop', on, shape: 'free', box })
const square = (corners: SquareStep['corners']): SquareStep => ({
  kind: 'square',
  on: true,
  corners,
  proportions: 'estimated',
  byHand: 0,
})
const askew: SquareStep['corners'] = [
  [0.2, 0.15],
  [0.75, 0.2],
  [0.8, 0.9],
  [0.15, 0.8],
]

const near = (a: number, b: number, by = 1e-6) => Math.abs(a - b) < by
const jitter = fc.double({ min: -0.08, max: 0.08, noNaN: true })
const quads = fc.tuple(...Array.from({ length: 8 }, () => jitter)).map((off): Quad => [
  { x: 100 + 400 * (0.2 + (off[0] ?? 0)), y: 100 + 400 * (0.2 + (off[1] ?? 0)) },
  { x: 100 + 400 * (0.8 + (off[2] ?? 0)), y: 100 + 400 * (0.2 + (off[3] ?? 0)) },
  { x: 100 + 400 * (0.8 + (off[4] ?? 0)), y: 100 + 400 * (0.8 + (off[5] ?? 0)) },
  { x: 100 + 400 * (0.2 + (off[6] ?? 0)), y: 100 + 400 * (0.8 + (off[7] ?? 0)) },
])

describe('maps between a rectangle and four corners', () => {
  it('lead each corner to its corner, and back', () => {
    fc.assert(
      fc.property(quads, (quad) => {
        const map = rectangleToQuad({ width: 70, height: 90 }, quad)
        const corners = [
          { x: 0, y: 0 },
          { x: 70, y: 0 },
          { x: 70, y: 90 },
          { x: 0, y: 90 },
        ]
        corners.forEach((corner, n) => {
          const there = mapPoint(map, corner)
          expect(near(there.x, quad[n]?.x ?? 0) && near(there.y, quad[n]?.y ?? 0)).toBe(true)
          const back = mapPoint(invert(map), there)
          expect(near(back.x, corner.x, 1e-5) && near(back.y, corner.y, 1e-5)).toBe(true)
        })
        const none = compose(map, invert(map)).map((value, _, all) => value / (all[8] ?? 1))
        none.forEach((value, n) => expect(near(value, IDENTITY[n] ?? 0)).toBe(true))
      }),
    )
  })

  it('refuse what cannot be turned round', () => {
    expect(() => invert([1, 2, 3, 2, 4, 6, 0, 0, 1])).toThrow(RangeError)
    const line: Quad = [
      { x: 0, y: 0 },
      { x: 10, y: 10 },
      { x: 20, y: 20 },
      { x: 30, y: 30 },
    ]
    expect(() => rectangleToQuad({ width: 1, height: 1 }, line)).toThrow(RangeError)
  })
})

describe('corners', () => {
  const [p, q, r, s] = [
    { x: 10, y: 10 },
    { x: 90, y: 14 },
    { x: 96, y: 120 },
    { x: 4, y: 118 },
  ]

  it('are told when they cross, fall in a line, or lie on each other', () => {
    expect(findQuadFault([p, q, r, s])).toBeNull()
    expect(findQuadFault([p, r, q, s])).toBe('crossing')
    expect(findQuadFault([p, s, r, q])).toBe('crossing')
    expect(findQuadFault([p, { x: 53, y: 65 }, r, s])).toBe('in-a-line')
    expect(findQuadFault([p, p, r, s])).toBe('too-small')
  })

  it('are put into order from any order', () => {
    for (const mixed of [
      [r, p, s, q],
      [s, r, q, p],
      [q, s, p, r],
    ] as unknown as Quad[]) {
      expect(orderCorners(mixed)).toEqual([p, q, r, s])
    }
    expect(cornerError([p, q, r, s], [p, q, r, s])).toBe(0)
  })

  it('tell the proportions of the sheet that a camera saw', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.7, max: 1.5, noNaN: true }),
        fc.double({ min: 0.2, max: 0.5, noNaN: true }),
        fc.double({ min: 0.2, max: 0.5, noNaN: true }),
        fc.constantFrom(1, -1),
        (ratio, tiltX, tilt, side) => {
          const tiltY = tilt * side
          const quad = seen(ratio, tiltX, tiltY)
          expect(Math.abs(proportionsOf(quad, { x: 2000, y: 1500 }) / ratio - 1)).toBeLessThan(0.03)
        },
      ),
    )
  })

  /** A rectangle turned about both axes of the picture, seen from a distance. */
  function seen(ratio: number, tiltX: number, tiltY: number): Quad {
    const [half, focal, distance] = [800, 3600, 4200]
    return (
      [
        [-1, -1],
        [1, -1],
        [1, 1],
        [-1, 1],
      ] as const
    ).map(([sx, sy]) => {
      const [x, y] = [sx * half * ratio, sy * half]
      const [x1, z1] = [x * Math.cos(tiltY), x * Math.sin(tiltY)]
      const [y2, z2] = [
        y * Math.cos(tiltX) - z1 * Math.sin(tiltX),
        y * Math.sin(tiltX) + z1 * Math.cos(tiltX),
      ]
      return { x: 2000 + (focal * x1) / (distance + z2), y: 1500 + (focal * y2) / (distance + z2) }
    }) as unknown as Quad
  }
})

describe('the steps that move pixels', () => {
  it('lead a point to the result and back, in whatever order they are', () => {
    const steps: RecipeStep[] = [
      turn({ quarters: 1, degrees: 3, mirrored: true }),
      square(askew),
      crop({ x: 0.1, y: 0.1, width: 0.8, height: 0.7 }),
    ]
    for (const order of [
      [0, 1, 2],
      [1, 0, 2],
      [2, 1, 0],
      [0, 2, 1],
    ]) {
      const geometry = resolveGeometry(
        original,
        order.map((n) => steps[n] as RecipeStep),
      )
      const point = { x: 1900, y: 1400 }
      const back = toOriginalPoint(geometry, toResultPoint(geometry, point))
      expect(near(back.x, point.x, 1e-4) && near(back.y, point.y, 1e-4)).toBe(true)
    }
  })

  it('turn by quarters exactly, four of them to nothing', () => {
    const { size, toOriginal } = resolveGeometry(original, [turn({ quarters: 1 })])
    expect(size).toEqual({ width: 3000, height: 4000 })
    expect(mapPoint(toOriginal, { x: 3000, y: 0 })).toEqual({ x: 0, y: 0 })
    expect(mapPoint(toOriginal, { x: 3000, y: 4000 })).toEqual({ x: 4000, y: 0 })
    expect(resolveGeometry(original, [turn({ mirrored: true })]).toOriginal.slice(0, 3)).toEqual([
      -1, 0, 4000,
    ])
  })

  it('leave no corner empty when they turn finely', () => {
    fc.assert(
      fc.property(fc.double({ min: -45, max: 45, noNaN: true }), (degrees) => {
        const geometry = resolveGeometry(original, [turn({ degrees })])
        for (const { x, y } of boxToOriginal(geometry, { x: 0, y: 0, ...geometry.size })) {
          expect(x).toBeGreaterThan(-1.5)
          expect(y).toBeGreaterThan(-1.5)
          expect(x).toBeLessThan(4001.5)
          expect(y).toBeLessThan(3001.5)
        }
      }),
    )
  })

  it('square the four corners up to the corners of the result', () => {
    const geometry = resolveGeometry(original, [square(askew)])
    const found = boxToOriginal(geometry, { x: 0, y: 0, ...geometry.size })
    askew.forEach(([x, y], n) => {
      expect(near(found[n]?.x ?? 0, x * 4000, 1e-3) && near(found[n]?.y ?? 0, y * 3000, 1e-3)).toBe(true)
    })
  })

  it('tell the same proportions after a mirroring or a quarter turn', () => {
    const plain = resolveGeometry(original, [square(askew)]).size
    const [p, q, r, s] = askew.map(([x, y]): [number, number] => [1 - x, y]) as SquareStep['corners']
    const mirrored = resolveGeometry(original, [turn({ mirrored: true }), square([q, p, s, r])]).size
    expect(mirrored.width / mirrored.height).toBeCloseTo(plain.width / plain.height, 2)
  })

  it('leave out a step that is off', () => {
    expect(resolveGeometry(original, [crop({ x: 0, y: 0, width: 0.5, height: 0.5 }, false)]).size).toEqual(
      original,
    )
  })
})

describe('a recipe', () => {
  const decide = (...steps: RecipeStep[]) => decideRecipe(original, { schema: 1, steps })

  it('covers many names, and no more than can be painted while somebody waits', () => {
    const covers = (count: number, tall: number, corners: number) => ({
      kind: 'conceal' as const,
      on: true,
      parts: Array.from({ length: count }, () => ({
        corners: Array.from({ length: corners }, (_, n): [number, number] => [
          n,
          (n % 2) * original.height * tall,
        ]),
        ...{ radius: 0, fill: 'cover' as const, seed: 1 },
      })),
    })
    expect(decide(covers(200, 0.04, 400)).allowed).toBe(true)
    expect(decide(covers(200, 1, 400))).toMatchObject({ reason: 'covers-too-many' })
    const broad = {
      ...covers(1, 1, 3),
      parts: covers(40, 1, 3).parts.map((region) => ({ ...region, radius: 5000 })),
    }
    expect(decide(broad)).toMatchObject({ reason: 'covers-too-many' })
  })

  it('is fine with each step once', () => {
    expect(decide(turn({ degrees: 2 }), square(askew), crop({ x: 0, y: 0, width: 1, height: 0.5 }))).toEqual({
      allowed: true,
    })
  })

  it('is refused with what has to be mended', () => {
    const [p, q, r, s] = askew
    expect(decide(square([p, r, q, s]))).toMatchObject({ reason: 'corners-crossing' })
    expect(decide(square([p, [0.5, 0.525], r, s]))).toMatchObject({ reason: 'corners-in-a-line' })
    expect(decide(square([p, p, r, s]))).toMatchObject({ reason: 'corners-too-near' })
    expect(decide(crop({ x: 0, y: 0, width: 0.0001, height: 1 }))).toMatchObject({ reason: 'crop-too-small' })
    expect(decide(turn({}), turn({}))).toMatchObject({ reason: 'invalid-input' })
  })
})
