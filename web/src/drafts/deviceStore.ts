// What could not be delivered yet, on this device: encrypted under a key that only a sign-in brings.
import { openDB } from 'idb'
import type { DBSchema, IDBPDatabase } from 'idb'
import { get } from '../api/index.ts'
import type { DraftSnapshot } from './DraftSync.ts'

interface Kept {
  readonly personId: string
  /** Where the draft's address begins, such as `/api/pages/<id>`. */
  readonly path: string
  readonly windowId: string
  readonly iv: Uint8Array<ArrayBuffer>
  readonly sealed: ArrayBuffer
}

interface Shelf extends DBSchema {
  undelivered: { key: [string, string, string]; value: Kept }
}

export interface LeftBehind {
  readonly path: string
  readonly snapshot: DraftSnapshot
}

export interface DeviceStore {
  put(path: string, snapshot: DraftSnapshot): Promise<void>
  remove(path: string, windowId: string): Promise<void>
  list(): Promise<LeftBehind[]>
}

/**
 * The shelf of one person on this device. Others who use the device find bytes that they cannot read.
 *
 * Where the browser offers no storage or no encryption (a plain address, a private window), what waits lives in the
 * window alone.
 */
export async function openDeviceStore(personId: string): Promise<DeviceStore | null> {
  if (!('indexedDB' in globalThis) || !globalThis.crypto?.subtle) return null
  const [database, key] = await Promise.all([openShelf(), fetchKey()])
  return {
    put: async (path, snapshot) => {
      const iv = crypto.getRandomValues(new Uint8Array(12))
      const text = new TextEncoder().encode(JSON.stringify(snapshot))
      const sealed = await crypto.subtle.encrypt({ name: 'AES-GCM', iv }, key, text)
      await database.put('undelivered', { personId, path, windowId: snapshot.windowId, iv, sealed })
    },
    remove: (path, windowId) => database.delete('undelivered', [personId, path, windowId]),
    list: async () => {
      const range = IDBKeyRange.bound([personId], [personId, []])
      const kept = await database.getAll('undelivered', range)
      return Promise.all(
        kept.map(async ({ path, iv, sealed }) => {
          const text = await crypto.subtle.decrypt({ name: 'AES-GCM', iv }, key, sealed)
          const snapshot: DraftSnapshot = JSON.parse(new TextDecoder().decode(text))
          return { path, snapshot }
        }),
      )
    },
  }
}

function openShelf(): Promise<IDBPDatabase<Shelf>> {
  return openDB<Shelf>('valise', 1, {
    upgrade: (database) => {
      database.createObjectStore('undelivered', { keyPath: ['personId', 'path', 'windowId'] })
    },
  })
}

async function fetchKey(): Promise<CryptoKey> {
  const { key } = await get<{ key: string }>('/api/session/device-key')
  const bytes = Uint8Array.from(atob(key.replaceAll('-', '+').replaceAll('_', '/')), (sign) =>
    sign.charCodeAt(0),
  )
  return crypto.subtle.importKey('raw', bytes, 'AES-GCM', false, ['encrypt', 'decrypt'])
}
