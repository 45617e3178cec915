// Rich text as HTML. Output is built from the grammar only and escaped, whatever was stored.
import { escapeHtml } from './escapeHtml.ts'
import type { Mark, RichNode, RichText } from './richText.ts'
import { textMarkOf, textNodeOf } from './textGrammar.ts'
import type { Attributes, HtmlTag } from './textGrammar.ts'

const DEEPEST_HEADING = 6

/**
 * Renders a text to HTML.
 *
 * @param shift how many levels headings are lowered, where the text stands under another heading
 */
export function renderText(text: RichText, shift = 0): string {
  return text.content.map((node) => renderNode(node, shift)).join('')
}

function renderNode(node: RichNode, shift: number): string {
  if (node.type === 'text') return withMarks(escapeHtml(node.text ?? ''), node.marks)
  const type = textNodeOf(node.type)
  const inner = (node.content ?? []).map((child) => renderNode(child, shift)).join('')
  if (!type?.html) return inner
  const [tag, attributes] = type.html(node.attrs ?? {})
  if (type.content === undefined) return withMarks(openTag([tag, attributes]), node.marks)
  const level = headingLevel(tag)
  // An empty heading would be a stop for screen readers without anything to say.
  if (level !== null && inner === '') return ''
  return element([level === null ? tag : `h${Math.min(DEEPEST_HEADING, level + shift)}`, attributes], inner)
}

function headingLevel(tag: string): number | null {
  const [, level] = /^h([1-6])$/.exec(tag) ?? []
  return level === undefined ? null : Number(level)
}

function withMarks(inner: string, marks: readonly Mark[] = []): string {
  return marks.reduce((within, mark) => {
    const type = textMarkOf(mark.type)
    const attrs: Attributes = 'attrs' in mark ? mark.attrs : {}
    const isValid = Object.entries(type?.attrs ?? {}).every(([name, { isValid }]) => isValid(attrs[name]))
    return type && isValid ? element(type.html(attrs), within) : within
  }, inner)
}

function element(tag: HtmlTag, inner: string): string {
  return `${openTag(tag)}${inner}</${tag[0]}>`
}

function openTag([tag, attributes = {}]: HtmlTag): string {
  const written = Object.entries(attributes).map(([name, value]) => ` ${name}="${escapeHtml(String(value))}"`)
  return `<${tag}${written.join('')}>`
}
