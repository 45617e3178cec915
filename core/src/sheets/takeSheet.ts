// Writing along a sheet of questions: which operations bring a document to it, and lose nothing that was written.
import { isAnswerPiece, isUnanswered, newAnswerPiece, placedPieces } from '../pages/index.ts'
import { isSame } from '../json/index.ts'
import type { AnswerPiece, Operation, PageDocument, Question } from '../pages/index.ts'
import type { SheetVersion } from './schema.ts'

/** What is asked: a version of a sheet, or questions that stand elsewhere. */
export type Asking = Pick<SheetVersion, 'id' | 'n' | 'content'>

/**
 * Returns the operations after which a document goes along a sheet, or with null along none.
 *
 * What was answered stays: under the same question of the new sheet, else after its questions. Questions that nobody
 * answered go with their sheet; one of no sheet stays. The parts have the same ids in every window, so that two windows
 * that take up one sheet do the same.
 *
 * @param seed part of the ids of its answers, which are never the same in two documents
 */
export function takeSheet(document: PageDocument, next: Asking | null, seed: string): Operation[] {
  const sheet = next && { id: next.id, n: next.n, title: next.content.title }
  const askedBy = next && { sheetId: next.id, n: next.n }
  const questions = next?.content.questions ?? []
  const asked = new Set(questions.map(({ id }) => id))
  const present = answersIn(document)
  const there = new Map(present.map((answer) => [answer.piece.given.question.id, answer]))
  const gone = present.filter(
    ({ piece, isBlank }) => isBlank && piece.askedBy !== null && !asked.has(piece.given.question.id),
  )
  let after: string | null = null
  const placed = questions.flatMap((question): Operation[] => {
    const before = there.get(question.id)
    const place = after
    after = before?.rowId ?? answerId(seed, question)
    if (!before) {
      const row = { id: after, pieces: [newAnswerPiece(after, question, askedBy) as AnswerPiece] }
      return [{ op: 'insert-row', row, after: place }]
    }
    // The kinds are the same, as a question of another kind is another question; the compiler does not follow that.
    const given = { ...before.piece.given, question }
    const piece = { ...before.piece, askedBy, given } as AnswerPiece
    return [
      { op: 'move-row', rowId: before.rowId, after: place },
      ...(isSame(before.piece, piece) ? [] : [{ op: 'set-piece' as const, piece }]),
    ]
  })
  return [
    { op: 'set-sheet', sheet },
    ...gone.map(({ rowId }) => ({ op: 'remove-row' as const, rowId })),
    ...placed,
  ]
}

interface AnswerIn {
  readonly piece: AnswerPiece
  readonly rowId: string
  readonly isBlank: boolean
}

function answersIn(document: PageDocument): AnswerIn[] {
  return placedPieces(document).flatMap(({ piece, row }) =>
    isAnswerPiece(piece) ? [{ piece, rowId: row.id, isBlank: isUnanswered(piece, row) }] : [],
  )
}

function answerId(seed: string, { id }: Question): string {
  return `${seed}-${id}`
}
