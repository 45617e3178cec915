// The answer that is being made to one copy: level or request, the feedback that goes along, and what is missing of it.
import type { Outcome, Submission } from '@valise/core/submissions'
import { useEffect, useRef, useState } from 'react'
import { useUnsent } from '../saving/index.ts'
import { useIsAnswering } from './acts.ts'
import { placesOf } from './unsentAnswer.ts'
import type { Answers } from './useAnswers.ts'
import { useWrittenFeedback } from './useWrittenFeedback.ts'
import type { WrittenFeedback } from './useWrittenFeedback.ts'

export interface Answering {
  readonly levelId: string | null
  readonly setLevelId: (id: string) => void
  readonly isAsking: boolean
  readonly setIsAsking: (isAsking: boolean) => void
  /** Whether the words of a request were wanted just now, and not only left from before. */
  readonly isRequestNew: boolean
  /** What is to change. */
  readonly request: string
  readonly setRequest: (text: string) => void
  readonly written: WrittenFeedback
  /** What the answer still needs; null where it can be given. */
  readonly missing: 'level' | 'request' | null
  /** Whether somebody tried to give it while that was missing. */
  readonly isReminded: boolean
  readonly isPending: boolean
  /** Gives the answer, or says what is missing. */
  readonly submit: () => void
}

/**
 * @param part the part that is being read
 */
export function useAnswering(submission: Submission, part: number, answers: Answers): Answering {
  const { id, scale, openedAt } = submission
  const places = placesOf(id)
  const level = useUnsent<string | null>(places.level, null)
  const request = useUnsent(places.changes, '')
  const written = useWrittenFeedback(submission, part)
  const isRunning = useIsAnswering(id)
  const [wantsToAsk, setIsAsking] = useState<boolean | null>(null)
  const [isReminded, setIsReminded] = useState(false)
  const [isWaiting, setIsWaiting] = useState(false)
  // Words that wait from before open their field again.
  const isAsking = wantsToAsk ?? request.isThere
  // A scale may have changed since the level was chosen.
  const levelId = scale.some((one) => one.id === level.value) ? level.value : null
  const outcome = toOutcome(isAsking, levelId, request.value, written)
  const give = () => {
    if (outcome) answers.give(submission, outcome)
  }
  const submit = () => {
    if (isRunning) return
    setIsReminded(outcome === null)
    // The answer is ready before the copy is open on the server: it is given as soon as it is.
    if (outcome !== null && openedAt === null) setIsWaiting(true)
    else give()
  }
  const latest = useRef(give)
  useEffect(() => {
    latest.current = give
  })
  // It is given once: after that the desk is at another copy.
  useEffect(() => {
    if (isWaiting && openedAt !== null) latest.current()
  }, [isWaiting, openedAt])
  return {
    ...{ levelId, isAsking, request: request.value, written, isReminded, submit },
    isRequestNew: wantsToAsk === true,
    missing: outcome ? null : isAsking ? 'request' : 'level',
    isPending: isRunning || isWaiting,
    setLevelId: (next) => {
      level.change(next)
      setIsReminded(false)
    },
    setIsAsking: (next) => {
      setIsAsking(next)
      setIsReminded(false)
    },
    setRequest: (text) => {
      request.change(text)
      setIsReminded(false)
    },
  }
}

function toOutcome(
  isAsking: boolean,
  levelId: string | null,
  words: string,
  { toSend }: WrittenFeedback,
): Outcome | null {
  const along = toSend ? { feedback: toSend } : {}
  if (isAsking) return words.trim() === '' ? null : { act: 'ask-for-changes', words, ...along }
  return levelId === null ? null : { act: 'accept', levelId, ...along }
}
