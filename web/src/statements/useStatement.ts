// A statement while it is written: its draft, its questions, and who hears of its words.
import { useQueryClient } from '@tanstack/react-query'
import type { Draft, Piece } from '@valise/core/pages'
import { textPieceOf } from '@valise/core/reflections'
import type { Asking } from '@valise/core/sheets'
import { isAlong, takeQuestions, toldIn } from '@valise/core/statements'
import { useCallback, useEffect, useMemo, useRef } from 'react'
import { tellChanged } from '../api/index.ts'
import { useDraft, useFreshDraft } from '../saving/index.ts'
import type { DraftSync } from '../saving/index.ts'
import { useAnswers, useTakeSheet } from '../sheets/index.ts'
import { useStableActs } from '../ui/useStableActs.ts'
import { statementPath, statementsKey } from './queries.ts'

/** Words are saved more often than it is worth to fetch what else shows them. */
const TELL_AFTER_MS = 2000

export function useStatement(id: string, saved: Draft, asked: Asking | null) {
  const draft = useDraft(statementPath(id), saved)
  const { document, sync, fromElsewhere } = draft
  const sheet = useTakeSheet(sync, takeQuestions)
  const told = toldIn(document)
  const isOnTheWay = asked !== null && isAlong(document, asked)
  const acts = useStableActs({
    setPiece: (piece: Piece) => void sync.act([{ op: 'set-piece', piece }]),
    takeAsked: () => void (asked && sync.act(takeQuestions(sync.state().document, asked))),
  })
  // Nothing was said yet, and there are questions: they are what one came for.
  const isToBegin = asked !== null && !isOnTheWay && told === '' && !document.sheet
  useEffect(() => {
    if (isToBegin) acts.takeAsked()
  }, [isToBegin, acts])
  useTold(sync, draft.revision)
  useFreshDraft(statementsKey(id), fromElsewhere)
  const writing = useMemo(() => ({ fromElsewhere, registerFlush: sync.registerFlush }), [fromElsewhere, sync])
  const answers = useAnswers(document)
  return { draft, sheet, told, isOnTheWay, acts, writing, answers, textPiece: textPieceOf(document) }
}

/** What else shows the words hears of them when one pauses, and once all is saved after one has left. */
function useTold(sync: DraftSync, revision: number): void {
  const client = useQueryClient()
  const told = useRef(revision)
  const tell = useCallback(() => {
    const { revision: saved } = sync.state()
    if (saved === told.current) return
    told.current = saved
    void tellChanged(client, ['evidence'])
  }, [client, sync])
  useEffect(() => {
    const timer = setTimeout(tell, TELL_AFTER_MS)
    return () => clearTimeout(timer)
  }, [tell, revision])
  useEffect(
    () => () => {
      sync.flush()
      void sync.settled().then(tell)
    },
    [sync, tell],
  )
}
