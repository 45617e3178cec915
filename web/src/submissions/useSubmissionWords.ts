// Submissions in words: their states and marks, requirements with what is missing, levels, and titles in one's language.
import type { Requirement } from '@valise/core/assignments'
import { textIn } from '@valise/core/people'
import type { Localized } from '@valise/core/people'
import type { ReadinessLine, ReceivedLevel, SubmissionRow } from '@valise/core/submissions'
import { minutesBetween } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import { useTranslation } from 'react-i18next'
import { localeOf } from '../ui/localeOf.ts'

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
  found(line: ReadinessLine, requirement: Requirement | undefined): string
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
  const pieces = (wanted: readonly { readonly sort: string; readonly atLeast: number }[]) =>
    list(
      wanted.map(({ sort, atLeast }) => {
        const known = sorts.find((one) => one === sort) ?? 'file'
        return t(`sorts.${known}`, { count: atLeast })
      }),
    )
  return {
    list,
    title,
    level: ({ level }) => title(level.name),
    late: ({ lateMinutes }) => (lateMinutes > 0 ? t('submissions:late', { span: span(lateMinutes) }) : ''),
    until: (at, now) => {
      const minutes = minutesBetween(now, at)
      return minutes >= 0 ? t('in', { span: span(minutes) }) : t('ago', { span: span(-minutes) })
    },
    wanted: (requirement) => {
      if (requirement.kind === 'rights') return t('submissions:wanted.rights')
      if (requirement.kind === 'statement')
        return t(
          requirement.questions.length > 0
            ? 'submissions:wanted.statementAlong'
            : 'submissions:wanted.statement',
          {
            count: requirement.words,
          },
        )
      return requirement.pieces.length === 0
        ? t('submissions:wanted.anyPage')
        : t('submissions:wanted.page', { pieces: pieces(requirement.pieces) })
    },
    found: (line, requirement) => {
      switch (line.kind) {
        case 'page': {
          if (line.page === null) return t('found.noPage')
          const page = line.page || t('untitled')
          if (line.isThere) return t('found.page', { page })
          const missing = line.pieces
            .filter(({ there, atLeast }) => there < atLeast)
            .map(({ sort, there, atLeast }) => ({ sort, atLeast: atLeast - there }))
          return missing.length === 0
            ? t('found.noPage')
            : t('found.pageLacks', { page, pieces: pieces(missing) })
        }
        case 'statement': {
          const least = requirement?.kind === 'statement' ? requirement.words : 0
          if (line.item === null) return t('found.noWords')
          const words = { count: line.words, title: line.item.title, least }
          return t(line.isThere ? 'found.words' : 'found.fewWords', words)
        }
        case 'rights':
          if (line.isThere) return t('found.rights', { count: line.items })
          return line.undeclared.length === 0
            ? t('found.nothingIn')
            : t('found.undeclared', { titles: list(line.undeclared.map((item) => item.title).slice(0, 3)) })
      }
    },
  }
}

const sorts = ['text', 'picture', 'video', 'audio', 'data-table', 'file', 'entry'] as const
