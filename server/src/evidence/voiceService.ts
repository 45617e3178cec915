// Voices over things: a recording begins to speak of an item, points at moments, and is taken off again.
import type { Evidence, Moment } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { inTransaction } from '../database/index.ts'
import type { Trx, Writable } from '../database/index.ts'
import { getEvidence } from './service.ts'
import { findEvidence } from './store.ts'
import { deleteVoice, insertVoice, updateMoments } from './voiceStore.ts'

export interface VoiceOver {
  /** The item that it speaks of. */
  readonly id: string
  readonly voiceId: string
}

/**
 * Attaches a new recording to an item; if the item is gone, it stays a recording alone. Silent files are not
 * attached: others get a voice as it is, and nothing else of anybody's pictures.
 */
export async function beginToSpeak(
  trx: Trx,
  actor: PersonActor,
  { id, voiceId }: VoiceOver,
  moments: readonly Moment[],
): Promise<void> {
  const about = await findEvidence(trx, actor, id)
  const voice = await findEvidence(trx, actor, voiceId)
  if (about && voice?.kind === 'audio' && id !== voiceId)
    await insertVoice(trx, actor, { voiceId, aboutId: id }, inOrder(moments))
}

/** Saves moments. @throws AppError `stale` when they have changed, `not-found` for items of others */
export function changeMoments(
  on: Writable,
  actor: PersonActor,
  over: VoiceOver,
  revision: number,
  moments: readonly Moment[],
): Promise<Evidence> {
  return inTransaction(on, async (trx) => {
    const key = await getSpoken(trx, actor, over)
    if (!(await updateMoments(trx, actor, key, revision, inOrder(moments))))
      throw new AppError('stale', 'stale')
    return getEvidence(trx, actor, over.id)
  })
}

/** Detaches a recording from the item; the recording stays. */
export function takeVoiceOff(on: Writable, actor: PersonActor, over: VoiceOver): Promise<Evidence> {
  return inTransaction(on, async (trx) => {
    await deleteVoice(trx, actor, await getSpoken(trx, actor, over))
    return getEvidence(trx, actor, over.id)
  })
}

async function getSpoken(trx: Trx, actor: PersonActor, { id, voiceId }: VoiceOver) {
  const { voices } = await getEvidence(trx, actor, id)
  if (!voices.some((voice) => voice.id === voiceId)) throw new AppError('not-found', 'not-found')
  return { voiceId, aboutId: id }
}

function inOrder(moments: readonly Moment[]): Moment[] {
  return [...moments].sort((a, b) => a.atMs - b.atMs)
}
