// Where something can be put on a page: into a row, or between rows, where it gets a row of its own.
import type { Operation, PageDocument, Piece } from '@valise/core/pages'

export type PagePlace =
  | { readonly kind: 'in-row'; readonly rowId: string; readonly after: string | null }
  | { readonly kind: 'new-row'; readonly after: string | null }

/** Lists all places in reading order; the last one is below everything. */
export function listPlaces(document: PageDocument): PagePlace[] {
  const places: PagePlace[] = [{ kind: 'new-row', after: null }]
  for (const row of document.rows) {
    places.push({ kind: 'in-row', rowId: row.id, after: row.pieces.at(-1)?.id ?? null })
    places.push({ kind: 'new-row', after: row.id })
  }
  return places
}

export function isSamePlace(a: PagePlace | null, b: PagePlace): boolean {
  if (a?.kind !== b.kind || a.after !== b.after) return false
  return a.kind === 'new-row' || (b.kind === 'in-row' && a.rowId === b.rowId)
}

/** Returns the operations that put new pieces at a place, in order. */
export function putPieces(place: PagePlace, pieces: readonly Piece[], newId: () => string): Operation[] {
  if (place.kind === 'new-row')
    return [{ op: 'insert-row', row: { id: newId(), pieces: [...pieces] }, after: place.after }]
  return pieces.map((piece, n) => ({
    op: 'insert-piece',
    rowId: place.rowId,
    piece,
    after: pieces[n - 1]?.id ?? place.after,
  }))
}

/** Returns the operations that move a piece. A row that becomes empty is removed. */
export function movePiece(
  document: PageDocument,
  pieceId: string,
  place: PagePlace,
  newId: () => string,
): Operation[] {
  const from = document.rows.find(({ pieces }) => pieces.some(({ id }) => id === pieceId))
  if (!from) return []
  const isAlone = from.pieces.length === 1
  if (place.kind === 'in-row') {
    if (place.after === pieceId || (isAlone && place.rowId === from.id)) return []
    const moved: Operation = { op: 'move-piece', pieceId, rowId: place.rowId, after: place.after }
    return isAlone ? [moved, { op: 'remove-row', rowId: from.id }] : [moved]
  }
  if (isAlone) {
    return place.after === from.id ? [] : [{ op: 'move-row', rowId: from.id, after: place.after }]
  }
  const rowId = newId()
  return [
    { op: 'insert-row', row: { id: rowId, pieces: [] }, after: place.after },
    { op: 'move-piece', pieceId, rowId, after: null },
  ]
}

/** Returns the operations that remove a piece. A row that becomes empty is removed. */
export function removePiece(document: PageDocument, pieceId: string): Operation[] {
  const row = document.rows.find(({ pieces }) => pieces.some(({ id }) => id === pieceId))
  if (!row) return []
  return row.pieces.length === 1 ? [{ op: 'remove-row', rowId: row.id }] : [{ op: 'remove-piece', pieceId }]
}
