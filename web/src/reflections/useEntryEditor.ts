// An entry while it is written: its draft, its questions, and the evidence that is put beside its words.
import { useTranslation } from 'react-i18next'
import type { EvidenceRow } from '@valise/core/evidence'
import { idBefore, newEvidencePiece, newRecordingPiece } from '@valise/core/pages'
import type { Piece, Question } from '@valise/core/pages'
import { addQuestions, changeSheet, EVIDENCE_ROW, speakInto, textPieceOf } from '@valise/core/reflections'
import type { Entry } from '@valise/core/reflections'
import { useCallback, useEffect, useMemo, useState } from 'react'
import { useDraft, useFreshDraft } from '../saving/index.ts'
import { useAnswers, useTakeSheet } from '../sheets/index.ts'
import { useAddedItems, useFilesPlace } from '../evidence/upload/index.ts'
import { gather } from '../gather/index.ts'
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
  const answers = useAnswers(document)
  const sheet = useTakeSheet(sync, changeSheet)
  useEffect(
    () => setPlace({ name: title, parent: entry.logbookTitle, within: 'logbooks' }),
    [title, entry.logbookTitle],
  )
  useFreshDraft(reflectionQueries.entry(entry.id).queryKey, draft.fromElsewhere)

  const putInto = (rowId: string, items: readonly EvidenceRow[]) => {
    const row = document.rows.find(({ id }) => id === rowId)
    const pieces = items.map((item) => ({ item, piece: newEvidencePiece(crypto.randomUUID(), item, 6) }))
    setHere((known) => ({
      ...known,
      ...Object.fromEntries(pieces.map(({ item, piece }) => [piece.id, toShownEvidence(item)])),
    }))
    let after = row?.pieces.at(-1)?.id ?? null
    sync.act(
      pieces.map(({ piece }) => {
        const operation = { op: 'insert-piece' as const, rowId, piece, after }
        after = piece.id
        return operation
      }),
    )
  }
  const acts = useStableActs({
    put: (items: readonly EvidenceRow[]) => putInto(EVIDENCE_ROW, items),
    setPiece: (piece: Piece) => void sync.act([{ op: 'set-piece', piece }]),
    record: (source: 'voice' | 'film') =>
      gather(source, {
        onRecorded: (id, moments) => {
          const piece = newRecordingPiece(crypto.randomUUID(), { id }, moments)
          sync.act(speakInto(sync.state().document, piece))
        },
      }),
    remove: (pieceId: string) => void sync.act([{ op: 'remove-piece', pieceId }]),
    putInto,
    takeSheet: sheet.take,
    /** Adds questions of no sheet. @returns whether there was room for them */
    ask: (questions: readonly Question[]) => {
      sync.flush()
      return sync.act(addQuestions(sync.state().document, questions))
    },
    removeQuestion: (pieceId: string) => {
      const row = sync.state().document.rows.find(({ pieces }) => pieces.some(({ id }) => id === pieceId))
      if (row) sync.act([{ op: 'remove-row', rowId: row.id }])
    },
    moveUp: (rowId: string, pieceId: string) => {
      const pieces = document.rows.find(({ id }) => id === rowId)?.pieces ?? []
      const before = idBefore(pieces, pieceId)
      const after = before === null ? null : idBefore(pieces, before)
      sync.act([{ op: 'move-piece', pieceId, rowId, after }])
    },
  })
  const addItems = useAddedItems()
  useFilesPlace(useCallback((files) => addItems(files, acts.put), [addItems, acts]))
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
  const evidence = { ...here, ...entry.draft.shown.evidence }
  return { draft, textPiece, evidence, answers, acts, sheet }
}
