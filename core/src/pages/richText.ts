// Text inside a piece: ProseMirror JSON of a small, closed grammar, `textGrammar`.

export type Mark =
  | { readonly type: 'bold' }
  | { readonly type: 'italic' }
  | { readonly type: 'link'; readonly attrs: { readonly href: string } }

export interface RichNode {
  readonly type: string
  readonly attrs?: Record<string, unknown>
  readonly content?: RichNode[]
  readonly text?: string
  readonly marks?: Mark[]
}

export interface RichText {
  readonly type: 'doc'
  readonly content: RichNode[]
}

export const emptyText: RichText = { type: 'doc', content: [{ type: 'paragraph' }] }

/** Returns the words of a text without formatting, one block per line. */
export function toPlainText(text: RichText): string {
  return text.content.map(plainOf).join('\n').trim()
}

export function countWords(text: RichText): number {
  return countWordsIn(toPlainText(text))
}

/** Counts the words of a plain text. */
export function countWordsIn(plain: string): number {
  return plain.match(/[\p{L}\p{N}][\p{L}\p{N}'’-]*/gu)?.length ?? 0
}

/** Makes a text of plain paragraphs. */
export function textOf(...paragraphs: readonly string[]): RichText {
  const paragraph = (text: string): RichNode =>
    text === '' ? { type: 'paragraph' } : { type: 'paragraph', content: [{ type: 'text', text }] }
  return { type: 'doc', content: paragraphs.length > 0 ? paragraphs.map(paragraph) : [{ type: 'paragraph' }] }
}

/** Returns the link targets of a text, without duplicates. */
export function linkAddressesIn(text: RichText): string[] {
  const inNode = ({ marks = [], content = [] }: RichNode): string[] => [
    ...marks.flatMap((mark) => (mark.type === 'link' ? [mark.attrs.href] : [])),
    ...content.flatMap(inNode),
  ]
  return [...new Set(text.content.flatMap(inNode))]
}

function plainOf(node: RichNode): string {
  if (node.type === 'text') return node.text ?? ''
  if (node.type === 'hardBreak') return '\n'
  const inline = node.type === 'paragraph' || node.type === 'heading'
  return (node.content ?? []).map(plainOf).join(inline ? '' : '\n')
}
