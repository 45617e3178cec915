// An answer by evidence. What was put there are the other pieces of its row, so they are added and moved like all pieces.
import { answeredBeside } from '../answeredBeside.ts'
import type { FieldDefinition } from '../FieldDefinition.ts'

export const evidenceField: FieldDefinition<'evidence'> = {
  ...answeredBeside,
  create: (id) => ({
    ...{ id, kind: 'evidence', asks: {}, hint: {}, weight: 'should' },
    ...{ accepts: [], least: 1, most: null },
  }),
  amount: ({ least, most }) => ({ least, most }),
}
