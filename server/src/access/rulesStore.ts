// The sharing rules of the school in the database, by the year group that somebody is in now.
import { usualAudiences } from '@valise/core/access'
import type { AudienceKind } from '@valise/core/access'
import { isOneOf } from '../database/index.ts'
import type { Reader } from '../database/index.ts'
import { isPresent } from '../people/index.ts'

/** Lists the audiences that each person may share with now; staff, who have no year group, with all. */
export async function listAllowed(
  reader: Reader,
  personIds: readonly string[],
): Promise<ReadonlyMap<string, ReadonlySet<AudienceKind>>> {
  const rows: { personId: string; audience: AudienceKind | null }[] = await reader
    .sql('yearGroupStays as stay')
    .leftJoin('sharingAllowances as allowance', 'allowance.yearGroupId', 'stay.yearGroupId')
    .modify(isOneOf, 'stay.personId', personIds)
    .modify(isPresent, 'stay', reader.now)
    .select('stay.personId', 'allowance.audience')
  const allowed = new Map<string, Set<AudienceKind>>()
  for (const { personId, audience } of rows) {
    const mine = allowed.get(personId) ?? new Set()
    if (audience !== null) mine.add(audience)
    allowed.set(personId, mine)
  }
  return new Map(personIds.map((id) => [id, allowed.get(id) ?? new Set(usualAudiences(null))]))
}
