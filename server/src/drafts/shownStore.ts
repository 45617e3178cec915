// Reading what documents point at: versions of one's own evidence, and one's own entries.
import type { CollagePicture, EvidenceKind, Moment, PreviewState, Rights } from '@valise/core/evidence'
import { toTagKey } from '@valise/core/evidence'
import type { EntryChoice, EvidenceReference, LogbookReference, ShownVoice } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import type { LocalDay } from '@valise/core/time'
import { isOneOf } from '../database/index.ts'
import type { Reader } from '../database/index.ts'
import { listPicturesOfCollages } from '../evidence/index.ts'

export interface ShownVersion {
  readonly id: string
  readonly n: number
  readonly kind: EvidenceKind
  readonly title: string
  readonly fileName: string
  readonly mime: string
  readonly bytes: number
  readonly width: number | null
  readonly height: number | null
  readonly preview: PreviewState
  readonly rights: Rights
  readonly caption: string
  readonly alternativeText: string
  readonly transcript: string
  readonly voices: readonly ShownVoice[]
  readonly isNewest: boolean
  readonly look: number
  /** How its picture is put right, as JSON; null for as it came. */
  readonly recipe: string | null
  /** Of a collage, as JSON; null for everything else. */
  readonly document: string | null
  /** The pictures in it, where it is a collage. */
  readonly parts: readonly CollagePicture[]
}

interface VersionRecord extends Omit<ShownVersion, 'voices' | 'parts' | 'rights' | 'isNewest' | 'look'> {
  readonly currentVersion: number
  readonly rights: string
  readonly recipeRevision: number
}

interface VoiceRecord extends Omit<ShownVoice, 'moments'> {
  readonly aboutId: string
  readonly moments: string
}

/** Lists the wanted versions of one's own items that are not in the bin. */
export async function listShownVersions(
  reader: Reader,
  actor: PersonActor,
  wanted: readonly Pick<EvidenceReference, 'id' | 'version'>[],
): Promise<ShownVersion[]> {
  const ids = [...new Set(wanted.map(({ id }) => id))]
  if (ids.length === 0) return []
  const held = [...new Set(wanted.flatMap(({ version }) => (version === 'follow' ? [] : [version])))]
  const rows: VersionRecord[] = await reader
    .sql('evidence')
    .join('evidenceVersions', 'evidenceVersions.evidenceId', 'evidence.id')
    .leftJoin('pictureRecipes', (on) =>
      on
        .on('pictureRecipes.evidenceId', 'evidenceVersions.evidenceId')
        .andOn('pictureRecipes.n', 'evidenceVersions.n')
        .andOn('pictureRecipes.revision', 'evidenceVersions.recipeRevision'),
    )
    .join('things', 'things.id', 'evidence.id')
    .where({ 'evidence.ownerId': actor.personId, 'evidence.isBinned': 0 })
    .modify(isOneOf, 'evidence.id', ids)
    .where((any) => {
      any.whereRaw('?? = ??', ['evidenceVersions.n', 'evidence.currentVersion'])
      if (held.length > 0) any.orWhereIn('evidenceVersions.n', held)
    })
    .orderBy(['evidence.id', 'evidenceVersions.n'])
    .select(
      'things.title',
      ...['id', 'kind', 'caption', 'alternativeText', 'transcript', 'rights', 'currentVersion'].map(
        (column) => `evidence.${column}`,
      ),
      ...['n', 'fileName', 'mime', 'bytes', 'width', 'height', 'preview', 'recipeRevision', 'document'].map(
        (column) => `evidenceVersions.${column}`,
      ),
      'pictureRecipes.recipe',
    )
  const collages = rows.filter(({ kind }) => kind === 'collage')
  const parts = await listPicturesOfCollages(
    reader,
    collages.map(({ id, n }) => ({ evidenceId: id, n })),
  )
  const voices = await listShownVoices(reader, ids)
  return rows.map(({ currentVersion, rights, recipeRevision: look, document, ...row }) => ({
    ...row,
    look,
    document: row.kind === 'collage' ? document : null,
    voices: voices.flatMap(({ aboutId, ...voice }) => (aboutId === row.id ? [voice] : [])),
    parts: parts.filter(({ collageId, n }) => collageId === row.id && n === row.n),
    rights: JSON.parse(rights),
    isNewest: row.n === currentVersion,
  }))
}

