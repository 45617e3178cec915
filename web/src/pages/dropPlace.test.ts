// Where something that is dragged over a page would go.
import { findDropTarget } from './dropPlace.ts'
import type { RowBox } from './dropPlace.ts'

const paper = { left: 0, top: 0, width: 800, height: 900 }
const piece = (id: string, left: number, width: number, top: number) => ({
  id,
  box: { left, top, width, height: 200 },
})
const rows: RowBox[] = [
  {
    id: 'text',
    box: { left: 0, top: 100, width: 800, height: 200 },
    isFull: true,
    pieces: [piece('t', 0, 800, 100)],
  },
  {
    id: 'pictures',
    box: { left: 0, top: 320, width: 800, height: 200 },
    isFull: false,
    pieces: [piece('a', 0, 250, 320), piece('b', 260, 250, 320)],
  },
]
const placeAt = (x: number, y: number) => findDropTarget(rows, paper, { x, y }).place

describe('the place where something is dropped on a page', () => {
  it('is a row of its own above the first row, between rows, and under the last', () => {
    expect(placeAt(300, 20)).toEqual({ kind: 'new-row', after: null })
    expect(placeAt(300, 130)).toEqual({ kind: 'new-row', after: null })
    expect(placeAt(300, 290)).toEqual({ kind: 'new-row', after: 'text' })
    expect(placeAt(300, 330)).toEqual({ kind: 'new-row', after: 'text' })
    expect(placeAt(300, 515)).toEqual({ kind: 'new-row', after: 'pictures' })
    expect(placeAt(300, 880)).toEqual({ kind: 'new-row', after: 'pictures' })
  })

  it('is before, between or after the pieces of a row that has room', () => {
    expect(placeAt(40, 420)).toEqual({ kind: 'in-row', rowId: 'pictures', after: null })
    expect(placeAt(240, 420)).toEqual({ kind: 'in-row', rowId: 'pictures', after: 'a' })
    expect(placeAt(700, 420)).toEqual({ kind: 'in-row', rowId: 'pictures', after: 'b' })
  })

  it('is the top of an empty page', () => {
    expect(findDropTarget([], paper, { x: 5, y: 700 }).place).toEqual({ kind: 'new-row', after: null })
  })

  it('has its line between what it parts, as wide as the paper or as high as the row', () => {
    const row = findDropTarget(rows, paper, { x: 300, y: 290 }).line
    expect(row).toEqual({ left: 0, top: 308, width: 800, height: 4 })
    const side = findDropTarget(rows, paper, { x: 240, y: 420 }).line
    expect(side).toEqual({ left: 254, top: 320, width: 4, height: 200 })
  })
})
