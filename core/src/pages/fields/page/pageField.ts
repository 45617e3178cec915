// An answer by pages. Readers find the pages themselves beside it.
import { escapeHtml } from '../../escapeHtml.ts'
import type { FieldDefinition } from '../FieldDefinition.ts'

export const pageField: FieldDefinition<'page'> = {
  create: (id) => ({ id, kind: 'page', asks: {}, hint: {}, weight: 'should' }),
  isForGuides: true,
  blank: () => ({ pages: [] }),
  wordLimits: () => null,
  amount: () => null,
  options: () => null,
  isBlank: ({ pages }) => pages.length === 0,
  written: () => '',
  plainText: ({ pages }) => pages.map(({ title }) => title).join(' · '),
  texts: () => [],
  render: ({ pages }) => `<ul>${pages.map(({ title }) => `<li>${escapeHtml(title)}</li>`).join('')}</ul>`,
}
