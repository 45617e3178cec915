// What earlier versions of Valise left on this device, brought into the one store: nothing that was typed or recorded is lost.
import { deleteDB, openDB } from 'idb'
import type { IDBPDatabase, IDBPTransaction, StoreNames } from 'idb'
import type { Sealed, Where } from './deviceStore.ts'

const RECORDINGS = 'valise-recordings'

interface OlderRow extends Sealed {
  readonly personId: string
  readonly path: string
  readonly place: string
  readonly windowId: string
}

interface OlderRecording {
  readonly personId: string
  readonly recordingId: string
}

/** Where the rows of a store of version 1 or 2 lie now. */
const places: Readonly<Record<string, (row: OlderRow) => Where>> = {
  undelivered: ({ path, windowId }) => ({ shelf: 'drafts', place: path, part: windowId }),
  unsent: ({ place }) => ({ shelf: 'unsent', place, part: '' }),
}

/** Moves the rows of versions 1 and 2 within the upgrade to version 3; they were encrypted in the same way. */
export async function takeOverOlderStores<Schema>(
  typed: IDBPDatabase<Schema>,
  upgrade: IDBPTransaction<Schema, StoreNames<Schema>[], 'versionchange'>,
): Promise<void> {
  // Stores that the schema of today does not know.
  const database = typed as unknown as IDBPDatabase
  const transaction = upgrade as unknown as IDBPTransaction<unknown, string[], 'versionchange'>
  const sealed = transaction.objectStore('sealed')
  for (const [name, whereOf] of Object.entries(places)) {
    if (!database.objectStoreNames.contains(name)) continue
    for (const row of (await transaction.objectStore(name).getAll()) as OlderRow[]) {
      const { personId, iv, sealed: bytes } = row
      await sealed.put({ personId, ...whereOf(row), iv, sealed: bytes })
    }
    database.deleteObjectStore(name)
  }
}

/**
 * Moves one person's recordings out of the store of their own that they had.
 *
 * @param put stores rows, all or none
 * @param seal encrypts what lay there unencrypted: length, kind and beginning of a recording
 */
export async function takeOverRecordings(
  personId: string,
  put: (rows: readonly (Where & Sealed)[]) => Promise<void>,
  seal: (value: unknown) => Promise<Sealed>,
): Promise<void> {
  const known = (await indexedDB.databases?.()) ?? []
  if (!known.some(({ name }) => name === RECORDINGS)) return
  const older = await openDB(RECORDINGS)
  const heads = (await older.getAll('heads')) as OlderRecording[]
  for (const head of heads.filter((one) => one.personId === personId)) {
    const { recordingId, ...rest } = head
    const ofRecording = IDBKeyRange.bound([personId, recordingId], [personId, recordingId, []])
    const parts = (await older.getAll('parts', ofRecording)) as (Sealed & { readonly n: number })[]
    const where = { shelf: 'recordings', place: recordingId } as const
    await put([
      { ...where, part: 'head', ...(await seal({ ...rest, recordingId })) },
      ...parts.map(({ n, iv, sealed }) => ({ ...where, part: n, iv, sealed })),
    ])
    await older.delete('heads', [personId, recordingId])
    await older.delete('parts', ofRecording)
  }
  const isEmpty = (await older.count('heads')) === 0
  older.close()
  if (isEmpty) await deleteDB(RECORDINGS)
}
