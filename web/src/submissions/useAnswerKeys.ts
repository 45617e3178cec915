// The keys of an answer: digits set the level, letters lead to its fields, Ctrl+Enter gives it, also out of a field.
import type { Submission } from '@valise/core/submissions'
import { useEffect, useRef } from 'react'
import { useLetterKeys } from '../ui/useLetterKeys.ts'
import type { Answering } from './useAnswering.ts'

interface AnswerKeys {
  readonly toFeedback: () => void
  /** To the sentence that asks for changes, where its field is open. */
  readonly toRequest: () => void
  /** Undoes the answer that was given; undefined where there is none that could be. */
  readonly undo: (() => void) | undefined
}

export function useAnswerKeys(
  { state, scale }: Submission,
  answering: Answering,
  { toFeedback, toRequest, undo }: AnswerKeys,
): void {
  const mayAnswer = state === 'with-assessor'
  const levels = scale
    .slice(0, 9)
    .map(({ id }, at) => [String(at + 1), () => answering.setLevelId(id)] as const)
  useLetterKeys({
    f: toFeedback,
    ...(undo && { u: undo }),
    ...(mayAnswer && {
      ...Object.fromEntries(levels),
      r: () => (answering.isAsking ? toRequest() : answering.setIsAsking(true)),
    }),
  })
  const submit = useRef(answering.submit)
  useEffect(() => {
    // What was answered is not answered again: what is written then is feedback alone.
    submit.current = mayAnswer ? answering.submit : () => void answering.written.send()
  })
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const isIt = event.key === 'Enter' && (event.ctrlKey || event.metaKey) && !event.altKey
      const isInDialog = event.target instanceof Element && event.target.closest('dialog, [role="dialog"]')
      if (!isIt || event.repeat || isInDialog) return
      event.preventDefault()
      submit.current()
    }
    document.addEventListener('keydown', onKey)
    return () => document.removeEventListener('keydown', onKey)
  }, [])
}
