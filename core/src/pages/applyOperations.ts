// Changing a document by operations, and the operation that takes each one back.
import { findPiece, hasRow, placedPieces } from './parts.ts'
import type { Piece } from './pieces/pieceSchemas.ts'
import type { Operation, PageDocument, Row } from './schema.ts'
import { MOST_PIECES_IN_ROW, MOST_ROWS } from './valueLists.ts'

/** Returns the document after one operation; null when the operation names a missing part or adds an existing one. */
export function applyOperation(document: PageDocument, operation: Operation): PageDocument | null {
  switch (operation.op) {
    case 'set-title':
      return { ...document, title: operation.title }
    case 'set-lang':
      return { ...document, lang: operation.lang }
    case 'set-sheet':
      return { ...document, sheet: operation.sheet }
    case 'insert-row':
      return isNewRow(document, operation.row)
        ? withRows(document, insertAfter(document.rows, operation.row, operation.after))
        : null
    case 'remove-row':
      return hasRow(document, operation.rowId)
        ? withRows(document, without(document.rows, operation.rowId))
        : null
    case 'move-row': {
      const row = document.rows.find(({ id }) => id === operation.rowId)
      if (!row || operation.after === operation.rowId) return null
      return withRows(document, insertAfter(without(document.rows, row.id), row, operation.after))
    }
    case 'insert-piece':
      return findPiece(document, operation.piece.id)
        ? null
        : inRow(document, operation.rowId, (pieces) => insertAfter(pieces, operation.piece, operation.after))
    case 'remove-piece': {
      const found = findPiece(document, operation.pieceId)
      return found && inRow(document, found.row.id, (pieces) => without(pieces, operation.pieceId))
    }
    case 'move-piece': {
      const found = findPiece(document, operation.pieceId)
      if (!found || operation.after === operation.pieceId) return null
      const lifted = inRow(document, found.row.id, (pieces) => without(pieces, operation.pieceId))
      return (
        lifted &&
        inRow(lifted, operation.rowId, (pieces) => insertAfter(pieces, found.piece, operation.after))
      )
    }
    case 'set-piece': {
      const found = findPiece(document, operation.piece.id)
      if (found?.piece.kind !== operation.piece.kind) return null
      const replaced = (piece: Piece) => (piece.id === operation.piece.id ? operation.piece : piece)
      return inRow(document, found.row.id, (pieces) => pieces.map(replaced))
    }
  }
}

/** Returns the document after all operations in order; null when one does not apply. */
export function applyOperations(
  document: PageDocument,
  operations: readonly Operation[],
): PageDocument | null {
  return operations.reduce<PageDocument | null>(
    (present, operation) => present && applyOperation(present, operation),
    document,
  )
}

/**
 * Returns the operation that undoes another one.
 *
 * @param document the document as it was before the operation
 * @returns null when the operation does not apply to the document
 */
function invertOperation(document: PageDocument, operation: Operation): Operation | null {
  if (applyOperation(document, operation) === null) return null
  switch (operation.op) {
    case 'set-title':
      return { op: 'set-title', title: document.title }
    case 'set-lang':
      return { op: 'set-lang', lang: document.lang }
    case 'set-sheet':
      return { op: 'set-sheet', sheet: document.sheet ?? null }
    case 'insert-row':
      return { op: 'remove-row', rowId: operation.row.id }
    case 'remove-row': {
      const row = document.rows.find(({ id }) => id === operation.rowId)
      return row ? { op: 'insert-row', row, after: idBefore(document.rows, row.id) } : null
    }
    case 'move-row':
      return { ...operation, after: idBefore(document.rows, operation.rowId) }
    case 'insert-piece':
      return { op: 'remove-piece', pieceId: operation.piece.id }
    case 'remove-piece':
    case 'move-piece': {
      const found = findPiece(document, operation.pieceId)
      if (!found) return null
      const { piece, row } = found
      const place = { rowId: row.id, after: idBefore(row.pieces, piece.id) }
      return operation.op === 'remove-piece'
        ? { op: 'insert-piece', piece, ...place }
        : { op: 'move-piece', pieceId: piece.id, ...place }
    }
    case 'set-piece': {
      const found = findPiece(document, operation.piece.id)
      return found && { op: 'set-piece', piece: found.piece }
    }
  }
}

/** Returns the operations that undo several, last one first; null when one of them does not apply. */
export function invertOperations(
  document: PageDocument,
  operations: readonly Operation[],
): Operation[] | null {
  const inverted: Operation[] = []
  let present = document
  for (const operation of operations) {
    const back = invertOperation(present, operation)
    const next = applyOperation(present, operation)
    if (!back || !next) return null
    inverted.unshift(back)
    present = next
  }
  return inverted
}

/** Returns the id of the part before another one; null for the first. */
export function idBefore(parts: readonly { readonly id: string }[], id: string): string | null {
  return parts[parts.findIndex((part) => part.id === id) - 1]?.id ?? null
}

function withRows(document: PageDocument, rows: Row[] | null): PageDocument | null {
  return rows && rows.length <= MOST_ROWS ? { ...document, rows } : null
}

function inRow(
  document: PageDocument,
  rowId: string,
  change: (pieces: Piece[]) => Piece[] | null,
): PageDocument | null {
  const row = document.rows.find(({ id }) => id === rowId)
  const pieces = row && change(row.pieces)
  if (!pieces || pieces.length > MOST_PIECES_IN_ROW) return null
  return withRows(
    document,
    document.rows.map((present) => (present.id === rowId ? { ...present, pieces } : present)),
  )
}

function isNewRow(document: PageDocument, row: Row): boolean {
  const known = new Set(placedPieces(document).map(({ piece }) => piece.id))
  const added = row.pieces.map(({ id }) => id)
  return (
    !hasRow(document, row.id) && new Set(added).size === added.length && !added.some((id) => known.has(id))
  )
}

function insertAfter<T extends { readonly id: string }>(
  parts: readonly T[],
  part: T,
  after: string | null,
): T[] | null {
  if (after === null) return [part, ...parts]
  const at = parts.findIndex(({ id }) => id === after)
  return at < 0 ? null : [...parts.slice(0, at + 1), part, ...parts.slice(at + 1)]
}

function without<T extends { readonly id: string }>(parts: readonly T[], id: string): T[] {
  return parts.filter((part) => part.id !== id)
}
