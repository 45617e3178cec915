// How a statement lies in its document: what is told freely, and the answers to its questions.
import { fnv1a } from '../json/index.ts'
import { LONGEST_OFFERED_TITLE } from '../offers/index.ts'
import type { Localized } from '../people/index.ts'
import { definitionOf, fieldOf, newDocument, newTextPiece, placedPieces, textOf } from '../pages/index.ts'
import type { FieldKind, Operation, PageDocument, Question, QuestionOf } from '../pages/index.ts'
import { textPieceOf, WORDS_ROW } from '../reflections/index.ts'
import { takeSheet } from '../sheets/index.ts'
import type { Asking } from '../sheets/index.ts'

interface NewStatementContent {
  readonly lang: PageDocument['lang']
  /** The id of its text, which is never the same in two documents. */
  readonly textId: string
  /** What was told before it was a document, by lines. */
  readonly told: string
}

/** Makes the first document of a statement. */
export function newStatementDocument({ lang, textId, told }: NewStatementContent): PageDocument {
  const text = told === '' ? undefined : textOf(...told.split('\n'))
  return newDocument('', lang, [{ id: WORDS_ROW, pieces: [newTextPiece(textId, text)] }])
}

/**
 * Returns the operations after which a statement goes along these questions, or with null along none; see `takeSheet`.
 * What asks for evidence is left out: the statement is about the evidence.
 */
export function takeQuestions(document: PageDocument, questions: Asking | null): Operation[] {
  const seed = (textPieceOf(document)?.id ?? '').slice(-12)
  if (questions === null) return takeSheet(document, null, seed)
  const { content } = questions
  return takeSheet(document, { ...questions, content: { ...content, questions: asksOfTold(content) } }, seed)
}

function asksOfTold({ questions }: Asking['content']): Question[] {
  return questions.filter((question) => amountOf(question) === null)
}

function amountOf<K extends FieldKind>(question: QuestionOf<K>) {
  // A question of a kind has this kind, which its type does not say.
  return fieldOf({ kind: question.kind as K }).amount(question)
}

/** Returns whether a statement goes along these questions as they are now. */
export function isAlong({ sheet }: PageDocument, { id, n }: Asking): boolean {
  return sheet?.id === id && sheet.n === n
}

/** Returns everything that a statement tells, by lines: what is found by words, and what an assignment counts. */
export function toldIn(document: PageDocument): string {
  return placedPieces(document)
    .map(({ piece }) => definitionOf(piece).plainText(piece).trim())
    .filter((words) => words !== '')
    .join('\n')
}

/** Returns whether a document shows no things: a statement is words. */
export function isWordsOnly(document: PageDocument): boolean {
  return placedPieces(document).every(({ piece }) => definitionOf(piece).references(piece).length === 0)
}

/**
 * Makes questions of an assignment into those that a statement goes along. They are known by their words: the same
 * question of two assignments is answered once, and one with other words is another question.
 */
export function questionsAsked(asked: readonly Localized[], title: Localized): Asking {
  const questions = asked.map((asks): Question => ({
    ...fieldOf({ kind: 'long' }).create(fnv1a(asks, 0).toString(36)),
    asks,
    weight: 'must',
  }))
  return { id: uuidOf(asked), n: 1, content: { title: short(title), about: {}, questions } }
}

function short(title: Localized): Localized {
  return Object.fromEntries(
    Object.entries(title).map(([language, words]) => [language, words.slice(0, LONGEST_OFFERED_TITLE)]),
  )
}

/** A UUID of version 8 (RFC 9562, section 5.8), the same for the same questions. */
function uuidOf(asked: readonly Localized[]): string {
  const hex = [0, 1].map((salt) => fnv1a(asked, salt).toString(16).padStart(16, '0')).join('')
  const parts = [
    hex.slice(0, 8),
    hex.slice(8, 12),
    `8${hex.slice(13, 16)}`,
    `8${hex.slice(17, 20)}`,
    hex.slice(20),
  ]
  return parts.join('-')
}
