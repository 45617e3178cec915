// Self-ratings: noted whenever a document that holds some is changed.
import type { PageDocument } from '@valise/core/pages'
import { ratingsIn, reviseRatings } from '@valise/core/ratings'
import { dayOf } from '@valise/core/time'
import type { LocalDay } from '@valise/core/time'
import type { Trx } from '../database/index.ts'
import { getSchool } from '../people/index.ts'
import * as store from './store.ts'

/**
 * Reads the self-ratings out of a document. None that was made on an earlier day is written over; see `reviseRatings`.
 * Call it in the transaction that changes the document.
 *
 * @param findDay the day that the document tells of, asked only where it has or had ratings; without it, today
 */
export async function noteRatings(
  trx: Trx,
  thingId: string,
  document: PageDocument,
  findDay?: () => Promise<LocalDay>,
): Promise<void> {
  const found = ratingsIn(document)
  const stored = await store.listOfThing(trx, thingId)
  if (found.length === 0 && stored.length === 0) return
  const today = dayOf(trx.now, (await getSchool(trx)).timeZone)
  const day = findDay ? await findDay() : today
  const { added, changed, gone, back } = reviseRatings(stored, found, { day, today })
  for (const rating of added) await store.insert(trx, thingId, rating)
  for (const rating of changed) await store.update(trx, rating)
  await store.setGone(trx, thingId, gone, true)
  await store.setGone(trx, thingId, back, false)
}
