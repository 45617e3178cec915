// A question and its answer. The question stands here as it was asked, so that the answer stays readable by itself.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, nullable, object } from '../../../schemas/index.ts'
import { fieldSchemas } from '../../fields/fieldSchemas.ts'
import type { AnswerOf, FieldKind, QuestionOf } from '../../fields/fieldSchemas.ts'
import { pieceFields } from '../pieceFields.ts'

/** The version of the sheet that asks; null for a question of no sheet. */
const askedBySchema = nullable(object({ sheetId: idSchema, n: Type.Integer({ minimum: 1 }) }))
export type AskedBy = Static<typeof askedBySchema>

/** A question with what was answered. Its kind stands apart, so that one tag tells what both may be. */
export interface Given<K extends FieldKind> {
  kind: K
  question: QuestionOf<K>
  answer: AnswerOf<K>
}

export interface AnswerPieceOf<K extends FieldKind> {
  kind: 'answer'
  id: string
  span: number
  askedBy: AskedBy
  given: Given<K>
}
export type AnswerPiece = { [K in FieldKind]: AnswerPieceOf<K> }[FieldKind]

const givenSchema = Type.Union(
  Object.entries(fieldSchemas).map(([kind, { question, answer }]) =>
    object({ kind: Type.Literal(kind), question, answer }),
  ),
)

export const answerPieceSchema = Type.Unsafe<AnswerPiece>(
  object({ kind: Type.Literal('answer'), ...pieceFields, askedBy: askedBySchema, given: givenSchema }),
)
