// The questions of a document with their answers; one that nobody changed stays the same object and is not rendered anew.
import type { PageDocument } from '@valise/core/pages'
import { answersOf } from '@valise/core/reflections'
import type { AnswerInEntry } from '@valise/core/reflections'
import { useMemo, useState } from 'react'

export function useAnswers(document: PageDocument): readonly AnswerInEntry[] {
  const [known] = useState(() => new Map<string, AnswerInEntry>())
  return useMemo(
    () =>
      answersOf(document).map((answer) => {
        const before = known.get(answer.piece.id)
        const isSame =
          before?.piece === answer.piece &&
          before.isAsked === answer.isAsked &&
          before.beside.length === answer.beside.length &&
          before.beside.every((piece, n) => piece === answer.beside[n])
        const kept = before && isSame ? before : answer
        known.set(answer.piece.id, kept)
        return kept
      }),
    [document, known],
  )
}
