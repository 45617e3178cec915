// How far an answer has come, in words.
import type { AnswerProgress } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'

export function useProgressWords(): (progress: AnswerProgress) => string {
  const { t } = useTranslation('sheets')
  return ({ counted, count, limits: { least, most } }) => {
    if (counted === null) return ''
    const has = t(`progress.${counted}`, { count })
    if (most !== null && count > most) return t('progress.over', { has, over: count - most })
    if (count < least) return t('progress.least', { has, least })
    return most === null ? has : t('progress.most', { has, most })
  }
}
