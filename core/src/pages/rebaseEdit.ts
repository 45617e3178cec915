// Two windows on one document: an edit made on an older state is carried over what others did since.
import { isSame } from '../json/index.ts'
import { applyOperation, applyOperations } from './applyOperations.ts'
import { findPiece, hasRow } from './parts.ts'
import { definitionOf } from './pieces/pieceDefinitions.ts'
import type { Piece } from './pieces/pieceSchemas.ts'
import type { Operation, PageDocument, Row } from './schema.ts'
import { MOST_PIECES_IN_ROW } from './valueLists.ts'

export interface RebasedEdit {
  /** What is left to do on the newer state; it applies there in this order. */
  readonly operations: Operation[]
  /** What would overwrite something that others wrote, write into what they removed, or has no room any more. */
  readonly refused: Operation[]
}

interface Rebasing {
  readonly unknown: ReadonlySet<string>
  readonly base: PageDocument
  /** The base with what the others did. */
  readonly theirs: PageDocument
  /** The base with what was done here so far. */
  readonly mine: PageDocument
  /** The newer state with what could be carried over so far. */
  readonly joined: PageDocument
}

/**
 * Rebases an edit onto edits of others that were saved first.
 *
 * Edits to different pieces merge; an edit to the same piece (or to the title) on both sides is refused. Positions
 * are "after this id", so they survive edits elsewhere. Removing what is already gone does nothing; a piece for a row
 * that is gone or full gets a row of its own. New content that has no place is refused, so that nothing is lost.
 *
 * @param base the document that both edits were made on
 * @param unknown pieces whose text at the base is no longer known; they count as changed by others
 * @returns null when either edit does not apply to the base, which no honest client sends
 */
export function rebaseEdit(
  base: PageDocument,
  others: readonly Operation[],
  edit: readonly Operation[],
  unknown: ReadonlySet<string> = new Set(),
): RebasedEdit | null {
  const theirs = applyOperations(base, others)
  if (!theirs) return null
  const operations: Operation[] = []
  const refused: Operation[] = []
  let state: Rebasing = { unknown, base, theirs, mine: base, joined: theirs }
  for (const operation of edit) {
    const mine = applyOperation(state.mine, operation)
    if (!mine) return null
    const isOverwriting = doesOverwrite(state, operation)
    const carried = isOverwriting ? null : carryOver(state, operation)
    const joined = carried && applyOperation(state.joined, carried)
    if (carried && joined) operations.push(carried)
    // What only moves or removes has nothing to lose.
    if (isOverwriting || (carried && !joined && doesBring(operation))) refused.push(operation)
    state = { ...state, mine, joined: joined ?? state.joined }
  }
  return { operations, refused }
}

function doesOverwrite(state: Rebasing, operation: Operation): boolean {
  const { base, theirs, mine, joined } = state
  switch (operation.op) {
    case 'set-title':
      return theirs.title !== base.title && theirs.title !== operation.title
    case 'set-piece': {
      const present = findPiece(theirs, operation.piece.id)
      if (!findPiece(base, operation.piece.id))
        // Both sides added it, as two windows do that take up the same questions.
        return present !== null && !isBlank(present.piece) && !isSame(present.piece, operation.piece)
      return !present || (isWritten(state, operation.piece.id) && !isSame(present.piece, operation.piece))
    }
    case 'remove-piece':
      return isWritten(state, operation.pieceId)
    case 'remove-row': {
      const [there, here] = rowsOf(joined, mine, operation.rowId)
      const known = new Set(here?.pieces.map(({ id }) => id))
      return there?.pieces.some(({ id }) => !known.has(id) || isWritten(state, id)) ?? false
    }
    // Nobody's words depend on it: the later choice holds.
    case 'set-lang':
    case 'set-sheet':
    case 'insert-row':
    case 'insert-piece':
    case 'move-row':
    case 'move-piece':
      return false
  }
}

/** Whether an operation brings something that would be gone without it. */
function doesBring({ op }: Operation): boolean {
  return op === 'insert-row' || op === 'insert-piece' || op === 'set-piece' || op === 'set-title'
}

/** Whether the others changed what a piece says. */
function isWritten({ unknown, base, theirs }: Rebasing, pieceId: string): boolean {
  const before = findPiece(base, pieceId)
  const present = findPiece(theirs, pieceId)
  return Boolean(before && present && (unknown.has(pieceId) || !isSame(before.piece, present.piece)))
}

/** The operation rebased onto the newer state, or null where there is nothing left to do. */
function carryOver({ mine, joined }: Rebasing, operation: Operation): Operation | null {
  switch (operation.op) {
    case 'set-title':
    case 'set-lang':
    case 'set-sheet':
    case 'set-piece':
      return operation
    case 'insert-row':
      if (isThereAlready(joined, operation.row)) return null
      return { ...operation, after: anchorIn(joined.rows, mine.rows, operation.after) }
    case 'move-row':
      return hasRow(joined, operation.rowId)
        ? { ...operation, after: anchorIn(joined.rows, mine.rows, operation.after, operation.rowId) }
        : null
    case 'remove-row':
      return hasRow(joined, operation.rowId) ? operation : null
    case 'remove-piece':
      return findPiece(joined, operation.pieceId) ? operation : null
    case 'move-piece': {
      const [there, here] = rowsOf(joined, mine, operation.rowId)
      if (!there || !here || !findPiece(joined, operation.pieceId)) return null
      const after = anchorIn(there.pieces, here.pieces, operation.after, operation.pieceId)
      return { ...operation, after }
    }
    case 'insert-piece': {
      const [there, here] = rowsOf(joined, mine, operation.rowId)
      if (there && here && there.pieces.length < MOST_PIECES_IN_ROW)
        return { ...operation, after: anchorIn(there.pieces, here.pieces, operation.after) }
      const row: Row = { id: operation.piece.id, pieces: [operation.piece] }
      return { op: 'insert-row', row, after: anchorIn(joined.rows, mine.rows, operation.rowId) }
    }
  }
}

/** Whether a row was added by others too, and holds what they added or more. */
function isThereAlready(joined: PageDocument, row: Row): boolean {
  return (
    hasRow(joined, row.id) &&
    row.pieces.every((piece) => {
      const present = findPiece(joined, piece.id)
      return present !== null && (isBlank(piece) || isSame(piece, present.piece))
    })
  )
}

/** Whether a piece says and shows nothing yet. */
function isBlank(piece: Piece): boolean {
  const definition = definitionOf(piece)
  return definition.plainText(piece) === '' && definition.references(piece).length === 0
}

function rowsOf(joined: PageDocument, mine: PageDocument, rowId: string): [Row | undefined, Row | undefined] {
  const rowIn = (document: PageDocument) => document.rows.find(({ id }) => id === rowId)
  return [rowIn(joined), rowIn(mine)]
}

type Parts = readonly { readonly id: string }[]

/** The nearest part before a place that both states have; it never is the part that is moved itself. */
function anchorIn(
  there: Parts,
  here: Parts,
  after: string | null,
  moved: string | null = null,
): string | null {
  const known = new Set(there.map(({ id }) => id))
  for (let at = here.findIndex(({ id }) => id === after); at >= 0; at -= 1) {
    const id = here[at]?.id
    if (id !== undefined && id !== moved && known.has(id)) return id
  }
  return null
}
