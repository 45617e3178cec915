// Writing feedback: on a part or the whole, open or private, with who reads it said beside.
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useForkRef } from '@mui/material/utils'
import { LONGEST_FEEDBACK } from '@valise/core/submissions'
import type { Submission } from '@valise/core/submissions'
import { useId } from 'react'
import type { Ref } from 'react'
import { useTranslation } from 'react-i18next'
import { ChoiceBar } from '../ui/ChoiceBar.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useListWords } from '../ui/useListWords.ts'
import { useRefocus } from '../ui/useRefocus.ts'
import type { WrittenFeedback } from './useWrittenFeedback.ts'
import styles from './SayForm.module.css'

interface SayFormProps {
  readonly submission: Submission
  readonly written: WrittenFeedback
  readonly inputRef?: Ref<HTMLTextAreaElement>
}

export function SayForm({ submission, written, inputRef }: SayFormProps) {
  const { t } = useTranslation('submissions')
  const fieldId = useId()
  const { on, isOpen, mayBeOpen } = written
  // What was sent leaves its button without anything to send: one goes on in the field.
  const field = useForkRef(useRefocus<HTMLTextAreaElement>(written.isPending), inputRef ?? null)
  const readers = useListWords().all([submission.ownerName, ...submission.assessors])
  return (
    <div data-print="off" className={styles.form}>
      <div className={styles.on}>
        <label htmlFor={fieldId}>{t('feedback.label')}</label>
        {submission.partList.length < 2 ? null : (
          <ChoiceBar
            label={t('feedback.onLabel')}
            value={on}
            choices={[
              ['part', t('feedback.onPart')],
              ['whole', t('feedback.onWhole')],
            ]}
            onChange={written.setOn}
          />
        )}
      </div>
      <TextField
        id={fieldId}
        hiddenLabel
        inputRef={field}
        multiline
        minRows={2}
        maxRows={6}
        fullWidth
        value={written.text}
        onChange={(event) => written.setText(event.target.value)}
        slotProps={{ htmlInput: { maxLength: LONGEST_FEEDBACK, 'aria-keyshortcuts': 'F' } }}
      />
      <div className={styles.who}>
        <ChoiceBar
          label={t('feedback.whoReads')}
          value={isOpen ? 'open' : 'private'}
          choices={[
            ['open', t('feedback.open')],
            [
              'private',
              t(submission.isMine ? 'feedback.private' : 'feedback.privateTo', {
                name: submission.ownerName,
              }),
            ],
          ]}
          barred={mayBeOpen ? null : 'open'}
          onChange={(value) => written.setIsOpen(value === 'open')}
        />
        <Button
          size="small"
          disabled={!written.isThere}
          loading={written.isPending}
          onClick={() => void written.send()}
        >
          {t('feedback.say')}
        </Button>
        <p className={styles.readers}>
          {isOpen ? t('feedback.readOpen') : t('feedback.readBy', { readers })}
          {mayBeOpen ? null : ` ${t('feedback.onlyPrivate')}`}
        </p>
      </div>
      <Refusal error={written.error} />
    </div>
  )
}
