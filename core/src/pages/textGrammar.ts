// The grammar of rich text: which nodes and marks there are, what each may hold, and its HTML. Plain data without a DOM.
import type { NodeSpec } from 'prosemirror-model'
import { isLinkAddress } from './linkAddress.ts'

export type Attributes = Readonly<Record<string, unknown>>

export interface AttributeType {
  readonly default?: unknown
  /** Whether a value may stand in a stored text. */
  readonly isValid: (value: unknown) => boolean
}

/** A tag and its attributes. */
export type HtmlTag = readonly [
  tag: string,
  attributes?: Readonly<Record<string, string | number>> | undefined,
]

export interface TextNodeType {
  /** A content expression of ProseMirror; nodes without one are leaves. */
  readonly content?: string
  readonly group?: 'block' | 'inline'
  readonly attrs?: Readonly<Record<string, AttributeType>>
  /** Attributes that stored texts may name without a value, though the node has them no more. */
  readonly formerAttrs?: readonly string[]
  readonly html?: (attrs: Attributes) => HtmlTag
  /** How editing treats it, in ProseMirror's terms. */
  readonly editing?: Pick<NodeSpec, 'defining' | 'isolating' | 'linebreakReplacement' | 'selectable'>
}

export interface TextMarkType {
  readonly attrs?: Readonly<Record<string, AttributeType>>
  readonly html: (attrs: Attributes) => HtmlTag
}

const inCells = '(paragraph | bulletList | orderedList)+'
const inTables = { isolating: true }

/** Column widths and cell spans are not attributes: of a pasted table only the words in its cells are saved. */
export const textNodes = {
  doc: { content: 'block+' },
  paragraph: { content: 'inline*', group: 'block', html: () => ['p'] },
  heading: {
    content: 'inline*',
    group: 'block',
    attrs: { level: { default: 2, isValid: (level) => level === 2 || level === 3 } },
    html: ({ level }) => [level === 3 ? 'h3' : 'h2'],
    editing: { defining: true },
  },
  bulletList: { content: 'listItem+', group: 'block', html: () => ['ul'] },
  orderedList: {
    content: 'listItem+',
    group: 'block',
    attrs: { start: { default: 1, isValid: Number.isInteger } },
    formerAttrs: ['type'],
    html: ({ start }) => (typeof start === 'number' && start > 1 ? ['ol', { start }] : ['ol']),
  },
  listItem: { content: 'block+', html: () => ['li'], editing: { defining: true } },
  blockquote: { content: 'block+', group: 'block', html: () => ['blockquote'], editing: { defining: true } },
  table: { content: 'tableRow+', group: 'block', html: () => ['table'], editing: inTables },
  tableRow: { content: '(tableHeader | tableCell)+', html: () => ['tr'], editing: inTables },
  tableHeader: { content: inCells, html: () => ['th'], editing: inTables },
  tableCell: { content: inCells, html: () => ['td'], editing: inTables },
  text: { group: 'inline' },
  hardBreak: {
    group: 'inline',
    html: () => ['br'],
    editing: { selectable: false, linebreakReplacement: true },
  },
} as const satisfies Readonly<Record<string, TextNodeType>>

/** In nesting order, the outermost mark first. */
export const textMarks = {
  link: {
    attrs: { href: { isValid: (href) => typeof href === 'string' && isLinkAddress(href) } },
    html: ({ href }) => ['a', { href: String(href), rel: 'noopener noreferrer' }],
  },
  bold: { html: () => ['strong'] },
  italic: { html: () => ['em'] },
} as const satisfies Readonly<Record<string, TextMarkType>>

type TextNodeName = keyof typeof textNodes
type TextMarkName = keyof typeof textMarks

/** Returns the node type, or null for an unknown name. */
export function textNodeOf(name: string): TextNodeType | null {
  return Object.hasOwn(textNodes, name) ? textNodes[name as TextNodeName] : null
}

/** Returns the mark type, or null for an unknown name. */
export function textMarkOf(name: string): TextMarkType | null {
  return Object.hasOwn(textMarks, name) ? textMarks[name as TextMarkName] : null
}
