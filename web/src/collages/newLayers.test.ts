import { describe, expect, it } from '@jest/globals'
import { boardSizes } from '@valise/core/pictures'
import type { Collage, DrawingLayer, Layer } from '@valise/core/pictures'
import { addable, duplicates, newLayer, withStroke } from './newLayers.ts'
import type { StrokeDrawn } from './newLayers.ts'

const empty: Collage = {
  ...{ schema: 1, size: 'wide', background: { kind: 'colour', colour: 'paper' }, layers: [] },
}
const nobody: ReadonlySet<string> = new Set()
const stroke = (from: number, isEraser = false): StrokeDrawn => ({
  points: [
    { x: from, y: 90 },
    { x: from + 0.5, y: 90 },
    { x: from + 160, y: 180 },
  ],
  ...{ colour: 'ink', width: 16, isEraser },
})
const strokesOf = (layers: readonly Layer[] = []) =>
  layers
    .filter((layer): layer is DrawingLayer => layer.kind === 'drawing')
    .map(({ strokes }) => strokes.length)

describe('what is laid on a board', () => {
  it('lies within it, whatever it is and however large the board', () => {
    for (const size of ['wide', 'square', 'tall', 'a4'] as const) {
      for (const what of addable) {
        const { x, y, width, height } = newLayer(what, 'a', { ...empty, size })
        expect([x >= 0, y >= 0]).toEqual([true, true])
        expect(x + width).toBeLessThanOrEqual(boardSizes[size].width)
        expect(y + height).toBeLessThanOrEqual(boardSizes[size].height)
      }
    }
  })

  it('lies beside what was laid down before, so that both are seen', () => {
    const first = newLayer('number', 'a', empty)
    const next = newLayer('number', 'b', { ...empty, layers: [first] })
    expect([next.x > first.x, next.y > first.y]).toEqual([true, true])
  })

  it('is copied with new names, and a group of it as a group of its own', () => {
    const two = ['a', 'b'].map((id) => ({ ...newLayer('shape', id, empty), group: 'g' }))
    let n = 0
    const copies = duplicates(two, new Set(['a', 'b']), () => `new-${(n += 1)}`)
    expect(new Set([...two, ...copies].map(({ id }) => id)).size).toBe(4)
    expect(new Set(copies.map(({ group }) => group)).size).toBe(1)
    expect(copies[0]?.group).not.toBe('g')
    expect(copies[0]?.x).toBeGreaterThan(two[0]?.x ?? 0)
  })
})

describe('a stroke', () => {
  it('is kept in thousandths of its sheet, without points that say nothing', () => {
    const drawn = withStroke(empty, stroke(160), nobody, 'sheet')
    expect(drawn).toMatchObject({ sheetId: 'sheet', layers: [{ width: 1600, height: 900 }] })
    const [sheet] = drawn?.layers as [DrawingLayer]
    expect(sheet.strokes[0]).toMatchObject({ points: [[100, 100], [200, 200]], width: 10 }) // prettier-ignore
  })

  it('goes on the sheet that lies on top, and on a new one where something else does', () => {
    const one = withStroke(empty, stroke(0), nobody, 'one')?.layers ?? []
    const two = withStroke({ ...empty, layers: one }, stroke(200), nobody, 'two')?.layers
    expect(strokesOf(two)).toEqual([2])
    const layers = [...one, newLayer('arrow', 'a', empty)]
    expect(strokesOf(withStroke({ ...empty, layers }, stroke(200), nobody, 'two')?.layers)).toEqual([1, 1])
    expect(strokesOf(withStroke({ ...empty, layers }, stroke(200), new Set(['one']), 'x')?.layers)).toEqual([
      2,
    ])
  })

  it('rubs out on a sheet that is there, and nothing where there is none', () => {
    expect(withStroke(empty, stroke(0, true), nobody, 'x')).toBeNull()
    const one = withStroke(empty, stroke(0), nobody, 'one')?.layers ?? []
    const layers = [...one, newLayer('arrow', 'a', empty)]
    expect(strokesOf(withStroke({ ...empty, layers }, stroke(9, true), nobody, 'x')?.layers)).toEqual([2])
  })
})
