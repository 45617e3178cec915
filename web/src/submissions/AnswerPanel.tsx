// The answer: requirements as they were handed in, what was said, and the reply: feedback, level and outcome.
import Button from '@mui/material/Button'
import { useMutation, useQuery } from '@tanstack/react-query'
import { IconArrowBackUp, IconCheck } from '@tabler/icons-react'
import type { Submission } from '@valise/core/submissions'
import { useEffect, useRef } from 'react'
import type { KeyboardEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { useLocation } from 'react-router'
import { FeedbackThread } from '../feedback/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useRefocus } from '../ui/useRefocus.ts'
import { LevelMark } from './LevelMark.tsx'
import { OutcomeForm } from './OutcomeForm.tsx'
import { submissionQueries } from './queries.ts'
import { SayForm } from './SayForm.tsx'
import { StateMark } from './StateMark.tsx'
import { useAnswering } from './useAnswering.ts'
import { useAnswerKeys } from './useAnswerKeys.ts'
import type { Answers } from './useAnswers.ts'
import { useSubmissionWords } from './useSubmissionWords.ts'
import styles from './AnswerPanel.module.css'

interface AnswerPanelProps {
  readonly submission: Submission
  readonly part: number
  readonly answers: Answers
  /** Whether another copy comes after this one. */
  readonly hasNext: boolean
  /** Scrolls the copy beside it, by so much of its height. */
  readonly onScroll: (pages: number) => void
}

export function AnswerPanel({ submission, part, answers, hasNext, onScroll }: AnswerPanelProps) {
  const { t } = useTranslation('desk')
  const { state } = useLocation()
  const answering = useAnswering(submission, part, answers)
  const panel = useRefocus<HTMLElement>(submission.state)
  const field = useRef<HTMLTextAreaElement>(null)
  const request = useRef<HTMLTextAreaElement>(null)
  const toPanel = () => panel.current?.focus({ preventScroll: true })
  const mayAnswer = submission.state === 'with-assessor'
  const toAnswer = state?.toAnswer === true
  // From copy to copy the focus stays in the answer.
  useEffect(() => {
    if (toAnswer) panel.current?.focus({ preventScroll: true })
  }, [toAnswer, panel])
  useAnswerKeys(submission, answering, {
    toFeedback: () => field.current?.focus(),
    toRequest: () => request.current?.focus(),
    undo: submission.mayUndo ? () => void answers.undo(submission.id) : undefined,
  })
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const isHere = event.target === event.currentTarget
    const pages = isHere ? scrolled[event.key] : undefined
    if (pages !== undefined) {
      event.preventDefault()
      onScroll(event.key === ' ' && event.shiftKey ? -pages : pages)
    }
    // Out of a field, so that digits and letters act again; what was typed stays.
    if (event.key === 'Escape' && event.target instanceof HTMLTextAreaElement) toPanel()
  }
  return (
    <aside
      ref={panel}
      tabIndex={-1}
      className={styles.panel}
      aria-label={t('answerTo', { name: submission.ownerName })}
      onKeyDown={onKeyDown}
    >
      <Requirements submission={submission} />
      <Said submission={submission} />
      <div className={styles.reply}>
        <SayForm submission={submission} written={answering.written} inputRef={field} />
        {mayAnswer ? (
          <OutcomeForm
            submission={submission}
            answering={answering}
            hasNext={hasNext}
            requestRef={request}
            onCancel={toPanel}
          />
        ) : (
          <Answered submission={submission} onUndo={() => answers.undo(submission.id)} />
        )}
      </div>
    </aside>
  )
}

/** While the focus is in the answer, and in none of its fields, the copy is read by these keys: pages of its height. */
const scrolled: Readonly<Record<string, number>> = {
  ...{ PageDown: 0.9, PageUp: -0.9, ' ': 0.9, ArrowDown: 0.1, ArrowUp: -0.1, Home: -Infinity, End: Infinity },
}

/** What was asked, and whether it was there when it was handed in. */
function Requirements({ submission }: { readonly submission: Submission }) {
  const { t } = useTranslation(['desk', 'submissions', 'work'])
  const words = useSubmissionWords()
  const { readiness } = submission
  if (readiness.length === 0) return null
  const there = readiness.filter(({ result }) => result.isThere).length
  // What is missing is seen without scrolling.
  const inOrder = [false, true].flatMap((isThere) =>
    readiness.filter(({ result }) => result.isThere === isThere),
  )
  return (
    <section>
      <h2 className={styles.heading}>
        {t('asked')} <small>{t('work:readiness.there', { there, of: readiness.length })}</small>
      </h2>
      <ul className={styles.asked}>
        {inOrder.map((checked) => {
          const { requirement, result } = checked
          return (
            <li key={requirement.id} data-there={result.isThere}>
              <span>
                <b>{words.wanted(requirement)}</b>
                <small>{words.found(checked)}</small>
              </span>
              <em>
                {result.isThere ? <IconCheck size={15} stroke={2} aria-hidden="true" /> : null}
                {result.isThere
                  ? t('submissions:readiness.isThere')
                  : t(`work:weights.${requirement.weight}`)}
              </em>
            </li>
          )
        })}
      </ul>
    </section>
  )
}

function Said({ submission }: { readonly submission: Submission }) {
  const { t } = useTranslation('submissions')
  const feedback = useQuery(submissionQueries.feedback(submission.id))
  const nameOf = (n: number) => submission.partList.find((one) => one.n === n)?.title ?? ''
  return (
    <Fetched query={feedback}>
      {(items) =>
        items.length === 0 ? null : (
          <section>
            <h2 className={styles.heading}>{t('feedback.title')}</h2>
            <FeedbackThread items={items} nameOfPart={nameOf} studentName={submission.ownerName} />
          </section>
        )
      }
    </Fetched>
  )
}

interface AnsweredProps {
  readonly submission: Submission
  readonly onUndo: () => Promise<unknown>
}

function Answered({ submission, onUndo }: AnsweredProps) {
  const { t } = useTranslation('desk')
  const undo = useMutation({ mutationFn: onUndo })
  return (
    <section className={styles.outcome} aria-live="polite">
      <p className={styles.answered}>
        <StateMark row={submission} isMine={false} />
        {submission.level ? <LevelMark received={submission.level} /> : null}
      </p>
      {submission.mayUndo ? (
        <>
          <Button
            loading={undo.isPending}
            startIcon={<IconArrowBackUp size={18} stroke={1.7} />}
            onClick={() => undo.mutate()}
          >
            {t('undo')}
          </Button>
          <p className={styles.hint}>{t('undoHint')}</p>
        </>
      ) : null}
      <Refusal error={undo.error} />
    </section>
  )
}
