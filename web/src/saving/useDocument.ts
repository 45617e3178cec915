// A whole document that is open in this window, following every change of it.
import { useEffect, useState, useSyncExternalStore } from 'react'
import { useSession } from '../session/index.ts'
import type { DocumentState, DocumentStore, DocumentSync, SavedOnServer } from './DocumentSync.ts'
import { openDocument } from './openDocuments.ts'

export interface OpenDocument<T, Store extends DocumentStore<T> = DocumentStore<T>> extends DocumentState<T> {
  readonly sync: DocumentSync<T, Store>
  /** Changes the document: one step of the way back. */
  readonly set: (document: T) => void
  /** Replaces the document without a step of the way back. */
  readonly write: (document: T) => void
  readonly undo: () => void
  readonly redo: () => void
  /** Whether another window's changes were taken in since it was opened here. */
  readonly isMerged: boolean
  /** Whether what an earlier window left on the device has been looked for. */
  readonly isRestored: boolean
}

/** @param toStore called once, when it is opened */
export function useDocument<T, Store extends DocumentStore<T>>(
  saved: SavedOnServer<T>,
  toStore: () => Store,
): OpenDocument<T, Store> {
  const { personId } = useSession()
  const [sync] = useState(() => openDocument(personId, saved, toStore()))
  const [mergedBefore] = useState(() => sync.state().fromElsewhere)
  const [isRestored, setIsRestored] = useState(false)
  const state = useSyncExternalStore(sync.subscribe, sync.state)
  useEffect(() => {
    let isGone = false
    void sync.restore().then(() => isGone || setIsRestored(true))
    return () => {
      isGone = true
    }
  }, [sync])
  useEffect(() => sync.accept(saved), [sync, saved])
  const { set, write, undo, redo } = sync
  return { ...state, sync, set, write, undo, redo, isMerged: state.fromElsewhere > mergedBefore, isRestored }
}
