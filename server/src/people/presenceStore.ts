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
  return reader.sql('people').modify(joinYearGroup, reader, 'people.id')
}

/**
 * Joins the names of the person that a column refers to, and the rule by which others see them: `fullName`, `firstName`,
 * `chosenName`, `shownNameRule`; null where it refers to nobody.
 */
export function joinNames(query: Knex.QueryBuilder, reader: Reader, column: string): void {
  query
    .leftJoin('people', 'people.id', column)
    .modify(joinYearGroup, reader, column)
    .select('people.fullName', 'people.firstName', 'people.chosenName', 'yearGroup.shownNameRule')
}

/** Joins the year group in which the person of a column is now, under the names `stay` and `yearGroup`. */
function joinYearGroup(query: Knex.QueryBuilder, { now }: Reader, column: string): void {
  query
    .leftJoin('yearGroupStays as stay', (join) => {
      join
        .on('stay.personId', column)
        .andOnVal('stay.fromAt', '<=', now)
        .andOn((until) => {
          until.onNull('stay.untilAt').orOnVal('stay.untilAt', '>', now)
        })
    })
    .leftJoin('yearGroups as yearGroup', 'yearGroup.id', 'stay.yearGroupId')
}
