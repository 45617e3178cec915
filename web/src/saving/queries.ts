// Drafts and the server: sending edits, choosing between versions, and what each refusal means.
import { useMutation, useQueryClient } from '@tanstack/react-query'
import type { QueryKey } from '@tanstack/react-query'
import type { Draft, Edit, EditAnswer } from '@valise/core/pages'
import { ApiProblem, ask, get } from '../api/index.ts'
import { isLater } from './delivery.ts'
import type { Failure } from './DraftSync.ts'
import type { ConfirmedDraft } from './queuedEdits.ts'

export function sendEdit(path: string, edit: Edit): Promise<EditAnswer> {
  return ask<EditAnswer>('POST', `${path}/edits`, { body: edit })
}

/** Fetches the current draft of a page or an entry. */
export async function fetchDraft(path: string): Promise<ConfirmedDraft> {
  return (await get<{ draft: Draft }>(path)).draft
}

export function toFailure(error: unknown): Failure {
  if (!(error instanceof ApiProblem) || isLater(error)) return { kind: 'later' }
  if (error.reason === 'title-changed') return { kind: 'lost', pieceId: 'title' }
  if (error.reason === 'piece-changed') return { kind: 'lost', pieceId: String(error.params['piece'] ?? '') }
  return { kind: 'refused', error }
}

/** Replaces the current text with another version, or removes that version. */
export function useOtherVersion(path: string, queryKey: QueryKey) {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true },
    mutationFn: ({ id, take }: { readonly id: string; readonly take: boolean }) =>
      ask<unknown>(take ? 'POST' : 'DELETE', `${path}/other-versions/${id}`),
    onSettled: () => client.invalidateQueries({ queryKey }),
  })
}
