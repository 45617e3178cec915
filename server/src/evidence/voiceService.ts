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
 * A recording that came in speaks of an item from now on; where that is gone meanwhile, it stays a recording alone. What
 * is not heard speaks of nothing: others get a voice as it came, and nothing else of anybody's pictures.
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

/** @throws AppError `stale` when the moments were changed meanwhile, `not-found` for what is not one's own */
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

/** The recording stays; it only speaks of the item no longer. */
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
