// Tags in the database: on one item, on many, and all that somebody uses.
import { toTagKey } from '@valise/core/evidence'
import type { TagsInUse } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import type { Reader, Trx } from '../database/index.ts'

export async function listTagsOf(reader: Reader, evidenceId: string): Promise<string[]> {
  const rows: { tag: string }[] = await reader
    .sql('evidenceTags')
    .where({ evidenceId })
    .orderBy(['position', 'tagKey'])
    .select('tag')
  return rows.map(({ tag }) => tag)
}

export async function replaceTags(
  trx: Trx,
  actor: PersonActor,
  evidenceId: string,
  tags: readonly string[],
): Promise<void> {
  await trx.sql('evidenceTags').where({ evidenceId }).delete()
  const row = (tag: string, position: number) => ({
    evidenceId,
    tagKey: toTagKey(tag),
    ownerId: actor.personId,
    tag,
    position,
  })
  if (tags.length > 0) await trx.sql('evidenceTags').insert(tags.map(row))
}

/** Lists the owner's tags on items that are not in the bin, most used first, in their latest spelling. */
export async function listTags(reader: Reader, actor: PersonActor): Promise<TagsInUse> {
  const rows = await reader
    .sql('evidenceTags')
    .join('evidence', 'evidence.id', 'evidenceTags.evidenceId')
    .where('evidenceTags.ownerId', actor.personId)
    .where('evidence.isBinned', 0)
    .groupBy('tagKey')
    .select('tagKey')
    .max({ tag: 'tag' })
    .count({ count: '*' })
    .orderBy([{ column: 'count', order: 'desc' }, { column: 'tagKey' }])
    .limit(500)
  return rows.map(({ tag, count }) => ({ tag: String(tag), count: Number(count) }))
}

/** Lists the owner's items with a tag, binned ones included. */
export async function listTagged(reader: Reader, actor: PersonActor, tagKey: string): Promise<string[]> {
  const rows: { evidenceId: string }[] = await reader
    .sql('evidenceTags')
    .where({ ownerId: actor.personId, tagKey })
    .orderBy('evidenceId')
    .select('evidenceId')
  return rows.map(({ evidenceId }) => evidenceId)
}

/** Renames a tag on every item. Where an item already has the new one, the two are merged. */
export async function renameTagEverywhere(
  trx: Trx,
  actor: PersonActor,
  tagKey: string,
  name: string,
): Promise<void> {
  const own = { ownerId: actor.personId }
  const nextKey = toTagKey(name)
  if (nextKey !== tagKey) {
    const twice = trx
      .sql('evidenceTags')
      .where({ ...own, tagKey: nextKey })
      .select('evidenceId')
    await trx
      .sql('evidenceTags')
      .where({ ...own, tagKey })
      .whereIn('evidenceId', twice)
      .delete()
  }
  await trx
    .sql('evidenceTags')
    .where(own)
    .whereIn('tagKey', [tagKey, nextKey])
    .update({ tagKey: nextKey, tag: name })
}
