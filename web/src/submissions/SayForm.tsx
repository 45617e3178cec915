// Writing feedback: on a part or the whole, open or private, with who reads it said beside.
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { LONGEST_FEEDBACK } from '@valise/core/submissions'
import type { Submission } from '@valise/core/submissions'
import { useTranslation } from 'react-i18next'
import { ChoiceBar } from '../ui/ChoiceBar.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useRefocus } from '../ui/useRefocus.ts'
import type { WrittenFeedback } from './useWrittenFeedback.ts'
import styles from './SayForm.module.css'

interface SayFormProps {
  readonly submission: Submission
  readonly written: WrittenFeedback
}

export function SayForm({ submission, written }: SayFormProps) {
  const { t } = useTranslation('submissions')
  const { on, isOpen, mayBeOpen } = written
  // What was sent leaves its button without anything to send: one goes on in the field.
  const field = useRefocus<HTMLTextAreaElement>(written.isPending)
  const readers = [submission.ownerName, ...submission.assessors].join(', ')
  return (
    <div className={styles.form}>
      <div className={styles.on}>
        <span aria-hidden="true">{t('feedback.about')}</span>
        <ChoiceBar
          label={t('feedback.onLabel')}
          value={on}
          choices={[
            ['part', t('feedback.onPart')],
            ['whole', t('feedback.onWhole')],
          ]}
          onChange={written.setOn}
        />
      </div>
      <TextField
        inputRef={field}
        label={t('feedback.label')}
        multiline
        minRows={2}
        maxRows={10}
        fullWidth
        value={written.text}
        onChange={(event) => written.setText(event.target.value)}
        slotProps={{ htmlInput: { maxLength: LONGEST_FEEDBACK } }}
      />
      <div className={styles.who}>
        <ChoiceBar
          label={t('feedback.whoReads')}
          value={isOpen ? 'open' : 'private'}
          choices={[
            ['open', t('feedback.open')],
            ['private', t('feedback.private')],
          ]}
          barred={mayBeOpen ? null : 'open'}
          onChange={(value) => written.setIsOpen(value === 'open')}
        />
        <p className={styles.readers}>
          {isOpen ? t('feedback.readOpen') : t('feedback.readBy', { readers })}
          {mayBeOpen ? null : ` ${t('feedback.onlyPrivate')}`}
        </p>
      </div>
      <Button
        size="small"
        disabled={!written.isThere}
        loading={written.isPending}
        onClick={() => void written.send()}
      >
        {t('feedback.say')}
      </Button>
      <Refusal error={written.error} />
    </div>
  )
}
