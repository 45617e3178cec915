// Edits of one draft that wait to be delivered: which of them become one, and how they are carried over what others did.
import { applyOperation, rebaseEdit } from '@valise/core/pages'
import type { Operation, PageDocument } from '@valise/core/pages'
import { toMinute } from '@valise/core/time'
import type { Instant } from '@valise/core/time'

export interface ConfirmedDraft {
  readonly revision: number
  readonly document: PageDocument
}

export interface QueuedEdit {
  readonly editId: string
  /** Set where the edit was made on an earlier state than the confirmed one and must lose against what came since. */
  readonly base?: number
  readonly operations: readonly Operation[]
  /** When it was written last, by the clock of the server; without it the server takes when it comes. */
  readonly writtenAt?: Instant
}

type Written = Pick<QueuedEdit, 'operations' | 'writtenAt'>

/** What was written before something was due, and what was written after, stay two edits. */
function isOneMinute(a: Written, b: Written): boolean {
  return (
    a.writtenAt === b.writtenAt ||
    (a.writtenAt !== undefined &&
      b.writtenAt !== undefined &&
      toMinute(a.writtenAt) === toMinute(b.writtenAt))
  )
}

export function isWriting({ op }: Operation): boolean {
  return op === 'set-piece' || op === 'set-title'
}

/** Writing goes on in the edit that waits, where it is about the same part. */
export function merge(last: Written, next: Written): readonly Operation[] | null {
  if (!isOneMinute(last, next)) return null
  const { operations: waiting } = last
  const { operations: added } = next
  const [before, after] = [waiting[0], added[0]]
  if (waiting.length !== 1 || added.length !== 1 || !before || !after) return null
  if (before.op === 'set-title' && after.op === 'set-title') return added
  const isSamePiece =
    before.op === 'set-piece' && after.op === 'set-piece' && before.piece.id === after.piece.id
  return isSamePiece ? added : null
}

export function isAbout(operation: Operation, pieceId: string): boolean {
  switch (operation.op) {
    case 'set-piece':
    case 'insert-piece':
      return operation.piece.id === pieceId
    case 'insert-row':
      return operation.row.pieces.some(({ id }) => id === pieceId)
    case 'remove-piece':
      return operation.pieceId === pieceId
    case 'set-title':
      return pieceId === 'title'
    case 'set-lang':
    case 'set-sheet':
    case 'remove-row':
    case 'move-row':
    case 'move-piece':
      return false
  }
}

/** What waits behind an edit, carried over what others did before it. */
export function carried(
  { document, revision }: ConfirmedDraft,
  others: readonly Operation[],
  [own, ...rest]: readonly QueuedEdit[],
  newId: () => string,
): QueuedEdit[] {
  const made: Operation[] = [...(own?.operations ?? [])]
  let before = rebaseEdit(document, others, made)
  return rest.flatMap((edit): QueuedEdit[] => {
    made.push(...edit.operations)
    const after = rebaseEdit(document, others, made)
    const operations = after?.operations.slice(before?.operations.length) ?? []
    const lost = after?.refused.slice(before?.refused.length) ?? []
    before = after
    // What would write over others' words goes to the server on its old ground, which keeps it as another version.
    return [
      ...(lost.length > 0 ? [{ ...edit, editId: newId(), base: revision, operations: lost }] : []),
      ...(operations.length > 0 ? [{ ...edit, operations }] : []),
    ]
  })
}

export function without(edit: QueuedEdit, isLost: (operation: Operation) => boolean): QueuedEdit {
  return { ...edit, operations: edit.operations.filter((operation) => !isLost(operation)) }
}

export function applyWhatFits(document: PageDocument, operations: readonly Operation[]): PageDocument {
  return operations.reduce((present, operation) => applyOperation(present, operation) ?? present, document)
}
