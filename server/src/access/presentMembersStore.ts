// Who is in which class now.
import type { Knex } from 'knex'
import type { Reader } from '../database/index.ts'
import { isPresent } from '../people/index.ts'

/** Selects the current memberships in classes that have not ended. */
export function presentMembers(reader: Reader): Knex.QueryBuilder {
  const { sql, now } = reader
  return sql('memberships')
    .modify(isPresent, 'memberships', now)
    .whereNotExists(
      sql('classes as ended')
        .where('ended.id', sql.ref('memberships.classId'))
        .where('ended.endedAt', '<=', now)
        .select(sql.raw('1')),
    )
}
