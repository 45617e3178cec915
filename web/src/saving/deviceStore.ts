// What could not be delivered yet, on this device: encrypted under a key that only a sign-in brings.
import { openDB } from 'idb'
import type { DBSchema, IDBPDatabase } from 'idb'
import { get } from '../api/index.ts'
import type { DraftSnapshot } from './DraftSync.ts'

interface Sealed {
  readonly iv: Uint8Array<ArrayBuffer>
  readonly sealed: ArrayBuffer
}

interface DraftOnDevice extends Sealed {
  readonly personId: string
  /** Where the draft's address begins, such as `/api/pages/<id>`. */
  readonly path: string
  readonly windowId: string
}

interface WordsOnDevice extends Sealed {
  readonly personId: string
  /** The address of the screen and the field on it. */
  readonly place: string
}

interface Shelf extends DBSchema {
  undelivered: { key: [string, string, string]; value: DraftOnDevice }
  unsent: { key: [string, string]; value: WordsOnDevice }
}

interface LeftBehind {
  readonly path: string
  readonly snapshot: DraftSnapshot
}

export interface DeviceStore {
  put(path: string, snapshot: DraftSnapshot): Promise<void>
  remove(path: string, windowId: string): Promise<void>
  list(): Promise<LeftBehind[]>
  /** Where something was typed and not sent. */
  unsentPlaces(): Promise<string[]>
  /** What was typed at a place and not sent, as JSON. */
  unsentAt(place: string): Promise<unknown>
  putUnsent(place: string, value: unknown): Promise<void>
  removeUnsent(place: string): Promise<void>
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
 * The shelf of one person on this device. Others who use the device find bytes that they cannot read.
 *
 * Where the browser offers no storage or no encryption (a plain address, a private window), what waits lives in the
 * window alone.
 */
async function openDeviceStore(personId: string): Promise<DeviceStore | null> {
  if (!('indexedDB' in globalThis) || !globalThis.crypto?.subtle) return null
  const [database, key] = await Promise.all([openShelf(), fetchDeviceKey()])
  return {
    put: async (path, snapshot) => {
      const { windowId } = snapshot
      await database.put('undelivered', { personId, path, windowId, ...(await seal(key, snapshot)) })
    },
    remove: (path, windowId) => database.delete('undelivered', [personId, path, windowId]),
    list: async () => {
      const range = IDBKeyRange.bound([personId], [personId, []])
      const rows = await database.getAll('undelivered', range)
      return Promise.all(
        rows.map(async (one) => ({ path: one.path, snapshot: await unseal<DraftSnapshot>(key, one) })),
      )
    },
    unsentPlaces: async () => {
      const keys = await database.getAllKeys('unsent', IDBKeyRange.bound([personId], [personId, []]))
      return keys.map(([, place]) => place)
    },
    unsentAt: async (place) => {
      const rows = await database.get('unsent', [personId, place])
      return rows && unseal(key, rows)
    },
    putUnsent: async (place, value) => {
      await database.put('unsent', { personId, place, ...(await seal(key, value)) })
    },
    removeUnsent: (place) => database.delete('unsent', [personId, place]),
  }
}

function openShelf(): Promise<IDBPDatabase<Shelf>> {
  return openDB<Shelf>('valise', 2, {
    upgrade: (database, before) => {
      if (before < 1) database.createObjectStore('undelivered', { keyPath: ['personId', 'path', 'windowId'] })
      if (before < 2) database.createObjectStore('unsent', { keyPath: ['personId', 'place'] })
    },
    // A window with an older program lets go of the shelf, and keeps what waits in itself.
    blocking: (_present, _next, event) => {
      if (event.target instanceof IDBDatabase) event.target.close()
    },
  })
}

async function seal(key: CryptoKey, value: unknown): Promise<Sealed> {
  const iv = crypto.getRandomValues(new Uint8Array(12))
  const text = new TextEncoder().encode(JSON.stringify(value))
  return { iv, sealed: await crypto.subtle.encrypt({ name: 'AES-GCM', iv }, key, text) }
}

async function unseal<T>(key: CryptoKey, { iv, sealed }: Sealed): Promise<T> {
  const text = await crypto.subtle.decrypt({ name: 'AES-GCM', iv }, key, sealed)
  return JSON.parse(new TextDecoder().decode(text))
}

/** Fetches the key that encrypts what this device stores for one person; it belongs to their session. */
export async function fetchDeviceKey(): Promise<CryptoKey> {
  const { key } = await get<{ key: string }>('/api/session/device-key')
  const bytes = Uint8Array.from(atob(key.replaceAll('-', '+').replaceAll('_', '/')), (sign) =>
    sign.charCodeAt(0),
  )
  return crypto.subtle.importKey('raw', bytes, 'AES-GCM', false, ['encrypt', 'decrypt'])
}
