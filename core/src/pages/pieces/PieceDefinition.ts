// What a kind of piece says about each of its pieces; whatever works with pieces asks through it.
import type { CreditLine, EvidenceKind } from '../../evidence/index.ts'
import type { RichText } from '../richText.ts'
import type { EntryChoice } from './logbook/schema.ts'
import type { PageDocument, Row, Shown, ShownEvidence } from '../schema.ts'
import type { ContentSort } from '../valueLists.ts'

export interface PieceDefinition<P> {
  /** How it shows an item; null for a piece that shows none. */
  readonly evidence: ShowsEvidence<P> | null
  /** Whether it can be part of an entry. A piece that shows a whole document cannot, so that rendering ends. */
  readonly standsInEntries: boolean
  /** The things that it points at, in reading order. */
  references(piece: P): readonly Reference[]
  /** The documents of other things that it shows in place. */
  documentsIn(piece: P, shown: Shown): readonly PageDocument[]
  /** The files that readers of the page can fetch through it. Whatever `render` asks an address of is one of them. */
  handsOut(piece: P, shown: Shown): readonly HandOut[]
  /** The descriptions for those who do not see it, one for each picture in it. */
  descriptions(piece: P, shown: Shown): readonly Description[]
  withDescription(piece: P, key: string, text: string): P
  /** The recordings in it that are owed a transcript. */
  untranscribed(piece: P, shown: Shown): readonly PlayedRecording[]
  /** The rich texts that were written into it, in reading order. */
  texts(piece: P): readonly RichText[]
  /** Every word that was written into it, without formatting. */
  plainText(piece: P): string
  /** The name of the thing that it shows, or the question that it answers; empty where it has none. */
  name(piece: P, shown: Shown, lang: PageDocument['lang']): string
  /** What it counts as for an assignment that asks for content; empty for what is no longer there. */
  sorts(piece: P, shown: Shown): readonly ContentSort[]
  credits(piece: P, shown: Shown): readonly CreditLine[]
  /** Accessible HTML with classes only. */
  render(piece: P, rendering: Rendering): string
}

/** Makes pieces of a kind from items. */
interface ShowsEvidence<P> {
  readonly accepts: readonly EvidenceKind[]
  /** A piece that follows the newest version of the item. */
  create(id: string, item: NewlyShown, span?: number): P
}

export interface NewlyShown {
  readonly id: string
  readonly kind: EvidenceKind
  readonly alternativeText?: string
}

export type Reference =
  | {
      readonly thing: 'evidence'
      /** Under which `Shown.evidence` holds it: unique in a document, and the id of the piece where it shows one item. */
      readonly key: string
      readonly id: string
      readonly version: 'follow' | number
    }
  | { readonly thing: 'entry'; readonly id: string }
  | {
      readonly thing: 'logbook'
      /** Under which `Shown.logbooks` holds it: of the piece, and of which entries it shows. */
      readonly key: string
      readonly id: string
      readonly choice: EntryChoice
    }

export interface HandOut {
  /** Unique within its piece; the last part of its address. */
  readonly name: string
  /** The rendition for screens, or the file as it came. */
  readonly what: 'screen' | 'file'
  readonly item: HandedItem
  /** False while the rendition is still being made. */
  readonly isMade: boolean
}

type HandedItem = Pick<ShownEvidence, 'id' | 'n' | 'fileName' | 'bytes' | 'look'>

interface Description {
  /** Unique within its piece. */
  readonly key: string
  /** What was written for it here. */
  readonly text: string
  /** Whether a picture that says something is described nowhere. */
  readonly isOwed: boolean
}

/** A recording that readers can play. */
export interface PlayedRecording {
  readonly id: string
  readonly title: string
}

/** Where and how a page is shown. */
export interface PageView {
  readonly shown: Shown
  readonly lang: PageDocument['lang']
  /** Where a file that a piece hands out can be fetched. */
  address(pieceId: string, handOut: HandOut): string
  /** Levels by which headings sink: an entry on a page stands under its own heading. */
  readonly headingShift?: number
  /** The author's own text about items that the page shows; it goes along into sealed copies. */
  readonly statements?: readonly Statement[]
}

/** What an author says about one item. */
export interface Statement {
  readonly id: string
  readonly title: string
  /** Every word of it, by lines. */
  readonly text: string
  /** As it was written, where it was written as a document: with its formatting, and its questions as headings. */
  readonly document?: PageDocument
}

export interface Rendering {
  readonly view: PageView
  /** How many other pieces stand in its row. */
  readonly beside: number
  /** Renders the rows of a document that stands within the page, its headings lower by so many levels. */
  renderWithin(rows: readonly Row[], headingShift: number): string
}
