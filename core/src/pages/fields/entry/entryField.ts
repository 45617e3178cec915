// An answer by entries: each is written in a logbook, and stands here as well.
import type { FieldDefinition } from '../FieldDefinition.ts'

export const entryField: FieldDefinition<'entry'> = {
  create: (id) => ({
    ...{ id, kind: 'entry', asks: {}, hint: {}, weight: 'should' },
    ...{ sheet: null, least: 1, most: null },
  }),
  isForGuides: true,
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
