// An entry while it is written: its draft, and the evidence that is put beside its words.
import { useTranslation } from 'react-i18next'
import { useQueryClient } from '@tanstack/react-query'
import type { EvidenceRow } from '@valise/core/evidence'
import { newEvidencePiece } from '@valise/core/pages'
import { EVIDENCE_ROW, textPieceOf } from '@valise/core/reflections'
import type { Entry } from '@valise/core/reflections'
import { useEffect, useMemo, useState } from 'react'
import { useDraft } from '../saving/index.ts'
import { useTrayPlace } from '../evidence/tray/index.ts'
import { toShownEvidence } from '../evidence/base/index.ts'
import { useStableActs } from '../ui/useStableActs.ts'
import { setPlace } from '../ui/place.ts'
import { entryPath, reflectionQueries } from './queries.ts'

export function useEntryEditor(entry: Entry) {
  const { t } = useTranslation(['reflections', 'pages'])
  const draft = useDraft(entryPath(entry.id), entry.draft)
  const { document, sync } = draft
  const textPiece = textPieceOf(document)
  const title = document.title || t('entries.untitled')
  const [here, setHere] = useState(entry.draft.shown.evidence)
  useEffect(
    () => setPlace({ name: title, parent: entry.logbookTitle, within: 'logbooks' }),
    [title, entry.logbookTitle],
  )
  useFreshShown(entry, draft)

  const put = (items: readonly EvidenceRow[]) => {
    const beside = document.rows.find(({ id }) => id === EVIDENCE_ROW)
    const pieces = items.map((item) => ({ item, piece: newEvidencePiece(crypto.randomUUID(), item, 6) }))
    setHere((known) => ({
      ...known,
      ...Object.fromEntries(pieces.map(({ item, piece }) => [piece.id, toShownEvidence(item)])),
    }))
    let after = beside?.pieces.at(-1)?.id ?? null
    sync.act(
      pieces.map(({ piece }) => {
        const operation = { op: 'insert-piece' as const, rowId: EVIDENCE_ROW, piece, after }
        after = piece.id
        return operation
      }),
    )
  }
  const acts = useStableActs({ put })
  useTrayPlace(
    useMemo(
      () => ({
        one: t('entry.trayOne'),
        all: t('entry.trayAll'),
        onOne: (item: EvidenceRow) => acts.put([item]),
        onAll: (items: readonly EvidenceRow[]) => acts.put(items),
      }),
      [t, acts],
    ),
  )
  return { draft, textPiece, here, put }
}

/** Only the server knows of our losing texts, so they are refetched whenever others wrote. */
function useFreshShown(entry: Entry, { fromElsewhere }: ReturnType<typeof useDraft>): void {
  const client = useQueryClient()
  useEffect(() => {
    if (fromElsewhere > 0)
      void client.invalidateQueries({ queryKey: reflectionQueries.entry(entry.id).queryKey })
  }, [client, entry.id, fromElsewhere])
}
