// An answer by a logbook: its entries can be read where the question is asked.
import { answeredBeside } from '../answeredBeside.ts'
import type { FieldDefinition } from '../FieldDefinition.ts'

export const logbookField: FieldDefinition<'logbook'> = {
  ...answeredBeside,
  create: (id) => ({ id, kind: 'logbook', asks: {}, hint: {}, weight: 'should' }),
  isForGuides: true,
  amount: () => ({ least: 1, most: 1 }),
}
