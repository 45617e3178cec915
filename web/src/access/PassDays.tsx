// From when until when a pass runs: two days, and the sentence that they make.
import type { PassChange } from '@valise/core/access'
import type { Instant } from '@valise/core/time'
import { useTranslation } from 'react-i18next'
import { DayField } from '../ui/DayField.tsx'
import { useWhen } from '../ui/useWhen.ts'
import styles from './GivePass.module.css'

interface PassDaysProps {
  readonly days: PassChange
  /** When it began, where it has; a pass that is just given begins now. */
  readonly begun?: Instant | null
  readonly onChange: (days: PassChange) => void
}

export function PassDays({ days, begun = null, onChange }: PassDaysProps) {
  const { t } = useTranslation('access')
  const when = useWhen()
  const { firstDay, lastDay } = days
  const start = begun === null ? t('give.now') : when.date(begun)
  const from = firstDay === null ? start : when.localDay(firstDay)
  return (
    <div className={styles.days}>
      <p aria-live="polite">
        {lastDay === null
          ? t('give.open', { from })
          : t('give.until', { from, until: when.localDay(lastDay) })}
      </p>
      <div>
        <DayField
          label={t('give.first')}
          help={t(begun === null ? 'give.firstHint' : 'give.begunHint')}
          value={firstDay ?? ''}
          onChange={(day) => onChange({ firstDay: day || null, lastDay })}
        />
        <DayField
          label={t('give.last')}
          help={t('give.lastHint')}
          value={lastDay ?? ''}
          onChange={(day) => onChange({ firstDay, lastDay: day || null })}
        />
      </div>
    </div>
  )
}
