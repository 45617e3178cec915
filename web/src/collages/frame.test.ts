import { describe, expect, it } from '@jest/globals'
import type { Layer } from '@valise/core/pictures'
import fc from 'fast-check'
import {
  corners,
  dragCorner,
  dragGrip,
  fromMiddle,
  gripAt,
  isWithin,
  sides,
  spotFromMiddle,
  turnTo,
} from './frame.ts'

const layer = (turn = 0): Layer => ({
  ...{ id: 'a', kind: 'number', colour: 'ink', note: '', isLocked: false, group: null },
  ...{ x: 100, y: 200, width: 400, height: 300, turn },
})
const grips = fc.constantFrom(...corners, ...sides)
const turns = fc.integer({ min: -180, max: 179 })
const place = fc.record({
  x: fc.integer({ min: -2000, max: 3000 }),
  y: fc.integer({ min: -2000, max: 3000 }),
})

describe('a handle of the frame', () => {
  it('stands still where it is dragged nowhere', () => {
    fc.assert(
      fc.property(grips, turns, fc.boolean(), (grip, turn, isHeld) => {
        const one = layer(turn)
        const after = dragGrip(one, grip, gripAt(one, grip), isHeld)
        for (const side of ['x', 'y', 'width', 'height'] as const)
          expect(after[side]).toBeCloseTo(one[side], 6)
      }),
    )
  })

  it('leaves what lies opposite where it is, however the layer is turned', () => {
    fc.assert(
      fc.property(grips, turns, place, fc.boolean(), (grip, turn, to, isHeld) => {
        const one = layer(turn)
        const opposite = { across: -grip.across, down: -grip.down } as typeof grip
        const [before, after] = [gripAt(one, opposite), gripAt(dragGrip(one, grip, to, isHeld), opposite)]
        expect(after.x).toBeCloseTo(before.x, 5)
        expect(after.y).toBeCloseTo(before.y, 5)
      }),
    )
  })

  it('keeps the shape at corners where that is held, and never makes anything vanish', () => {
    fc.assert(
      fc.property(fc.constantFrom(...corners), turns, place, (grip, turn, to) => {
        const { width, height } = dragGrip(layer(turn), grip, to, true)
        expect(width / height).toBeCloseTo(400 / 300, 6)
        expect(Math.min(width, height)).toBeGreaterThan(0)
      }),
    )
  })

  it('resizes several things with their shape', () => {
    const box = { x: 0, y: 0, width: 200, height: 100 }
    expect(dragCorner(box, { across: 1, down: 1 }, { x: 400, y: 120 })).toEqual({
      ...{ x: 0, y: 0, width: 400, height: 200 },
    })
    expect(dragCorner(box, { across: -1, down: -1 }, { x: 100, y: 50 })).toEqual({
      ...{ x: 100, y: 50, width: 100, height: 50 },
    })
  })

  it('turns by as much as it is led around the middle', () => {
    const box = { x: 0, y: 0, width: 100, height: 100 }
    expect(turnTo(box, 0, { x: 200, y: 50 }, false)).toBe(90)
    expect(turnTo(box, 90, { x: 50, y: -80 }, false)).toBe(-90)
    expect(turnTo(box, 0, { x: 60, y: -60 }, true)).toBe(0)
  })
})

describe('a spot told from the middle of a layer', () => {
  it('is found again, however the layer is turned', () => {
    fc.assert(
      fc.property(turns, place, (turn, { x, y }) => {
        const [across, down] = fromMiddle(layer(turn), spotFromMiddle(layer(turn), [x, y]))
        expect(across).toBeCloseTo(x, 5)
        expect(down).toBeCloseTo(y, 5)
      }),
    )
  })
})

describe('what is drawn about', () => {
  it('is chosen where all of it lies within', () => {
    expect(isWithin(layer(), { x: 90, y: 190, width: 420, height: 320 })).toBe(true)
    expect(isWithin(layer(), { x: 110, y: 190, width: 420, height: 320 })).toBe(false)
    expect(isWithin(layer(45), { x: 90, y: 190, width: 420, height: 320 })).toBe(false)
  })
})
