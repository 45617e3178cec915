// The day in one sentence: what is due first, else what is to be read.
import { textIn } from '@valise/core/people'
import type { TodayPlan } from '@valise/core/submissions'
import { useTranslation } from 'react-i18next'
import type { Upcoming } from './upcoming.ts'

export function useDaySentence(): (
  plan: Pick<TodayPlan, 'reading' | 'withAssessors'>,
  upcoming: readonly Upcoming[],
  studies: boolean,
) => string {
  const { t, i18n } = useTranslation('today')
  return ({ reading, withAssessors }, [next], studies) => {
    const toRead = reading.reduce((sum, one) => sum + one.toRead, 0)
    if (next?.stage) {
      const { stage } = next
      const names = { stage: textIn(stage.name, i18n.language), guide: textIn(stage.title, i18n.language) }
      return stage.open > 0 ? t('stageMends', { ...names, count: stage.open }) : t('stageOpen', names)
    }
    if (next?.work) {
      const { kind, askedBy, gaps, ...work } = next.work
      const title = textIn(work.title, i18n.language)
      if (kind === 'change') return t('change', { title, by: askedBy ?? '' })
      return gaps.length === 0 ? t('ready', { title }) : t('mends', { title, count: gaps.length })
    }
    if (toRead > 0) return t('toRead', { count: toRead })
    if (withAssessors.length > 0) return t('allHandedIn')
    return studies ? t('nothing') : t('readNothing')
  }
}
