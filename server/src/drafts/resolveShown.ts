// What a document shows of the things its pieces point at: evidence at its version, entries with their words.
import { creditLine } from '@valise/core/evidence'
import { entryIdsOf, evidenceReferences, logbookReferences, nothingShown } from '@valise/core/pages'
import type { PageDocument, Shown, ShownEntry, ShownEvidence } from '@valise/core/pages'
import { numbersOf, pinsOf, stepOf, upgradeCollage, upgradeRecipe } from '@valise/core/pictures'
import type { PictureRecipe } from '@valise/core/pictures'
import type { PersonActor } from '@valise/core/people'
import type { Instant } from '@valise/core/time'
import type { Reader } from '../database/index.ts'
import { listDraftsAt, listPresentDrafts } from './presentDraft.ts'
import { listChosenEntries, listEntryHeads, listShownVersions } from './shownStore.ts'
import type { ChosenEntries, ShownVersion } from './shownStore.ts'

/**
 * Resolves what the author's documents show now. Binned things, and things of others, are left out; the renderer says
 * that they are gone.
 */
export async function resolveShown(
  reader: Reader,
  actor: PersonActor,
  document: PageDocument,
): Promise<Shown> {
  const [shown] = await resolveShownMany(reader, actor, [document])
  return shown ?? nothingShown
}

/**
 * Resolves several documents, in as many queries as one.
 *
 * @param asOf the moment as of which entries are shown; evidence has versions of its own
 */
export async function resolveShownMany(
  reader: Reader,
  actor: PersonActor,
  documents: readonly PageDocument[],
  asOf: Instant | null = null,
): Promise<Shown[]> {
  const logbooks = await listChosenEntries(reader, actor, documents.flatMap(logbookReferences))
  const inLogbooks = logbooks.flatMap(({ entryIds }) => entryIds)
  const wanted = [...new Set([...documents.flatMap(entryIdsOf), ...inLogbooks])]
  const entries = await listShownEntries(reader, actor, wanted, asOf)
  const all = [...documents, ...entries.map((entry) => entry.document)].flatMap(evidenceReferences)
  const versions = await listShownVersions(reader, actor, all)
  return documents.map((document) => shownIn(document, { entries, logbooks, versions }))
}

interface Resolved {
  readonly entries: readonly ShownEntry[]
  readonly logbooks: readonly ChosenEntries[]
  readonly versions: readonly ShownVersion[]
}

/** What one of the documents shows of all that was resolved. */
function shownIn(document: PageDocument, resolved: Resolved): Shown {
  const keys = new Set(logbookReferences(document).map(({ key }) => key))
  const logbooks = resolved.logbooks.filter(({ key }) => keys.has(key))
  const ids = new Set([...entryIdsOf(document), ...logbooks.flatMap(({ entryIds }) => entryIds)])
  const entries = resolved.entries.filter(({ id }) => ids.has(id))
  const references = [document, ...entries.map((entry) => entry.document)].flatMap(evidenceReferences)
  const evidence = references.flatMap((wanted): [string, ShownEvidence][] => {
    const version = resolved.versions.find(
      ({ id, n, isNewest }) =>
        id === wanted.id && (wanted.version === 'follow' ? isNewest : n === wanted.version),
    )
    return version ? [[wanted.key, toShown(version)]] : []
  })
  return {
    evidence: Object.fromEntries(evidence),
    entries: Object.fromEntries(entries.map((entry) => [entry.id, entry])),
    // Left out where there is none: what was sealed before there were any has the same content as ever.
    ...(logbooks.length > 0 && {
      logbooks: Object.fromEntries(logbooks.map(({ key, ...one }) => [key, one])),
    }),
  }
}

async function listShownEntries(
  reader: Reader,
  actor: PersonActor,
  ids: readonly string[],
  asOf: Instant | null,
): Promise<ShownEntry[]> {
  if (ids.length === 0) return []
  const heads = await listEntryHeads(reader, actor, ids)
  const known = heads.map(({ id }) => id)
  const drafts = await (asOf === null
    ? listPresentDrafts(reader, actor, known)
    : listDraftsAt(reader, actor, known, asOf))
  return heads.flatMap((head) => {
    const draft = drafts.find(({ id }) => id === head.id)
    return draft ? [{ ...head, title: draft.document.title, document: draft.document }] : []
  })
}

function toShown({
  rights,
  isNewest: _,
  preview,
  recipe,
  document,
  parts,
  caption,
  alternativeText,
  transcript,
  voices,
  ...version
}: ShownVersion): ShownEvidence {
  const notes =
    document === null
      ? recipe === null
        ? []
        : notesOf(upgradeRecipe(JSON.parse(recipe)))
      : notesOn(document)
  const creditsWithin = parts.flatMap(({ credit }) => credit ?? [])
  return {
    ...version,
    ...(notes.length > 0 && { notes }),
    ...(caption !== '' && { caption }),
    ...(alternativeText !== '' && { alternativeText }),
    ...(transcript !== '' && { transcript }),
    ...(voices.length > 0 && { voices: [...voices] }),
    hasPicture: preview === 'there',
    credit: creditLine(version.title || version.fileName, rights),
    ...(creditsWithin.length > 0 && { creditsWithin }),
    rightsDeclared: rights.state !== 'missing' && parts.every(({ rightsState }) => rightsState !== 'missing'),
  }
}

/** What the numbers on a picture show; none while its marks are switched off. */
function notesOf({ steps }: PictureRecipe): string[] {
  const step = stepOf(steps, 'mark')
  return step?.on ? pinsOf(step.marks).map(({ note }) => note) : []
}

/** What the numbers on a collage show. */
function notesOn(document: string): string[] {
  return numbersOf(upgradeCollage(JSON.parse(document))).map(({ note }) => note)
}
