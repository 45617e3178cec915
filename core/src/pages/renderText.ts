// Rich text as HTML. Output is built from known nodes only and escaped, whatever was stored.
import { escapeHtml } from './escapeHtml.ts'
import { isLinkAddress } from './richText.ts'
import type { Mark, RichNode, RichText } from './richText.ts'

const tags: Readonly<Record<string, string>> = {
  paragraph: 'p',
  bulletList: 'ul',
  orderedList: 'ol',
  listItem: 'li',
  blockquote: 'blockquote',
  table: 'table',
  tableRow: 'tr',
  tableHeader: 'th',
  tableCell: 'td',
}
const DEEPEST_HEADING = 6

/** @param shift how many levels headings sink, where the text stands under a heading of its own */
export function renderText(text: RichText, shift = 0): string {
  return text.content.map((node) => renderNode(node, shift)).join('')
}

function renderNode(node: RichNode, shift: number): string {
  if (node.type === 'text') return (node.marks ?? []).reduce(withMark, escapeHtml(node.text ?? ''))
  if (node.type === 'hardBreak') return '<br>'
  const inner = (node.content ?? []).map((child) => renderNode(child, shift)).join('')
  if (node.type === 'heading') {
    // An empty heading would be a stop for screen readers without anything to say.
    if (inner === '') return ''
    const level = Math.min(DEEPEST_HEADING, (node.attrs?.['level'] === 3 ? 3 : 2) + shift)
    return `<h${level}>${inner}</h${level}>`
  }
  const start = node.attrs?.['start']
  if (node.type === 'orderedList' && typeof start === 'number' && start > 1)
    return `<ol start="${Math.trunc(start)}">${inner}</ol>`
  const tag = tags[node.type]
  return tag === undefined ? inner : `<${tag}>${inner}</${tag}>`
}

function withMark(inner: string, mark: Mark): string {
  if (mark.type === 'bold') return `<strong>${inner}</strong>`
  if (mark.type === 'italic') return `<em>${inner}</em>`
  const { href } = mark.attrs
  return isLinkAddress(href) ? `<a href="${escapeHtml(href)}" rel="noopener noreferrer">${inner}</a>` : inner
}
