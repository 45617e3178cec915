// An answer by a logbook: its entries can be read where the question is asked.
import type { FieldDefinition } from '../FieldDefinition.ts'

export const logbookField: FieldDefinition<'logbook'> = {
  create: (id) => ({ id, kind: 'logbook', asks: {}, hint: {}, weight: 'should' }),
  isForGuides: true,
  blank: () => ({}),
  wordLimits: () => null,
  amount: () => ({ least: 1, most: 1 }),
  options: () => null,
  isBlank: () => true,
  written: () => '',
  plainText: () => '',
  texts: () => [],
  render: () => '',
}
