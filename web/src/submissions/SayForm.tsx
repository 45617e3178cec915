// Writing feedback: on a part or the whole, open or private, with who reads it said beside.
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { LONGEST_FEEDBACK } from '@valise/core/submissions'
import type { Submission } from '@valise/core/submissions'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useUnsent } from '../drafts/useUnsent.ts'
import { ChoiceBar } from '../ui/ChoiceBar.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { useSay } from './queries.ts'
import styles from './SayForm.module.css'

interface SayFormProps {
  readonly submission: Submission
  /** The part that is being read. */
  readonly part: number
}

type On = 'part' | 'whole'

export function SayForm({ submission, part }: SayFormProps) {
  const { t } = useTranslation('submissions')
  const say = useSay(submission.id)
  const [on, setOn] = useState<On>('part')
  const [isOpen, setIsOpen] = useState(false)
  const unsent = useUnsent(`/submissions/${submission.id}#feedback`, '')
  const [key, setKey] = useState(() => crypto.randomUUID())
  const onPart = submission.partList.find(({ n }) => n === part)
  // Only a page has readers of its own who could read along.
  const mayBeOpen = on === 'part' && onPart?.kind === 'page'
  const readers = [submission.ownerName, ...submission.assessors].join(', ')
  const onSay = () =>
    say.mutate(
      { part: on === 'part' ? part : null, isOpen: isOpen && mayBeOpen, text: unsent.value, key },
      {
        onSuccess: () => {
          unsent.clear()
          setKey(crypto.randomUUID())
        },
      },
    )
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
          onChange={setOn}
        />
      </div>
      <TextField
        label={t('feedback.label')}
        multiline
        minRows={2}
        maxRows={10}
        fullWidth
        value={unsent.value}
        onChange={(event) => unsent.change(event.target.value)}
        slotProps={{ htmlInput: { maxLength: LONGEST_FEEDBACK } }}
      />
      <div className={styles.who}>
        <ChoiceBar
          label={t('feedback.whoReads')}
          value={isOpen && mayBeOpen ? 'open' : 'private'}
          choices={[
            ['open', t('feedback.open')],
            ['private', t('feedback.private')],
          ]}
          barred={mayBeOpen ? null : 'open'}
          onChange={(value) => setIsOpen(value === 'open')}
        />
        <p className={styles.readers}>
          {isOpen && mayBeOpen ? t('feedback.readOpen') : t('feedback.readBy', { readers })}
          {mayBeOpen ? null : ` ${t('feedback.onlyPrivate')}`}
        </p>
      </div>
      <Button size="small" disabled={unsent.value.trim() === ''} loading={say.isPending} onClick={onSay}>
        {t('feedback.say')}
      </Button>
      <Refusal error={say.error} />
    </div>
  )
}
