// The changes between two states of a page, as they travel.
import { Type } from 'typebox'
import { object } from '../schemas/index.ts'
import type { PageChange } from './differencePages.ts'
import { pieceKinds } from './pieces/pieceDefinitions.ts'

const wordsSchema = Type.Array(object({ how: Type.Enum(['same', 'added', 'removed']), words: Type.String() }))

export const pageChangesSchema = Type.Unsafe<PageChange[]>(
  Type.Array(
    Type.Union([
      object({ what: Type.Literal('title'), before: Type.String(), after: Type.String() }),
      object({ what: Type.Literal('language'), before: Type.String(), after: Type.String() }),
      object({ what: Type.Literal('row-moved'), row: Type.Integer() }),
      object({
        what: Type.Enum(['added', 'removed', 'moved', 'changed']),
        pieceId: Type.String(),
        kind: Type.Enum([...pieceKinds]),
        row: Type.Integer(),
        name: Type.String(),
        words: wordsSchema,
      }),
    ]),
  ),
)
