// From when until when a pass runs: two days, and the sentence that they make.
import TextField from '@mui/material/TextField'
import type { PassChange } from '@valise/core/access'
import type { Instant } from '@valise/core/time'
import { useTranslation } from 'react-i18next'
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
  const field = { type: 'date', size: 'small' } as const
  const slotProps = { inputLabel: { shrink: true }, htmlInput: { max: '9998-12-31' } }
  return (
    <div className={styles.days}>
      <p aria-live="polite">
        {lastDay === null
          ? t('give.open', { from })
          : t('give.until', { from, until: when.localDay(lastDay) })}
      </p>
      <div>
        <TextField
          {...field}
          label={t('give.first')}
          helperText={t(begun === null ? 'give.firstHint' : 'give.begunHint')}
          value={firstDay ?? ''}
          onChange={({ target }) => onChange({ firstDay: target.value || null, lastDay })}
          slotProps={slotProps}
        />
        <TextField
          {...field}
          label={t('give.last')}
          helperText={t('give.lastHint')}
          value={lastDay ?? ''}
          onChange={({ target }) => onChange({ firstDay, lastDay: target.value || null })}
          slotProps={slotProps}
        />
      </div>
    </div>
  )
}
