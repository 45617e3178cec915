// How an entry lies in its document: one text, and the evidence beside it.
import {
  countWords,
  definitionOf,
  evidenceReferences,
  isTextPiece,
  newDocument,
  newTextPiece,
  placedPieces,
  toPlainText,
} from '../pages/index.ts'
import type { PageDocument, PieceOf, RichText, Row } from '../pages/index.ts'

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
}

export function newEntryDocument({ title, lang, textId, text, evidence }: NewEntryContent): PageDocument {
  return newDocument(title, lang, [
    { id: WORDS_ROW, pieces: [newTextPiece(textId, text)] },
    { id: EVIDENCE_ROW, pieces: evidence ?? [] },
  ])
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
}

/** Returns what lists show of an entry. */
export function outlineOf(document: PageDocument): EntryOutline {
  const texts = placedPieces(document).flatMap(({ piece }) => definitionOf(piece).texts(piece))
  const plain = texts.map(toPlainText).join(' ').replace(/\s+/g, ' ').trim()
  return {
    beginning: beginningOf(plain),
    words: texts.reduce((sum, text) => sum + countWords(text), 0),
    evidence: evidenceReferences(document).length,
  }
}

/** Whole words, as far as they go; a word longer than that is cut between two signs. */
function beginningOf(plain: string): string {
  if (plain.length <= BEGINNING) return plain
  const space = plain.lastIndexOf(' ', BEGINNING)
  return `${space > 0 ? plain.slice(0, space) : [...plain.slice(0, BEGINNING + 1)].slice(0, -1).join('')} …`
}
