import fc from 'fast-check'
import {
  alignLayers,
  boundsOf,
  boundsOfAll,
  distributeLayers,
  moveLayers,
  normalTurn,
  orderLayers,
  resizeLayers,
  turnLayers,
  withGroups,
} from './arrange.ts'
import type { Layer } from './collageSchema.ts'
import { snapBox } from './snap.ts'

const layer = (id: string, x: number, y: number, more: Partial<Layer> = {}): Layer =>
  ({
    id,
    kind: 'arrow',
    x,
    y,
    width: 100,
    height: 50,
    turn: 0,
    isLocked: false,
    group: null,
    colour: 'ink',
    lineWidth: 4,
    bend: 0,
    hasHead: true,
    ...more,
  }) as Layer
const board = { x: 0, y: 0, width: 1600, height: 900 }
const ids = (...some: string[]) => new Set(some)
const find = (layers: readonly Layer[], id: string) => layers.find((one) => one.id === id) as Layer

describe('a layer', () => {
  it('has a box about it as it stands', () => {
    expect(boundsOf(layer('a', 10, 20))).toEqual({ x: 10, y: 20, width: 100, height: 50 })
    const upright = boundsOf(layer('a', 0, 0, { turn: 90 }))
    expect([upright.x, upright.y, upright.width, upright.height].map(Math.round)).toEqual([25, -25, 50, 100])
    expect(boundsOfAll([])).toBeNull()
  })

  it('that is locked stays where it is', () => {
    const layers = [layer('a', 0, 0, { isLocked: true }), layer('b', 0, 0)]
    const moved = moveLayers(layers, ids('a', 'b'), { x: 5, y: 5 })
    expect([find(moved, 'a').x, find(moved, 'b').x]).toEqual([0, 5])
  })

  it('comes back by turning it back, as one of several too', () => {
    fc.assert(
      fc.property(fc.integer({ min: -720, max: 720 }), (degrees) => {
        const layers = [layer('a', 0, 0), layer('b', 300, 100, { turn: 30 })]
        const there = turnLayers(layers, ids('a', 'b'), degrees)
        expect(normalTurn(find(there, 'b').turn - 30 - degrees)).toBeCloseTo(0, 6)
        if (degrees % 180 !== 0) return
        const back = turnLayers(there, ids('a', 'b'), -degrees)
        expect(find(back, 'b').x).toBeCloseTo(300, 6)
      }),
    )
  })

  it('is stretched with the others it was chosen with', () => {
    const layers = [layer('a', 0, 0), layer('b', 100, 50), layer('c', 500, 500)]
    const from = { x: 0, y: 0, width: 200, height: 100 }
    const resized = resizeLayers(layers, ids('a', 'b'), from, { x: 0, y: 0, width: 400, height: 50 })
    expect(find(resized, 'a')).toMatchObject({ x: 0, y: 0, width: 200, height: 25 })
    expect(find(resized, 'b')).toMatchObject({ x: 200, y: 25, width: 200, height: 25 })
    expect(find(resized, 'c')).toEqual(layers[2])
  })
})

describe('several layers', () => {
  const three = [layer('a', 0, 0), layer('b', 130, 200, { width: 40 }), layer('c', 700, 100)]

  it('are aligned with each other, and one alone with the board', () => {
    const left = alignLayers(three, ids('a', 'b', 'c'), 'left', board)
    expect(left.map(({ x }) => x)).toEqual([0, 0, 0])
    const middle = alignLayers(three, ids('a'), 'middle', board)
    expect(find(middle, 'a').x).toBe(750)
    expect(alignLayers(three, ids('a', 'c'), 'bottom', board).map(({ y }) => y)).toEqual([100, 200, 100])
  })

  it('are distributed with the same gaps, the outermost staying', () => {
    const even = distributeLayers(three, ids('a', 'b', 'c'), 'across')
    expect(even.map(({ x }) => x)).toEqual([0, 380, 700])
    expect(distributeLayers(three, ids('a', 'b'), 'across')).toEqual(three)
  })

  it('that are grouped are chosen together, and move as one', () => {
    const layers = [layer('a', 0, 0, { group: 'g' }), layer('b', 200, 0, { group: 'g' }), layer('c', 600, 0)]
    expect(withGroups(layers, ids('a'))).toEqual(ids('a', 'b'))
    const right = alignLayers(layers, ids('a', 'b', 'c'), 'right', board)
    expect(right.map(({ x }) => x)).toEqual([400, 600, 600])
  })

  it('are brought nearer and further without mixing', () => {
    const order = (layers: readonly Layer[]) => layers.map(({ id }) => id).join('')
    const four = ['a', 'b', 'c', 'd'].map((id) => layer(id, 0, 0))
    expect(order(orderLayers(four, ids('a', 'b'), 'nearer'))).toBe('cabd')
    expect(order(orderLayers(four, ids('c', 'd'), 'further'))).toBe('acdb')
    expect(order(orderLayers(four, ids('a', 'c'), 'nearest'))).toBe('bdac')
    expect(order(orderLayers(four, ids('d'), 'furthest'))).toBe('dabc')
    expect(order(orderLayers(four, ids('d'), 'nearer'))).toBe('abcd')
  })
})

describe('snapping', () => {
  const other = { x: 100, y: 100, width: 200, height: 100 }

  it('brings a box to the nearest edge or middle, and shows the line', () => {
    const { by, guides } = snapBox({ x: 104, y: 400, width: 50, height: 50 }, [other], 8)
    expect(by).toEqual({ x: -4, y: 0 })
    expect(guides).toEqual([{ along: 'down', at: 100, from: 100, to: 450 }])
  })

  it('leaves alone what is not near, and never moves further than what is', () => {
    expect(snapBox({ x: 500, y: 500, width: 50, height: 50 }, [other], 8)).toEqual({
      by: { x: 0, y: 0 },
      guides: [],
    })
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 400 }), (x, y) => {
        const { by } = snapBox({ x, y, width: 60, height: 30 }, [other, board], 6)
        expect(Math.max(Math.abs(by.x), Math.abs(by.y))).toBeLessThanOrEqual(6)
        const again = snapBox({ x: x + by.x, y: y + by.y, width: 60, height: 30 }, [other, board], 6)
        expect(again.by).toEqual({ x: 0, y: 0 })
      }),
    )
  })
})
