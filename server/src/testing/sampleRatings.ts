// Sets of attributes and self-ratings written straight into the tables, where a test wants many of both.
import { ownerActor } from '@valise/core/people'
import type { Trx } from '../database/index.ts'
import * as offered from '../offers/store.ts'
import * as ratings from '../ratings/store.ts'
import { insertThing } from '../things/index.ts'
import { fieldAttributes } from './attributes.ts'

interface SampleRating {
  readonly n: number
  /** Who keeps the set, for the school. */
  readonly otherId: string
  /** What the rating stands in; it belongs to whoever owns that. */
  readonly thingId: string
}

/** Inserts the n-th set of the school, and a rating by it. */
export async function insertSampleRating(trx: Trx, { n, otherId, thingId }: SampleRating): Promise<void> {
  const id = trx.newId()
  const [step] = fieldAttributes.steps
  if (!step) throw new Error('the scale has no steps')
  const sized = { content: fieldAttributes, size: fieldAttributes.attributes.length }
  await insertThing(trx, { id, kind: 'attributeSet', ownerId: otherId, title: `Set ${n}` })
  await offered.insert(trx, ownerActor(otherId), { id, kind: 'attributeSet', ...sized })
  await offered.insertVersion(trx, id, { n: 1, ...sized })
  await offered.replaceOffers(trx, id, { classIds: [], isForSchool: true })
  const attribute = { setId: id, n: 1, setTitle: fieldAttributes.title, id: 'notice' }
  await ratings.insert(trx, thingId, {
    ...{ pieceId: `p${n}`, n: 1, day: '2026-11-20', changedOn: '2026-11-20', attribute, name: {} },
    ...{ step: { ...step, place: 1, of: 3 }, reason: `Rating ${n}`, evidenceIds: [] },
  })
}
