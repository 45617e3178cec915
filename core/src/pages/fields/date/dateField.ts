// An answer that is a day.
import { renderDay } from '../../renderDay.ts'
import type { FieldDefinition } from '../FieldDefinition.ts'

export const dateField: FieldDefinition<'date'> = {
  create: (id) => ({ id, kind: 'date', asks: {}, hint: {}, weight: 'should' }),
  blank: () => ({ day: null }),
  wordLimits: () => null,
  amount: () => null,
  options: () => null,
  isBlank: ({ day }) => day === null,
  written: () => '',
  plainText: ({ day }) => day ?? '',
  texts: () => [],
  render: ({ day }, { lang }) => (day === null ? '' : `<p>${renderDay(day, lang)}</p>`),
}
