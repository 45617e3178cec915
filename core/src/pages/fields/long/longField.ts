// An answer of paragraphs, lists and tables.
import { renderText } from '../../renderText.ts'
import { emptyText, toPlainText } from '../../richText.ts'
import { anyLength } from '../anyLength.ts'
import type { FieldDefinition } from '../FieldDefinition.ts'

export const longField: FieldDefinition<'long'> = {
  create: (id) => ({ id, kind: 'long', asks: {}, hint: {}, weight: 'should', words: anyLength }),
  blank: () => ({ text: emptyText }),
  wordLimits: ({ words }) => words,
  amount: () => null,
  options: () => null,
  isBlank: ({ text }) => toPlainText(text) === '',
  written: ({ text }) => toPlainText(text),
  plainText: ({ text }) => toPlainText(text),
  texts: ({ text }) => [text],
  // One level lower: the question is its heading.
  render: ({ text }, { shift }) => renderText(text, shift + 1),
}
