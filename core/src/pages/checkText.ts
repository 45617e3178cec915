// Whether a value is a rich text of our grammar, and what is wrong with one that is not.
import type { RichText } from './richText.ts'
import { textMarkOf, textMarks, textNodeOf } from './textGrammar.ts'
import type { TextNodeType } from './textGrammar.ts'
import { textSchema } from './textSchema.ts'
import { DEEPEST_TEXT, LONGEST_TEXT } from './valueLists.ts'

/** Reasons why a text cannot be saved. */
export type TextFault = 'text-not-allowed' | 'text-too-long' | 'text-too-deep'

const markOrder = Object.keys(textMarks)

/**
 * Returns whether a value is a text of the grammar: known nodes in allowed places, known marks, allowed link
 * addresses.
 */
export function isRichText(value: unknown): value is RichText {
  return faultOfText(value) === null
}

/**
 * Returns why a value cannot be saved as a text; null when it can.
 *
 * Stricter than ProseMirror, which ignores unknown names: anything outside the grammar is refused. Marks may come in
 * any order.
 */
export function faultOfText(value: unknown): TextFault | null {
  if (!isObject(value) || value['type'] !== 'doc') return 'text-not-allowed'
  const fault = faultOfShape(value, 0)
  if (fault) return fault
  if (JSON.stringify(value).length > LONGEST_TEXT) return 'text-too-long'
  try {
    textSchema().nodeFromJSON(withMarksInOrder(value)).check()
    return null
  } catch (error) {
    // What ProseMirror throws for content, marks and attributes that its schema does not allow.
    if (error instanceof RangeError) return 'text-not-allowed'
    throw error
  }
}

/** Looks at names and depth alone, so that nothing without a bound reaches the schema. */
function faultOfShape(node: unknown, depth: number): TextFault | null {
  if (!isObject(node) || typeof node['type'] !== 'string') return 'text-not-allowed'
  if (depth > DEEPEST_TEXT) return 'text-too-deep'
  const known = textNodeOf(node['type'])
  const { content = [], marks = [], attrs } = node
  if (!known || !hasOnly(node, ['type', 'attrs', 'content', 'text', 'marks'])) return 'text-not-allowed'
  if ((node['text'] !== undefined) !== (node['type'] === 'text')) return 'text-not-allowed'
  if (!hasAttributes(attrs, known)) return 'text-not-allowed'
  if (!Array.isArray(marks) || !marks.every(isMarkShape)) return 'text-not-allowed'
  if (!Array.isArray(content)) return 'text-not-allowed'
  for (const child of content) {
    const fault = faultOfShape(child, depth + 1)
    if (fault) return fault
  }
  return null
}

function isMarkShape(mark: unknown): boolean {
  const known = isObject(mark) && typeof mark['type'] === 'string' ? textMarkOf(mark['type']) : null
  return (
    isObject(mark) &&
    known !== null &&
    hasOnly(mark, ['type', 'attrs']) &&
    hasAttributes(mark['attrs'], known)
  )
}

function hasAttributes(
  attrs: unknown,
  { attrs: known = {}, formerAttrs = [] }: Pick<TextNodeType, 'attrs' | 'formerAttrs'>,
): boolean {
  if (attrs === undefined) return true
  if (!isObject(attrs)) return false
  return Object.entries(attrs).every(
    ([name, value]) => Object.hasOwn(known, name) || (formerAttrs.includes(name) && value === null),
  )
}

/** ProseMirror wants the marks of a text in the order of the schema. */
function withMarksInOrder(node: Record<string, unknown>): Record<string, unknown> {
  const { content, marks } = node
  return {
    ...node,
    ...(Array.isArray(content) && { content: content.map(withMarksInOrder) }),
    ...(Array.isArray(marks) && {
      marks: [...marks].sort((a, b) => markOrder.indexOf(a.type) - markOrder.indexOf(b.type)),
    }),
  }
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

function hasOnly(value: Record<string, unknown>, names: readonly string[]): boolean {
  return Object.keys(value).every((name) => names.includes(name))
}
