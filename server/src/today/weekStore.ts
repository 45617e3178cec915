// What somebody wrote and gathered in the week of now, from its Monday on, by the clock of the school.
import type { PersonActor } from '@valise/core/people'
import type { Week } from '@valise/core/today'
import { addDays, dayOf, endOfDay, mondayOf, startOfDay } from '@valise/core/time'
import { countRows } from '../database/index.ts'
import type { Reader } from '../database/index.ts'
import { getSchool } from '../people/index.ts'

export async function getWeek(reader: Reader, { personId }: PersonActor): Promise<Week> {
  const { timeZone } = await getSchool(reader)
  const from = mondayOf(dayOf(reader.now, timeZone))
  const until = addDays(from, 6)
  const own = { ownerId: personId, isBinned: 0 }
  return {
    ...{ from, until, endsAt: endOfDay(until, timeZone) },
    entries: await countRows(reader.sql('logEntries').where(own).whereBetween('day', [from, until])),
    evidence: await countRows(
      reader.sql('evidence').where(own).where('createdAt', '>=', startOfDay(from, timeZone)),
    ),
  }
}
