// What holds at the moment: the parts of queries over dated rows.
import type { Instant } from '@valise/core/time'
import type { Knex } from 'knex'
import type { Reader } from '../database/index.ts'

/** Narrows a query over dated rows to those that hold now. */
export function isPresent(query: Knex.QueryBuilder, table: string, now: Instant): void {
  query
    .where((from) => from.whereNull(`${table}.fromAt`).orWhere(`${table}.fromAt`, '<=', now))
    .where((until) => until.whereNull(`${table}.untilAt`).orWhere(`${table}.untilAt`, '>', now))
}

/** Selects people with their current year group, under the names `people`, `stay` and `yearGroup`. */
export function peopleNow(reader: Reader): Knex.QueryBuilder {
  const { now } = reader
  return reader
    .sql('people')
    .leftJoin('yearGroupStays as stay', (join) => {
      join
        .on('stay.personId', 'people.id')
        .andOnVal('stay.fromAt', '<=', now)
        .andOn((until) => {
          until.onNull('stay.untilAt').orOnVal('stay.untilAt', '>', now)
        })
    })
    .leftJoin('yearGroups as yearGroup', 'yearGroup.id', 'stay.yearGroupId')
}
