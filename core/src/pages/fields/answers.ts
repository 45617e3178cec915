// Answers as pieces of a document: a question as it was asked, what was answered, and what stands beside it in its row.
import { countWordsIn } from '../richText.ts'
import type { AnswerPiece, AnswerPieceOf, AskedBy } from '../pieces/answer/schema.ts'
import type { Row } from '../schema.ts'
import { COLUMNS } from '../valueLists.ts'
import { fieldOf } from './fieldDefinitions.ts'
import type { WordLimits } from './fieldParts.ts'
import type { FieldKind, QuestionOf } from './fieldSchemas.ts'

/** How far an answer has come. */
type AnswerState = 'blank' | 'too-short' | 'too-long' | 'there'

export interface AnswerProgress {
  readonly state: AnswerState
  /** What is counted: words, or things beside the question. Null where nothing is. */
  readonly counted: 'words' | 'things' | null
  readonly count: number
  readonly limits: WordLimits
}

/** The piece of a question that nobody has answered yet. */
export function newAnswerPiece<K extends FieldKind>(
  id: string,
  question: QuestionOf<K>,
  askedBy: AskedBy,
): AnswerPieceOf<K> {
  // A question of a kind has this kind, which its type does not say.
  const kind = question.kind as K
  const given = { kind, question, answer: fieldOf<K>({ kind }).blank() }
  return { id, kind: 'answer', span: COLUMNS, askedBy, given }
}

/**
 * Returns how far an answer has come.
 *
 * @param beside how many other pieces stand in its row
 */
export function progressOf<K extends FieldKind>(
  { given }: Pick<AnswerPieceOf<K>, 'given'>,
  beside: number,
): AnswerProgress {
  const { question, answer } = given
  const field = fieldOf<K>(given)
  const amount = field.amount(question)
  const words = field.wordLimits(question)
  const limits = amount ?? words ?? { least: 0, most: null }
  const counted = amount ? 'things' : words ? 'words' : null
  const count = amount ? beside : countWordsIn(field.written(answer))
  const isBlank = field.isBlank(answer) && beside === 0
  return { state: stateOf(isBlank, field.isWhole?.(answer) ?? true, count, limits), counted, count, limits }
}

/** Returns whether nothing was answered, and nothing stands beside the question. */
export function isUnanswered(piece: AnswerPiece, row: Pick<Row, 'pieces'>): boolean {
  return progressOf(piece, row.pieces.length - 1).state === 'blank'
}

function stateOf(
  isBlank: boolean,
  isWhole: boolean,
  count: number,
  { least, most }: WordLimits,
): AnswerState {
  if (isBlank) return 'blank'
  if (!isWhole || count < least) return 'too-short'
  return most !== null && count > most ? 'too-long' : 'there'
}
