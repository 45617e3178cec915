// Writing an entry from Today: the one that is due, in the logbook and along the questions that its guide asks for; else a
// free one.
import Button from '@mui/material/Button'
import { IconPencil } from '@tabler/icons-react'
import { textIn } from '@valise/core/people'
import { screenOf } from '@valise/core/things'
import type { StageStep } from '@valise/core/today'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useNavigate } from 'react-router'
import { useWriteDueEntry } from '../guides/index.ts'
import { useToday } from '../session/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import styles from './TodayScreen.module.css'

const pencil = <IconPencil size={18} stroke={1.7} />

interface WriteEntryProps {
  /** Null until they are known: its room is there from the start, so that nothing moves when it comes. */
  readonly stages: readonly StageStep[] | null
}

export function WriteEntry({ stages }: WriteEntryProps) {
  const { t } = useTranslation('today')
  if (stages === null) return <div className={styles.write} />
  const [due] = stages.flatMap((stage) => {
    const question = stage.questions.find(({ kind }) => kind === 'entry')
    return question ? [{ stage, questionId: question.id }] : []
  })
  return (
    <div className={styles.write}>
      {due ? <Due {...due} /> : null}
      <Button
        component={RouterLink}
        to="/entries/new"
        {...(due ? { variant: 'text' as const } : { startIcon: pencil })}
      >
        {t(due ? 'write.other' : 'write.entry')}
      </Button>
    </div>
  )
}

function Due({ stage, questionId }: { readonly stage: StageStep; readonly questionId: string }) {
  const { t, i18n } = useTranslation('today')
  const navigate = useNavigate()
  const day = useToday()
  const write = useWriteDueEntry()
  const [key] = useState(() => crypto.randomUUID())
  const { guideId, copyId, stageId } = stage
  return (
    <>
      <Button
        startIcon={pencil}
        loading={write.isPending}
        onClick={() =>
          write.mutate(
            { guideId, copyId, questionId, day, key },
            {
              onSuccess: (made) =>
                void navigate(`${screenOf('entry', made.entryId)}?guide=${made.copyId}&stage=${stageId}`),
            },
          )
        }
      >
        {t('write.due', { stage: textIn(stage.name, i18n.language) })}
      </Button>
      <Refusal error={write.error} />
    </>
  )
}
