// An answer by entries: each is written in a logbook, and stands here as well.
import { answeredBeside } from '../answeredBeside.ts'
import type { FieldDefinition } from '../FieldDefinition.ts'

export const entryField: FieldDefinition<'entry'> = {
  ...answeredBeside,
  create: (id) => ({
    ...{ id, kind: 'entry', asks: {}, hint: {}, weight: 'should' },
    ...{ sheet: null, least: 1, most: null },
  }),
  isForGuides: true,
  amount: ({ least, most }) => ({ least, most }),
}
