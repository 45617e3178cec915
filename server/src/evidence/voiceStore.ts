// Voices over things, as the database keeps them.
import type { Moment, Voice } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import type { Reader, Trx } from '../database/index.ts'

interface VoiceKey {
  readonly voiceId: string
  readonly aboutId: string
}

export async function insertVoice(
  trx: Trx,
  actor: PersonActor,
  { voiceId, aboutId }: VoiceKey,
  moments: readonly Moment[],
): Promise<void> {
  const row = { voiceId, aboutId, moments: JSON.stringify(moments) }
  await trx.sql('voices').insert({ ...row, ownerId: actor.personId, createdAt: trx.now, revision: 1 })
}

/** Lists the live recordings about an item. */
export async function listVoices(reader: Reader, aboutId: string): Promise<Voice[]> {
  const rows = await reader
    .sql('voices')
    .join('evidence', 'evidence.id', 'voices.voiceId')
    .join('things', 'things.id', 'evidence.id')
    .join('evidenceVersions', (on) =>
      on
        .on('evidenceVersions.evidenceId', 'evidence.id')
        .andOn('evidenceVersions.n', 'evidence.currentVersion'),
    )
    .where({ 'voices.aboutId': aboutId })
    .where('evidence.isBinned', 0)
    .orderBy(['voices.createdAt', 'voices.voiceId'])
    .select('evidence.id', 'evidenceVersions.n', 'things.title', 'evidenceVersions.durationMs')
    .select('voices.moments', 'voices.revision')
  return rows.map(({ moments, ...row }) => ({ ...row, moments: JSON.parse(moments) }))
}

/** Saves moments; false when they have changed. */
export async function updateMoments(
  trx: Trx,
  actor: PersonActor,
  key: VoiceKey,
  revision: number,
  moments: readonly Moment[],
): Promise<boolean> {
  const changed = await trx
    .sql('voices')
    .where({ ...key, ownerId: actor.personId, revision })
    .update({ moments: JSON.stringify(moments), revision: revision + 1 })
  return changed === 1
}

export async function deleteVoice(trx: Trx, actor: PersonActor, key: VoiceKey): Promise<void> {
  await trx
    .sql('voices')
    .where({ ...key, ownerId: actor.personId })
    .delete()
}
