// The answer: requirements as they were handed in, the level, feedback, and the two outcomes with their undo.
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useQuery } from '@tanstack/react-query'
import { IconArrowBackUp, IconCheck, IconMessageReply, IconRubberStamp } from '@tabler/icons-react'
import type { Outcome as AnswerOutcome, Submission } from '@valise/core/submissions'
import { useId, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useUnsent } from '../drafts/useUnsent.ts'
import { FeedbackThread } from '../feedback/FeedbackThread.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { NotchMeter } from '../ui/NotchMeter.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useRefocus } from '../ui/useRefocus.ts'
import { LevelMark } from './LevelMark.tsx'
import { submissionQueries, useAnswer, useUndoAnswer } from './queries.ts'
import { SayForm } from './SayForm.tsx'
import { StateMark } from './StateMark.tsx'
import { useSubmissionWords } from './useSubmissionWords.ts'
import { useWrittenFeedback } from './useWrittenFeedback.ts'
import type { WrittenFeedback } from './useWrittenFeedback.ts'
import styles from './AnswerPanel.module.css'

interface AnswerPanelProps {
  readonly submission: Submission
  readonly part: number
}

export function AnswerPanel({ submission, part }: AnswerPanelProps) {
  const { t } = useTranslation('desk')
  const answer = useAnswer(submission.id)
  const written = useWrittenFeedback(submission, part)
  const panel = useRefocus<HTMLElement>(submission.state)
  return (
    <aside ref={panel} tabIndex={-1} className={styles.panel} aria-label={t('answer')}>
      <Requirements submission={submission} />
      <FeedbackOn submission={submission} written={written} />
      {submission.state === 'with-assessor' ? (
        <Outcome submission={submission} answer={answer} written={written} />
      ) : (
        <Answered submission={submission} />
      )}
      {/* It stays when the other assessor's answer takes the place of what was refused. */}
      <Refusal error={answer.error} />
    </aside>
  )
}

interface WritingProps {
  readonly submission: Submission
  readonly written: WrittenFeedback
}

/** What was asked, and whether it was there when it was handed in. */
function Requirements({ submission }: { readonly submission: Submission }) {
  const { t } = useTranslation(['desk', 'submissions', 'work'])
  const words = useSubmissionWords()
  const { requirements, readiness } = submission
  if (requirements.length === 0) return null
  const there = readiness.filter(({ isThere }) => isThere).length
  return (
    <section>
      <h2 className={styles.heading}>
        {t('asked')} <small>{t('work:readiness.there', { there, of: readiness.length })}</small>
      </h2>
      <ul className={styles.asked}>
        {requirements.map((requirement) => {
          const line = readiness.find(({ id }) => id === requirement.id)
          const isThere = line?.isThere === true
          return (
            <li key={requirement.id} data-there={isThere}>
              <span>
                <b>{words.wanted(requirement)}</b>
                {line ? <small>{words.found(line, requirement)}</small> : null}
              </span>
              <em>
                {isThere ? <IconCheck size={15} stroke={2} aria-hidden="true" /> : null}
                {isThere ? t('submissions:readiness.isThere') : t(`work:weights.${requirement.weight}`)}
              </em>
            </li>
          )
        })}
      </ul>
    </section>
  )
}

function FeedbackOn({ submission, written }: WritingProps) {
  const { t } = useTranslation('submissions')
  const feedback = useQuery(submissionQueries.feedback(submission.id))
  const nameOf = (n: number) => submission.partList.find((one) => one.n === n)?.title ?? ''
  return (
    <section>
      <h2 className={styles.heading}>{t('feedback.title')}</h2>
      <Fetched query={feedback}>{(items) => <FeedbackThread items={items} nameOfPart={nameOf} />}</Fetched>
      <SayForm submission={submission} written={written} />
    </section>
  )
}

interface OutcomeProps extends WritingProps {
  readonly answer: ReturnType<typeof useAnswer>
}

function Outcome({ submission, answer, written }: OutcomeProps) {
  const { t } = useTranslation('desk')
  const words = useSubmissionWords()
  const { scale, revision } = submission
  const hintId = useId()
  const [levelId, setLevelId] = useState<string | null>(null)
  const asked = useUnsent(`/submissions/${submission.id}#changes`, '')
  const [wantsToAsk, setWantsToAsk] = useState(false)
  const isAsking = wantsToAsk || asked.isThere
  /** An answer takes what is written along; where that is refused, nothing is answered yet. */
  const give = async (outcome: AnswerOutcome) => {
    if (await written.send()) answer.mutate({ revision, outcome })
  }
  const onAccept = () => levelId !== null && void give({ act: 'accept', levelId })
  // The words stay on the device, for whoever undoes the answer and goes on writing.
  const onAsk = () => void give({ act: 'ask-for-changes', words: asked.value })
  const onDontAsk = () => {
    setWantsToAsk(false)
    asked.clear()
  }
  return (
    <section className={styles.outcome} aria-labelledby="level">
      <fieldset className={styles.levels}>
        <legend id="level">{t('level')}</legend>
        {scale.map((level, at) => (
          <label key={level.id} data-on={level.id === levelId}>
            <input
              type="radio"
              name="level"
              checked={level.id === levelId}
              onChange={() => setLevelId(level.id)}
            />
            <NotchMeter position={at + 1} of={scale.length} />
            <span>{words.title(level.name)}</span>
          </label>
        ))}
      </fieldset>
      {isAsking ? (
        <TextField
          autoFocus={wantsToAsk}
          label={t('whatToChange')}
          helperText={t('whatToChangeHint')}
          required
          id={`${hintId}-words`}
          multiline
          minRows={2}
          maxRows={8}
          fullWidth
          value={asked.value}
          onChange={(event) => asked.change(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 2000 } }}
        />
      ) : null}
      {!isAsking ? (
        <div className={styles.acts}>
          <Button startIcon={<IconMessageReply size={18} stroke={1.7} />} onClick={() => setWantsToAsk(true)}>
            {t('ask')}
          </Button>
          <Button
            variant="contained"
            color="primary"
            disabled={levelId === null}
            {...(levelId === null && { 'aria-describedby': hintId })}
            loading={answer.isPending || written.isPending}
            startIcon={<IconRubberStamp size={18} stroke={1.7} />}
            onClick={onAccept}
          >
            {t(written.isThere ? 'acceptAndSend' : 'accept')}
          </Button>
        </div>
      ) : (
        <div className={styles.acts}>
          <Button variant="text" onClick={onDontAsk}>
            {t('dontAsk')}
          </Button>
          <Button
            variant="contained"
            color="primary"
            disabled={asked.value.trim() === ''}
            aria-describedby={`${hintId}-words-helper-text`}
            loading={answer.isPending || written.isPending}
            startIcon={<IconMessageReply size={18} stroke={1.7} />}
            onClick={onAsk}
          >
            {t('ask')}
          </Button>
        </div>
      )}
      {!isAsking && levelId === null ? (
        <p id={hintId} className={styles.hint}>
          {t('levelFirst')}
        </p>
      ) : null}
    </section>
  )
}

function Answered({ submission }: { readonly submission: Submission }) {
  const { t } = useTranslation('desk')
  const undo = useUndoAnswer(submission.id)
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
