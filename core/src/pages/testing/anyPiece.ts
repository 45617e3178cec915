// Random pieces of every kind on the list, documents of them, and the things that they show.
import fc from 'fast-check'
import { evidenceKinds } from '../../evidence/index.ts'
import type { EvidenceKind } from '../../evidence/index.ts'
import { valuesOf } from '../../testing/index.ts'
import { logbookReferences, newDocument, placedPieces } from '../parts.ts'
import { definitionOf, pieceKinds } from '../pieces/pieceDefinitions.ts'
import { pieceSchemas } from '../pieces/pieceSchemas.ts'
import type { Piece, PieceKind } from '../pieces/pieceSchemas.ts'
import { textOf } from '../richText.ts'
import { richTextSchema } from '../richTextSchema.ts'
import type { RichText } from '../richText.ts'
import { shownEvidenceSchema } from '../schema.ts'
import type { PageDocument, Shown, ShownEvidence } from '../schema.ts'

const words = fc.constantFrom('low water', '<b>glasswort</b>', 'stake 4', 'the bank is bare', 'silt', '')

const richTexts: fc.Arbitrary<RichText> = fc
  .array(words, { maxLength: 3 })
  .map((paragraphs) => textOf(...paragraphs))

const known = { [(richTextSchema as { description?: string }).description ?? '']: richTexts }

/** Made once: a kind with many schemas takes longer to describe than to draw values of. */
const piecesByKind = new Map<PieceKind, fc.Arbitrary<Piece>>()

/** A piece of one kind, with the id that it is given. */
export function everyPiece(kind: PieceKind, id: string): fc.Arbitrary<Piece> {
  const pieces: fc.Arbitrary<Piece> =
    piecesByKind.get(kind) ?? valuesOf<(typeof pieceSchemas)[PieceKind]>(pieceSchemas[kind], known)
  piecesByKind.set(kind, pieces)
  return pieces.map((piece) => ({ ...piece, id }))
}

/**
 * A document of a few rows; its parts have ids that operations can name.
 *
 * @param idPrefix so that pieces of two documents differ, as they do everywhere
 * @param kinds the kinds of its pieces
 */
export function anyDocument(
  idPrefix = 'p',
  kinds: readonly PieceKind[] = pieceKinds,
): fc.Arbitrary<PageDocument> {
  const piecesIn = (row: number) =>
    fc
      .array(fc.constantFrom(...kinds), { maxLength: 3 })
      .chain((some) => fc.tuple(...some.map((kind, n) => everyPiece(kind, `${idPrefix}${row}-${n}`))))
  return fc
    .nat(4)
    .chain((rows) => fc.tuple(...Array.from({ length: rows }, (_, row) => piecesIn(row))))
    .map((rows) =>
      newDocument(
        'Transect 3',
        'en',
        rows.map((pieces, row) => ({ id: `r${row}`, pieces })),
      ),
    )
}

/** Everything that a document points at, entries with their own documents included. */
export function anyShown(document: PageDocument): fc.Arbitrary<Shown> {
  return entriesFor(document).chain((entries) =>
    evidenceFor([document, ...Object.values(entries).map((entry) => entry.document)]).map((evidence) => ({
      evidence,
      entries,
      logbooks: logbooksFor(document, Object.keys(entries)),
    })),
  )
}

/** Each shows what entries there are. */
function logbooksFor(document: PageDocument, entryIds: string[]): NonNullable<Shown['logbooks']> {
  return Object.fromEntries(
    logbookReferences(document).map(({ key, id }) => [key, { id, title: 'Transect 3', entryIds }]),
  )
}

function entriesFor(document: PageDocument): fc.Arbitrary<Shown['entries']> {
  const ids = referencesIn(document).flatMap((one) => (one.thing === 'entry' ? [one.id] : []))
  const inEntries = pieceKinds.filter((kind) => definitionOf({ kind }).standsInEntries)
  const entries = [...new Set(ids)].map((id, n) =>
    anyDocument(`e${n}-`, inEntries).map((inner) => [
      id,
      { id, title: 'Day 4', day: '2026-11-02', document: inner },
    ]),
  )
  return fc.tuple(...entries).map((list) => Object.fromEntries(list))
}

function evidenceFor(documents: readonly PageDocument[]): fc.Arbitrary<Shown['evidence']> {
  const references = documents.flatMap(referencesIn)
  const items = references.flatMap((one) => (one.thing === 'evidence' ? [anyItem(one.key, one.id)] : []))
  return fc.tuple(...items).map((list) => Object.fromEntries(list))
}

const mimes: Readonly<Record<EvidenceKind, string>> = {
  picture: 'image/webp',
  collage: 'image/webp',
  video: 'video/webm',
  audio: 'audio/webm',
  'data-table': 'text/csv',
  file: 'application/pdf',
  link: 'text/uri-list',
  note: 'text/plain',
}

function anyItem(key: string, id: string): fc.Arbitrary<[string, ShownEvidence]> {
  return fc
    .constantFrom(...evidenceKinds)
    .chain((kind) =>
      valuesOf(shownEvidenceSchema).map((item) => [key, { ...item, id, kind, mime: mimes[kind] }]),
    )
}

function referencesIn(document: PageDocument) {
  return placedPieces(document).flatMap(({ piece }) => definitionOf(piece).references(piece))
}
