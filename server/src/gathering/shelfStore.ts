// Reports on pictures of the shelf, in the database.
import type { PersonActor } from '@valise/core/people'
import type { Reader, Trx } from '../database/index.ts'

export async function insertShelfReport(
  trx: Trx,
  actor: PersonActor,
  report: { readonly pictureId: string; readonly title: string; readonly words: string },
): Promise<void> {
  await trx.sql('shelfReports').insert({ id: trx.newId(), personId: actor.personId, ...report, at: trx.now })
}

export async function listReported(reader: Reader, actor: PersonActor): Promise<string[]> {
  const rows: { pictureId: string }[] = await reader
    .sql('shelfReports')
    .where({ personId: actor.personId })
    .distinct('pictureId')
  return rows.map(({ pictureId }) => pictureId)
}
