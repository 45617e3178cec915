// What a choice of parts comes to: each part with the copy that would go in, and the files that go with it.
import { itemsGoing } from '@valise/core/assignments'
import type { GoingPart } from '@valise/core/assignments'
import { creditLine, extensionOf } from '@valise/core/evidence'
import type { EvidenceKind } from '@valise/core/evidence'
import { countChanges, handOutsOf, newDocument, newEvidencePiece, placedPieces } from '@valise/core/pages'
import type { HandOut, PageDocument, ShownDocument, ShownEvidence } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import type { ChosenPart, ListedPart, SealedPartRow } from '@valise/core/submissions'
import type { Reader } from '../database/index.ts'
import { listEntryHeads, listPresentDrafts, resolveShownMany } from '../drafts/index.ts'
import { listPicturesOfCollages } from '../evidence/index.ts'
import { listOwnPages } from '../pages/index.ts'
import { getSchool } from '../people/index.ts'
import { listItems } from './choiceStore.ts'
import type { ItemRow } from './choiceStore.ts'

/** The piece by which an item that is a part of its own is shown. */
const ITEM_PIECE = 'item'

export interface PreparedPart extends ListedPart {
  readonly copyGoing: SealedPartRow['copy']
  /** What goes in, where something does. */
  readonly contents: ShownDocument | null
}

/** Loads the current content of these parts, in a number of queries that does not depend on how many they are. */
export async function prepareParts(
  reader: Reader,
  actor: PersonActor,
  parts: readonly ChosenPart[],
): Promise<PreparedPart[]> {
  const idsOf = (kind: ChosenPart['kind']) => [
    ...new Set(parts.flatMap((part) => (part.kind === kind ? [part.id] : []))),
  ]
  const { language } = await getSchool(reader)
  const pages = await listOwnPages(reader, actor, idsOf('page'))
  const entries = new Set((await listEntryHeads(reader, actor, idsOf('entry'))).map(({ id }) => id))
  const drafts = await listPresentDrafts(reader, actor, [...idsOf('page'), ...idsOf('entry')])
  const items = (await listItems(reader, actor, idsOf('evidence'))).map((item) => ({
    id: item.id,
    title: item.title,
    document: documentOf(item, language),
  }))
  const present = [...drafts, ...items]
  const shown = await resolveShownMany(
    reader,
    actor,
    present.map(({ document }) => document),
  )
  const presentOf = (id: string): ShownDocument | null => {
    const at = present.findIndex((one) => one.id === id)
    const found = present[at]
    const its = shown[at]
    return found && its ? { document: found.document, shown: its } : null
  }
  const prepared = parts.map((part): PreparedPart => {
    const now = presentOf(part.id)
    if (part.kind === 'page')
      return preparePage(
        part,
        pages.find(({ id }) => id === part.id),
        now,
        drafts.find(({ id }) => id === part.id)?.revision ?? null,
      )
    const isBinned =
      part.kind === 'entry' ? !entries.has(part.id) : now?.shown.evidence[ITEM_PIECE] === undefined
    const title = items.find(({ id }) => id === part.id)?.title ?? now?.document.title ?? ''
    return {
      ...part,
      ...{ title, copyGoing: 'present', publishedAt: null, changes: 0, draftRevision: null, isBinned },
      ...withContents(part, isBinned ? null : now),
    }
  })
  return withRightsOfNow(reader, actor, prepared)
}

/**
 * A page that was published before the rights of its items were declared carries the declaration all the same: it is a
 * fact about the item, and credit is owed from the moment it is known.
 */
async function withRightsOfNow(
  reader: Reader,
  actor: PersonActor,
  parts: readonly PreparedPart[],
): Promise<PreparedPart[]> {
  const undeclared = itemsGoing({ parts: goingOf(parts) }).filter((item) => !item.rightsDeclared)
  const items = await listItems(
    reader,
    actor,
    undeclared.map(({ id }) => id),
  )
  const shownItems = parts.flatMap(({ contents }) => Object.values(contents?.shown.evidence ?? {}))
  const collages = shownItems.filter(({ kind, rightsDeclared }) => kind === 'collage' && !rightsDeclared)
  const within = await listPicturesOfCollages(
    reader,
    collages.map(({ id, n }) => ({ evidenceId: id, n })),
  )
  const declare = (item: ShownEvidence): ShownEvidence => {
    const rights = items.find(({ id }) => id === item.id)?.rights
    if (item.rightsDeclared || rights === undefined || rights.state === 'missing') return item
    const its = within.filter(({ collageId, n }) => collageId === item.id && n === item.n)
    const creditsWithin = its.flatMap((part) => part.credit ?? [])
    return {
      ...item,
      credit: creditLine(item.title || item.fileName, rights),
      ...(creditsWithin.length > 0 && { creditsWithin }),
      rightsDeclared: its.every(({ rightsState }) => rightsState !== 'missing'),
    }
  }
  return parts.map((part) => {
    if (!part.contents) return part
    const { document, shown } = part.contents
    const evidence = Object.fromEntries(
      Object.entries(shown.evidence).map(([pieceId, item]) => [pieceId, declare(item)]),
    )
    return { ...part, contents: { document, shown: { ...shown, evidence } } }
  })
}

