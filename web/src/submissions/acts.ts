// What can be done with hand-ins: choosing, handing in, taking back, opening, answering, saying something.
import { useMutation, useMutationState, useQueryClient } from '@tanstack/react-query'
import type { Feedback, NewFeedback } from '@valise/core/feedback'
import type {
  ChosenPart,
  HandIn,
  HandingIn,
  Outcome,
  Submission,
  SubmissionRow,
  UndoneOutcome,
} from '@valise/core/submissions'
import { ApiProblem, mayRetry, ask } from '../api/index.ts'
import { submissionQueries, handInPath, submissionPath } from './queries.ts'

/** Changes the chosen parts. Changes are sent one after the other, each at the revision of the one before. */
export function useChoose(assignmentId: string) {
  const client = useQueryClient()
  const { queryKey } = submissionQueries.handIn(assignmentId)
  return useMutation({
    meta: { showsSaving: true },
    scope: { id: `choice ${assignmentId}` },
    mutationFn: (change: (parts: readonly ChosenPart[]) => readonly ChosenPart[]) => {
      const present = client.getQueryData<HandIn>(queryKey)
      const parts = (present?.parts ?? []).map(({ kind, id, isIn, copy }) => ({ kind, id, isIn, copy }))
      return ask<HandIn>('PUT', handInPath(assignmentId), {
        body: { parts: change(parts) },
        revision: present?.revision ?? 0,
      })
    },
    onSuccess: (handIn) => client.setQueryData(queryKey, handIn),
    onError: (error) => {
      if (error instanceof ApiProblem) void client.invalidateQueries({ queryKey })
    },
  })
}

export function useHandIn(assignmentId: string) {
  return useMutation({
    meta: { showsSaving: true, changes: ['submissions'] },
    mutationFn: ({
      key,
      revision,
      ...body
    }: HandingIn & { readonly key: string; readonly revision: number }) =>
      ask<SubmissionRow>('POST', `/api/assignments/${assignmentId}/submissions`, { body, revision, key }),
  })
}

export function useTakeBack() {
  return useMutation({
    meta: { showsSaving: true, changes: ['submissions'] },
    mutationFn: (id: string) => ask<SubmissionRow>('POST', `${submissionPath(id)}/take-back`),
  })
}

/** Opens a copy. The student is notified of the first time, so it is a mutation of its own. */
export function useOpenCopy(id: string) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: () => ask<Submission>('POST', `${submissionPath(id)}/open`),
    onSuccess: async (submission) => {
      const { queryKey } = submissionQueries.one(id)
      // What was asked for before it was opened must not come in after.
      await client.cancelQueries({ queryKey })
      client.setQueryData(queryKey, submission)
    },
  })
}

export interface Answer {
  readonly submission: Submission
  readonly outcome: Outcome
  /** The same for each try of one answer, so that it is given once. */
  readonly key: string
}

const ANSWER = ['answer'] as const

/** Gives an outcome while the assessor reads on: `onDone` and `onRefused` run on any screen. */
export function useAnswer({ onDone, onRefused }: AnswerCallbacks) {
  const client = useQueryClient()
  return useMutation({
    mutationKey: ANSWER,
    meta: { showsSaving: true, changes: ['submissions'] },
    // With the same key it has one effect, whichever of the tries arrived.
    retry: mayRetry,
    mutationFn: ({ submission: { id, revision }, outcome, key }: Answer) =>
      ask<Submission>('POST', `${submissionPath(id)}/outcome`, { body: outcome, revision, key }),
    onSuccess: (answered, answer) => {
      client.setQueryData(submissionQueries.one(answered.id).queryKey, answered)
      onDone(answered, answer)
    },
    onError: (error, answer) => {
      void client.invalidateQueries({ queryKey: submissionQueries.one(answer.submission.id).queryKey })
      onRefused(error, answer)
    },
  })
}

export interface AnswerCallbacks {
  readonly onDone: (answered: Submission, answer: Answer) => void
  readonly onRefused: (error: unknown, answer: Answer) => void
}

/** Returns whether an outcome of this copy is being sent. */
export function useIsAnswering(id: string): boolean {
  return (
    useMutationState({
      filters: {
        mutationKey: ANSWER,
        status: 'pending',
        predicate: ({ state }) => (state.variables as Answer | undefined)?.submission.id === id,
      },
      select: () => true,
    }).length > 0
  )
}

/** Undoes an outcome; `onDone` gets the outcome that was undone. */
export function useUndoAnswer(onDone: (outcome: Outcome, submission: Submission) => void) {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true, changes: ['submissions'] },
    mutationFn: (id: string) => ask<UndoneOutcome>('DELETE', `${submissionPath(id)}/outcome`),
    onSuccess: ({ submission, outcome }) => {
      client.setQueryData(submissionQueries.one(submission.id).queryKey, submission)
      onDone(outcome, submission)
    },
  })
}

export function useSay(id: string) {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true },
    mutationFn: ({ key, ...body }: NewFeedback & { readonly key: string }) =>
      ask<Feedback[]>('POST', `${submissionPath(id)}/feedback`, { body, key }),
    onSuccess: (feedback) => {
      client.setQueryData(submissionQueries.feedback(id).queryKey, feedback)
      void client.invalidateQueries({ queryKey: [...submissionQueries.all(), 'page'] })
    },
  })
}

/** Publishes the current draft of a page from the list of parts. */
export function usePublishPart(assignmentId: string) {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true, changes: ['pages'] },
    mutationFn: ({ id, revision }: { readonly id: string; readonly revision: number }) =>
      ask<unknown>('POST', `/api/pages/${id}/published`, { revision }),
    onSettled: () => client.invalidateQueries({ queryKey: submissionQueries.handIn(assignmentId).queryKey }),
  })
}
