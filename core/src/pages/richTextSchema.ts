// The outer shape of a text inside a document, as a schema.
import { Type } from 'typebox'
import type { RichText } from './richText.ts'

const node = {
  type: 'object',
  additionalProperties: false,
  required: ['type'],
  properties: {
    type: { type: 'string' },
    attrs: {},
    content: { type: 'array' },
    text: { type: 'string' },
    marks: { type: 'array' },
  },
}

/** Describes only the outer shape; `isRichText` checks the grammar. */
export const richTextSchema = Type.Unsafe<RichText>({
  type: 'object',
  description:
    'ProseMirror JSON: paragraphs, headings of level 2 and 3, lists, quotes, tables; bold, italic, links',
  required: ['type', 'content'],
  properties: { type: { const: 'doc' }, content: { type: 'array', items: node } },
  additionalProperties: false,
})
