// A student's copy of a guide as a document of answers: how it begins, takes up a newer version, and is read by stages.
import { applyOperations, isAnswerPiece, isPageAnswer, newDocument, placedPieces } from '../pages/index.ts'
import type { Operation, PageDocument, Question, Row } from '../pages/index.ts'
import { textIn } from '../people/index.ts'
import type { Localized } from '../people/index.ts'
import { takeSheet } from '../sheets/index.ts'
import { isInstruction } from './instruction/instruction.ts'
import type { GuideContent, Stage } from './schema.ts'

/** A version of a guide, as copies go along it. */
interface Version {
  readonly id: string
  readonly n: number
  readonly content: GuideContent
}

/** Returns what a stage asks, in order. */
export function questionsOf({ blocks }: Pick<Stage, 'blocks'>): Question[] {
  return blocks.flatMap((block) => (isInstruction(block) ? [] : [block]))
}

/**
 * Makes the first document of a copy.
 *
 * @param copyId of which the ids of its answers are made, which are never the same in two documents
 */
export function newCopyDocument(version: Version, copyId: string, lang: PageDocument['lang']): PageDocument {
  const empty = newDocument(textIn(version.content.title, lang), lang, [])
  return applyOperations(empty, takeVersion(empty, version, copyId)) ?? empty
}

/** Returns the operations that bring a copy to a version of its guide. What was answered stays; see `takeSheet`. */
export function takeVersion(document: PageDocument, version: Version, copyId: string): Operation[] {
  const { id, n, content } = version
  const { title, about, stages } = content
  const questions = stages.flatMap(questionsOf)
  return takeSheet(document, { id, n, content: { title, about, questions } }, copyId.slice(-12))
}

/** The rows of a copy that belong to a stage; without a stage, answers to questions that are no longer asked. */
export interface StageRows {
  readonly stage: Stage | null
  readonly rows: Row[]
}

/** Groups the rows of a copy by the stages of the version that it goes along. */
export function rowsByStage(document: PageDocument, { stages }: GuideContent): StageRows[] {
  const grouped = stages.map((stage) => ({ stage, rows: rowsOf(document, stage) }))
  const placed = new Set(grouped.flatMap(({ rows }) => rows))
  const left = document.rows.filter((row) => !placed.has(row) && row.pieces.length > 0)
  return left.length === 0 ? grouped : [...grouped, { stage: null, rows: left }]
}

/** Returns the rows of a copy in which a stage is answered, in the order of the stage. */
export function rowsOf(document: PageDocument, stage: Pick<Stage, 'blocks'>): Row[] {
  const byQuestion = new Map(document.rows.map((row) => [questionIdOf(row), row]))
  return questionsOf(stage).flatMap(({ id }) => byQuestion.get(id) ?? [])
}

function questionIdOf({ pieces }: Row): string | undefined {
  return pieces.find(isAnswerPiece)?.given.question.id
}

/** Returns the ids of the pages that answer questions of a copy, each once, in the order in which they were chosen. */
export function pageIdsOf(document: PageDocument): string[] {
  const ids = placedPieces(document).flatMap(({ piece }) =>
    isPageAnswer(piece) ? piece.given.answer.pages.map(({ id }) => id) : [],
  )
  return [...new Set(ids)]
}

/** What stands over answers to questions that are no longer asked, by language. */
const EARLIER: Localized = { en: 'Answers to earlier questions', es: 'Respuestas a preguntas anteriores' }

/** Returns a copy as it is read and sealed: by stages, under their names. Instructions are not part of it. */
export function readableCopy(document: PageDocument, content: GuideContent): PageDocument {
  const { lang } = document
  const rows = rowsByStage(document, content).flatMap(({ stage, rows: some }) =>
    some.map((row, n) => (n === 0 ? { ...row, heading: textIn(stage?.name ?? EARLIER, lang) } : row)),
  )
  return { ...document, title: textIn(content.title, lang), rows }
}
