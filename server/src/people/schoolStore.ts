// The school and its year groups in the database.
import type { AudienceKind } from '@valise/core/access'
import type { School, YearGroup } from '@valise/core/people'
import { receiptPrefixOf } from '@valise/core/submissions'
import type { Reader, Trx } from '../database/index.ts'
import { peopleNow } from './presenceStore.ts'

export async function getSchool(reader: Reader): Promise<School> {
  const row = await reader.sql('schools').select('name', 'timeZone', 'language').first()
  if (!row) throw new Error('this data folder holds no school yet')
  return row
}

export async function hasSchool(reader: Reader): Promise<boolean> {
  return (await reader.sql('schools').first('id')) !== undefined
}

export async function insertSchool(trx: Trx, school: School): Promise<void> {
  await trx.sql('schools').insert({ id: trx.newId(), ...school, revision: 1 })
  await trx.sql('counters').insert({ name: 'receipts', prefix: receiptPrefixOf(school.name), value: 0 })
}

export async function insertYearGroup(
  trx: Trx,
  yearGroup: Omit<YearGroup, 'id'>,
  position: number,
  audiences: readonly AudienceKind[],
): Promise<string> {
  const id = trx.newId()
  await trx.sql('yearGroups').insert({
    id,
    ...yearGroup,
    position,
    // The youngest see pictures that are fit for them alone.
    pictureShelf: position === 0 ? 'young' : 'all',
    revision: 1,
  })
  await trx.sql('sharingAllowances').insert(audiences.map((audience) => ({ yearGroupId: id, audience })))
  return id
}

export async function listYearGroups(reader: Reader): Promise<YearGroup[]> {
  return reader
    .sql('yearGroups')
    .select('id', 'name', 'shownNameRule', 'idleMinutes', 'absoluteMinutes')
    .orderBy(['position', 'id'])
}

/** Returns which pictures of the shelf somebody can see, by year group; all for people without one. */
export async function findShelfReach(reader: Reader, personId: string): Promise<'all' | 'young'> {
  const row = await peopleNow(reader).where('people.id', personId).first('yearGroup.pictureShelf')
  return row?.pictureShelf ?? 'all'
}

export async function hasYearGroup(reader: Reader, id: string): Promise<boolean> {
  return (await reader.sql('yearGroups').where({ id }).first()) !== undefined
}
