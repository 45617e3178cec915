// An answer of a line.
import { escapeHtml } from '../../escapeHtml.ts'
import { anyLength } from '../anyLength.ts'
import type { FieldDefinition } from '../FieldDefinition.ts'

export const shortField: FieldDefinition<'short'> = {
  create: (id) => ({ id, kind: 'short', asks: {}, hint: {}, weight: 'should', words: anyLength }),
  blank: () => ({ text: '' }),
  wordLimits: ({ words }) => words,
  amount: () => null,
  options: () => null,
  isBlank: ({ text }) => text.trim() === '',
  written: ({ text }) => text,
  plainText: ({ text }) => text,
  texts: () => [],
  render: ({ text }) => `<p>${escapeHtml(text)}</p>`,
}
