// A quiet line about the week: what was written and gathered, and what one's classes expect until it ends.
import Button from '@mui/material/Button'
import type { Week } from '@valise/core/today'
import { useTranslation } from 'react-i18next'
import { usePreferences } from '../session/index.ts'
import { offerUndo } from '../ui/footNote.ts'
import { Refusal } from '../ui/Refusal.tsx'
import styles from './TodayScreen.module.css'

interface WeekLineProps {
  readonly week: Week
  /** How many things are due until it ends. */
  readonly due: number
}

export function WeekLine({ week, due }: WeekLineProps) {
  const { t } = useTranslation('today')
  const preferences = usePreferences()
  const hide = async () => {
    await preferences.mutateAsync({ showsWeek: false })
    offerUndo(t('week.hidden'), () => preferences.mutateAsync({ showsWeek: true }))
  }
  return (
    <>
      <p className={styles.week}>
        <span>
          {t('week.done', {
            entries: t('week.entries', { count: week.entries }),
            evidence: t('week.evidence', { count: week.evidence }),
          })}{' '}
          {due > 0 ? t('week.due', { count: due }) : null}
        </span>
        {/* What went wrong stands below. */}
        <Button variant="text" size="small" onClick={() => void hide().catch(() => undefined)}>
          {t('week.hide')}
        </Button>
      </p>
      <Refusal error={preferences.error} />
    </>
  )
}
