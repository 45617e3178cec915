// Submissions in words: their states and marks, requirements with what is missing, levels, and titles in one's language.
import type { CheckedRequirement, Requirement } from '@valise/core/assignments'
import { textIn } from '@valise/core/people'
import type { Localized } from '@valise/core/people'
import type { ReceivedLevel, SubmissionRow } from '@valise/core/submissions'
import { minutesBetween } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import { useTranslation } from 'react-i18next'
import { localeOf } from '../ui/localeOf.ts'
import type { Say } from './requirements/RequirementWords.ts'
import { wordsOf } from './requirements/wordsByKind.ts'

const DAY = 24 * 60
const HOUR = 60

export interface SubmissionWords {
  /** Odalys Fenn and Rufus Brandt-Osei */
  list(parts: readonly string[]): string
  title(text: Localized): string
  level(level: ReceivedLevel): string
  /** Late by 1 day; empty where it was in time. */
  late(row: Pick<SubmissionRow, 'lateMinutes'>): string
  /** in 1 day and 6 hours, or 2 hours ago */
  until(at: Instant, now: Instant): string
  /** What is asked: a page with a picture and a data table. */
  wanted(requirement: Requirement): string
  /** How far it is: what is there, or exactly what is missing. */
  found(checked: CheckedRequirement): string
}

export function useSubmissionWords(): SubmissionWords {
  const { t, i18n } = useTranslation(['work', 'submissions'])
  const title = (text: Localized) => textIn(text, i18n.language)
  const list = (parts: readonly string[]) =>
    new Intl.ListFormat(localeOf(i18n.language), { type: 'conjunction' }).format(parts)
  const span = (minutes: number) => {
    const whole = Math.max(1, Math.floor(minutes))
    if (whole >= DAY)
      return list(
        [
          t('span.days', { count: Math.floor(whole / DAY) }),
          ...(whole % DAY >= HOUR ? [t('span.hours', { count: Math.floor((whole % DAY) / HOUR) })] : []),
        ].slice(0, whole >= 3 * DAY ? 1 : 2),
      )
    if (whole >= HOUR) return t('span.hours', { count: Math.floor(whole / HOUR) })
    return t('span.minutes', { count: whole })
  }
  const say: Say = {
    t,
    language: i18n.language,
    list,
    pieces: (wanted) => list(wanted.map(({ sort, atLeast }) => t(`sorts.${sort}`, { count: atLeast }))),
  }
  return {
    list,
    title,
    level: ({ level }) => title(level.name),
    late: ({ lateMinutes }) => (lateMinutes > 0 ? t('submissions:late', { span: span(lateMinutes) }) : ''),
    until: (at, now) => {
      const minutes = minutesBetween(now, at)
      return minutes >= 0 ? t('in', { span: span(minutes) }) : t('ago', { span: span(-minutes) })
    },
    wanted: (requirement) => wordsOf(requirement.kind).wanted(requirement, say),
    found: (checked) => wordsOf(checked.requirement.kind).found(checked, say),
  }
}
