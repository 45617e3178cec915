// A draft that is open in this window, following every change of it.
import { useEffect, useState, useSyncExternalStore } from 'react'
import type { Draft } from '@valise/core/pages'
import { useLostSession, useSession } from '../session/index.ts'
import type { DraftState, DraftSync } from './DraftSync.ts'
import { openDraft } from './draftWindows.ts'

export interface OpenDraft extends DraftState {
  readonly sync: DraftSync
}

/**
 * @param path the start of the draft's address, such as `/api/pages/<id>`
 */
export function useDraft(path: string, draft: Draft): OpenDraft {
  const { personId } = useSession()
  const [sync] = useState(() => openDraft(personId, path, draft))
  const state = useSyncExternalStore(sync.subscribe, sync.state)
  const isLost = useLostSession()

  // What another window did is looked for when one comes back to this one.
  useEffect(() => {
    const refresh = () => void sync.refresh().catch(() => undefined)
    window.addEventListener('focus', refresh)
    return () => window.removeEventListener('focus', refresh)
  }, [sync])
  useEffect(() => {
    if (!isLost && sync.state().queued > 0) sync.deliverNow()
  }, [sync, isLost])
  // The query knows more than the window: what is shown beside the document, and what was published.
  useEffect(() => {
    if (draft.revision > sync.state().revision) void sync.refresh().catch(() => undefined)
  }, [sync, draft.revision])

  return { ...state, sync }
}
