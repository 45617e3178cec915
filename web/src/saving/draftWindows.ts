// The drafts that this window has open, the news between windows, and what earlier windows left behind.
import { serverTime } from '../api/index.ts'
import { noteSaving } from './saveStatus.ts'
import { tellSaveStatus } from './delivery.ts'
import { deviceStoreOf } from './deviceStore.ts'
import { DraftSync } from './DraftSync.ts'
import type { DraftPorts, DraftSnapshot } from './DraftSync.ts'
import { fetchDraft, sendEdit, toFailure } from './queries.ts'

const open = new Map<string, DraftSync>()
let between: BroadcastChannel | null = null

/** What windows tell each other, heard from the first draft on; null where the browser knows no such thing. */
function betweenWindows(): BroadcastChannel | null {
  if (between !== null || !('BroadcastChannel' in globalThis)) return between
  between = new BroadcastChannel('valise-drafts')
  between.addEventListener('message', ({ data }) => {
    void open
      .get(String(data))
      ?.refresh()
      .catch(() => undefined)
  })
  return between
}

/** Opens a draft in this window, or returns the one that is already open: it may be newer than what was fetched. */
export function openDraft(personId: string, path: string, confirmed: DraftSnapshot['confirmed']): DraftSync {
  const present = open.get(path)
  if (present && (present.state().queued > 0 || present.state().revision >= confirmed.revision)) {
    void present.refresh().catch(() => undefined)
    return present
  }
  // Its key is fetched while the server can be had.
  void deviceStoreOf(personId).catch(() => undefined)
  betweenWindows()
  const sync = startSync(personId, path, { windowId: crypto.randomUUID(), confirmed, queue: [] })
  open.set(path, sync)
  return sync
}

/** Flushes open editors and sends everything queued: the window closes, or the connection is back. */
export function deliverAll(): void {
  for (const sync of open.values()) {
    sync.flush()
    if (sync.state().queued > 0) sync.deliverNow()
  }
}

/**
 * Delivers what closed windows left on this device. An open window holds a lock and keeps its own queue.
 *
 * @returns once everything is delivered, or nothing more can be done for now
 */
export async function deliverLeftBehind(personId: string): Promise<void> {
  const store = await deviceStoreOf(personId)
  for (const where of (await store?.list('drafts')) ?? []) {
    await navigator.locks.request(lockOf(String(where.part)), { ifAvailable: true }, async (lock) => {
      if (!lock) return
      // Written by this very program, or by an older one in the same form; gone where its window delivered it meanwhile.
      const snapshot = (await store?.get(where)) as DraftSnapshot | undefined
      if (!snapshot || snapshot.queue.length === 0) return
      const sync = startSync(personId, where.place, snapshot)
      sync.deliverNow()
      await sync.settled()
    })
  }
}

function startSync(personId: string, path: string, snapshot: DraftSnapshot): DraftSync {
  holdLock(snapshot.windowId)
  const sync = new DraftSync(snapshot, portsOf(personId, path, snapshot.queue.length > 0))
  let before = sync.state()
  if (before.queued > 0) noteSaving()
  sync.subscribe(() => {
    tellSaveStatus(path, before, sync.state())
    if (sync.state().revision > before.revision) {
      betweenWindows()?.postMessage(path)
      // What an earlier window left behind was delivered while this one has the draft open.
      const here = open.get(path)
      if (here !== sync) void here?.refresh().catch(() => undefined)
    }
    before = sync.state()
  })
  return sync
}

/** Held until the window goes, however it goes. */
function holdLock(windowId: string): void {
  const forever = new Promise<void>(() => undefined)
  void navigator.locks?.request(lockOf(windowId), { ifAvailable: true }, (lock) =>
    lock ? forever : undefined,
  )
}

function lockOf(windowId: string): string {
  return `valise-draft-${windowId}`
}

function portsOf(personId: string, path: string, wasOnDevice: boolean): DraftPorts {
  let isOnDevice = wasOnDevice
  let latest: DraftSnapshot | null = null
  let isWriting = false
  /** Writes one snapshot after the other, of those that came meanwhile the latest alone. */
  const write = async () => {
    if (isWriting) return
    isWriting = true
    try {
      const store = await deviceStoreOf(personId)
      while (latest) {
        const snapshot = latest
        latest = null
        if (snapshot.queue.length > 0) {
          isOnDevice = true
          await store?.put([{ shelf: 'drafts', place: path, part: snapshot.windowId }, snapshot])
        } else if (isOnDevice) {
          await store?.remove('drafts', path, snapshot.windowId)
          isOnDevice = false
        }
      }
    } finally {
      isWriting = false
    }
  }
  return {
    send: (edit) => sendEdit(path, edit),
    fetch: () => fetchDraft(path),
    toFailure,
    newId: () => crypto.randomUUID(),
    now: serverTime,
    wait: (milliseconds, then) => {
      const timer = setTimeout(then, milliseconds)
      return () => clearTimeout(timer)
    },
    saveOnDevice: (snapshot) => {
      latest = snapshot
      // A device that fails takes nothing away: what waits is still in this window.
      void write().catch(() => undefined)
    },
  }
}

if (typeof document !== 'undefined') {
  window.addEventListener('online', deliverAll)
  window.addEventListener('pagehide', deliverAll)
  // A phone may end a window in the background without another word.
  document.addEventListener('visibilitychange', () => document.hidden && deliverAll())
}
