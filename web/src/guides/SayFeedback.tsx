// Saying something of an answer, a stage or the whole: opened by a button, sent once.
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { IconMessage } from '@tabler/icons-react'
import { LONGEST_GUIDE_FEEDBACK } from '@valise/core/guides'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useUnsent } from '../saving/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { useGiveFeedback } from './queries.ts'
import styles from './Guides.module.css'

interface SayFeedbackProps {
  readonly copyId: string
  readonly stageId: string | null
  readonly pieceId: string | null
  /** What it is about, for those who do not see where the button stands; the whole where it is left out. */
  readonly about?: string
}

export function SayFeedback({ copyId, stageId, pieceId, about }: SayFeedbackProps) {
  const { t } = useTranslation(['guides', 'app'])
  const [isOpen, setIsOpen] = useState(false)
  const unsent = useUnsent(`/guide-copies/${copyId}/reading#${stageId ?? ''}-${pieceId ?? ''}`, '')
  const { value: text, change: setText, clear } = unsent
  const [key, setKey] = useState(() => crypto.randomUUID())
  const give = useGiveFeedback(copyId)
  const label = about ? t('feedback.sayOn', { about }) : t('feedback.sayWhole')
  const send = () =>
    give.mutate(
      { stageId, pieceId, text: text.trim(), key },
      {
        onSuccess: () => {
          clear()
          setIsOpen(false)
          setKey(crypto.randomUUID())
        },
      },
    )
  if (!isOpen && text === '')
    return (
      <Button
        variant="text"
        size="small"
        aria-label={label}
        startIcon={<IconMessage size={16} stroke={1.7} />}
        onClick={() => setIsOpen(true)}
      >
        {t(
          pieceId === null ? (stageId === null ? 'feedback.sayWhole' : 'feedback.sayStage') : 'feedback.say',
        )}
      </Button>
    )
  return (
    <div className={styles.say}>
      <TextField
        label={label}
        multiline
        fullWidth
        minRows={2}
        autoFocus={isOpen}
        value={text}
        onChange={(event) => setText(event.target.value)}
        slotProps={{ htmlInput: { maxLength: LONGEST_GUIDE_FEEDBACK } }}
      />
      <div>
        <Button
          variant="contained"
          color="primary"
          disabled={text.trim() === ''}
          loading={give.isPending}
          onClick={send}
        >
          {t('feedback.send')}
        </Button>
        <Button
          variant="text"
          onClick={() => {
            clear()
            setIsOpen(false)
          }}
        >
          {t('app:actions.cancel')}
        </Button>
      </div>
      <Refusal error={give.error} />
    </div>
  )
}
