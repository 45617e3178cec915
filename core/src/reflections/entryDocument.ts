// How an entry lies in its document: one text, and the evidence beside it.
import {
  applyOperations,
  countWordsIn,
  definitionOf,
  evidenceReferences,
  isAnswerPiece,
  isTextPiece,
  newAnswerPiece,
  newDocument,
  newTextPiece,
  placedPieces,
  progressOf,
} from '../pages/index.ts'
import type {
  AnswerPiece,
  AnswerProgress,
  Operation,
  PageDocument,
  Piece,
  PieceOf,
  Question,
  RichText,
  Row,
  SheetReference,
} from '../pages/index.ts'
import { spokenIn } from './spokenEntry.ts'
import { takeSheet } from '../sheets/index.ts'
import type { SheetVersion } from '../sheets/index.ts'

/** The two rows of every entry: its text, and the evidence with it. */
export const WORDS_ROW = 'words'
export const EVIDENCE_ROW = 'evidence'

const BEGINNING = 160

export interface NewEntryContent {
  readonly title: string
  readonly lang: PageDocument['lang']
  /** The id of its text. Ids of pieces are never the same in two entries, as both may stand on one page. */
  readonly textId: string
  readonly text?: RichText
  readonly evidence?: Row['pieces']
  /** The questions that it begins with. */
  readonly sheet?: SheetVersion | null
  /** Questions of no sheet, after those of the sheet. */
  readonly questions?: readonly Question[]
}

/** Makes the first document of an entry: the questions of its sheet, what is told freely, and the evidence beside it. */
export function newEntryDocument({
  title,
  lang,
  textId,
  text,
  evidence,
  sheet = null,
  questions = [],
}: NewEntryContent): PageDocument {
  const free = newDocument(title, lang, [
    { id: WORDS_ROW, pieces: [newTextPiece(textId, text)] },
    { id: EVIDENCE_ROW, pieces: evidence ?? [] },
  ])
  const along = (sheet && applyOperations(free, takeSheet(free, sheet, seedOf(textId)))) ?? free
  return applyOperations(along, addQuestions(along, questions)) ?? along
}

/** Returns the operations that bring an entry to another sheet of questions, or to none. */
export function changeSheet(document: PageDocument, sheet: SheetVersion | null): Operation[] {
  return takeSheet(document, sheet, seedOf(textPieceOf(document)?.id ?? ''))
}

/**
 * Returns the operations that add questions of no sheet, after the questions that are there. One that is there already is
 * not added again. The parts have the same ids in every window.
 */
export function addQuestions(document: PageDocument, questions: readonly Question[]): Operation[] {
  const there = new Set(answersOf(document).map(({ piece }) => piece.given.question.id))
  const seed = seedOf(textPieceOf(document)?.id ?? '')
  let after = document.rows.findLast(({ pieces }) => pieces.some(isAnswerPiece))?.id ?? null
  return questions
    .filter(({ id }) => !there.has(id))
    .map((question) => {
      const id = `${seed}-${question.id}`
      const operation = {
        ...{ op: 'insert-row' as const, after },
        row: { id, pieces: [newAnswerPiece(id, question, null) as AnswerPiece] },
      }
      after = id
      return operation
    })
}

/** The part of the ids of its answers by which they differ from those of other entries. */
function seedOf(textId: string): string {
  return textId.slice(-12)
}

export interface AnswerInEntry {
  readonly piece: AnswerPiece
  /** The evidence that stands beside it, as its answer. */
  readonly beside: readonly Piece[]
  readonly progress: AnswerProgress
  /** Whether the sheet that the entry goes along asks it, or no sheet does; else it was answered along another one. */
  readonly isAsked: boolean
}

/** Returns the questions of an entry with their answers, in reading order. */
export function answersOf(document: PageDocument): AnswerInEntry[] {
  return document.rows.flatMap(({ pieces }) => {
    const piece = pieces.find(isAnswerPiece)
    if (!piece) return []
    const beside = pieces.filter((one) => one !== piece)
    const { sheet } = document
    const { askedBy } = piece
    const isAsked = askedBy === null || (askedBy.sheetId === sheet?.id && askedBy.n === sheet.n)
    return [{ piece, beside, progress: progressOf(piece, beside.length), isAsked }]
  })
}

/** Returns the text piece of an entry. */
export function textPieceOf(document: PageDocument): PieceOf<'text'> | null {
  return (
    placedPieces(document)
      .map(({ piece }) => piece)
      .find(isTextPiece) ?? null
  )
}

export interface EntryOutline {
  readonly beginning: string
  readonly words: number
  readonly evidence: number
  /** How many recordings are told in it. */
  readonly recordings: number
  /** The sheet that it goes along. */
  readonly sheet: Pick<SheetReference, 'id' | 'title'> | null
  /** How many questions that sheet asks, and how many of them are answered. */
  readonly asked: number
  readonly answered: number
}

/** Returns what lists show of an entry. */
export function outlineOf(document: PageDocument): EntryOutline {
  // What is told, without the captions of what stands beside it.
  const told = placedPieces(document).filter(
    ({ piece }) => definitionOf(piece).references(piece).length === 0,
  )
  const plain = told
    .map(({ piece }) => definitionOf(piece).plainText(piece).replace(/\s+/g, ' ').trim())
    .filter((words) => words !== '')
    .join(' · ')
  const evidence = evidenceReferences(document).length
  const questions = answersOf(document).filter(({ isAsked, piece }) => isAsked && piece.askedBy !== null)
  return {
    ...{ beginning: beginningOf(plain), words: countWordsIn(plain), evidence },
    recordings: spokenIn(document).length,
    sheet: document.sheet ? { id: document.sheet.id, title: document.sheet.title } : null,
    asked: questions.length,
    answered: questions.filter(({ progress }) => progress.state !== 'blank').length,
  }
}

/** Whole words, as far as they go; a word longer than that is cut between two signs. */
function beginningOf(plain: string): string {
  if (plain.length <= BEGINNING) return plain
  const space = plain.lastIndexOf(' ', BEGINNING)
  return `${space > 0 ? plain.slice(0, space) : [...plain.slice(0, BEGINNING + 1)].slice(0, -1).join('')} …`
}
