// A statement while it is written: its draft, its questions, and who hears of its words.
import { useQueryClient } from '@tanstack/react-query'
import type { Draft, Piece } from '@valise/core/pages'
import { textPieceOf } from '@valise/core/reflections'
import type { Asking } from '@valise/core/sheets'
import { isAlong, takeQuestions, toldIn } from '@valise/core/statements'
import { useEffect, useMemo } from 'react'
import { tellChanged } from '../api/index.ts'
import { useDraft } from '../saving/index.ts'
import { useAnswers, useTakeSheet } from '../sheets/index.ts'
import { useStableActs } from '../ui/useStableActs.ts'
import { statementPath, statementsKey } from './queries.ts'

/** Words are saved more often than it is worth to fetch what else shows them. */
const TELL_AFTER_MS = 1500

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
  useTold(draft.revision)
  useOtherVersions(id, fromElsewhere)
  const writing = useMemo(() => ({ fromElsewhere, registerFlush: sync.registerFlush }), [fromElsewhere, sync])
  const answers = useAnswers(document)
  return { draft, sheet, told, isOnTheWay, acts, writing, answers, textPiece: textPieceOf(document) }
}

/** What else shows the words hears of them when one pauses, and when one leaves. */
function useTold(revision: number): void {
  const client = useQueryClient()
  useEffect(() => {
    const tell = () => void tellChanged(client, ['evidence'])
    let isTold = false
    const timer = setTimeout(() => {
      isTold = true
      tell()
    }, TELL_AFTER_MS)
    return () => {
      clearTimeout(timer)
      if (!isTold) tell()
    }
  }, [client, revision])
}

/** Only the server knows of our losing texts, so they are refetched whenever others wrote. */
function useOtherVersions(id: string, fromElsewhere: number): void {
  const client = useQueryClient()
  useEffect(() => {
    if (fromElsewhere > 0) void client.invalidateQueries({ queryKey: statementsKey(id) })
  }, [client, id, fromElsewhere])
}
