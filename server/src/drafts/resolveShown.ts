// What a document shows of the things its pieces point at: evidence at its version, entries with their words.
import { creditLine } from '@valise/core/evidence'
import { entryIdsOf, evidenceReferences, nothingShown } from '@valise/core/pages'
import type { PageDocument, Shown, ShownEntry, ShownEvidence } from '@valise/core/pages'
import { numbersOf, pinsOf, stepOf, upgradeCollage, upgradeRecipe } from '@valise/core/pictures'
import type { PictureRecipe } from '@valise/core/pictures'
import type { PersonActor } from '@valise/core/people'
import type { Reader } from '../database/index.ts'
import { listPresentDrafts } from './presentDraft.ts'
import { listEntryHeads, listShownVersions } from './shownStore.ts'
import type { ShownVersion } from './shownStore.ts'

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

/** Resolves several documents, in as many queries as one. */
export async function resolveShownMany(
  reader: Reader,
  actor: PersonActor,
  documents: readonly PageDocument[],
): Promise<Shown[]> {
  const entries = await listShownEntries(reader, actor, [...new Set(documents.flatMap(entryIdsOf))])
  const all = [...documents, ...entries.map((entry) => entry.document)].flatMap(evidenceReferences)
  const versions = await listShownVersions(reader, actor, all)
  return documents.map((document) => {
    const ids = entryIdsOf(document)
    return shownIn(
      document,
      entries.filter(({ id }) => ids.includes(id)),
      versions,
    )
  })
}

function shownIn(
  document: PageDocument,
  entries: readonly ShownEntry[],
  versions: readonly ShownVersion[],
): Shown {
  const references = [document, ...entries.map((entry) => entry.document)].flatMap(evidenceReferences)
  const evidence = references.flatMap((wanted): [string, ShownEvidence][] => {
    const version = versions.find(
      ({ id, n, isNewest }) =>
        id === wanted.id && (wanted.version === 'follow' ? isNewest : n === wanted.version),
    )
    return version ? [[wanted.key, toShown(version)]] : []
  })
  return {
    evidence: Object.fromEntries(evidence),
    entries: Object.fromEntries(entries.map((entry) => [entry.id, entry])),
  }
}

async function listShownEntries(
  reader: Reader,
  actor: PersonActor,
  ids: readonly string[],
): Promise<ShownEntry[]> {
  if (ids.length === 0) return []
  const heads = await listEntryHeads(reader, actor, ids)
  const drafts = await listPresentDrafts(
    reader,
    actor,
    heads.map(({ id }) => id),
  )
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
