import { applyOperations, newDocument, newTextPiece } from '@valise/core/pages'
import { isSamePlace, listPlaces, movePiece, putPieces, removePiece } from './places.ts'

const document = newDocument('', 'en', [
  { id: 'r1', pieces: [newTextPiece('a')] },
  { id: 'r2', pieces: [newTextPiece('b'), newTextPiece('c')] },
])
const newId = () => 'new'
const shapeAfter = (operations: Parameters<typeof applyOperations>[1]) =>
  applyOperations(document, operations)?.rows.map(({ pieces }) => pieces.map(({ id }) => id).join(''))

describe('places on a page', () => {
  it('are before, in and after each row', () => {
    const places = listPlaces(document)
    expect(places).toHaveLength(5)
    expect(places.filter((place) => isSamePlace(places[3] ?? null, place))).toEqual([
      { kind: 'in-row', rowId: 'r2', after: 'c' },
    ])
    expect(listPlaces(newDocument('', 'en'))).toEqual([{ kind: 'new-row', after: null }])
  })

  it('take several pieces in their order', () => {
    const pieces = [newTextPiece('x'), newTextPiece('y')]
    expect(shapeAfter(putPieces({ kind: 'in-row', rowId: 'r1', after: 'a' }, pieces, newId))).toEqual([
      'axy',
      'bc',
    ])
    expect(shapeAfter(putPieces({ kind: 'new-row', after: 'r1' }, pieces, newId))).toEqual(['a', 'xy', 'bc'])
  })

  it('take a piece from elsewhere, and leave no empty row behind', () => {
    expect(shapeAfter(movePiece(document, 'a', { kind: 'in-row', rowId: 'r2', after: 'b' }, newId))).toEqual([
      'bac',
    ])
    expect(shapeAfter(movePiece(document, 'b', { kind: 'new-row', after: null }, newId))).toEqual([
      'b',
      'a',
      'c',
    ])
    expect(shapeAfter(movePiece(document, 'a', { kind: 'new-row', after: 'r2' }, newId))).toEqual(['bc', 'a'])
    expect(shapeAfter(removePiece(document, 'a'))).toEqual(['bc'])
    expect(shapeAfter(removePiece(document, 'b'))).toEqual(['a', 'c'])
  })

  it('change nothing where the piece is already', () => {
    expect(movePiece(document, 'a', { kind: 'new-row', after: 'r1' }, newId)).toEqual([])
    expect(movePiece(document, 'a', { kind: 'in-row', rowId: 'r1', after: 'a' }, newId)).toEqual([])
    expect(movePiece(document, 'nowhere', { kind: 'new-row', after: null }, newId)).toEqual([])
  })
})
