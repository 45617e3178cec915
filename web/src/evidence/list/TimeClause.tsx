// When it was made: at any time, since a day, until one, or between two.
import Button from '@mui/material/Button'
import { IconCalendar } from '@tabler/icons-react'
import { addDays } from '@valise/core/time'
import type { LocalDay } from '@valise/core/time'
import { useTranslation } from 'react-i18next'
import { DayField } from '../../ui/DayField.tsx'
import { useWhen } from '../../ui/useWhen.ts'
import { useToday } from '../../session/index.ts'
import { QueryMenu } from './QueryMenu.tsx'
import type { ClauseProps, QueryClauseProps } from './QuerySentence.tsx'
import { RemovableClause } from './RemovableClause.tsx'
import styles from './QuerySentence.module.css'

export function TimeClause({ query: { from, until }, onChange, end }: ClauseProps) {
  const { t } = useTranslation('evidence')
  const words = useTimeWords(from, until)
  if (words === null) return null
  return (
    <>
      {' '}
      <RemovableClause
        label={t('query.takeTimeOff', { words })}
        end={end}
        onRemove={() => onChange({ from: null, until: null })}
      >
        {words}
      </RemovableClause>
    </>
  )
}

export function TimeMenu({ query, onChange }: Pick<QueryClauseProps, 'query' | 'onChange'>) {
  const { t } = useTranslation('evidence')
  return (
    <QueryMenu
      words={t('query.anyTime')}
      icon={<IconCalendar size={17} stroke={1.7} />}
      label={t('query.time')}
    >
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

/** since 1 September; null where any time is wanted */
function useTimeWords(from: LocalDay | null, until: LocalDay | null): string | null {
  const { t } = useTranslation('evidence')
  const when = useWhen()
  if (from !== null && from === until) return t('query.on', { day: when.localDay(from) })
  if (from !== null && until !== null)
    return t('query.between', { from: when.localDay(from), until: when.localDay(until) })
  if (from !== null) return t('query.since', { from: when.localDay(from) })
  return until === null ? null : t('query.until', { until: when.localDay(until) })
}

export function TimeFields({ query, onChange }: Pick<QueryClauseProps, 'query' | 'onChange'>) {
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
    [t('query.anyTimeAtAll'), null],
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
