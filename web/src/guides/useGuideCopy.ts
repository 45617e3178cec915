// A copy while its owner works in it: its draft, its stages at this moment, and what is put beside its questions.
import { hashKey, useQueryClient } from '@tanstack/react-query'
import type { QueryKey } from '@tanstack/react-query'
import type { EvidenceRow } from '@valise/core/evidence'
import { stageStates, takeVersion } from '@valise/core/guides'
import type { GuideCopy, GuideVersion } from '@valise/core/guides'
import { idBefore, newEntryPiece, newEvidencePiece, newLogbookPiece } from '@valise/core/pages'
import type { Piece } from '@valise/core/pages'
import { useEffect, useMemo, useRef, useState } from 'react'
import { toShownEvidence } from '../evidence/base/index.ts'
import { useDraft, useFreshDraft, useSaveStatus } from '../saving/index.ts'
import { useAnswers } from '../sheets/index.ts'
import { useServerNow } from '../ui/useServerNow.ts'
import { useStableActs } from '../ui/useStableActs.ts'
import { guideQueries } from './queries.ts'
import { copyPath } from './starting.ts'

export function useGuideCopy(copy: GuideCopy) {
  const client = useQueryClient()
  const now = useServerNow(copy.at)
  const { queryKey } = guideQueries.copy(copy.id)
  const draft = useDraft(copyPath(copy.id), copy.draft)
  const { document, sync } = draft
  const [here, setHere] = useState(copy.draft.shown.evidence)
  const answers = useAnswers(document)
  useFreshDraft(queryKey, draft.fromElsewhere)
  useWordsOfOthers(queryKey, draft.revision)
  const stages = useMemo(
    () => stageStates(document, copy.content, copy.moments, now),
    [document, copy.content, copy.moments, now],
  )

  const insert = (rowId: string, pieces: readonly Piece[]) => {
    let after =
      sync
        .state()
        .document.rows.find(({ id }) => id === rowId)
        ?.pieces.at(-1)?.id ?? null
    sync.act(
      pieces.map((piece) => {
        const operation = { op: 'insert-piece' as const, rowId, piece, after }
        after = piece.id
        return operation
      }),
    )
  }
  /** What only the server knows of it, such as the words of an entry, comes once the change is there. */
  const fetchShown = async () => {
    await sync.settled()
    await client.invalidateQueries({ queryKey })
  }
  const acts = useStableActs({
    setPiece: (piece: Piece) => void sync.act([{ op: 'set-piece', piece }]),
    remove: (pieceId: string) => void sync.act([{ op: 'remove-piece', pieceId }]),
    put: (rowId: string, items: readonly EvidenceRow[]) => {
      const pieces = items.map((item) => ({ item, piece: newEvidencePiece(crypto.randomUUID(), item, 6) }))
      setHere((known) => ({
        ...known,
        ...Object.fromEntries(pieces.map(({ item, piece }) => [piece.id, toShownEvidence(item)])),
      }))
      insert(
        rowId,
        pieces.map(({ piece }) => piece),
      )
    },
    putEntry: (rowId: string, entryId: string) => {
      insert(rowId, [newEntryPiece(crypto.randomUUID(), entryId)])
      void fetchShown()
    },
    putLogbook: (rowId: string, logbookId: string) => {
      insert(rowId, [newLogbookPiece(crypto.randomUUID(), logbookId)])
      void fetchShown()
    },
    moveUp: (rowId: string, pieceId: string) => {
      const pieces = document.rows.find(({ id }) => id === rowId)?.pieces ?? []
      const before = idBefore(pieces, pieceId)
      const after = before === null ? null : idBefore(pieces, before)
      sync.act([{ op: 'move-piece', pieceId, rowId, after }])
    },
    takeNewest: async (version: GuideVersion) => {
      sync.flush()
      sync.act(takeVersion(sync.state().document, version, copy.id))
      await fetchShown()
    },
  })
  const evidence = { ...here, ...copy.draft.shown.evidence }
  return { copy, draft, answers, stages, acts, evidence }
}

/**
 * Fetches the copy anew when something else was saved, such as the last words of an entry that one comes back from; what is
 * written in the copy itself is here already.
 */
function useWordsOfOthers(queryKey: QueryKey, revision: number): void {
  const client = useQueryClient()
  const status = useSaveStatus()
  const saved = useRef(revision)
  const hash = hashKey(queryKey)
  useEffect(() => {
    if (status.state !== 'saved') return
    if (saved.current === revision)
      void client.invalidateQueries({ predicate: ({ queryHash }) => queryHash === hash })
    saved.current = revision
    // A newer revision of the copy alone is no reason to fetch it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [client, hash, status])
}

export type GuideCopyEditor = ReturnType<typeof useGuideCopy>
