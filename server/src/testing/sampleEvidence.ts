// Evidence written straight into the tables, where a test wants many items and no files.
import type { PersonActor } from '@valise/core/people'
import { setBinned } from '../things/index.ts'
import type { Trx } from '../database/index.ts'
import { insertEvidence, updateEvidence } from '../evidence/store.ts'
import { replaceTags } from '../evidence/tagStore.ts'
import { insertTrayItem } from '../evidence/trayStore.ts'
import { insertUpload } from '../evidence/uploadStore.ts'
import { insertVersion } from '../evidence/versionStore.ts'

/** Inserts the n-th item: every third one is binned, some are in the tray, some uploads are open. Returns its id. */
export async function insertSampleEvidence(trx: Trx, ownerId: string, n: number): Promise<string> {
  const actor: PersonActor = {
    kind: 'person',
    personId: ownerId,
    sessionId: '',
    administrator: false,
    memberships: [],
  }
  const id = trx.newId()
  const said = { kind: 'file', title: `Note ${n}`, rights: { state: 'mine' } } as const
  const nowhere = { classId: null, assignmentId: null }
  await insertEvidence(trx, { id, ownerId, ...said, ...nowhere, madeAt: trx.now, madeAtKnown: false }, 'UTC')
  await insertVersion(trx, {
    evidenceId: id,
    n: 1,
    ownerId,
    fileSha256: n.toString(16).padStart(64, '0'),
    fileName: `${n}.txt`,
    mime: 'text/plain',
    bytes: 1,
    width: null,
    height: null,
    latitude: null,
    longitude: null,
    preview: 'none',
    previewProblem: null,
    durationMs: null,
    textState: 'none',
    document: null,
  })
  await updateEvidence(trx, id, null, { currentVersion: 1 })
  if (n % 3 === 2) await setBinned(trx, [id], trx.now)
  await replaceTags(trx, actor, id, [`tag ${n}`])
  if (n % 21 === 1) await insertTrayItem(trx, actor, id)
  const fromDisk = { title: null, isMine: 0, durationMs: null, recipe: null, aboutId: null, moments: null }
  const upload = { id: trx.newId(), ownerId, fileName: 'x', bytes: 1, lastModified: null, replaces: null }
  if (n % 21 === 3) await insertUpload(trx, { ...upload, ...nowhere, ...fromDisk })
  return id
}
