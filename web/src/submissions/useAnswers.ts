// Giving answers while one reads on: they are under way behind the next copy, can be undone for a minute, and what is
// refused is said on whatever screen is open, with every word still on the device.
import { OUTCOME_UNDO_SECONDS } from '@valise/core/submissions'
import type { Outcome, Submission } from '@valise/core/submissions'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { useSession } from '../session/index.ts'
import { footNote, offerUndo } from '../ui/footNote.ts'
import { useAnswer, useUndoAnswer } from './acts.ts'
import { clearAnswer, restoreAnswer } from './unsentAnswer.ts'
import { copyAddress } from './useQueue.ts'
import type { DeskQueueState } from './useQueue.ts'
import { useSubmissionWords } from './useSubmissionWords.ts'

/** One key for each answer, also where it is tried again from another screen. */
const keys = new Map<string, string>()

export interface Answers {
  /** Gives the answer and goes on to the next copy at once. */
  readonly give: (submission: Submission, outcome: Outcome) => void
  /** Undoes an answer and comes back to its copy, with what was written. */
  readonly undo: (id: string) => Promise<unknown>
}

export function useAnswers(queue: DeskQueueState): Answers {
  const { t } = useTranslation('desk')
  const words = useSubmissionWords()
  const navigate = useNavigate()
  const { personId } = useSession()
  const open = (id: string, part?: number) =>
    navigate(copyAddress(id, queue.assignmentId), {
      state: { isPutRight: true, toAnswer: true, ...(part && { part }) },
    })
  const undoing = useUndoAnswer((outcome, { id }) => {
    restoreAnswer(personId, id, outcome)
    queue.comeBack(id)
    // Its copy is open already; what was written on another part of it leads there.
    if (outcome.feedback?.part) void open(id, outcome.feedback.part)
  })
  const undo = async (id: string) => {
    // First to its copy: what one does next is meant for that, and not for the one that is open.
    if (!globalThis.location.pathname.endsWith(id)) await open(id)
    return undoing.mutateAsync(id)
  }
  const giving = useAnswer({
    onDone: ({ id, ownerName, level }, { outcome }) => {
      keys.delete(keyOf(id, outcome))
      clearAnswer(personId, id, outcome)
      offerUndo(
        level
          ? t('accepted', { name: ownerName, level: words.level(level) })
          : t('askedOf', { name: ownerName }),
        () => undo(id),
        OUTCOME_UNDO_SECONDS * 1000,
      )
    },
    onRefused: (error, { submission: { id, ownerName } }) => {
      queue.comeBack(id)
      footNote.set({
        words: t('notGiven', { name: ownerName }),
        error,
        action: { label: 'open', run: () => open(id) },
      })
    },
  })
  return {
    undo,
    give: (submission, outcome) => {
      const { id } = submission
      const answer = keyOf(id, outcome)
      const key = keys.get(answer) ?? crypto.randomUUID()
      keys.set(answer, key)
      giving.mutate({ submission, outcome, key })
      void queue.goOn(submission)
    },
  }
}

/** Another answer to the same copy is another act. */
function keyOf(id: string, outcome: Outcome): string {
  return JSON.stringify([id, outcome])
}
