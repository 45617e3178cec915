// A document being edited: changed optimistically, saved one change after the other, and on the device until then.
import { mergeBase } from '@valise/core/pictures'
import { useCallback, useEffect, useRef, useState } from 'react'
import { ApiProblem } from '../api/index.ts'
import { useSession } from '../session/index.ts'
import { clearUnsaved, noteSaving, noteSaved, noteOnDevice, noteRefused, noteUnsaved } from './saveStatus.ts'
import { readUnsent, writeUnsent } from './unsentStore.ts'
import { beginHistory, change, redo, undo } from './history.ts'
import type { History } from './history.ts'

const TRY_AGAIN_MS = 3000
/** The most unanswered saves that are remembered: working on without a connection sends again and again. */
const MOST_SENT = 3

interface SavedOnServer<T> {
  readonly document: T
  readonly revision: number
}

/** On the device: the document as it is in the window, and what the server had when it was changed. */
interface Unsent<T> {
  readonly document: T
  readonly base: T
  /** What was sent since and not answered yet. */
  readonly sent?: readonly T[]
}

export interface DocumentStore<T> {
  /** The key under which it is saved, on the server and on the device. */
  readonly address: string
  put(document: T, revision: number): Promise<SavedOnServer<T>>
  read(): Promise<SavedOnServer<T>>
  /** What two windows did since both knew the same. */
  merge(base: T, mine: T, theirs: T): T
  /** Whether every change so far is saved. */
  onSettled(): void
}

export interface OpenDocument<T> {
  readonly document: T
  readonly canUndo: boolean
  readonly canRedo: boolean
  /** Why the last change was not saved. */
  readonly refused: unknown
  /** Whether another window's changes were taken in. */
  readonly isMerged: boolean
  set(document: T): void
  undo(): void
  redo(): void
}

/**
 * @param store must be stable while the document is open
 */
export function useSavedDocument<T>(saved: SavedOnServer<T>, store: DocumentStore<T>): OpenDocument<T> {
  const { personId } = useSession()
  const [history, setHistory] = useState<History<T>>(() => beginHistory(saved.document))
  const [refused, setRefused] = useState<unknown>(null)
  const [isMerged, setIsMerged] = useState(false)
  /** What the server has, as far as this window knows. */
  const known = useRef(saved)
  /** What stands on the screen. */
  const present = useRef(saved.document)
  /** What was sent since `known`: nobody knows yet whether it arrived. */
  const sent = useRef<readonly T[]>([])
  const waiting = useRef<{ readonly document: T } | null>(null)
  const isSending = useRef(false)

  const takeIn = useCallback(
    async (refused: T) => {
      const theirs = await store.read()
      // Whoever went on meanwhile has a newer one waiting.
      const mine = waiting.current ? waiting.current.document : refused
      const base = mergeBase(store.merge, known.current.document, sent.current, theirs.document)
      const merged = store.merge(base, mine, theirs.document)
      known.current = theirs
      sent.current = []
      present.current = merged
      setIsMerged(true)
      setHistory((before) => change(before, merged))
      waiting.current = { document: merged }
    },
    [store],
  )
  const send = useCallback(async () => {
    if (isSending.current) return
    isSending.current = true
    while (waiting.current) {
      const { document } = waiting.current
      waiting.current = null
      noteSaving()
      const before = sent.current
      sent.current = [...before, document].slice(-MOST_SENT)
      try {
        const { revision } = await store.put(document, known.current.revision)
        known.current = { document, revision }
        sent.current = []
        if (!waiting.current) writeUnsent(personId, store.address, undefined)
        setRefused(null)
        clearUnsaved(store.address)
        noteSaved()
      } catch (error) {
        if (isOutOfReach(error)) {
          waiting.current ??= { document }
          noteSaved()
          noteOnDevice(1)
          await new Promise((resolve) => setTimeout(resolve, TRY_AGAIN_MS))
        } else if (error instanceof ApiProblem && error.code === 'stale') {
          // Another window was faster, or this very change had arrived before: what there is is taken in.
          noteSaved()
          const isTaken = await takeIn(document).then(
            () => true,
            (problem: unknown) => {
              setRefused(problem)
              return false
            },
          )
          if (!isTaken) break
        } else {
          sent.current = before
          setRefused(error)
          noteRefused()
          noteUnsaved(store.address)
        }
      }
    }
    isSending.current = false
    store.onSettled()
  }, [personId, store, takeIn])

  const save = useCallback(
    (document: T) => {
      const unsent: Unsent<T> = { document, base: known.current.document, sent: sent.current }
      writeUnsent(personId, store.address, unsent)
      present.current = document
      waiting.current = { document }
      void send()
    },
    [personId, store, send],
  )
  // A window that closes sends what waits behind an unanswered save, as if that save had arrived. If it had not, the
  // server refuses this one, and the device has it.
  useEffect(() => {
    const flush = () => {
      if (!waiting.current) return
      const { document } = waiting.current
      const revision = known.current.revision + sent.current.length
      sent.current = [...sent.current, document].slice(-MOST_SENT)
      // Nobody is there to hear the answer; a window that comes back sends it again and takes in what there is.
      store.put(document, revision).catch(() => undefined)
    }
    window.addEventListener('pagehide', flush)
    return () => window.removeEventListener('pagehide', flush)
  }, [store])
  // What an earlier window left on the device is merged with what stands here, and saved.
  useEffect(() => {
    let isGone = false
    const restore = async () => {
      const left = (await readUnsent(personId, store.address)) as Unsent<T> | undefined
      if (isGone || left === undefined) return
      const base = mergeBase(store.merge, left.base, left.sent ?? [], present.current)
      const merged = store.merge(base, left.document, present.current)
      setHistory((before) => change(before, merged))
      save(merged)
    }
    // A device that cannot be read takes nothing away: what the server has stands here.
    restore().catch(() => undefined)
    return () => {
      isGone = true
    }
    // Once, when it is opened.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [])

  const move = (to: (before: History<T>) => History<T>) => {
    const after = to(history)
    if (after === history || after.present === history.present) return
    setHistory(after)
    save(after.present)
  }
  return {
    document: history.present,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    refused,
    isMerged,
    set: (document) => move((before) => change(before, document)),
    undo: () => move(undo),
    redo: () => move(redo),
  }
}

/** Nothing came back, or the session ended: neither says anything of the document. */
function isOutOfReach(error: unknown): boolean {
  return (
    error instanceof ApiProblem && ['unreachable', 'signed-out', 'busy', 'unexpected'].includes(error.code)
  )
}
