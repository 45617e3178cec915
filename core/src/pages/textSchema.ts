// The grammar of rich text as a ProseMirror schema: what the editor works by and stored texts are checked against.
import { Schema } from 'prosemirror-model'
import type { AttributeSpec, MarkSpec, NodeSpec } from 'prosemirror-model'
import { textMarks, textNodes } from './textGrammar.ts'
import type { AttributeType, TextMarkType, TextNodeType } from './textGrammar.ts'

let schema: Schema | null = null

/** Returns the ProseMirror schema without HTML. It is built at the first call, because rendering does not need it. */
export function textSchema(): Schema {
  schema ??= new Schema({
    topNode: 'doc',
    nodes: mapValues<TextNodeType, NodeSpec>(textNodes, nodeSpecOf),
    marks: mapValues<TextMarkType, MarkSpec>(textMarks, ({ attrs }) => attributesOf(attrs)),
  })
  return schema
}

function nodeSpecOf({ content, group, attrs, editing }: TextNodeType): NodeSpec {
  return {
    ...(content !== undefined && { content }),
    ...(group !== undefined && { group, inline: group === 'inline' }),
    ...attributesOf(attrs),
    ...editing,
  }
}

function attributesOf(attrs: Readonly<Record<string, AttributeType>> = {}): Pick<NodeSpec, 'attrs'> {
  return { attrs: mapValues(attrs, attributeSpecOf) }
}

function attributeSpecOf(attribute: AttributeType): AttributeSpec {
  return {
    ...('default' in attribute && { default: attribute.default }),
    validate: (value: unknown) => {
      if (!attribute.isValid(value)) throw new RangeError('an attribute has a value that it may not have')
    },
  }
}

function mapValues<V, T>(record: Readonly<Record<string, V>>, to: (value: V) => T): Record<string, T> {
  return Object.fromEntries(Object.entries(record).map(([name, value]) => [name, to(value)]))
}