/** The recordings that speak of items and are not in the bin, oldest first. */
async function listShownVoices(
  reader: Reader,
  ids: readonly string[],
): Promise<(ShownVoice & { readonly aboutId: string })[]> {
  const rows: VoiceRecord[] = await reader
    .sql('voices')
    .join('evidence', 'evidence.id', 'voices.voiceId')
    .join('evidenceVersions', (on) =>
      on
        .on('evidenceVersions.evidenceId', 'evidence.id')
        .andOn('evidenceVersions.n', 'evidence.currentVersion'),
    )
    .modify(isOneOf, 'voices.aboutId', ids)
    .where('evidence.isBinned', 0)
    .orderBy(['voices.createdAt', 'voices.voiceId'])
    .select('voices.aboutId', 'voices.moments', 'evidence.id', 'evidence.transcript')
    .select(['n', 'fileName', 'bytes'].map((column) => `evidenceVersions.${column}`))
  return rows.map(({ moments, ...row }) => ({
    ...row,
    moments: (JSON.parse(moments) as Moment[]).map(({ atMs, words }) => ({ atMs, words })),
  }))
}

/** A logbook of one's own, and which of its entries a piece shows, in its order. */
export interface ChosenEntries {
  readonly key: string
  readonly id: string
  readonly title: string
  readonly entryIds: string[]
}

/** Lists what these pieces show of one's own logbooks that are not in the bin. */
export async function listChosenEntries(
  reader: Reader,
  actor: PersonActor,
  wanted: readonly LogbookReference[],
): Promise<ChosenEntries[]> {
  if (wanted.length === 0) return []
  const ids = wanted.map(({ id }) => id)
  const titles: { id: string; title: string }[] = await reader
    .sql('things')
    .where({ ownerId: actor.personId, kind: 'logbook', isBinned: 0 })
    .modify(isOneOf, 'id', ids)
    .select('id', 'title')
  const chosen: ChosenEntries[] = []
  for (const { key, id, choice } of wanted) {
    const logbook = titles.find((one) => one.id === id)
    if (logbook) chosen.push({ ...logbook, key, entryIds: await listChosen(reader, id, choice) })
  }
  return chosen
}

async function listChosen(
  { sql }: Reader,
  logbookId: string,
  { order, most, tag, from, until }: EntryChoice,
): Promise<string[]> {
  const way = order === 'newest' ? 'desc' : 'asc'
  const rows: { id: string }[] = await sql('logEntries')
    .where({ logbookId, isBinned: 0 })
    .modify((entries) => {
      if (from !== null) entries.where('day', '>=', from)
      if (until !== null) entries.where('day', '<=', until)
      const tagged = sql('entryTags')
        .where({ tagKey: toTagKey(tag) })
        .where('entryId', sql.ref('logEntries.id'))
      if (tag !== '') entries.whereExists(tagged.select('entryId'))
    })
    .orderBy([
      { column: 'day', order: way },
      { column: 'id', order: way },
    ])
    .limit(most)
    .select('id')
  return rows.map(({ id }) => id)
}

export async function listEntryHeads(
  reader: Reader,
  actor: PersonActor,
  ids: readonly string[],
): Promise<{ readonly id: string; readonly day: LocalDay }[]> {
  return reader
    .sql('logEntries')
    .where({ ownerId: actor.personId, isBinned: 0 })
    .modify(isOneOf, 'id', ids)
    .select('id', 'day')
    .orderBy('id')
}
