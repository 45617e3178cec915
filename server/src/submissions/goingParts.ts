// What a choice of parts comes to: each part with the copy that would go in, and the files that go with it.
import { itemsGoing } from '@valise/core/assignments'
import type { GoingPart } from '@valise/core/assignments'
import { creditLine, extensionOf } from '@valise/core/evidence'
import { countChanges, handOutsOf, placedPieces } from '@valise/core/pages'
import type { HandOut, ShownDocument, ShownEvidence } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import type { ChosenPart, ListedPart, SealedPartRow } from '@valise/core/submissions'
import type { Instant } from '@valise/core/time'
import { partKinds, thingDefinitionOf } from '@valise/core/things'
import type { Reader } from '../database/index.ts'
import { resolveShownMany } from '../drafts/index.ts'
import { listPicturesOfCollages } from '../evidence/index.ts'
import { listOwnThings } from '../things/index.ts'
import type { ThingRow } from '../things/index.ts'
import { listItems } from './choiceStore.ts'
import type { PresentPart, PublishedPart } from './parts/PartStore.ts'
import { partStoreOf } from './parts/partStores.ts'

export interface PreparedPart extends ListedPart {
  readonly copyGoing: SealedPartRow['copy']
  /** What goes in, where something does. */
  readonly contents: ShownDocument | null
}

/**
 * Loads the current content of these parts, in a number of queries that does not depend on how many they are.
 *
 * @param asOf for parts that are handed in by themselves: as they were then
 */
export async function prepareParts(
  reader: Reader,
  actor: PersonActor,
  parts: readonly ChosenPart[],
  asOf: Instant | null = null,
): Promise<PreparedPart[]> {
  const ids = [...new Set(parts.map(({ id }) => id))]
  const things = await listOwnThings(reader, actor, partKinds, ids)
  const present: PresentPart[] = []
  const published: PublishedPart[] = []
  for (const kind of partKinds) {
    const some = things.flatMap((thing) => (thing.kind === kind ? [thing.id] : []))
    if (some.length === 0) continue
    present.push(...(await partStoreOf(kind).listPresent(reader, actor, some, asOf)))
    published.push(...(await partStoreOf(kind).listPublished(reader, actor, some)))
  }
  const shown = await resolveShownMany(
    reader,
    actor,
    present.map(({ document }) => document),
    asOf,
  )
  const drafts = present.map((one, at) => ({ ...one, shown: shown[at] ?? { evidence: {}, entries: {} } }))
  const byId = <T extends { readonly id: string }>(all: readonly T[], id: string) =>
    all.find((one) => one.id === id) ?? null
  const prepared = parts.map((part) =>
    preparePart(part, byId(things, part.id), byId(drafts, part.id), byId(published, part.id)),
  )
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

function preparePart(
  part: ChosenPart,
  thing: ThingRow | null,
  now: (PresentPart & ShownDocument) | null,
  published: PublishedPart | null,
): PreparedPart {
  const { hasDraft } = thingDefinitionOf(part.kind)
  const isBinned = thing === null || thing.binnedAt !== null
  const isPublishedCopy = hasDraft && part.copy === 'published'
  return {
    ...part,
    title: (isPublishedCopy ? published?.document.title : undefined) ?? thing?.title ?? '',
    copyGoing: hasDraft ? part.copy : 'present',
    publishedAt: published?.at ?? null,
    changes: published && now ? countChanges(published, now) : 0,
    draftRevision: hasDraft ? (now?.revision ?? null) : null,
    isBinned,
    ...withContents(part, isBinned ? null : isPublishedCopy ? published : now),
  }
}

function withContents({ isIn }: ChosenPart, contents: ShownDocument | null) {
  const pieces = contents ? placedPieces(contents.document).length : 0
  return { goesIn: isIn && pieces > 0, pieces, contents }
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
