// An answer that was chosen from several.
import { escapeHtml } from '../../escapeHtml.ts'
import { textIn } from '../../../people/index.ts'
import type { FieldDefinition } from '../FieldDefinition.ts'

export const choiceField: FieldDefinition<'choice'> = {
  create: (id) => ({
    ...{ id, kind: 'choice', asks: {}, hint: {}, weight: 'should', several: false },
    options: [
      { id: 'a', label: {} },
      { id: 'b', label: {} },
    ],
  }),
  blank: () => ({ chosen: [] }),
  wordLimits: () => null,
  amount: () => null,
  options: ({ options }) => options,
  isBlank: ({ chosen }) => chosen.length === 0,
  written: () => '',
  plainText: ({ chosen }, lang) => chosen.map(({ label }) => textIn(label, lang)).join('\n'),
  texts: () => [],
  render: ({ chosen }, { lang }) => {
    const labels = chosen.map(({ label }) => escapeHtml(textIn(label, lang)))
    return labels.length === 1
      ? `<p>${labels.join('')}</p>`
      : `<ul>${labels.map((label) => `<li>${label}</li>`).join('')}</ul>`
  },
}
