// When it was made: at any time, since a day, until one, or between two.
import Button from '@mui/material/Button'
import { addDays } from '@valise/core/time'
import type { LocalDay } from '@valise/core/time'
import { useTranslation } from 'react-i18next'
import { DayField } from '../ui/DayField.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { useToday } from '../reflections/useToday.ts'
import { QueryMenu } from './QueryMenu.tsx'
import type { QueryPartProps } from './QuerySentence.tsx'
import styles from './QuerySentence.module.css'

export function TimePart({ query, onChange }: QueryPartProps) {
  const { t } = useTranslation('evidence')
  return (
    <QueryMenu words={<TimeWords from={query.from} until={query.until} />} label={t('query.time')}>
      {(close) => (
        <div className={styles.form}>
          <TimeFields query={query} onChange={onChange} />
          <Presets
            onChoose={(from) => {
              onChange({ from, until: null })
              close()
            }}
          />
        </div>
      )}
    </QueryMenu>
  )
}

/** since 1 September */
function TimeWords({ from, until }: { readonly from: LocalDay | null; readonly until: LocalDay | null }) {
  const { t } = useTranslation('evidence')
  const when = useWhen()
  if (from !== null && from === until) return <>{t('query.on', { day: when.localDay(from) })}</>
  if (from !== null && until !== null)
    return <>{t('query.between', { from: when.localDay(from), until: when.localDay(until) })}</>
  if (from !== null) return <>{t('query.since', { from: when.localDay(from) })}</>
  if (until !== null) return <>{t('query.until', { until: when.localDay(until) })}</>
  return <>{t('query.anyTime')}</>
}

export function TimeFields({ query, onChange }: Pick<QueryPartProps, 'query' | 'onChange'>) {
  const { t } = useTranslation('evidence')
  return (
    <>
      <DayField
        label={t('query.firstDay')}
        value={query.from ?? ''}
        onChange={(day) => onChange({ from: day === '' ? null : day })}
      />
      <DayField
        label={t('query.lastDay')}
        value={query.until ?? ''}
        onChange={(day) => onChange({ until: day === '' ? null : day })}
      />
    </>
  )
}

function Presets({ onChoose }: { readonly onChoose: (from: LocalDay | null) => void }) {
  const { t } = useTranslation('evidence')
  const today = useToday()
  const choices = [
    [t('query.lastWeek'), addDays(today, -7)],
    [t('query.lastMonth'), addDays(today, -30)],
    [t('query.lastTerm'), addDays(today, -120)],
    [t('query.anyTime'), null],
  ] as const
  return (
    <div className={styles.verbs}>
      {choices.map(([words, from]) => (
        <Button key={words} size="small" variant="text" onClick={() => onChoose(from)}>
          {words}
        </Button>
      ))}
    </div>
  )
}
