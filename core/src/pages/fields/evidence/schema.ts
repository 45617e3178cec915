// A question that is answered by evidence: it stands in the row of the answer, as pieces of its own.
import { Type } from 'typebox'
import { evidenceKinds } from '../../../evidence/index.ts'
import { nullable, object } from '../../../schemas/index.ts'
import { MOST_PIECES_IN_ROW } from '../../valueLists.ts'
import { questionFields } from '../fieldParts.ts'

export const evidenceSchemas = {
  question: object({
    kind: Type.Literal('evidence'),
    ...questionFields,
    accepts: Type.Array(Type.Enum([...evidenceKinds]), {
      maxItems: evidenceKinds.length,
      description: 'None for any kind',
    }),
    least: Type.Integer({ minimum: 0, maximum: MOST_PIECES_IN_ROW - 1 }),
    most: nullable(Type.Integer({ minimum: 1, maximum: MOST_PIECES_IN_ROW - 1 })),
  }),
  answer: object({}),
}
