// Which days have entries: a strip of eight weeks, on which each day with one leads to it.
import IconButton from '@mui/material/IconButton'
import { IconChevronLeft, IconChevronRight } from '@tabler/icons-react'
import { STRIP_DAYS } from '@valise/core/reflections'
import type { LogbookFacets } from '@valise/core/reflections'
import { addDays } from '@valise/core/time'
import { useTranslation } from 'react-i18next'
import { useWhen } from '../ui/useWhen.ts'
import styles from './Reflections.module.css'

interface StripOfDaysProps {
  readonly facets: LogbookFacets | null
  /** The last day of the strip. */
  readonly until: string
  /** The day that the entries are narrowed to. */
  readonly chosen: string | null
  readonly onUntil: (day: string) => void
  readonly onDay: (day: string | null) => void
}

export function StripOfDays({ facets, until, chosen, onUntil, onDay }: StripOfDaysProps) {
  const { t } = useTranslation('reflections')
  const when = useWhen()
  const from = addDays(until, 1 - STRIP_DAYS)
  const days = Array.from({ length: STRIP_DAYS }, (_, n) => addDays(from, n))
  const counts = new Map(facets?.days.map(({ day, count }) => [day, count]))
  return (
    <section
      className={styles.strip}
      aria-label={t('strip.label', { from: when.localDay(from), until: when.localDay(until) })}
    >
      <IconButton
        aria-label={t('strip.earlier')}
        disabled={!facets?.firstDay || facets.firstDay >= from}
        onClick={() => onUntil(addDays(until, -STRIP_DAYS))}
      >
        <IconChevronLeft size={18} stroke={1.7} />
      </IconButton>
      <ol>
        {days.map((day) => {
          const count = counts.get(day) ?? 0
          // A week begins with a taller mark, as on a ruler.
          const isMonday = new Date(`${day}T00:00:00Z`).getUTCDay() === 1
          return (
            <li key={day} data-monday={isMonday}>
              {count > 0 ? (
                <button
                  type="button"
                  aria-pressed={chosen === day}
                  aria-label={t('strip.day', { day: when.localDay(day), count })}
                  title={t('strip.day', { day: when.localDay(day), count })}
                  onClick={() => onDay(chosen === day ? null : day)}
                >
                  <i data-many={count > 1} />
                </button>
              ) : null}
            </li>
          )
        })}
      </ol>
      <IconButton
        aria-label={t('strip.later')}
        disabled={!facets?.lastDay || facets.lastDay <= until}
        onClick={() => onUntil(addDays(until, STRIP_DAYS))}
      >
        <IconChevronRight size={18} stroke={1.7} />
      </IconButton>
      <p aria-hidden="true">
        <span>{when.localDay(from)}</span>
        <span>{when.localDay(until)}</span>
      </p>
    </section>
  )
}