type OwnPage = Awaited<ReturnType<typeof listOwnPages>>[number]

function preparePage(
  part: ChosenPart,
  page: OwnPage | undefined,
  draft: ShownDocument | null,
  draftRevision: number | null,
): PreparedPart {
  const isBinned = page === undefined || page.binnedAt !== null
  const published = page?.published ?? null
  const going = part.copy === 'draft' ? draft : published
  return {
    ...part,
    title:
      (part.copy === 'published' ? published?.document.title : draft?.document.title) ?? page?.title ?? '',
    copyGoing: part.copy,
    publishedAt: published?.at ?? null,
    changes: published && draft ? countChanges(published, draft) : 0,
    draftRevision,
    isBinned,
    ...withContents(part, isBinned ? null : going),
  }
}

function withContents({ isIn }: ChosenPart, contents: ShownDocument | null) {
  const pieces = contents ? placedPieces(contents.document).length : 0
  return { goesIn: isIn && pieces > 0, pieces, contents }
}

/** An item that goes in by itself, as a page that shows it alone. */
function documentOf({ id, kind, title }: ItemRow, lang: PageDocument['lang']): PageDocument {
  // The column holds one of the kinds, because only `saveFile` writes it.
  const piece = newEvidencePiece(ITEM_PIECE, { id, kind: kind as EvidenceKind }, 12)
  return newDocument(title, lang, [{ id: ITEM_PIECE, pieces: [piece] }])
}

export function goingOf(parts: readonly PreparedPart[]): GoingPart[] {
  return parts.flatMap(({ kind, title, goesIn, contents }) =>
    goesIn && contents ? [{ kind, title, ...contents }] : [],
  )
}

/** A file that is handed in with a part: a rendition, or a file that is offered or played. */
export interface GoingFile {
  readonly path: string
  readonly evidenceId: string
  readonly n: number
  readonly what: 'screen' | 'file'
  readonly bytes: number
}

/** Returns the files that a document hands out, without duplicates, by their path in the sealed copy. */
export function filesOf({ document, shown }: ShownDocument): GoingFile[] {
  const made = handOutsOf(document, shown).filter(({ handOut }) => handOut.isMade)
  const files = made.map(({ handOut: { item, what } }) => toGoing(item, what))
  return [...new Map(files.map((file) => [file.path, file])).values()]
}

/**
 * Lists the student's own files in these parts, each version once, whether rendered yet or not: what they gathered,
 * not what the copy consists of.
 */
export function listOwnFiles(
  parts: readonly ShownDocument[],
): Pick<GoingFile, 'evidenceId' | 'n' | 'bytes'>[] {
  const all = parts.flatMap(({ document, shown }) => handOutsOf(document, shown))
  const files = all.map(({ handOut: { item } }) => ({ evidenceId: item.id, n: item.n, bytes: item.bytes }))
  return [...new Map(files.map((file) => [`${file.evidenceId} ${file.n}`, file])).values()]
}

function toGoing(item: HandOut['item'], what: GoingFile['what']): GoingFile {
  return { path: pathOf(item, what), evidenceId: item.id, n: item.n, what, bytes: item.bytes }
}

/** Returns the path of a file in a sealed copy; the name reveals only item and version. */
export function pathOf(
  item: { readonly id: string; readonly n: number; readonly fileName: string },
  what: 'screen' | 'file',
): string {
  const sort = extensionOf(item.fileName)
  const ending = what === 'screen' ? '-screen.webp' : sort === '' ? '' : `.${sort.toLowerCase()}`
  return `files/${item.id}-${item.n}${ending}`
}
