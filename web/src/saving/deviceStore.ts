// Everything that waits on this device, in one store: encrypted under a key that only a sign-in brings.
import { openDB } from 'idb'
import type { DBSchema, IDBPDatabase } from 'idb'
import { get } from '../api/index.ts'
import { takeOverOlderStores, takeOverRecordings } from './olderStores.ts'

/** What lies there: edits of drafts, input that was not sent, recordings. */
type Shelf = 'drafts' | 'unsent' | 'recordings'

/** Where something lies. A place is an address, such as `/api/pages/<id>`, and never words of anybody. */
export interface Where {
  readonly shelf: Shelf
  readonly place: string
  readonly part: string | number
}

export type Sealed = {
  readonly iv: Uint8Array<ArrayBuffer>
  readonly sealed: ArrayBuffer
}

type Row = Where & Sealed & { readonly personId: string }

interface Device extends DBSchema {
  sealed: { key: [string, Shelf, string, string | number]; value: Row }
}

export interface DeviceStore {
  /** Stores values, all of them or none: a blob as its bytes, anything else as JSON. */
  put(...entries: readonly (readonly [Where, unknown])[]): Promise<void>
  /** Returns the JSON that lies there; undefined for nothing. */
  get(where: Where): Promise<unknown>
  getBytes(where: Where): Promise<ArrayBuffer | undefined>
  /** Lists what lies on a shelf, or there for one place, in the order of places and parts. */
  list(shelf: Shelf, place?: string): Promise<Where[]>
  /** Removes one part; all of the place without one. */
  remove(shelf: Shelf, place: string, part?: string | number): Promise<void>
}

let present: { readonly personId: string; readonly opened: Promise<DeviceStore | null> } | null = null

/** Opens the store of the signed-in person. Its key is requested once, and again after a failure. */
export function deviceStoreOf(personId: string): Promise<DeviceStore | null> {
  if (present?.personId !== personId) {
    const opened = openDeviceStore(personId)
    opened.catch(() => (present = null))
    present = { personId, opened }
  }
  return present.opened
}

/**
 * The store of one person on this device. Others who use the device find bytes that they cannot read.
 *
 * Where the browser offers no storage or no encryption (a plain address, a private window), what waits lives in the
 * window alone.
 */
async function openDeviceStore(personId: string): Promise<DeviceStore | null> {
  if (!('indexedDB' in globalThis) || !globalThis.crypto?.subtle) return null
  const [database, key] = await Promise.all([openDevice(), fetchDeviceKey()])
  const keyOf = ({ shelf, place, part }: Where) =>
    [personId, shelf, place, part] satisfies Device['sealed']['key']
  const rangeOf = (...start: string[]) => IDBKeyRange.bound([personId, ...start], [personId, ...start, []])
  const bytesAt = async (where: Where) => {
    const row = await database.get('sealed', keyOf(where))
    return row && crypto.subtle.decrypt({ name: 'AES-GCM', iv: row.iv }, key, row.sealed)
  }
  const putRows = async (rows: readonly (Where & Sealed)[]) => {
    const writing = database.transaction('sealed', 'readwrite')
    await Promise.all([...rows.map((row) => writing.store.put({ personId, ...row })), writing.done])
  }
  await takeOverRecordings(personId, putRows, (value) => seal(key, value))
  return {
    put: async (...entries) =>
      putRows(
        await Promise.all(entries.map(async ([where, value]) => ({ ...where, ...(await seal(key, value)) }))),
      ),
    get: async (where) => {
      const bytes = await bytesAt(where)
      return bytes && JSON.parse(new TextDecoder().decode(bytes))
    },
    getBytes: bytesAt,
    list: async (shelf, place) => {
      const range = place === undefined ? rangeOf(shelf) : rangeOf(shelf, place)
      const keys = await database.getAllKeys('sealed', range)
      return keys.map(([, on, at, part]) => ({ shelf: on, place: at, part }))
    },
    remove: (shelf, place, part) =>
      database.delete('sealed', part === undefined ? rangeOf(shelf, place) : keyOf({ shelf, place, part })),
  }
}

function openDevice(): Promise<IDBPDatabase<Device>> {
  return openDB<Device>('valise', 3, {
    upgrade: async (database, before, _, transaction) => {
      database.createObjectStore('sealed', { keyPath: ['personId', 'shelf', 'place', 'part'] })
      if (before > 0) await takeOverOlderStores(database, transaction)
    },
    // A window with an older program lets go of the store, and keeps what waits in itself.
    blocking: (_present, _next, event) => {
      if (event.target instanceof IDBDatabase) event.target.close()
    },
  })
}

async function seal(key: CryptoKey, value: unknown): Promise<Sealed> {
  const iv = crypto.getRandomValues(new Uint8Array(12))
  const bytes =
    value instanceof Blob ? await value.arrayBuffer() : new TextEncoder().encode(JSON.stringify(value))
  return { iv, sealed: await crypto.subtle.encrypt({ name: 'AES-GCM', iv }, key, bytes) }
}

/** Fetches the key that encrypts what this device stores for one person; it belongs to their session. */
async function fetchDeviceKey(): Promise<CryptoKey> {
  const { key } = await get<{ key: string }>('/api/session/device-key')
  const bytes = Uint8Array.from(atob(key.replaceAll('-', '+').replaceAll('_', '/')), (sign) =>
    sign.charCodeAt(0),
  )
  return crypto.subtle.importKey('raw', bytes, 'AES-GCM', false, ['encrypt', 'decrypt'])
}
