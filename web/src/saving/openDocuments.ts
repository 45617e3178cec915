// The whole documents that this window has open.
import { tellSaveStatus } from './delivery.ts'
import { DocumentSync } from './DocumentSync.ts'
import type { DocumentOnDevice, DocumentPorts, DocumentStore, SavedOnServer } from './DocumentSync.ts'
import { readUnsent, writeUnsent } from './unsentStore.ts'

const open = new Map<string, DocumentSync<never>>()

/**
 * Opens a document in this window, or returns the one that is already open where it is as new, or has changes that are
 * not on the server yet.
 */
export function openDocument<T, Store extends DocumentStore<T>>(
  personId: string,
  saved: SavedOnServer<T>,
  store: Store,
): DocumentSync<T, Store> {
  // What is open under an address was opened with a store of the same kind.
  const present = open.get(store.address) as unknown as DocumentSync<T, Store> | undefined
  if (present && (present.state().delivery !== 'delivered' || present.isAsNewAs(saved))) return present
  const sync = new DocumentSync(saved, store, portsOf<T>(personId, store.address))
  let before = { ...sync.state(), queued: 1 }
  sync.subscribe(() => {
    const after = { ...sync.state(), queued: 1 }
    tellSaveStatus(store.address, before, after)
    before = after
  })
  open.set(store.address, sync as unknown as DocumentSync<never>)
  return sync
}

function portsOf<T>(personId: string, address: string): DocumentPorts<T> {
  return {
    // Written by this very program, or by an older one in the same form.
    readLeft: async () => (await readUnsent(personId, address)) as DocumentOnDevice<T> | undefined,
    writeLeft: (left) => writeUnsent(personId, address, left),
    wait: (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds)),
  }
}

/** Sends everything that waits, without waiting for answers: the window closes. */
function flushDocuments(): void {
  for (const sync of open.values()) sync.flush()
}

if (typeof document !== 'undefined') window.addEventListener('pagehide', flushDocuments)
