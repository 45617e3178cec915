// The outcome of a copy: one level of the scale to accept it, or a sentence that asks for changes.
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { IconMessageReply, IconRubberStamp } from '@tabler/icons-react'
import type { Submission } from '@valise/core/submissions'
import { useId } from 'react'
import type { Ref } from 'react'
import { useTranslation } from 'react-i18next'
import { useSession } from '../session/index.ts'
import { NotchMeter } from '../ui/NotchMeter.tsx'
import type { Answering } from './useAnswering.ts'
import { useSubmissionWords } from './useSubmissionWords.ts'
import styles from './AnswerPanel.module.css'

interface OutcomeFormProps {
  readonly submission: Submission
  readonly answering: Answering
  readonly hasNext: boolean
  readonly requestRef: Ref<HTMLTextAreaElement>
  readonly onCancel: () => void
}

export function OutcomeForm(props: OutcomeFormProps) {
  const { submission, answering, hasNext, requestRef, onCancel } = props
  const { t } = useTranslation(['desk', 'app'])
  const hintId = useId()
  const { isAsking, missing, isReminded, written } = answering
  const hint = missing ? t(`missing.${missing}`) : written.isThere ? t('feedbackGoesAlong') : ''
  return (
    <section data-print="off" className={styles.outcome} aria-label={t('answer')}>
      {isAsking ? (
        <Request answering={answering} requestRef={requestRef} />
      ) : (
        <Levels submission={submission} answering={answering} />
      )}
      <div className={styles.acts}>
        {isAsking ? (
          <Button
            variant="text"
            onClick={() => {
              answering.setIsAsking(false)
              onCancel()
            }}
          >
            {t('app:actions.cancel')}
          </Button>
        ) : (
          <Button aria-keyshortcuts="R" onClick={() => answering.setIsAsking(true)}>
            {t('ask')}
          </Button>
        )}
        <Button
          variant="contained"
          color="primary"
          aria-keyshortcuts="Control+Enter"
          aria-describedby={hintId}
          disabled={missing !== null}
          loading={answering.isPending}
          loadingPosition="start"
          startIcon={
            isAsking ? (
              <IconMessageReply size={18} stroke={1.7} />
            ) : (
              <IconRubberStamp size={18} stroke={1.7} />
            )
          }
          onClick={answering.submit}
        >
          {t(isAsking ? (hasNext ? 'askAndNext' : 'ask') : hasNext ? 'acceptAndNext' : 'accept')}
        </Button>
      </div>
      <p id={hintId} className={styles.hint} data-reminded={isReminded}>
        {hint}
      </p>
      {/* What is heard when the key was pressed too early. */}
      <p className="only-heard" role="alert">
        {isReminded ? hint : ''}
      </p>
    </section>
  )
}

function Levels({ submission, answering }: Pick<OutcomeFormProps, 'submission' | 'answering'>) {
  const { t } = useTranslation('desk')
  const { letterKeys } = useSession()
  const words = useSubmissionWords()
  const { levelId, setLevelId } = answering
  const { scale } = submission
  const chosen = scale.find(({ id }) => id === levelId)
  return (
    <fieldset className={styles.levels}>
      <legend>{t('level')}</legend>
      {scale.map((level, at) => (
        <label key={level.id} data-on={level.id === levelId}>
          <input
            type="radio"
            name="level"
            checked={level.id === levelId}
            onChange={() => setLevelId(level.id)}
          />
          {letterKeys && at < 9 ? <kbd aria-hidden="true">{at + 1}</kbd> : null}
          <NotchMeter position={at + 1} of={scale.length} />
          <span>{words.title(level.name)}</span>
        </label>
      ))}
      {/* A digit sets it while the focus is elsewhere. */}
      <span className="only-heard" role="status">
        {chosen ? t('levelIs', { level: words.title(chosen.name) }) : ''}
      </span>
    </fieldset>
  )
}

function Request({ answering, requestRef }: Pick<OutcomeFormProps, 'answering' | 'requestRef'>) {
  const { t } = useTranslation('desk')
  return (
    <TextField
      autoFocus={answering.isRequestNew}
      inputRef={requestRef}
      label={t('whatToChange')}
      helperText={t('whatToChangeHint')}
      required
      multiline
      minRows={2}
      maxRows={4}
      fullWidth
      value={answering.request}
      onChange={(event) => answering.setRequest(event.target.value)}
      slotProps={{ htmlInput: { maxLength: 2000 } }}
    />
  )
}
