// The tray in the database: what somebody has picked up.
import type { EvidenceRow } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import { countRows } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import { ownEvidence, toEvidenceRow, withVersion } from './store.ts'
import type { EvidenceRecord } from './store.ts'

/** Lists the tray in the order of picking up; binned items are hidden. */
export async function listTray(reader: Reader, actor: PersonActor): Promise<EvidenceRow[]> {
  const picked = ownEvidence(reader, actor).where('evidence.isBinned', 0).whereNotNull('trayItems.pickedAt')
  const rows: EvidenceRecord[] = await withVersion(reader, picked, actor).orderBy([
    'trayItems.pickedAt',
    'evidence.id',
  ])
  return rows.map(toEvidenceRow)
}

export async function countTray(reader: Reader, actor: PersonActor): Promise<number> {
  return countRows(reader.sql('trayItems').where({ personId: actor.personId }))
}

export async function insertTrayItem(trx: Trx, actor: PersonActor, evidenceId: string): Promise<void> {
  const row = { personId: actor.personId, evidenceId, pickedAt: trx.now }
  await trx.sql('trayItems').insert(row).onConflict(['personId', 'evidenceId']).ignore()
}

export async function deleteTrayItem(trx: Trx, actor: PersonActor, evidenceId: string): Promise<void> {
  await trx.sql('trayItems').where({ personId: actor.personId, evidenceId }).delete()
}
