// Text inside a piece: ProseMirror JSON of a small, closed grammar. Whatever is not named here does not come in.
import { DEEPEST_TEXT, LONGEST_TEXT } from './valueLists.ts'

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

const blocks = ['paragraph', 'heading', 'bulletList', 'orderedList', 'blockquote', 'table']
const inCells = ['paragraph', 'bulletList', 'orderedList']
/** What each node may hold. A node that is not listed is refused with everything in it. */
const mayHold: Readonly<Record<string, readonly string[]>> = {
  doc: blocks,
  paragraph: ['text', 'hardBreak'],
  heading: ['text', 'hardBreak'],
  bulletList: ['listItem'],
  orderedList: ['listItem'],
  listItem: ['paragraph', 'bulletList', 'orderedList', 'blockquote', 'heading'],
  blockquote: blocks,
  table: ['tableRow'],
  tableRow: ['tableHeader', 'tableCell'],
  tableHeader: inCells,
  tableCell: inCells,
  text: [],
  hardBreak: [],
}
const mustHold = [
  ...['doc', 'bulletList', 'orderedList', 'listItem', 'blockquote'],
  ...['table', 'tableRow', 'tableHeader', 'tableCell'],
]
const emptyMarks = ['bold', 'italic']

/** Whether a value is a text of our grammar: known nodes in allowed places, known marks, addresses that may be links. */
export function isRichText(value: unknown): value is RichText {
  return (
    isObject(value) &&
    value['type'] === 'doc' &&
    isNode(value, 0) &&
    JSON.stringify(value).length <= LONGEST_TEXT
  )
}

/** Whether an address may be a link: the web, or a mailbox. Whatever a browser would run is not among them. */
export function isLinkAddress(href: string): boolean {
  return /^(https?:\/\/[^\s/]|mailto:[^\s]+@)/i.test(href) && href.length <= 2000 && !hasControlSign(href)
}

/** The words without their dress: blocks by lines. */
export function toPlainText(text: RichText): string {
  return text.content.map(plainOf).join('\n').trim()
}

export function countWords(text: RichText): number {
  return toPlainText(text).match(/[\p{L}\p{N}][\p{L}\p{N}'’-]*/gu)?.length ?? 0
}

/** A text of plain paragraphs. */
export function textOf(...paragraphs: readonly string[]): RichText {
  const paragraph = (text: string): RichNode =>
    text === '' ? { type: 'paragraph' } : { type: 'paragraph', content: [{ type: 'text', text }] }
  return { type: 'doc', content: paragraphs.length > 0 ? paragraphs.map(paragraph) : [{ type: 'paragraph' }] }
}

function plainOf(node: RichNode): string {
  if (node.type === 'text') return node.text ?? ''
  if (node.type === 'hardBreak') return '\n'
  const inline = node.type === 'paragraph' || node.type === 'heading'
  return (node.content ?? []).map(plainOf).join(inline ? '' : '\n')
}

function isNode(value: unknown, depth: number): boolean {
  if (
    !isObject(value) ||
    depth > DEEPEST_TEXT ||
    !hasOnly(value, ['type', 'attrs', 'content', 'text', 'marks'])
  )
    return false
  const { type, content, text, marks } = value
  if (typeof type !== 'string' || !Object.hasOwn(mayHold, type)) return false
  const isText = type === 'text'
  if (isText ? typeof text !== 'string' || text === '' : text !== undefined) return false
  if (marks !== undefined && !(isText && Array.isArray(marks) && marks.every(isMark))) return false
  if (!hasAttributes(type, value['attrs'])) return false
  if (content === undefined) return !mustHold.includes(type)
  const allowed = mayHold[type] ?? []
  return (
    Array.isArray(content) &&
    (content.length > 0 || !mustHold.includes(type)) &&
    content.every(
      (child) => isObject(child) && allowed.includes(String(child['type'])) && isNode(child, depth + 1),
    )
  )
}

function hasAttributes(type: string, attrs: unknown): boolean {
  if (type === 'heading')
    return isObject(attrs) && hasOnly(attrs, ['level']) && [2, 3].includes(Number(attrs['level']))
  if (attrs === undefined) return true
  // Editors write where a list begins; we number lists from one or as they say, and know no other sign.
  return (
    type === 'orderedList' &&
    isObject(attrs) &&
    hasOnly(attrs, ['start', 'type']) &&
    Number.isInteger(attrs['start'] ?? 1) &&
    (attrs['type'] ?? null) === null
  )
}

function isMark(value: unknown): value is Mark {
  if (!isObject(value)) return false
  if (value['type'] === 'link') {
    const { attrs } = value
    return (
      hasOnly(value, ['type', 'attrs']) &&
      isObject(attrs) &&
      hasOnly(attrs, ['href']) &&
      typeof attrs['href'] === 'string' &&
      isLinkAddress(attrs['href'])
    )
  }
  return hasOnly(value, ['type']) && emptyMarks.includes(String(value['type']))
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

function hasOnly(value: Record<string, unknown>, names: readonly string[]): boolean {
  return Object.keys(value).every((name) => names.includes(name))
}

function hasControlSign(text: string): boolean {
  return [...text].some((sign) => sign.charCodeAt(0) < 32)
}
