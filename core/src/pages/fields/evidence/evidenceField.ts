// An answer by evidence. What was put there are the other pieces of its row, so they are added and moved like all pieces.
import type { FieldDefinition } from '../FieldDefinition.ts'

export const evidenceField: FieldDefinition<'evidence'> = {
  create: (id) => ({
    ...{ id, kind: 'evidence', asks: {}, hint: {}, weight: 'should' },
    ...{ accepts: [], least: 1, most: null },
  }),
  blank: () => ({}),
  wordLimits: () => null,
  amount: ({ least, most }) => ({ least, most }),
  options: () => null,
  isBlank: () => true,
  written: () => '',
  plainText: () => '',
  texts: () => [],
  render: () => '',
}
